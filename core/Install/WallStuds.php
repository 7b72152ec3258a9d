<?php

declare(strict_types=1);

namespace Incastro\Install;

use Incastro\Fit\ThingPlace;
use Incastro\Survey\Room\Room;
use Incastro\Survey\Room\RunFrame;
use Incastro\Survey\Things\ThingKind;

/** The studs of a wall: those that were found, and where one is to be expected that was not probed in vain; mm along the wall. */
final readonly class WallStuds
{
    /** A probe in vain rules out what is expected so near, mm. */
    private const NEAR = 10.0;

    /** Two that lie nearer are one, mm and inches. */
    public const SAME = [30.0, 1.25];

    /**
     * @param  list<float>  $found
     * @param  list<array{u: float, from: float, to: float}>  $expected
     * @param  list<float>  $pitches
     */
    private function __construct(public array $found, public array $expected, public array $pitches, public ?float $decides)
    {
    }

    /** @return list<float> middle lines of those that are noted with the things of a room, mm along the wall */
    public static function amongThings(Room $room, RunFrame $frame): array
    {
        return array_map(fn (array $one): float => ($one[1]->u0 + $one[1]->u1) / 2, (new ThingPlace($room, $frame))->onItsWall(ThingKind::Stud));
    }

    /**
     * @param  list<float>  $found
     * @param  list<float>  $empty
     */
    public static function of(array $found, array $empty, float $length): self
    {
        $grid = StudGrid::of($found);
        $isEmpty = fn (array $one): bool => array_filter($empty, fn (float $u) => abs($u - $one['u']) <= self::NEAR) !== [];

        return new self($grid->found, array_values(array_filter($grid->expected(0.0, $length), fn (array $one) => ! $isEmpty($one))), $grid->pitches(), $grid->decides($length));
    }
}
