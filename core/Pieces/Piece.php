<?php

declare(strict_types=1);

namespace Incastro\Pieces;

use Incastro\Geometry\Polygon;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\MaterialRole;

/**
 * One piece to cut: its blank with the working of both sizes, and its true outline in mm with x along the length and the
 * origin at a corner of the blank. `key` stays while its owner lives; `mark` is what is written on the wood.
 */
final readonly class Piece
{
    /**
     * @param  list<EdgeWork>  $edges
     * @param  list<string>  $joints
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
    ) {
    }

    /** What two pieces must share to be cut at one setting and exchanged for each other. */
    public function likeness(): string
    {
        return implode('|', [$this->name, $this->length->result->nanometres(), $this->width->result->nanometres(), $this->material->value]);
    }
}
