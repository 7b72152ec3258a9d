<?php

declare(strict_types=1);

namespace Incastro\Fit\Closing;

use Incastro\Geometry\Point;
use Incastro\Survey\Network\Normal;

/**
 * The gap between an edge and the surface beside it, as a function of the station along the edge. Double mm; `sigma` is
 * that of one station's place, `lineSigma` that of one station against its neighbours, which is what a template hangs on;
 * `byRule` says that the stations were taken with a rule from a straightedge; `remains` is what may stay open after the line is
 * cut to from its stations, at 95 % of such edges.
 */
final readonly class Gap
{
    /** σ of a station that is known from tape widths alone, mm (handbook, "The scribe line"). */
    public const TAPE = 1.0;

    /** What a saw leaves of a line between plane walls, and what tape readings of them do, mm. */
    public const SAWN = 1.5;

    public const TAPED = 3.0;

    public float $least;

    public float $most;

    public float $remains;

    /** @param non-empty-list<Point> $stations x: station along the edge, y: gap there */
    public function __construct(public array $stations, public float $sigma, public float $lineSigma = self::TAPE, public bool $byRule = false, ?float $remains = null)
    {
        $this->remains = $remains ?? ($byRule ? self::SAWN : self::TAPED);
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
