<?php

declare(strict_types=1);

namespace Incastro\Install;

/** The studs of a wall: those that were found, where one is to be expected, and places that were probed in vain; mm along the wall. */
final readonly class WallStuds
{
    /** A probe in vain rules out what is expected so near, mm. */
    private const NEAR = 10.0;

    /** Two that lie nearer are one, mm and inches. */
    public const SAME = [30.0, 1.25];

    /**
     * @param  list<float>  $found
     * @param  list<array{u: float, from: float, to: float}>  $expected
     * @param  list<float>  $empty
     * @param  list<float>  $pitches
     */
    private function __construct(public array $found, public array $expected, public array $empty, public array $pitches, public ?float $decides)
    {
    }

    /**
     * @param  list<float>  $found
     * @param  list<float>  $empty
     */
    public static function of(array $found, array $empty, float $length): self
    {
        $grid = StudGrid::of($found);
        $isEmpty = fn (array $one): bool => array_filter($empty, fn (float $u) => abs($u - $one['u']) <= self::NEAR) !== [];

        return new self($grid->found, array_values(array_filter($grid->expected(0.0, $length), fn (array $one) => ! $isEmpty($one))), $empty, $grid->pitches(), $grid->decides($length));
    }
}
