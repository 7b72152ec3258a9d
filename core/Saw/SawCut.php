<?php

declare(strict_types=1);

namespace Incastro\Saw;

use Incastro\Cut\Axis;

/** A cut in its turn. Lengths in nm. */
final readonly class SawCut
{
    /**
     * @param  string  $blank  id of the part that it is cut off, as it was before anything was
     * @param  Part  $takes  the same as it is when it is taken
     * @param  Part  $frees  by whose id the cut is known
     * @param  ?Part  $leaves  null where the blade takes all that is left
     * @param  int  $at  from the edge that it is measured from
     */
    public function __construct(public string $blank, public Part $takes, public Part $frees, public ?Part $leaves, public Axis $axis, public bool $isFactoryEdge, public int $at, public int $kerf)
    {
    }
}
