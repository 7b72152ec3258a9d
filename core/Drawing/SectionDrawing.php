<?php

declare(strict_types=1);

namespace Incastro\Drawing;

use Incastro\Fit\FittedRun;
use Incastro\Fit\ThingPlace;
use Incastro\Geometry\Axis;
use Incastro\Geometry\Point;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Survey\Room\Room;
use Incastro\Units\Assembly;

/** A run cut through at any place along it: out from the wall to the right, up. What is cut is filled, what lies beyond is thin. */
final readonly class SectionDrawing
{
    private const STEPS = 24;

    /** How much of the floor in front is shown, mm. */
    private const IN_FRONT = 600.0;

    public function __construct(private FittedRun $run, private Assembly $assembly, private Room $room, private LengthFormat $format)
    {
    }

    public function at(float $u): Drawing
    {
        $cut = $beyond = [];
        foreach ($this->assembly->placed as $placed) {
            foreach ($placed->prism()->section(Axis::U, $u) as $outline) {
                $cut[] = new Outline(self::points($outline), true, Style::Cut, $placed->piece->key);
            }
            if ($placed->bounds->u0 > $u) {
                $beyond[] = new Outline(self::points($placed->prism()->outline(Axis::U)), true, Style::Grain, $placed->piece->key);
            }
        }

        return new Drawing('Section', ['house' => $this->house($u), 'beyond' => $beyond, 'cut' => $cut, 'things' => $this->things($u), 'dimensions' => $this->dimensions($u)]);
    }

    /**
     * @param  list<Point>  $outline
     * @return list<DrawnPoint>
     */
    private static function points(array $outline): array
    {
        return array_map(fn (Point $point) => new DrawnPoint($point->x, $point->y), $outline);
    }

    private function front(): float
    {
        return max($this->run->frame->mouth(), $this->run->depth->result->toDouble()) + self::IN_FRONT;
    }

    /** @return list<Shape> wall behind, floor and ceiling */
    private function house(float $u): array
    {
        $front = $this->front();
        $ceiling = $floor = $wall = [];
        for ($i = 0; $i <= self::STEPS; $i++) {
            $v = $front * $i / self::STEPS;
            $ceiling[] = new DrawnPoint($v, $this->run->frame->ceilingAt($u, $v));
            $level = $this->run->frame->floorAt($u, $v);
            $floor[] = new DrawnPoint($v, $level, 0.0, $level);
        }
        $top = $this->run->frame->ceilingAt($u, 0.0);
        foreach ($this->run->frame->bare()->bendsBetween(0.0, max(1.0, $top)) as $z) {
            $off = $this->run->frame->wallAt($u, $z);
            $wall[] = new DrawnPoint($off, $z, $off, 0.0);
        }

        return [new Outline($wall, false, Style::House, 'back'), new Outline($floor, false, Style::House, 'floor'), new Outline($ceiling, false, Style::House, 'ceiling')];
    }

    /** @return list<Shape> */
    private function things(float $u): array
    {
        $places = new ThingPlace($this->room, $this->run->frame);
        $shapes = [];
        foreach ($this->room->things as $thing) {
            $block = $places->block($thing);
            if ($block->u0 <= $u && $block->u1 >= $u) {
                $shapes[] = Outline::rectangle($block->v0, $block->z0, $block->v1 - $block->v0, $block->z1 - $block->z0, Style::Thing, "thing:$thing->id");
            }
        }

        return $shapes;
    }

    /** @return list<Shape> */
    private function dimensions(float $u): array
    {
        $write = fn (float $mm) => $this->format->write(Length::ofDouble($mm));
        $shapes = [];
        foreach ($this->run->boxes as $i => $box) {
            if ($box->u > $u || $box->right() < $u) {
                continue;
            }
            $shapes[] = new Dimension(new DrawnPoint($box->v, -130.0 - 70.0 * $i), new DrawnPoint($box->face(), -130.0 - 70.0 * $i), $this->format->write($box->outerDepth()), 'depth:'.$box->id);
            $shapes[] = new Dimension(new DrawnPoint($box->face() + 60.0, $box->z), new DrawnPoint($box->face() + 60.0, $box->topAt($u, $box->face())), $write($box->topAt($u, $box->face()) - $box->z), 'height:'.$box->id);
        }

        return $shapes;
    }
}
