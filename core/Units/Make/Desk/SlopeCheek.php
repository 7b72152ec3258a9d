<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Desk;

use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Measure\Length;
use Incastro\Measure\Working;

/**
 * A side whose back follows a wall that leans in, or a knee wall and the slope over it: H × (D + o), less what the wall takes; what it
 * carries bears on D − v(H).
 */
final readonly class SlopeCheek
{
    /**
     * @param  Length  $high  H, from the floor to what it carries
     * @param  Length  $deep  D, from the wall's line at the floor to its front
     * @param  non-empty-list<Point>  $wall  how far out it comes (y) at heights (x), from the floor to H; mm
     * @param  Length  $over  o, left on at the back to scribe
     */
    public function __construct(private Length $high, private Length $deep, private array $wall, private Length $over)
    {
    }

    public function length(): Working
    {
        return Working::start('from the floor to what it carries', $this->high);
    }

    public function width(): Working
    {
        return Working::start('depth to the wall', $this->deep)->plus('overhang to scribe to the wall behind', $this->over);
    }

    /** In the piece: x up, y out from the back of its blank. */
    public function outline(): Outline
    {
        $o = $this->over->toDouble();
        $front = $o + $this->deep->toDouble();
        $back = array_map(fn (Point $point): Point => new Point($point->x, $o + $point->y), $this->wall);

        return new Outline(new Polygon([...$back, new Point($this->high->toDouble(), $front), new Point(0.0, $front)]));
    }

    /** What lies on it rests on so much, from where the wall ends there to its front. */
    public function bears(): Working
    {
        return Working::start('depth to the wall', $this->deep)->minus('the wall comes out under what it carries', Length::ofDouble($this->wall[count($this->wall) - 1]->y));
    }
}
