<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Rules\Parameters\Choosable;

/** On what a leaf hangs. */
enum HingeKind: string implements Choosable
{
    case Concealed = 'concealed';
    case Butt = 'butt';
    case Piano = 'piano';

    public function label(): string
    {
        return match ($this) {
            self::Concealed => 'Concealed hinges',
            self::Butt => 'Butt hinges',
            self::Piano => 'A piano hinge',
        };
    }

    /** As it is told of a leaf. */
    public function words(): string
    {
        return match ($this) {
            self::Concealed => 'on concealed hinges',
            self::Butt => 'on butt hinges let into its edge',
            self::Piano => 'on a piano hinge',
        };
    }
}
