<?php

declare(strict_types=1);

namespace Incastro\Rules\Parameters;

/** An enumeration out of which a person chooses: each case says what it is called. */
interface Choosable extends \BackedEnum
{
    public function label(): string;
}
