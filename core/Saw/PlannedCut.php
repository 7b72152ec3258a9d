<?php

declare(strict_types=1);

namespace Incastro\Saw;

use Incastro\Cut\Axis;

/** A cut before its turn is known: it frees one part of a blank. Lengths in nm. */
final readonly class PlannedCut
{
    /**
     * @param  string  $frees  the part's id, which is the cut's own
     * @param  string  $takes  the blank's id
     * @param  int  $size  of what is freed, along the axis
     * @param  int  $line  how long the cut is
     * @param  ?Way  $way  null where no tool makes it
     * @param  list<int>  $needs  cuts that come before it
     * @param  int  $left  of the blank beyond it when all others are made
     */
    public function __construct(
        public int $sheet,
        public string $frees,
        public string $takes,
        public CutClass $class,
        public Axis $axis,
        public int $size,
        public int $line,
        public int $left,
        public ?Way $way,
        public array $needs,
        public float $kg,
        public int $kerf,
    ) {
    }

    /** What is set for it: cuts of one setting are made together. Straightening is set by eye along the edge, and counts as none, as does what the yard cuts. */
    public function setting(): ?string
    {
        return $this->way === null || in_array($this->class, [CutClass::Straighten, CutClass::Yard], true) ? null : $this->way->value.'|'.$this->size;
    }
}
