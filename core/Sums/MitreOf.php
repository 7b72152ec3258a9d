<?php

declare(strict_types=1);

namespace Incastro\Sums;

use Incastro\Rules\Parameters\Choosable;

/** What is mitred. */
enum MitreOf: string implements Choosable
{
    case Corner = 'corner';
    case Polygon = 'polygon';
    case Standing = 'standing';
    case Crown = 'crown';

    public function label(): string
    {
        return match ($this) {
            self::Corner => 'Two boards that meet',
            self::Polygon => 'A ring of equal sides',
            self::Standing => 'A skirting, standing',
            self::Crown => 'Crown moulding, lying flat',
        };
    }
}
