<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Vector;
use Incastro\Geometry\Way;

/**
 * A piece in the plane of the face that runs from left to right, level or along a rake, by its profile in u and z: its
 * outline with x along its own length from the corner of its blank, and where it stands.
 */
final readonly class InFace
{
    public Outline $outline;

    public Pose $pose;

    private float $turn;

    private float $x;

    private float $y;

    /**
     * @param  list<Point>  $profile
     * @param  float  $v  of its back, mm
     * @param  float  $turn  how steeply it rises to the right, rad
     */
    public function __construct(array $profile, float $v, float $turn)
    {
        $this->turn = $turn;
        $points = array_map(fn (Point $point) => self::turned($point, -$turn), $profile);
        $this->x = min(INF, ...array_map(fn (Point $point) => $point->x, $points));
        $this->y = min(INF, ...array_map(fn (Point $point) => $point->y, $points));
        $this->outline = new Outline(new Polygon(array_map(fn (Point $point) => $point->plus(-$this->x, -$this->y), $points)));
        $corner = self::turned(new Point($this->x, $this->y), $turn);
        $this->pose = new Pose(new Vector($corner->x, $v, $corner->y), new Vector(cos($turn), 0.0, sin($turn)), new Vector(-sin($turn), 0.0, cos($turn)), Way::Out->vector());
    }

    /**
     * A line of the face in the piece's own x and y.
     *
     * @param  list<Point>  $line
     * @return list<Point>
     */
    public function line(array $line): array
    {
        return array_map(fn (Point $point) => self::turned($point, -$this->turn)->plus(-$this->x, -$this->y), $line);
    }

    private static function turned(Point $point, float $turn): Point
    {
        return new Point($point->x * cos($turn) - $point->y * sin($turn), $point->x * sin($turn) + $point->y * cos($turn));
    }
}
