<?php

declare(strict_types=1);

namespace Incastro\Drawing;

use Incastro\Fit\FittedLayout;
use Incastro\Fit\FittedRun;
use Incastro\Fit\ThingPlace;
use Incastro\Geometry\Point;
use Incastro\Geometry\Vector;
use Incastro\Measure\LengthFormat;
use Incastro\Survey\Room\Room;
use Incastro\Survey\Space\EdgeKind;
use Incastro\Survey\Things\Thing;
use Incastro\Survey\Things\ThingKind;
use Incastro\Units\Assembly;
use Incastro\Units\Make\ShimPack;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/** A space from above with all its runs in it: the back wall lies at the top, as one who faces it stands. */
final readonly class FurniturePlan
{
    /** A shim is written so far from the end of its bearer, so far beside it, and in so much room, mm. */
    private const SHIM_IN = 45.0;

    private const SHIM_BESIDE = 12.0;

    private const SHIM_ROOM = 240.0;

    /** A board whose upper side is this near to that of a worktop is of it, mm. */
    private const TOP = 1.0;

    /** @param list<Assembly> $assemblies of each run; what moves in them is drawn where it goes */
    public function __construct(private FittedLayout $layout, private Room $room, private LengthFormat $format, private array $assemblies = [])
    {
    }

    public function draw(): Drawing
    {
        $runs = $this->layout->runs;

        return new Drawing('From above', [
            'house' => $this->house(),
            'furniture' => array_merge([], ...array_map($this->boxes(...), $runs)),
            'plinths' => array_merge([], ...array_map($this->bearers(...), array_keys($this->assemblies), $this->assemblies)),
            'worktops' => array_merge([], ...array_map($this->worktops(...), array_keys($runs), $runs)),
            'shelves' => array_merge([], ...array_map($this->shelves(...), $runs)),
            'movements' => array_merge([], ...array_map($this->movements(...), array_keys($this->assemblies), $this->assemblies)),
            'things' => array_merge([], ...array_map($this->thing(...), $this->room->things)),
            'dimensions' => array_merge([], ...array_map($this->dimensions(...), $runs)),
        ]);
    }

    /** The same without texts and dimensions: small, for lists. */
    public function small(): Drawing
    {
        return new Drawing('From above', array_intersect_key($this->draw()->layers, ['house' => 1, 'furniture' => 1, 'worktops' => 1, 'shelves' => 1]));
    }

    private function drawn(Point $point): DrawnPoint
    {
        [$u, $v] = $this->room->frame()->place($point);

        return new DrawnPoint($u, -$v);
    }

    /**
     * @param  list<array{float, float}>  $places  u and v in a run's frame
     * @return list<DrawnPoint>
     */
    private function placed(FittedRun $run, array $places): array
    {
        return array_map(fn (array $place) => $this->drawn($run->frame->point($place[0], $place[1])), $places);
    }

    /** @return list<array{float, float}> */
    private static function rectangle(float $u0, float $u1, float $v0, float $v1): array
    {
        return [[$u0, $v0], [$u1, $v0], [$u1, $v1], [$u0, $v1]];
    }

    /** @return list<Shape> */
    private function house(): array
    {
        $corners = array_map($this->drawn(...), $this->room->corners);
        $shapes = [new Outline($corners, true, Style::Field, 'floor')];
        foreach ($this->room->shape->edges as $edge => $kind) {
            $shapes[] = new Outline([$corners[$edge], $corners[$this->room->shape->after($edge)]], false, match ($kind) {
                EdgeKind::Wall => Style::House,
                EdgeKind::Open => Style::Plumb,
                EdgeKind::Door => Style::Hidden,
            }, "edge:$edge");
        }

        return $shapes;
    }

    /** @return list<Shape> */
    private function boxes(FittedRun $run): array
    {
        $shapes = [];
        foreach ($run->boxes as $box) {
            $shapes[] = new Outline($this->placed($run, self::rectangle($box->u, $box->right(), $box->v, $box->face())), true, Style::Board, $box->id);
            $shapes[] = new Label($this->placed($run, [[($box->u + $box->right()) / 2, ($box->v + $box->face()) / 2]])[0], $box->mark, Style::Label, "name:$box->id", room: $box->right() - $box->u);
        }

        return $shapes;
    }

    /** @return list<Shape> the boards of each as they are cut, where they were made; else where it lies */
    private function worktops(int $r, FittedRun $run): array
    {
        $shapes = [];
        foreach ($run->over() as $worktop) {
            $boards = array_filter($this->assemblies[$r]->placed ?? [], fn (Placed $placed) => $placed->owner === $worktop->id && $placed->isLevel() && abs($placed->bounds->z1 - $worktop->top) < self::TOP);
            $seen = $boards === [] ? [self::rectangle($worktop->u, $worktop->end(), $worktop->v, $worktop->front())] : [];
            foreach ($boards as $board) {
                foreach ([$board->piece->outline->outer, ...$board->piece->outline->holes] as $edge) {
                    $places = array_map(fn (Point $point) => $board->pose->place($point, 0.0), $edge->points);
                    $seen[] = array_map(fn (Vector $place) => [$place->x, $place->y], $places);
                }
            }
            array_push($shapes, ...array_map(fn (array $places) => new Outline($this->placed($run, $places), true, Style::Hidden, $worktop->id), $seen));
        }

        return $shapes;
    }

    /** @return list<Shape> */
    private function shelves(FittedRun $run): array
    {
        return array_map(fn ($shelf) => new Outline($this->placed($run, array_map(fn (Point $point) => [$point->x, $point->y], $shelf->outline)), true, Style::Board, $shelf->tierId), $run->shelves);
    }

    /** @return list<Shape> bearers of plinths, and how thick what is put under each is at its back and its front */
    private function bearers(int $r, Assembly $assembly): array
    {
        $run = $this->layout->runs[$r];
        $shapes = [];
        foreach ($assembly->placed as $placed) {
            if ($placed->part !== Part::Plinth || ! str_contains($placed->piece->mark, '-bearer-')) {
                continue;
            }
            $at = $placed->bounds;
            $shapes[] = new Outline($this->placed($run, self::rectangle($at->u0, $at->u1, $at->v0, $at->v1)), true, Style::Hidden, $placed->owner);
            foreach (['back' => $at->v0 + self::SHIM_IN, 'front' => $at->v1 - self::SHIM_IN] as $end => $v) {
                $shim = $assembly->decisions[ShimPack::name($placed->piece->mark, $end)] ?? null;
                if ($shim !== null) {
                    // Towards the middle of the run, clear of its walls.
                    $isLeft = $at->u0 + $at->u1 < $run->left + $run->right;
                    $shapes[] = new Label($this->placed($run, [[$isLeft ? $at->u1 + self::SHIM_BESIDE : $at->u0 - self::SHIM_BESIDE, $v]])[0], 'shim '.$this->format->write($shim->result), Style::Measure, $placed->owner, $isLeft ? 'start' : 'end', room: self::SHIM_ROOM);
                }
            }
        }

        return $shapes;
    }

    /** @return list<Shape> what is drawn out or swung, as far as it goes; one line for those over each other */
    private function movements(int $r, Assembly $assembly): array
    {
        $run = $this->layout->runs[$r];
        $shapes = [];
        foreach ($assembly->movements as $movement) {
            foreach ($movement->above as $line) {
                $points = array_map(fn (Point $point) => [$point->x, $point->y], $line);
                $shapes[implode('/', array_map(fn (array $point) => sprintf('%.0f %.0f', ...$point), $points))] = new Outline($this->placed($run, $points), true, Style::Swing, $movement->tier);
            }
        }

        return array_values($shapes);
    }

    /** @return list<Shape> */
    private function thing(Thing $thing): array
    {
        $frame = $this->room->frame();
        $block = (new ThingPlace($this->room, $frame))->block($thing);
        $at = fn (float $u, float $v) => $this->drawn($frame->point($u, $v));
        $shapes = [new Outline([$at($block->u0, $block->v0), $at($block->u1, $block->v0), $at($block->u1, max($block->v0 + 12.0, $block->v1)), $at($block->u0, max($block->v0 + 12.0, $block->v1))], true, Style::Thing, "thing:$thing->id")];
        $shapes[] = new Label($at(($block->u0 + $block->u1) / 2, ($block->v0 + $block->v1) / 2), $thing->name, Style::Label, "thing:$thing->id", room: max(90.0, $block->u1 - $block->u0));
        $swing = $thing->kind === ThingKind::Door ? $this->room->swing($thing) : null;
        if ($swing !== null) {
            $shapes[] = new Outline(array_map($this->drawn(...), $swing), true, Style::Swing, "thing:$thing->id");
        }

        return $shapes;
    }

    /** @return list<Shape> */
    private function dimensions(FittedRun $run): array
    {
        $face = $run->depth->result->toDouble() + 90.0;
        $shapes = [];
        foreach ($run->bays as $bay) {
            [$from, $to] = $this->placed($run, [[$bay->u, $face], [$bay->end, $face]]);
            $shapes[] = new Dimension($from, $to, $this->format->write($bay->width->result), 'bay:'.$bay->bay->id);
        }

        return $shapes;
    }
}
