<?php

declare(strict_types=1);

namespace Incastro\Survey\Room;

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
}
