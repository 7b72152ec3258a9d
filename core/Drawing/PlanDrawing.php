<?php

declare(strict_types=1);

namespace Incastro\Drawing;

use Incastro\Geometry\Point;
use Incastro\Survey\ReadingKind;
use Incastro\Survey\Room\Room;
use Incastro\Survey\Room\RunFrame;
use Incastro\Survey\Slot;
use Incastro\Survey\Space\EdgeKind;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Survey\Survey;
use Incastro\Survey\Things\Face;
use Incastro\Survey\Things\Thing;

/**
 * A space from above, as one who faces its back wall stands in it: the back wall lies at the top. Drawn from the readings,
 * and before they determine it from the usual plan as they bend it.
 */
final readonly class PlanDrawing
{
    private RunFrame $frame;

    /** @var list<DrawnPoint> */
    private array $corners;

    public function __construct(private Survey $survey, private Room $room, private ReadingText $texts)
    {
        $this->frame = $room->frame();
        $places = array_map(fn (Point $corner) => $this->frame->place($corner), $room->corners);
        $straight = $this->straightened($places);
        $this->corners = array_map(fn (array $place, array $true) => new DrawnPoint($place[0], -$place[1], $place[0] - $true[0], -($place[1] - $true[1])), $places, $straight);
    }

    public function draw(): Drawing
    {
        return new Drawing('From above', ['house' => $this->house(), 'things' => $this->things(), 'readings' => $this->readings(), 'names' => $this->names()]);
    }

    /**
     * Where the corners would be in a house with true corners: each wall at the mean of its ends. Only of plans that are
     * right-angled by kind; others have no truth to compare with.
     *
     * @param  list<array{float, float}>  $places
     * @return list<array{float, float}>
     */
    private function straightened(array $places): array
    {
        $shape = $this->room->shape;
        foreach (array_keys($places) as $corner) {
            if (abs($shape->nominalAngle($corner) / 90.0 - round($shape->nominalAngle($corner) / 90.0)) > 1e-6) {
                return $places;
            }
        }
        $straight = $places;
        foreach (array_keys($places) as $edge) {
            $next = $shape->after($edge);
            $alongV = abs($places[$next][0] - $places[$edge][0]) < abs($places[$next][1] - $places[$edge][1]);
            $mean = fn (int $axis): float => ($places[$edge][$axis] + $places[$next][$axis]) / 2;
            foreach ([$edge, $next] as $corner) {
                $straight[$corner] = $alongV ? [$mean(0), $straight[$corner][1]] : [$straight[$corner][0], $mean(1)];
            }
        }

        return $straight;
    }

    /** @return list<Shape> */
    private function house(): array
    {
        $shape = $this->room->shape;
        $house = [new Outline($this->corners, true, Style::Field, 'floor')];
        foreach ($shape->edges as $edge => $kind) {
            $ends = [$this->corners[$edge], $this->corners[$shape->after($edge)]];
            $house[] = new Outline($ends, false, match ($kind) {
                EdgeKind::Wall => Style::House,
                EdgeKind::Open => Style::Plumb,
                EdgeKind::Door => Style::Hidden,
            }, "edge:$edge");
        }

        return $house;
    }

    /**
     * Names of the corners, outside the plan.
     *
     * @return list<Shape>
     */
    private function names(): array
    {
        $names = [];
        foreach ($this->corners as $i => $corner) {
            $before = $this->corners[$this->room->shape->before($i)];
            $after = $this->corners[$this->room->shape->after($i)];
            $in = [($before->x - $corner->x) / max(1.0, hypot($before->x - $corner->x, $before->y - $corner->y)) + ($after->x - $corner->x) / max(1.0, hypot($after->x - $corner->x, $after->y - $corner->y)),
                ($before->y - $corner->y) / max(1.0, hypot($before->x - $corner->x, $before->y - $corner->y)) + ($after->y - $corner->y) / max(1.0, hypot($after->x - $corner->x, $after->y - $corner->y))];
            $length = max(0.2, hypot($in[0], $in[1]));
            $out = in_array($i, $this->room->shape->outside, true) ? 1.0 : -1.0;
            $size = $this->size() * 0.055;
            $names[] = new Label($corner->plus($out * $size * $in[0] / $length, $out * $size * $in[1] / $length), SpaceShape::name($i), Style::Label, 'corner:'.SpaceShape::name($i));
        }

        return $names;
    }

    private function size(): float
    {
        $xs = array_map(fn (DrawnPoint $corner) => $corner->x, $this->corners);
        $ys = array_map(fn (DrawnPoint $corner) => $corner->y, $this->corners);

        return $xs === [] || $ys === [] ? 1.0 : max(max($xs) - min($xs), max($ys) - min($ys));
    }

    /** @return list<Shape> */
    private function readings(): array
    {
        $lines = [];
        $crossing = 0;
        foreach ($this->survey->slots as $slot) {
            // Lines cross in the middle: only the first diagonal carries its value there.
            $isQuiet = $slot->kind === ReadingKind::Fall || ($slot->kind === ReadingKind::Diagonal && $crossing++ > 0);
            $style = $isQuiet ? Style::ReadingQuiet : Style::Reading;
            $ends = $this->ends($slot);
            if ($ends !== null) {
                $lines[] = new Dimension($ends[0], $ends[1], $this->texts->of($slot), $slot->id, $style);
            } elseif ($slot->kind === ReadingKind::Corner || $slot->kind === ReadingKind::ThreeFourFive) {
                $corner = $this->corners[(int) $slot->at];
                $middle = $this->size() * 0.12;
                $lines[] = new Label($corner->plus($corner->x > $this->middle() ? -$middle : $middle, -$middle * 0.7), $this->texts->of($slot), Style::Reading, $slot->id);
            }
        }

        return $lines;
    }

    private function middle(): float
    {
        return array_sum(array_map(fn (DrawnPoint $corner) => $corner->x, $this->corners)) / count($this->corners);
    }

    /** @return array{DrawnPoint, DrawnPoint}|null */
    private function ends(Slot $slot): ?array
    {
        if ($slot->kind->isBetweenCorners()) {
            return [$this->corners[(int) $slot->from], $this->corners[(int) $slot->to]];
        }
        if ($slot->kind === ReadingKind::Tie) {
            return [$this->corners[(int) $slot->at], $this->drawn($this->room->network->wallPoint($this->room->adjusted->unknowns, (int) $slot->wall, (float) $slot->along, $this->room->network->planHeight))];
        }
        if ($slot->kind === ReadingKind::Fall && count($slot->spots) === 2) {
            return array_map(fn ($spot) => $this->drawn($this->room->network->spot($this->room->adjusted->unknowns, $spot->wall, $spot->along, $spot->depth)), $slot->spots);
        }

        return null;
    }

    private function drawn(Point $point): DrawnPoint
    {
        [$u, $v] = $this->frame->place($point);

        return new DrawnPoint($u, -$v);
    }

    /** @return list<Shape> */
    private function things(): array
    {
        return array_map(function (Thing $thing): Shape {
            $wall = $thing->face === Face::Wall ? $thing->wall : 0;
            $length = $this->room->edgeLength($wall);
            $left = $thing->left($length);
            $out = $thing->face === Face::Wall ? [0.0, max(12.0, $thing->standsOut)] : [$thing->up, $thing->up + $thing->height];
            $place = fn (float $along, float $depth) => $this->drawn($this->room->network->spot($this->room->adjusted->unknowns, $wall, $along, $depth));

            return new Outline([$place($left, $out[0]), $place($left + $thing->width, $out[0]), $place($left + $thing->width, $out[1]), $place($left, $out[1])], true, Style::Thing, "thing:$thing->id");
        }, array_values(array_filter($this->room->things, fn (Thing $thing) => isset($this->room->shape->edges[$thing->wall]))));
    }
}
