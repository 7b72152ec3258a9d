<?php

declare(strict_types=1);

namespace Incastro\Rules\Parameters;

use Attribute;

/** A parameter that means something only where another of its unit has this value. */
#[Attribute(Attribute::TARGET_PARAMETER)]
final readonly class When
{
    public function __construct(public string $name, public Choosable|bool|int $is)
    {
    }

    public function stored(): bool|int|string
    {
        return $this->is instanceof Choosable ? $this->is->value : $this->is;
    }
}
