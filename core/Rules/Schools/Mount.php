<?php

declare(strict_types=1);

namespace Incastro\Rules\Schools;

/** How a leaf closes its opening: inside its edges, lapping over them, or inside with a lip that laps. */
enum Mount: string implements School
{
    case Inset = 'inset';
    case Overlay = 'overlay';
    case Lipped = 'lipped';

    public static function question(): string
    {
        return 'Doors';
    }

    public function label(): string
    {
        return match ($this) {
            self::Inset => 'Inside the opening',
            self::Overlay => 'Over the front edges',
            self::Lipped => 'Inside, with a lip all round',
        };
    }

    public function reason(): string
    {
        return match ($this) {
            self::Inset => 'Looks built-in; every error shows in the reveals.',
            self::Overlay => 'Forgives a box that is not quite square.',
            self::Lipped => 'A rabbet behind its edges hides the gap all round; drawers then close inside.',
        };
    }
}
