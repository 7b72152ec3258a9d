<?php

declare(strict_types=1);

namespace Incastro\Saw;

/** A mitre saw at 90°. Lengths in nm. */
final readonly class MitreSaw
{
    /**
     * @param  int  $widest  part that it cuts through
     * @param  int  $height  of cut
     * @param  int  $stop  how far its stop reaches
     * @param  int  $leastHeld  the shortest part that can be held
     * @param  int  $correction  by which its stop is set more than the size, as its scale is off
     */
    public function __construct(public int $kerf, public int $widest, public int $height, public int $stop, public int $leastHeld, public int $correction = 0)
    {
    }
}
