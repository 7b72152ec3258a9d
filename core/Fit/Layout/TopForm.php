<?php

declare(strict_types=1);

namespace Incastro\Fit\Layout;

/** How a bay meets a sloped ceiling. Under a flat one they are all the same. */
enum TopForm: string
{
    case Sloped = 'sloped';
    case Stepped = 'stepped';
    case Below = 'below';

    public function label(): string
    {
        return match ($this) {
            self::Sloped => 'follows the slope',
            self::Stepped => 'stepped: square, as large as its own place',
            self::Below => 'stopped below the lowest place of the run',
        };
    }
}
