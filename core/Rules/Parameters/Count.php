<?php

declare(strict_types=1);

namespace Incastro\Rules\Parameters;

use Attribute;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unreadable;
use Incastro\Rules\HouseRules;

/** How many: a whole number. */
#[Attribute(Attribute::TARGET_PARAMETER)]
final readonly class Count extends Parameter
{
    public function __construct(string $label, public int $usual, public int $least, public int $most, string $help = '')
    {
        parent::__construct($label, $help);
    }

    public function type(): string
    {
        return 'count';
    }

    public function usual(HouseRules $rules): int
    {
        return $this->usual;
    }

    public function stored(mixed $given, LengthFormat $format): int
    {
        $number = is_int($given) || is_string($given) ? filter_var($given, FILTER_VALIDATE_INT) : false;
        if ($number === false || $number < $this->least || $number > $this->most) {
            throw new Unreadable(sprintf('“%s” is not a whole number from %d to %d.', is_scalar($given) ? (string) $given : 'that', $this->least, $this->most));
        }

        return $number;
    }

    public function value(mixed $stored): mixed
    {
        return $stored;
    }

    public function shown(mixed $value, LengthFormat $format): array
    {
        return ['value' => $value, 'text' => is_int($value) ? (string) $value : ''];
    }

    public function bounds(LengthFormat $format): array
    {
        return ['least' => $this->least, 'most' => $this->most];
    }
}
