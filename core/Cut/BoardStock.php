<?php

declare(strict_types=1);

namespace Incastro\Cut;

use Incastro\Measure\Length;
use Incastro\Rules\Materials\Lineal;

/** Boards or mouldings that can be bought, of one material and length: a null quantity is as many as needed. The price is of one, in the job's own money. */
final readonly class BoardStock
{
    public function __construct(public string $name, public ?int $quantity, public Length $length, public Lineal $material, public float $price)
    {
    }

    public function asManyAsNeeded(): self
    {
        return new self($this->name, null, $this->length, $this->material, $this->price);
    }
}
