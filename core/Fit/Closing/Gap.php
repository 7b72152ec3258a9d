<?php

declare(strict_types=1);

namespace Incastro\Fit\Closing;

use Incastro\Geometry\Point;
use Incastro\Survey\Network\Normal;

/**
 * The gap between an edge and the surface beside it, as a function of the station along the edge. Double mm; `sigma` is
 * that of one station's place, `lineSigma` that of one station against its neighbours, which is what a template hangs on;
 * `byRule` says that the stations were taken with a rule from a straightedge, and `strays` by how much the surface as all
 * readings together have it lies off them, at most.
 */
final readonly class Gap
{
    /** σ of a station that is known from tape widths alone, mm (handbook, "The scribe line"). */
    public const TAPE = 1.0;

    public float $least;

    public float $most;

    /** @param non-empty-list<Point> $stations x: station along the edge, y: gap there */
    public function __construct(public array $stations, public float $sigma, public float $lineSigma = self::TAPE, public bool $byRule = false, public float $strays = 0.0)
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
