<?php

declare(strict_types=1);

namespace Incastro\Fit\Layout;

use Incastro\Measure\Length;

/** How large a cell is along its axis: fixed, or a share of what the fixed ones leave. */
final readonly class Size
{
    /** The share of a cell that nobody weighted: so that it can be made narrower as well as wider. */
    public const USUAL = 4;

    public const MOST = 24;

    private function __construct(public ?Length $fixed, public int $share)
    {
    }

    public static function fixed(Length $length): self
    {
        return new self($length, 0);
    }

    public static function share(int $share = self::USUAL): self
    {
        return new self(null, max(1, $share));
    }
}
