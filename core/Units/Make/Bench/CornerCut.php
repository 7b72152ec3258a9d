<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Bench;

use Incastro\Geometry\Point;
use Incastro\Pieces\Works\Bevel;

/** The end of a leaning panel that meets another in a corner: off square in its plane, and bevelled. */
final readonly class CornerCut
{
    /**
     * @param  float  $foot  u of its longest arris at the foot of the front face, mm
     * @param  float  $along  how far its end moves in u for each mm up along the panel
     * @param  float  $behind  how far the arris of the rear face lies from that of the front one, in u, mm
     * @param  float  $way  into the panel: 1 at its left end, −1 at its right
     */
    public function __construct(private float $foot, private float $along, private float $behind, private float $thick, private float $way)
    {
    }

    public function isLeft(): bool
    {
        return $this->way > 0.0;
    }

    /** Off square, rad. */
    public function angle(): float
    {
        return atan(abs($this->along));
    }

    /** How much is sawn off the shorter face for each mm of thickness. */
    private function slope(): float
    {
        return abs($this->behind) / $this->thick * cos($this->angle());
    }

    public function bevelled(): float
    {
        return atan($this->slope());
    }

    /** Of the longer face, so far up along the panel: u, mm. */
    public function at(float $up): float
    {
        return $this->foot + $this->along * $up + ($this->isLongestInFront() ? 0.0 : $this->behind);
    }

    private function isLongestInFront(): bool
    {
        return $this->way * $this->behind >= 0.0;
    }

    /**
     * In the panel's own x and y, whose origin lies on its rear face.
     *
     * @param  float  $u  of its origin
     * @param  float  $wide  of the panel, mm
     */
    public function bevel(float $u, float $wide): Bevel
    {
        return new Bevel([new Point($this->at(0.0) - $u, 0.0), new Point($this->at($wide) - $u, $wide)], $this->slope(), ! $this->isLongestInFront());
    }
}
