<?php

declare(strict_types=1);

namespace Incastro\Rules;

/** A change that was planned with and removes the finding it stands beside. */
final readonly class WayOut
{
    public function __construct(public string $label, public Edit $edit)
    {
    }
}
