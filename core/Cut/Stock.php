<?php

declare(strict_types=1);

namespace Incastro\Cut;

use Incastro\Measure\Length;

/**
 * Sheets that can be bought: a null quantity is as many as needed. The price is in the job's own money. What is sawn, such as an offcut,
 * is not trimmed again.
 */
final readonly class Stock
{
    public function __construct(
        public string $name,
        public ?int $quantity,
        public Length $length,
        public Length $width,
        public Length $thickness,
        public string $material,
        public float $price,
        public bool $isSawn = false,
    ) {
    }

    /** The same at another price. */
    public function at(float $price): self
    {
        return new self($this->name, $this->quantity, $this->length, $this->width, $this->thickness, $this->material, $price, $this->isSawn);
    }

    /** The same with one taken. */
    public function less(): self
    {
        return $this->quantity === null ? $this : new self($this->name, max(0, $this->quantity - 1), $this->length, $this->width, $this->thickness, $this->material, $this->price, $this->isSawn);
    }

    public function asManyAsNeeded(): self
    {
        return new self($this->name, null, $this->length, $this->width, $this->thickness, $this->material, $this->price, $this->isSawn);
    }

    /** Thickness within 0.5 mm counts as the same board. */
    public function suits(CutPiece $piece): bool
    {
        return $this->material === $piece->material
            && abs($this->thickness->nanometres() - $piece->thickness->nanometres()) <= 500_000;
    }
}
