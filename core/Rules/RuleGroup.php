<?php

declare(strict_types=1);

namespace Incastro\Rules;

/** What a house rule stands under among the others. */
enum RuleGroup: string
{
    case GoingIn = 'going-in';
    case Closing = 'closing';
    case Boxes = 'box';
    case Shelves = 'shelf';
    case Plinths = 'foot';
    case Doors = 'door';
    case Drawers = 'drawer';
    case Pipes = 'pipe';
    case People = 'people';
    case Saw = 'saw';

    public function label(): string
    {
        return match ($this) {
            self::GoingIn => 'Going into the space',
            self::Closing => 'Closing gaps',
            self::Boxes => 'Boxes',
            self::Shelves => 'Shelves and rails',
            self::Plinths => 'Plinths and worktops',
            self::Doors => 'Doors',
            self::Drawers => 'Drawers',
            self::Pipes => 'Round pipes and sockets',
            self::People => 'Room for people',
            self::Saw => 'At the saw',
        };
    }
}
