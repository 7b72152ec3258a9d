<?php

declare(strict_types=1);

namespace Incastro\Sums;

use Incastro\Rules\Parameters\Choosable;

/** How the bottom of a drawer is held. */
enum BottomIn: string implements Choosable
{
    case Groove = 'groove';
    case Under = 'under';

    public function label(): string
    {
        return match ($this) {
            self::Groove => 'In a groove',
            self::Under => 'Laid on below',
        };
    }
}
