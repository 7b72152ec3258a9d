<?php

declare(strict_types=1);

namespace Incastro\Fit;

/** An edge of a run against the house. */
enum Edge: string
{
    case Left = 'left';
    case Right = 'right';
    case Top = 'top';
    case Foot = 'foot';

    public function label(): string
    {
        return match ($this) {
            self::Left => 'Left stile to wall',
            self::Right => 'Right stile to wall',
            self::Top => 'Top to ceiling',
            self::Foot => 'Plinth to floor',
        };
    }

    /** Whether the person may choose how it is closed: the foot follows the floor in any case. */
    public function isChosen(): bool
    {
        return $this !== self::Foot;
    }
}
