<?php

declare(strict_types=1);

namespace Incastro\Install;

use Incastro\Measure\Unit;
use Incastro\Strength\Stack;

/** What a wall is made of, and so what holds in it. */
enum WallKind: string
{
    case Timber = 'timber';
    case Metal = 'metal';
    case Masonry = 'masonry';
    case Dabs = 'dabs';
    case Lath = 'lath';

    public function label(): string
    {
        return match ($this) {
            self::Timber => 'Timber studs and board',
            self::Metal => 'Metal studs and board',
            self::Masonry => 'Masonry',
            self::Dabs => 'Board on dabs before masonry',
            self::Lath => 'Lath and plaster on timber',
        };
    }

    /** Whether screws go into studs, and not into plugs. */
    public function hasStuds(): bool
    {
        return $this === self::Timber || $this === self::Metal || $this === self::Lath;
    }

    /** Between what lengths a screw holds past so much before it, mm; null where only a rated fixing does. */
    public function stack(float $before, Unit $unit): ?Stack
    {
        return match ($this) {
            self::Timber, self::Lath => Stack::intoStud($before, $unit),
            self::Masonry, self::Dabs => Stack::intoMasonry($before, $unit),
            self::Metal => null,
        };
    }
}
