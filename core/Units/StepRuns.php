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

    /** How high they hold it over the floor: no more than castors give way when it is stood on, so that its rim then stands. */
    public function height(HouseRules $rules): Length
    {
        return $rules->either(5, 3 / 16);
    }

    /** How high what is inside over a castor begins over the floor; null where none are let in. */
    public function castor(HouseRules $rules): ?Length
    {
        return $this === self::Sprung ? $rules->either(40, 1 + 5 / 8) : null;
    }
}
