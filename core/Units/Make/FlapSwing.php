<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Geometry\Block;
use Incastro\Geometry\Convex;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Solid;
use Incastro\Geometry\Vector;
use Incastro\Geometry\Way;
use Incastro\Rules\WayOut;
use Incastro\Units\Motion;
use Incastro\Units\Movement;
use Incastro\Units\Sites\OpeningSite;

/** What a leaf sweeps that turns about a level line at its upper or its lower edge, from upright to level. */
final readonly class FlapSwing
{
    /** A leaf that is lifted up stands so far over its hinge line, mm. */
    private const OVER = 1.5;

    /** It goes round by steps of 15°. */
    private const STEPS = 6;

    /** @param list<WayOut> $waysOut */
    public function __construct(private OpeningSite $site, private string $name, private array $waysOut = [])
    {
    }

    /**
     * About the upper edge of a leaf: it opens up and outwards.
     *
     * @param  non-empty-list<string>  $moving
     * @param  float  $x  where it begins, mm
     * @param  float  $z  of the hinge line
     */
    public function up(array $moving, float $x, float $z, float $wide, float $high, float $thick): Movement
    {
        return $this->movement($moving, Way::Down, $x, $z, $wide, $high, $thick);
    }

    /**
     * About the lower edge of a leaf: it opens down and outwards.
     *
     * @param  non-empty-list<string>  $moving
     */
    public function down(array $moving, float $x, float $z, float $wide, float $high, float $thick): Movement
    {
        return $this->movement($moving, Way::Up, $x, $z, $wide, $high, $thick);
    }

    /** @param non-empty-list<string> $moving */
    private function movement(array $moving, Way $closed, float $x, float $z, float $wide, float $high, float $thick): Movement
    {
        $pivot = $this->site->at($x, $this->site->face(), $z);
        $sign = $closed === Way::Up ? 1.0 : -1.0;
        $reach = hypot($high, $thick);
        // A little too large between two steps, exact closed and open: there it reaches no farther than the leaf.
        $at = function (int $step) use ($pivot, $sign, $high, $reach): Point {
            $turned = M_PI / 2 * $step / self::STEPS;
            $radius = match ($step) {
                0, self::STEPS => $high,
                default => $reach / cos(M_PI / 4 / self::STEPS),
            };

            return new Point($pivot->y + $radius * sin($turned), $pivot->z + $sign * $radius * cos($turned));
        };
        $swept = [];
        for ($i = 1; $i <= self::STEPS; $i++) {
            $corners = [new Point($pivot->y, $pivot->z), $at($i - 1), $at($i)];
            $swept[] = new Solid([Convex::plate($sign > 0.0 ? array_reverse($corners) : $corners, $wide, new Pose(new Vector($pivot->x, 0.0, 0.0), Way::Out->vector(), Way::Up->vector(), Way::Right->vector()))]);
        }
        // Open it lies level with its thickness under the hinge line: of what drops down it lay before it; concealed hinges bring one that lifts up to just over it.
        $beyond = [$pivot->z - $thick, $pivot->z + ($sign > 0.0 ? 0.0 : self::OVER)];
        $swept[] = Solid::block(new Block($pivot->x, $pivot->x + $wide, $pivot->y, $pivot->y + $high, ...$beyond));
        $above = Polygon::rectangle($pivot->x, $pivot->y, $wide, $reach)->points;

        return new Movement($this->name, $this->site->opening->tierId, $moving, $swept, [$above], Motion::turn($pivot, $closed->vector(), Way::Out->vector(), M_PI / 2), 0.0, $this->waysOut);
    }
}
