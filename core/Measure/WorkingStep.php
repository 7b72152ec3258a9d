<?php

declare(strict_types=1);

namespace Incastro\Measure;

/** One line of a working: what it is, the sign it stands with, and its value. */
final readonly class WorkingStep
{
    public function __construct(public string $label, public string $sign, public Length $value)
    {
    }
}
