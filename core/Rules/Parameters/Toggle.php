<?php

declare(strict_types=1);

namespace Incastro\Rules\Parameters;

use Attribute;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unreadable;
use Incastro\Rules\HouseRules;

/** Yes or no. */
#[Attribute(Attribute::TARGET_PARAMETER)]
final readonly class Toggle extends Parameter
{
    public function __construct(string $label, public bool $usual, string $help = '')
    {
        parent::__construct($label, $help);
    }

    public function type(): string
    {
        return 'toggle';
    }

    public function usual(HouseRules $rules): bool
    {
        return $this->usual;
    }

    public function stored(mixed $given, LengthFormat $format): bool
    {
        return is_bool($given) ? $given : throw new Unreadable(sprintf('“%s” is not yes or no.', is_scalar($given) ? (string) $given : 'that'));
    }

    public function value(mixed $stored): mixed
    {
        return $stored;
    }

    public function shown(mixed $value, LengthFormat $format): array
    {
        return ['value' => $value, 'text' => $value === true ? 'yes' : 'no'];
    }

    public function bounds(LengthFormat $format): array
    {
        return [];
    }
}
