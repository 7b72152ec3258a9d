<?php

declare(strict_types=1);

namespace Incastro\Pieces\Works;

use Incastro\Measure\LengthFormat;

/** An edge sawn off square, by so much. */
final readonly class Bevelled implements SawSetting
{
    /**
     * @param  float  $angle  rad from square
     * @param  string  $how  what the blank is measured to, or what the bevel follows; nothing where both edges are alike
     * @param  list<Bevel>  $bevels  the edges, where the piece is longer on one face than on the other
     */
    public function __construct(private string $edge, public float $angle, private string $how = ', measured to the long point', public array $bevels = [])
    {
    }

    public function edge(): string
    {
        return $this->edge;
    }

    public function cut(): SawCut
    {
        return SawCut::Bevel;
    }

    public function degrees(): float
    {
        return rad2deg($this->angle);
    }

    public function words(LengthFormat $format): string
    {
        return sprintf('bevelled %.1f°%s', rad2deg($this->angle), $this->how);
    }
}
