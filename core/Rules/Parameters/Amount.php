<?php

declare(strict_types=1);

namespace Incastro\Rules\Parameters;

use Attribute;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unreadable;
use Incastro\Rules\HouseRules;

/** A number with decimals and a unit of its own: degrees, square metres, kilograms. Stored as it was typed. */
#[Attribute(Attribute::TARGET_PARAMETER)]
final readonly class Amount extends Parameter
{
    public function __construct(string $label, public float $usual, public float $least, public float $most, public string $unit, string $help = '')
    {
        parent::__construct($label, $help);
    }

    public function type(): string
    {
        return 'amount';
    }

    public function usual(HouseRules $rules): float
    {
        return $this->usual;
    }

    public function stored(mixed $given, LengthFormat $format): string
    {
        $typed = is_scalar($given) ? trim(str_replace([$this->unit, ','], ['', '.'], (string) $given)) : '';
        $number = filter_var($typed, FILTER_VALIDATE_FLOAT);
        if ($number === false || $number < $this->least || $number > $this->most) {
            throw new Unreadable(sprintf('“%s” is not a number from %s to %s%s.', is_scalar($given) ? (string) $given : 'that', (string) $this->least, (string) $this->most, $this->unit === '°' ? '°' : " $this->unit"));
        }

        return (string) $number;
    }

    public function value(mixed $stored): float
    {
        return is_numeric($stored) ? (float) $stored : $this->usual;
    }

    public function shown(mixed $value, LengthFormat $format): array
    {
        $text = is_float($value) ? (string) round($value, 4) : '';

        return ['value' => $value, 'text' => $text];
    }

    public function bounds(LengthFormat $format): array
    {
        return ['least' => $this->least, 'most' => $this->most, 'unit' => $this->unit];
    }
}
