<?php

declare(strict_types=1);

namespace Incastro\Drawing;

/** A dimension line between two points with its text. */
final readonly class Dimension extends Shape
{
    public function __construct(public DrawnPoint $from, public DrawnPoint $to, public string $text, string $ref = '', Style $style = Style::Measure)
    {
        parent::__construct($style, $ref);
    }

    public function accept(ShapeVisitor $visitor): mixed
    {
        return $visitor->dimension($this);
    }

    public function moved(float $dx, float $dy): self
    {
        return new self($this->from->plus($dx, $dy), $this->to->plus($dx, $dy), $this->text, $this->ref, $this->style);
    }

    public function points(): array
    {
        return [$this->from, $this->to];
    }
}
