<?php

declare(strict_types=1);

namespace Incastro\Rules\Schools;

use Incastro\Rules\Tool;

/** How the boards of a box meet (handbook, "Schools"). */
enum BoxJoint: string implements School
{
    case Pocket = 'pocket';
    case Screws = 'screws';
    case Dado = 'dado';

    public static function question(): string
    {
        return 'Boxes are joined with';
    }

    public function label(): string
    {
        return match ($this) {
            self::Pocket => 'Pocket screws',
            self::Screws => 'Screws through the sides',
            self::Dado => 'Dadoes and glue',
        };
    }

    public function reason(): string
    {
        return match ($this) {
            self::Pocket => 'Quick, undone again, and hidden under and behind the boxes.',
            self::Screws => 'Needs no jig; the heads are hidden by the neighbour, or plugged.',
            self::Dado => 'Strong and square by itself; boards are longer by both its depths.',
        };
    }

    /** @return list<Tool> of which one at least must be at hand */
    public function tools(): array
    {
        return match ($this) {
            self::Pocket => [Tool::PocketJig],
            self::Screws => [],
            self::Dado => [Tool::Router, Tool::TableSaw],
        };
    }

    /** As it is told of a board that is held at both its ends. */
    public function words(): string
    {
        return match ($this) {
            self::Pocket => 'pocket screws into both sides',
            self::Screws => 'screwed through both sides',
            self::Dado => 'glued into dadoes of both sides',
        };
    }
}
