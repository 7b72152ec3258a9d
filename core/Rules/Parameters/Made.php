<?php

declare(strict_types=1);

namespace Incastro\Rules\Parameters;

use Attribute;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unreadable;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Purpose;

/** A material of the job that this unit alone is made of, by its id; as usual, what serves its purpose. */
#[Attribute(Attribute::TARGET_PARAMETER)]
final readonly class Made extends Parameter
{
    public function __construct(string $label, public Purpose $purpose, string $help = '')
    {
        parent::__construct($label, $help);
    }

    public function type(): string
    {
        return 'material';
    }

    public function usual(HouseRules $rules): ?string
    {
        return null;
    }

    public function stored(mixed $given, LengthFormat $format): string
    {
        if (! is_string($given) || preg_match('/^[A-Za-z0-9-]{1,60}$/', $given) !== 1) {
            throw new Unreadable('It is one of the materials of the job, by its id.');
        }

        return $given;
    }

    public function value(mixed $stored): mixed
    {
        return $stored;
    }

    public function shown(mixed $value, LengthFormat $format): array
    {
        return ['value' => $value, 'text' => is_string($value) ? $value : ''];
    }

    public function bounds(LengthFormat $format): array
    {
        return ['purpose' => $this->purpose->value];
    }
}
