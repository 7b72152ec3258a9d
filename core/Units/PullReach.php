<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Geometry\Block;
use Incastro\Rules\WayOut;

/** The pull of a leaf that is open by a right angle: where it stands out beyond the hinges, in the run's frame, and how far it is from these; mm. */
final readonly class PullReach
{
    /** @param list<WayOut> $waysOut of a pull that meets something */
    public function __construct(public Block $block, private float $radius, private float $projection, public array $waysOut = [])
    {
    }

    /** How far the leaf opens before its pull meets something that stands so far into it, degrees: r cos φ − p sin φ = −(p − by). */
    public function opensTo(float $by): float
    {
        $reach = hypot($this->radius, $this->projection);

        return rad2deg(acos(max(-1.0, -($this->projection - $by) / $reach)) - atan2($this->projection, $this->radius));
    }
}
