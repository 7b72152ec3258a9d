<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Geometry\Point;
use Incastro\Survey\Network\Normal;

/**
 * The gap between an edge and the surface beside it, as a function of the station along the edge. Double mm; `sigma` is
 * that of one station.
 */
final readonly class Gap
{
    public float $least;

    public float $most;

    /** @param non-empty-list<Point> $stations x: station along the edge, y: gap there */
    public function __construct(public array $stations, public float $sigma)
    {
        $gaps = array_map(fn (Point $station) => $station->y, $stations);
        $this->least = min($gaps);
        $this->most = max($gaps);
    }

    /** U of one surface alone: 1.645 σ of the gap there (handbook, "Allowances"). */
    public function doubt(): float
    {
        return Normal::ONE_SIDED_95 * $this->sigma;
    }
}
