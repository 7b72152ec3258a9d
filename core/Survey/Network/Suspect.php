<?php

declare(strict_types=1);

namespace Incastro\Survey\Network;

/** A reading that the others prove wrong: how much too large it is, with σ, and the slip that would explain it. */
final readonly class Suspect
{
    public function __construct(public string $id, public float $error, public float $sigma, public ?string $slip)
    {
    }
}
