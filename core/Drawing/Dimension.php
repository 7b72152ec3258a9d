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

    public function points(): array
    {
        return [$this->from, $this->to];
    }
}
