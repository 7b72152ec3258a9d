<?php

declare(strict_types=1);

namespace Incastro\Saw;

/** A table saw and what it can take. Lengths in nm, masses in kg. */
final readonly class TableSaw
{
    /**
     * @param  int  $rip  the greatest distance of fence and blade
     * @param  float  $pushAlone  the heaviest part that one person pushes over it
     * @param  int  $leastContact  of a part with the fence
     * @param  ?int  $sledWidest  the widest part on the sled, null without one
     * @param  int  $sledStop  how far its stop reaches
     * @param  int  $height  of cut
     * @param  bool  $hasOutfeed  whether something carries a part behind the blade
     * @param  int  $longestAlone  part that one person pushes where nothing does
     * @param  int  $correction  by which it is set more than the size, as its scale is off
     */
    public function __construct(
        public int $kerf,
        public int $rip,
        public float $pushAlone,
        public float $pushTwo,
        public int $leastContact,
        public ?int $sledWidest,
        public int $sledStop,
        public int $height,
        public bool $hasOutfeed,
        public int $longestAlone = 1_500_000_000,
        public int $correction = 0,
    ) {
    }
}
