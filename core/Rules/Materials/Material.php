<?php

declare(strict_types=1);

namespace Incastro\Rules\Materials;

use Incastro\Measure\Length;

/**
 * Something that pieces are cut from, as bought: its thickness is the calliper's, not the name's. Density in kg/m³; what it is
 * made of tells what it bears, null where nobody said.
 */
abstract readonly class Material
{
    public function __construct(public string $id, public string $name, public Length $thickness, public float $density, public ?Wood $wood = null)
    {
    }
}
