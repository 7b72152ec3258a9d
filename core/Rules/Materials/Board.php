<?php

declare(strict_types=1);

namespace Incastro\Rules\Materials;

use Incastro\Measure\Length;

/** Lumber, slats, cladding: may be ripped narrower. `cover` is how much of its width shows once it is fixed. */
final readonly class Board extends Lineal
{
    public function __construct(string $id, string $name, Length $thickness, float $density, Length $width, public Length $cover, ?Wood $wood = null)
    {
        parent::__construct($id, $name, $thickness, $density, $width, $wood);
    }
}
