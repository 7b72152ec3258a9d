<?php

declare(strict_types=1);

namespace Incastro\Pieces\Works;

/** A cut for which the saw is set off square: by its blade (a bevel), or by its fence (a mitre). */
interface SawSetting extends Work
{
    public function cut(): SawCut;

    /** Degrees off square, as the saw reads them; less than 0.3 is square. */
    public function degrees(): float;
}
