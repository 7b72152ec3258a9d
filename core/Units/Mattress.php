<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Measure\Length;
use Incastro\Rules\Parameters\Choosable;

/** Mattresses by their size, width × length; the tape corrects them: made sizes are off by up to 20 mm or 3/4 in. */
enum Mattress: string implements Choosable
{
    case Typed = 'typed';
    case Child700 = '700x1400';
    case Single800 = '800x2000';
    case Single900 = '900x2000';
    case Single1000 = '1000x2000';
    case Double1200 = '1200x2000';
    case Double1400 = '1400x2000';
    case Double1600 = '1600x2000';
    case Double1800 = '1800x2000';
    case Inch30 = '30x75in';
    case Inch38 = '38x75in';
    case Inch38Long = '38x80in';
    case Inch53 = '53x75in';
    case Inch60 = '60x80in';
    case Inch76 = '76x80in';

    public function label(): string
    {
        if ($this === self::Typed) {
            return 'As typed below';
        }
        [$wide, $long] = explode('x', str_replace('in', '', $this->value));

        return str_ends_with($this->value, 'in') ? "$wide × $long in" : "$wide × $long mm";
    }

    /** @return array{Length, Length}|null its width and its length; null where they are typed */
    public function size(): ?array
    {
        if ($this === self::Typed) {
            return null;
        }
        $isInch = str_ends_with($this->value, 'in');
        [$wide, $long] = array_map(fn (string $size) => Length::ofDouble((float) $size * ($isInch ? 25.4 : 1.0)), explode('x', str_replace('in', '', $this->value)));

        return [$wide, $long];
    }
}
