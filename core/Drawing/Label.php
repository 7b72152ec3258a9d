<?php

declare(strict_types=1);

namespace Incastro\Drawing;

/**
 * A text at a point: `anchor` is start, middle or end; `turned` runs upwards. Where it has only so much room along its
 * line, in mm, a writer falls back to the short text, and then to none.
 */
final readonly class Label extends Shape
{
    public function __construct(
        public DrawnPoint $at,
        public string $text,
        Style $style,
        string $ref = '',
        public string $anchor = 'middle',
        public bool $turned = false,
        public ?float $room = null,
        public string $short = '',
    ) {
        parent::__construct($style, $ref);
    }

    public function moved(float $dx, float $dy): self
    {
        return new self($this->at->plus($dx, $dy), $this->text, $this->style, $this->ref, $this->anchor, $this->turned, $this->room, $this->short);
    }

    public function points(): array
    {
        return [$this->at];
    }
}
