<?php

declare(strict_types=1);

namespace Incastro\Rules\Schools;

/** What drawers run on. */
enum DrawerRun: string implements School
{
    case Side = 'side';
    case Under = 'under';
    case Tray = 'tray';
    case Runner = 'runner';
    case Castor = 'castor';

    public static function question(): string
    {
        return 'Drawers run on';
    }

    public function label(): string
    {
        return match ($this) {
            self::Side => 'Slides at their sides',
            self::Under => 'Slides under them, out of sight',
            self::Tray => 'Strips of wood, as shallow trays',
            self::Runner => 'Runners of wood and wax',
            self::Castor => 'Castors, on the floor',
        };
    }

    public function reason(): string
    {
        return match ($this) {
            self::Side => 'Cheap and strong; take half an inch at each side and are seen.',
            self::Under => 'Unseen, and close softly; dearer, and the box must be exact.',
            self::Runner => 'Nothing to buy, and as wide as can be; wood wears and is waxed again.',
            self::Castor => 'Large and heavy ones in a box without a bottom; they roll on the floor.',
            self::Tray => 'For maps and paper: hardly any height is lost; pulled by hand, without a stop.',
        };
    }
}
