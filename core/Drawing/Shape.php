<?php

declare(strict_types=1);

namespace Incastro\Drawing;

/** Something drawn, with a reference to what it shows. */
abstract readonly class Shape
{
    public function __construct(public Style $style, public string $ref)
    {
    }

    /**
     * All its points.
     *
     * @return list<DrawnPoint>
     */
    abstract public function points(): array;

    abstract public function moved(float $dx, float $dy): self;
}
