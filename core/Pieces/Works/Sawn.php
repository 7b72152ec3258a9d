<?php

declare(strict_types=1);

namespace Incastro\Pieces\Works;

use Incastro\Measure\LengthFormat;

/** An end sawn at an angle in the plane of the piece, square through its thickness. */
final readonly class Sawn implements SawSetting
{
    /** @param float $angle rad @param string $along what the cut follows: " to the rake" */
    public function __construct(private string $edge, public float $angle, private string $along)
    {
    }

    public function edge(): string
    {
        return $this->edge;
    }

    public function cut(): SawCut
    {
        return SawCut::Mitre;
    }

    public function degrees(): float
    {
        return rad2deg($this->angle);
    }

    public function words(LengthFormat $format): string
    {
        return sprintf('cut at %.1f°%s', rad2deg($this->angle), $this->along);
    }
}
