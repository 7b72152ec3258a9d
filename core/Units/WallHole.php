<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;
use Incastro\Survey\Things\ThingKind;

/** What a wall that stands before another is opened for. */
enum WallHole: string implements Choosable
{
    case None = 'none';
    case Niche = 'niche';
    case Fire = 'fire';
    case Window = 'window';
    case Passage = 'passage';

    public function label(): string
    {
        return match ($this) {
            self::None => 'Nothing',
            self::Niche => 'A niche',
            self::Fire => 'An electric fire',
            self::Window => 'A window behind it',
            self::Passage => 'A door behind it',
        };
    }

    /** What it is opened for where that is there already, and is measured with the room. */
    public function thing(): ?ThingKind
    {
        return match ($this) {
            self::Window => ThingKind::Window,
            self::Passage => ThingKind::Door,
            default => null,
        };
    }
}
