<?php

declare(strict_types=1);

namespace Incastro\Fit\Closing;

use Incastro\Geometry\Point;
use Incastro\Geometry\Polyline;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Working;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Rule;

/**
 * The line along which an edge is cut to follow the surface beside it (handbook, "The scribe line").
 *
 * With overhang o over the reference edge and gap g(s) at station s, the finished overhang is g(s) and the depth to cut
 * there o − g(s); the compass is set to o − g_min.
 */
final readonly class ScribeLine
{
    /** A straight line this near to every station is cut as a taper: mm, or as a multiple of a station's σ. */
    private const TAPER = 0.8;

    private const TAPER_SIGMAS = 2.5;

    /** @param array{float, float} $taper the straight line through the stations: at the first, and its slope */
    private function __construct(public Gap $gap, public Working $overhang, public bool $isTaper, private array $taper)
    {
    }

    public static function along(Gap $gap, HouseRules $rules, LengthFormat $format): self
    {
        $overhang = Working::start('largest gap', Length::ofDouble($gap->most))
            ->plus('scribe reserve', $rules->get(Rule::ScribeReserve))
            ->plus('doubt of the gap, 95 %', Length::ofDouble($gap->doubt()))
            ->roundedUp($format);
        [$a, $b] = Polyline::bestLine($gap->stations);
        $misfits = array_map(fn (Point $station) => abs($station->y - $a - $b * $station->x), $gap->stations);

        return new self($gap, $overhang, max($misfits) <= max(self::TAPER, self::TAPER_SIGMAS * $gap->lineSigma), [$a, $b]);
    }

    /**
     * The finished line: the gap to be filled at each station, straight where a taper is cut.
     *
     * @return non-empty-list<Point>
     */
    public function line(): array
    {
        return $this->isTaper
            ? array_map(fn (Point $station) => new Point($station->x, $this->taper[0] + $this->taper[1] * $station->x), $this->gap->stations)
            : $this->gap->stations;
    }

    /** o: what the blank stands over the reference edge. */
    public function blank(): Length
    {
        return $this->overhang->result;
    }

    /** The compass setting, and the deepest cut: o − g_min. */
    public function setting(): Length
    {
        return $this->blank()->minus(Length::ofDouble($this->gap->least));
    }

    /** The shallowest cut: o − g_max. */
    public function shallowest(): Length
    {
        return $this->blank()->minus(Length::ofDouble($this->gap->most));
    }

    /** What may remain open after the line is cut to from its stations, mm. */
    public function mayRemain(): float
    {
        return $this->gap->remains;
    }

    /** Depth to cut at a station of the gap: o − g. */
    public function cutAt(Point $station): Length
    {
        return $this->blank()->minus(Length::ofDouble($station->y));
    }
}
