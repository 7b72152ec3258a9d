<?php

declare(strict_types=1);

namespace Incastro\Strength;

use Incastro\Rules\Parameters\Choosable;

/** What lies on a shelf, by its weight on a metre of it (handbook, "Strength, as guidance"). */
enum ShelfLoad: string implements Choosable
{
    case Linen = 'linen';
    case Toys = 'toys';
    case Kitchen = 'kitchen';
    case Books = 'books';
    case Folders = 'folders';

    public function label(): string
    {
        return match ($this) {
            self::Linen => 'Linen, clothes',
            self::Toys => 'Toys, shoes',
            self::Kitchen => 'Kitchen things',
            self::Books => 'Books',
            self::Folders => 'Folders, records',
        };
    }

    /** As a finding tells it. */
    public function words(): string
    {
        return sprintf('%s, %.0f kg on a metre', lcfirst($this->label()), $this->aMetre());
    }

    /** kg on a metre. */
    public function aMetre(): float
    {
        return match ($this) {
            self::Linen, self::Toys => 15.0,
            self::Kitchen => 30.0,
            self::Books => 35.0,
            self::Folders => 50.0,
        };
    }
}
