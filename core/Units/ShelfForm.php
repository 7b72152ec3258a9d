<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** What a shelf is made of. */
enum ShelfForm: string implements Choosable
{
    case Plain = 'plain';
    case Slatted = 'slatted';

    public function label(): string
    {
        return match ($this) {
            self::Plain => 'One board',
            self::Slatted => 'Slats with gaps, for air',
        };
    }
}
