<?php

declare(strict_types=1);

namespace Incastro\Units\Sites;

use Incastro\Fit\Box;
use Incastro\Fit\FittedRun;
use Incastro\Fit\Terms;
use Incastro\Units\Make\Workshop;

/** The place of a whole box in its run, and what makes the pieces that belong to it. `option` is the id of what stands there instead. */
final readonly class BoxSite
{
    public Workshop $make;

    public function __construct(public FittedRun $run, public Box $box, public Terms $terms, public string $option)
    {
        $this->make = new Workshop($box->id, $box->mark, $terms->materials, $terms->format);
    }

    /** The box that stands right beside it at its right, as high and with its face in one plane; null where none does. */
    public function next(): ?Box
    {
        foreach ($this->run->boxes as $other) {
            if (abs($other->u - $this->box->right()) < 3.0 && abs($other->z - $this->box->z) < 1.0 && abs($other->face() - $this->box->face()) < 1.0) {
                return $other;
            }
        }

        return null;
    }
}
