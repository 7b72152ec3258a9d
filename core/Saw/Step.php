<?php

declare(strict_types=1);

namespace Incastro\Saw;

/** Cuts that are made with one setting, one after another. */
final readonly class Step
{
    /**
     * @param  ?int  $size  that is set, nm; null where each line is marked
     * @param  ?int  $guideAt  where the guide's edge lies, nm
     * @param  non-empty-list<SawCut>  $cuts
     * @param  int  $clampings  of a guide
     * @param  int  $setOff  how far from the size its saw is set, nm
     */
    public function __construct(public CutClass $class, public Way $way, public ?int $size, public ?int $guideAt, public array $cuts, public int $clampings, public int $setOff = 0)
    {
    }
}
