<?php

declare(strict_types=1);

namespace Incastro\Saw;

/** A saw that runs along a guide. Lengths in nm. */
final readonly class GuidedSaw
{
    /**
     * @param  non-empty-list<int>  $guides  lengths, which may be joined
     * @param  int  $runOn  of the guide before and behind a cut, together
     * @param  int  $offset  from the guide's edge to the near side of the kerf, the guide on the piece
     * @param  int  $offsetWaste  the same with the guide on the waste
     * @param  int  $depth  of cut
     */
    public function __construct(public int $kerf, public array $guides, public int $runOn, public int $offset, public int $offsetWaste, public int $depth)
    {
    }

    /** The longest cut. */
    public function reach(): int
    {
        return array_sum($this->guides) - $this->runOn;
    }
}
