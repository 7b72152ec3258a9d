<?php

declare(strict_types=1);

namespace Incastro\Survey\Things;

/** Whether a post carries the house, as somebody found who knows. */
enum Bears: string
{
    case Bears = 'bears';
    case DoesNot = 'does-not';

    public function label(): string
    {
        return match ($this) {
            self::Bears => 'Carries the house',
            self::DoesNot => 'Carries nothing',
        };
    }
}
