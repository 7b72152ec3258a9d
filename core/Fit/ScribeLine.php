<?php

declare(strict_types=1);

namespace Incastro\Fit;

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
    /** A straight line this near to every station is cut as a taper, mm. */
    private const TAPER = 0.8;

    private function __construct(public Gap $gap, public Working $overhang, public bool $isTaper)
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

        return new self($gap, $overhang, max($misfits) <= self::TAPER);
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

    /** Depth to cut at a station of the gap: o − g. */
    public function cutAt(Point $station): Length
    {
        return $this->blank()->minus(Length::ofDouble($station->y));
    }
}
