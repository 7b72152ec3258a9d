<?php

declare(strict_types=1);

namespace Incastro\Fit\Closing;

/** A side of a piece of furniture that may stand against the house. */
enum Side: string
{
    case Left = 'left';
    case Right = 'right';
    case Top = 'top';
    case Foot = 'foot';
    case Back = 'back';

    /** The key of this side of an owner: "left:UUID". */
    public function of(string $owner): string
    {
        return $this->value.':'.$owner;
    }

    /** The surface that it stands against. */
    public function surface(): string
    {
        return match ($this) {
            self::Left => 'the left wall',
            self::Right => 'the right wall',
            self::Top => 'the ceiling',
            self::Foot => 'the floor',
            self::Back => 'the wall behind',
        };
    }

    /** Whether the person may choose how it is closed: a foot follows the floor, a back its wall, in any case. */
    public function isChosen(): bool
    {
        return $this === self::Left || $this === self::Right || $this === self::Top;
    }
}
