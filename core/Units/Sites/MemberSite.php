<?php

declare(strict_types=1);

namespace Incastro\Units\Sites;

use Incastro\Fit\Closing\FittedEdge;
use Incastro\Fit\Closing\Side;
use Incastro\Fit\FittedRun;
use Incastro\Fit\Members\FittedMember;
use Incastro\Fit\Terms;
use Incastro\Rules\Materials\Purpose;
use Incastro\Units\Make\Workshop;

/** Where a member stands, in its run's frame, and what makes its pieces. */
final readonly class MemberSite
{
    public Workshop $make;

    public function __construct(public FittedRun $run, public FittedMember $place, public Terms $terms)
    {
        $this->make = new Workshop($place->id, $place->mark, $terms->materials, $terms->format);
    }

    /** The same where what is made for a purpose is made of another material. */
    public function madeOf(Purpose $purpose, ?string $material): self
    {
        return new self($this->run, $this->place, $this->terms->making($purpose, $material));
    }

    /** An edge of it that is scribed; null where it is not. */
    public function scribed(Side $side): ?FittedEdge
    {
        $edge = $this->run->edge($side, $this->place->id);

        return $edge?->scribe === null ? null : $edge;
    }
}
