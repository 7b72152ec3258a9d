<?php

declare(strict_types=1);

namespace Incastro\Rules;

use Incastro\Measure\Length;

/** A sheet material as bought: its thickness is the calliper's, not the name's. Density in kg/m³. */
final readonly class Material
{
    public function __construct(
        public MaterialRole $role,
        public string $name,
        public Length $thickness,
        public float $density,
    ) {
    }
}
