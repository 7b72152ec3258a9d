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

    /**
     * The text that fits into its room: the whole, the short one, or none.
     *
     * @param  float|callable(string): float  $width  of a letter, or of a text; mm in the drawing
     */
    public function fitting(float|callable $width): string
    {
        $wide = is_callable($width) ? $width : fn (string $text): float => mb_strlen($text) * $width;
        $fits = fn (string $text): bool => $this->room === null || $wide($text) <= $this->room;

        return $fits($this->text) ? $this->text : ($fits($this->short) ? $this->short : '');
    }

    public function accept(ShapeVisitor $visitor): mixed
    {
        return $visitor->label($this);
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
