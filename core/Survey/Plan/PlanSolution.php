<?php

declare(strict_types=1);

namespace Incastro\Survey\Plan;

use Incastro\Geometry\Point;
use Incastro\Survey\Network\Scrutinised;

/**
 * What the readings of a plan come to. `corners` is empty where they do not determine it, or contradict each other so far
 * that no plan closes; the findings say why.
 */
final readonly class PlanSolution
{
    /**
     * @param  list<Point>  $corners  mm, the first at the origin and the second on the positive x axis
     * @param  list<float>  $sigmas  of the corners, mm
     * @param  list<string>  $findings
     */
    public function __construct(
        public array $corners,
        public array $sigmas,
        public ?Scrutinised $scrutinised,
        public array $findings,
    ) {
    }
}
