<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Bench;

use Incastro\Fit\Closing\Side;
use Incastro\Fit\Ends;
use Incastro\Units\Sites\MemberSite;

/**
 * The corner at an end of a bench that stops at another: its back goes on over the seat of that, up to the back there, which leans as
 * much and stands as deep.
 */
final readonly class RoundCorner
{
    /** Between both backs, mm and inches. */
    private const PLAY = [1.0, 1 / 32];

    private float $play;

    /** How far apart two lines are along the wall that are 1 apart. */
    private float $stretch;

    /**
     * @param  float  $way  into the run: 1 at its left, −1 at its right
     * @param  float  $at  where the back of the other bench meets this wall, u in mm
     * @param  float  $slope  how much farther along it lies for each mm out from this wall
     */
    private function __construct(MemberSite $site, private float $way, private float $at, private float $slope)
    {
        $this->play = $site->terms->rules->either(...self::PLAY)->toDouble();
        $this->stretch = sqrt(1.0 + $slope ** 2);
    }

    /** Null where no other run is stopped at. */
    public static function of(MemberSite $site, Ends $ends, Side $side): ?self
    {
        $line = $ends->behind($side->value);

        return $line === null ? null : new self($site, $side === Side::Left ? 1.0 : -1.0, ...$line);
    }

    /** Clear of what stands so deep on the other bench, from v to v before this wall: u, mm. */
    public function clear(float $deep, float $from, float $to): float
    {
        $over = $this->way * ($deep * $this->stretch + $this->play);
        $at = fn (float $v): float => $this->at + $this->slope * $v + $over;

        return $this->way > 0.0 ? max($at($from), $at($to)) : min($at($from), $at($to));
    }

    /**
     * How the end of a panel is cut that leans like the one it meets, in the panel's own plane.
     *
     * @param  float  $angle  from plumb, rad
     * @param  float  $deep  from the back of each bench to the face of its panel, at the seat, mm
     * @param  float  $face  of this panel at the seat, from the wall, mm
     */
    public function cut(float $angle, float $thick, float $deep, float $face): CornerCut
    {
        // The face of the other, as far up along this panel as its own: both lean back by sin α for each mm.
        $foot = $this->at + $this->slope * $face + $this->way * ($deep * $this->stretch + $this->play);
        $along = -sin($angle) * ($this->slope + $this->way * $this->stretch);
        // Behind the face by its thickness both lie lower and further back.
        $behind = $thick * ($this->way * $this->stretch * sin($angle) * tan($angle) - $this->slope * cos($angle));

        return new CornerCut($foot, $along, $behind, $thick, $this->way);
    }
}
