<?php

declare(strict_types=1);

namespace Incastro\Drawing;

use Incastro\Fit\FittedRun;
use Incastro\Geometry\Vector;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/** How far each piece of a run is drawn from its place to be seen alone: away from the middle of its box, and boxes from each other. */
final readonly class Apart
{
    /** Of a piece's distance from the middle. */
    private const SHARE = 0.55;

    public function __construct(private FittedRun $run)
    {
    }

    /** Along u, v and z, mm. */
    public function of(Placed $placed): Vector
    {
        $box = $this->run->box($placed->owner);
        if ($box === null) {
            return new Vector(0.0, 0.0, $placed->part === Part::Plinth ? -220.0 : 220.0);
        }
        $all = $box->block();
        $own = $placed->bounds;
        $off = fn (float $a, float $b, float $c, float $d): float => (($a + $b) / 2 - ($c + $d) / 2) * self::SHARE;
        $boxes = $off($all->u0, $all->u1, $this->run->left, $this->run->right);

        return new Vector(
            $off($own->u0, $own->u1, $all->u0, $all->u1) + $boxes,
            1.6 * $off($own->v0, $own->v1, $all->v0, $all->v1) + ($placed->part === Part::Face ? 140.0 : 0.0),
            $off($own->z0, $own->z1, $all->z0, $all->z1) + ($all->z0 > 300.0 ? 200.0 : 0.0),
        );
    }
}
