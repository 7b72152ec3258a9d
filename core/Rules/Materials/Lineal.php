<?php

declare(strict_types=1);

namespace Incastro\Rules\Materials;

use Incastro\Measure\Length;

/** Bought by length in one section. */
abstract readonly class Lineal extends Material
{
    public function __construct(string $id, string $name, Length $thickness, float $density, public Length $width, ?Wood $wood = null)
    {
        parent::__construct($id, $name, $thickness, $density, $wood);
    }
}
