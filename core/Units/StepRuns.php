<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Measure\Length;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Parameters\Choosable;

/** What a step that is drawn out stands on. */
enum StepRuns: string implements Choosable
{
    case Glides = 'glides';
    case Sprung = 'sprung';

    public function label(): string
    {
        return match ($this) {
            self::Glides => 'Glides',
            self::Sprung => 'Sprung castors, which drop when it is stood on',
        };
    }

    /** How high they hold it over the floor. */
    public function height(HouseRules $rules): Length
    {
        return match ($this) {
            self::Glides => $rules->either(5, 3 / 16),
            self::Sprung => $rules->either(40, 1 + 5 / 8),
        };
    }
}
