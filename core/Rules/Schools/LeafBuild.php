<?php

declare(strict_types=1);

namespace Incastro\Rules\Schools;

use Incastro\Rules\Tool;

/** What a leaf is made of: one board, or a frame with a panel in it. */
enum LeafBuild: string implements School
{
    case Slab = 'slab';
    case Grooved = 'grooved';
    case Pocket = 'pocket';

    public static function question(): string
    {
        return 'Leaves of doors';
    }

    public function label(): string
    {
        return match ($this) {
            self::Slab => 'One board',
            self::Grooved => 'Frame and panel in grooves',
            self::Pocket => 'Frame with pocket screws, panel in a rabbet',
        };
    }

    public function reason(): string
    {
        return match ($this) {
            self::Slab => 'Quick and plain; a high one may warp.',
            self::Grooved => 'Light, stays flat, glued without screws; needs a router or a table saw.',
            self::Pocket => 'Light, and quickly made with a pocket-hole jig; the panel is put in from behind.',
        };
    }

    /** @return list<Tool> of which one at least must be at hand */
    public function tools(): array
    {
        return $this === self::Slab ? [] : [Tool::Router, Tool::TableSaw];
    }

    public function isFramed(): bool
    {
        return $this !== self::Slab;
    }
}
