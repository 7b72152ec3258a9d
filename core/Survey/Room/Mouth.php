<?php

declare(strict_types=1);

namespace Incastro\Survey\Room;

use Incastro\Survey\Network\Adjustment;
use Incastro\Survey\Network\Observation;
use Incastro\Survey\Plan\PlanNetwork;

/** Where a run's space opens, or where a wall faces it: at the end of the shallower of the walls beside it. Double mm. */
final readonly class Mouth
{
    public float $depth;

    private int $corner;

    public function __construct(private Room $room, private RunFrame $frame)
    {
        $shape = $room->shape;
        $ends = [];
        foreach ([$shape->after($frame->wall), $shape->before($frame->wall)] as $i => $edge) {
            if ($shape->isWall($edge)) {
                $ends[] = $i === 0 ? $shape->after($edge) : $edge;
            }
        }
        $ends = $ends === [] ? [$shape->after($shape->after($frame->wall))] : $ends;
        $best = [$ends[0], INF];
        foreach ($ends as $corner) {
            $v = $frame->place($room->corners[$corner])[1];
            $best = $v < $best[1] ? [$corner, $v] : $best;
        }
        [$this->corner, $this->depth] = $best;
    }

    /** σ of the depth. */
    public function sigma(): float
    {
        $wall = $this->frame->wall;
        $left = $this->room->shape->after($wall);
        $depends = array_values(array_unique([...PlanNetwork::of($this->corner), ...PlanNetwork::of($wall), ...PlanNetwork::of($left)]));
        $out = new Observation('depth', 0.0, 1.0, $depends, function (array $x) use ($wall, $left): float {
            $origin = PlanNetwork::at($x, $left);
            [$dx, $dy] = $this->room->network->direction($x, $wall);
            $p = PlanNetwork::at($x, $this->corner);

            return -$dy * ($p->x - $origin->x) + $dx * ($p->y - $origin->y);
        });

        return $this->room->adjusted->sigmaOf(Adjustment::row($out, $this->room->adjusted->unknowns));
    }
}
