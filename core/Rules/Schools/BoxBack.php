<?php

declare(strict_types=1);

namespace Incastro\Rules\Schools;

use Incastro\Rules\Tool;

/** What closes a box behind. */
enum BoxBack: string implements School
{
    case LaidOn = 'laid-on';
    case Rabbeted = 'rabbeted';
    case Inset = 'inset';
    case None = 'none';

    public static function question(): string
    {
        return 'Backs of boxes';
    }

    public function label(): string
    {
        return match ($this) {
            self::LaidOn => 'Thin, laid on behind',
            self::Rabbeted => 'Thin, in rabbets of the sides',
            self::Inset => 'As thick as the box, between its boards',
            self::None => 'None, nailers only',
        };
    }

    public function reason(): string
    {
        return match ($this) {
            self::LaidOn => 'Pulls the box square, and is planed off where a wall stands out.',
            self::Rabbeted => 'No edge of it shows at the side; needs a router or a table saw.',
            self::Inset => 'Screws to studs hold anywhere in it; heavy, and dear.',
            self::None => 'The wall is the back: light and cheap; the box must be braced by the wall.',
        };
    }

    /** @return list<Tool> of which one at least must be at hand */
    public function tools(): array
    {
        return $this === self::Rabbeted ? [Tool::Router, Tool::TableSaw] : [];
    }
}
