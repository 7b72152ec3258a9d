<?php

declare(strict_types=1);

namespace Incastro\Rules\Materials;

use Incastro\Measure\Length;

/** Bought by length in one section: lumber, slats, cladding. `cover` is how much of its width shows once it is fixed. */
final readonly class Board extends Material
{
    public function __construct(string $id, string $name, Length $thickness, float $density, public Length $width, public Length $cover)
    {
        parent::__construct($id, $name, $thickness, $density);
    }
}
