<?php

declare(strict_types=1);

namespace Incastro\Rules\Schools;

/** What covers the front edges of a box. */
enum Edges: string implements School
{
    case Frame = 'frame';
    case Band = 'band';

    public static function question(): string
    {
        return 'Front edges of boxes';
    }

    public function label(): string
    {
        return match ($this) {
            self::Frame => 'Face frame',
            self::Band => 'Edge banding',
        };
    }

    public function reason(): string
    {
        return match ($this) {
            self::Frame => 'Hides joints, stiffens the box and gives an edge to scribe; takes lumber and makes openings smaller.',
            self::Band => 'Quick, and leaves the whole opening free; joints show, and a filler strip closes every gap to a wall.',
        };
    }
}
