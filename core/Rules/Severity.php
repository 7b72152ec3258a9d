<?php

declare(strict_types=1);

namespace Incastro\Rules;

/** How much a finding weighs. A clash cannot be built or does not fit. */
enum Severity: string
{
    case Clash = 'clash';
    case Warning = 'warning';
    case Note = 'note';
}
