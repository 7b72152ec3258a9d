<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;

/** A strip whose both ends are mitred by 45°, so that four of them go round something. */
final class MitredStrip
{
    /**
     * @param  float  $long  to its long points, mm
     * @param  bool  $isLowShort  whether the edge at its width's beginning is the shorter one
     */
    public static function outline(float $long, float $wide, bool $isLowShort): Outline
    {
        [$low, $high] = $isLowShort ? [$wide, 0.0] : [0.0, $wide];

        return new Outline(new Polygon([new Point($low, 0.0), new Point($long - $low, 0.0), new Point($long - $high, $wide), new Point($high, $wide)]));
    }
}
