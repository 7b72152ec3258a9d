<?php

declare(strict_types=1);

namespace Incastro\Rules\Schools;

use Incastro\Rules\Tool;

/** How the sides of a drawer meet its front and back. */
enum DrawerCorner: string implements School
{
    case Butt = 'butt';
    case Rabbet = 'rabbet';

    public static function question(): string
    {
        return 'Corners of drawer boxes';
    }

    public function label(): string
    {
        return match ($this) {
            self::Butt => 'Butted and screwed',
            self::Rabbet => 'In rabbets of the sides, glued',
        };
    }

    public function reason(): string
    {
        return match ($this) {
            self::Butt => 'Quick; screws in the sides are hidden between the slides.',
            self::Rabbet => 'Stronger, and square by itself; needs a router or a table saw.',
        };
    }

    /** @return list<Tool> of which one at least must be at hand */
    public function tools(): array
    {
        return $this === self::Rabbet ? [Tool::Router, Tool::TableSaw] : [];
    }
}
