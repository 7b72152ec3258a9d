<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Measure\Length;

/**
 * What a person chose for the one box run of an alcove. Null lengths are "as large as goes in"; a null closing is
 * chosen by the table.
 */
final readonly class Layout
{
    /** @param array<string, Closing> $closings by edge, where the person chose one */
    public function __construct(
        public string $boxId,
        public ?Length $width,
        public ?Length $height,
        public ?Length $depth,
        public int $fixedShelves,
        public int $adjustableShelves,
        public array $closings,
    ) {
    }

    public function closing(Edge $edge): ?Closing
    {
        return $this->closings[$edge->value] ?? null;
    }

    /** The same with one chosen size given back to the computation: "layout.width", "layout.height" or "layout.depth". */
    public function without(string $path): self
    {
        return new self(
            $this->boxId,
            $path === 'layout.width' ? null : $this->width,
            $path === 'layout.height' ? null : $this->height,
            $path === 'layout.depth' ? null : $this->depth,
            $this->fixedShelves,
            $this->adjustableShelves,
            $this->closings,
        );
    }
}
