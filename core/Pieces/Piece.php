<?php

declare(strict_types=1);

namespace Incastro\Pieces;

use Incastro\Geometry\Polygon;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\MaterialRole;

/**
 * One piece to cut: its blank with the working of both sizes, and its true outline in mm with x along the length and the
 * origin at a corner of the blank; holes lie inside it. `key` stays while its owner lives; `mark` is what is written on the wood.
 */
final readonly class Piece
{
    /**
     * @param  list<EdgeWork>  $edges
     * @param  list<string>  $joints
     * @param  list<Polygon>  $holes
     */
    public function __construct(
        public string $key,
        public string $mark,
        public string $name,
        public Working $length,
        public Working $width,
        public Length $thickness,
        public MaterialRole $material,
        public Grain $grain,
        public Polygon $outline,
        public array $edges = [],
        public array $joints = [],
        public array $holes = [],
    ) {
    }

    /** The same cut otherwise, and what was done to it. */
    public function cutTo(Polygon $outline, string $work): self
    {
        return new self(...['outline' => $outline, 'edges' => [...$this->edges, new EdgeWork('cut-out', $work)]] + get_object_vars($this));
    }

    /** The same with a hole in it. */
    public function holed(Polygon $hole, string $work): self
    {
        return new self(...['holes' => [...$this->holes, $hole], 'edges' => [...$this->edges, new EdgeWork('cut-out', $work)]] + get_object_vars($this));
    }

    /** Whether its outline is more than its blank's four straight edges, so that a template helps. */
    public function isShaped(): bool
    {
        return $this->holes !== [] || count($this->outline->points) !== 4
            || abs($this->outline->area() - $this->length->result->toDouble() * $this->width->result->toDouble()) > 0.5 * $this->length->result->toDouble();
    }

    /** What two pieces must share to be cut at one setting and exchanged for each other. */
    public function likeness(): string
    {
        return implode('|', [$this->name, $this->length->result->nanometres(), $this->width->result->nanometres(), $this->material->value, $this->isShaped() ? $this->key : '']);
    }
}
