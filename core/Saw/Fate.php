<?php

declare(strict_types=1);

namespace Incastro\Saw;

/** What becomes of a part. */
enum Fate: string
{
    case Piece = 'piece';
    case Offcut = 'offcut';
    case Waste = 'waste';
    case CutFurther = 'cut further';

    /** The least offcut that is kept, nm. */
    private const SHORT = 150_000_000;

    private const LONG = 300_000_000;

    /** Of what is left over. */
    public static function ofRest(int $x, int $y): self
    {
        return min($x, $y) >= self::SHORT && max($x, $y) >= self::LONG ? self::Offcut : self::Waste;
    }
}
