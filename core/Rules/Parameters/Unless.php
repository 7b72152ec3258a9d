<?php

declare(strict_types=1);

namespace Incastro\Rules\Parameters;

use Attribute;

/** A parameter that means nothing where another of its unit has this value. */
#[Attribute(Attribute::TARGET_PARAMETER)]
final readonly class Unless
{
    public function __construct(public string $name, public Choosable|bool|int $is)
    {
    }

    public function stored(): bool|int|string
    {
        return $this->is instanceof Choosable ? $this->is->value : $this->is;
    }
}
