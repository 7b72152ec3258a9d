<?php

declare(strict_types=1);

namespace Incastro\Rules\Parameters;

use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unreadable;
use Incastro\Rules\HouseRules;

/**
 * What one parameter of a unit means to a person: its label, what it takes, and what it is when nothing is chosen. Declared as
 * an attribute of a constructor's parameter. What was typed is *stored*, in a form that JSON holds; what is stored becomes the
 * *value* that the constructor takes.
 */
abstract readonly class Parameter
{
    public function __construct(public string $label, public string $help = '')
    {
    }

    /** What the screen shows it as. */
    abstract public function type(): string;

    /** Its value where nothing is chosen. */
    abstract public function usual(HouseRules $rules): mixed;

    /**
     * What is stored for what a person gave, or for what was stored already.
     *
     * @return array<mixed>|bool|int|string
     *
     * @throws Unreadable
     */
    abstract public function stored(mixed $given, LengthFormat $format): array|bool|int|string;

    /** The value of what is stored. */
    abstract public function value(mixed $stored): mixed;

    /**
     * A value as it is shown: what a row holds, and in words.
     *
     * @return array{value: mixed, text: string}
     */
    abstract public function shown(mixed $value, LengthFormat $format): array;

    /** @return array<string, mixed> bounds and choices */
    abstract public function bounds(LengthFormat $format): array;
}
