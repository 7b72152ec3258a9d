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

    /**
     * @template T
     *
     * @param  ShapeVisitor<T>  $visitor
     * @return T
     */
    abstract public function accept(ShapeVisitor $visitor): mixed;

    abstract public function moved(float $dx, float $dy): self;
}
