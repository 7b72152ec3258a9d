<?php

declare(strict_types=1);

namespace Incastro\Trial;

use Incastro\Drawing\Drawing;
use Incastro\Drawing\DrawnPoint;
use Incastro\Drawing\Label;
use Incastro\Drawing\Outline;
use Incastro\Drawing\Style;
use Incastro\Fit\FittedRun;
use Incastro\Geometry\Point;

/** A made-up room as it truly is, from above and in elevation at the plane of the face, with what was planned for it. */
final readonly class TrialDrawing
{
    private const STEP = 100.0;

    /** Between the plan and the elevation, mm. */
    private const APART = 500.0;

    public function __construct(private RoomResult $result)
    {
    }

    public function draw(): Drawing
    {
        $room = $this->result->room;
        $plan = [new Outline(array_map($this->drawn(...), $room->corners), true, Style::House, 'plan')];
        $furniture = $house = [];
        foreach ($this->result->plan->layout->runs ?? [] as $run) {
            foreach ($run->boxes as $box) {
                $plan[] = new Outline(array_map(fn (array $at) => $this->drawn($run->frame->point($at[0], $at[1])), [[$box->u, $box->v], [$box->right(), $box->v], [$box->right(), $box->face()], [$box->u, $box->face()]]), true, Style::Board, $box->mark);
                if ($run->frame->wall === 0) {
                    $furniture[] = new Outline([
                        new DrawnPoint($box->u, $box->z), new DrawnPoint($box->right(), $box->z),
                        new DrawnPoint($box->right(), $box->topAt($box->right(), $box->face())), new DrawnPoint($box->u, $box->topAt($box->u, $box->face())),
                    ], true, Style::Board, $box->mark);
                }
            }
            if ($run->frame->wall === 0) {
                $house = $this->elevation($run);
            }
        }
        $verdict = $this->result->fits() ? 'all went in' : implode('; ', $this->result->jams());

        return new Drawing(sprintf('Room of seed %d', $this->result->seed), [
            'plan' => $plan, 'house' => $house, 'furniture' => $furniture,
            'text' => [new Label(new DrawnPoint(0.0, -self::APART / 2), sprintf('Seed %d: %s. %s', $this->result->seed, $verdict, $this->result->plan->verdict->sentence), Style::Label, anchor: 'start')],
        ]);
    }

    /** The plan lies under the elevation, the back wall at its top. */
    private function drawn(Point $point): DrawnPoint
    {
        [$u, $v] = $this->result->room->seen(0, $point);

        return new DrawnPoint($u, -self::APART - $v);
    }

    /** @return list<Outline> the true walls and ceiling at the plane of the face */
    private function elevation(FittedRun $run): array
    {
        $room = $this->result->room;
        $v = $run->depth->result->toDouble();
        $lines = [];
        $ends = [];
        foreach (['left' => $room->shape->after(0), 'right' => $room->shape->before(0)] as $side => $wall) {
            $points = [];
            $foot = $room->meets($wall, 0, $v, 0.0);
            $at = $run->frame->point($foot, $v);
            $top = $room->ceilingAt($at) - $room->floorAt($at);
            for ($z = 0.0; $z < $top; $z += self::STEP) {
                $points[] = new DrawnPoint($room->meets($wall, 0, $v, $z), $z);
            }
            $points[] = new DrawnPoint($room->meets($wall, 0, $v, $top), $top);
            $ends[] = $points[count($points) - 1];
            $lines[] = new Outline($points, false, Style::House, $side);
        }
        $lines[] = new Outline($ends, false, Style::House, 'ceiling');

        return $lines;
    }
}
