<?php

declare(strict_types=1);

namespace Incastro\Rules;

/** A change that was planned with and removes the finding it stands beside: of the space, or of the whole job's rules. */
final readonly class WayOut
{
    public function __construct(public string $label, public Edit $edit, public bool $isOfJob = false)
    {
    }

    public static function ofJob(string $label, Edit $edit): self
    {
        return new self($label, $edit, true);
    }
}
