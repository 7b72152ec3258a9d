<?php

declare(strict_types=1);

namespace Incastro\Drawing;

use Incastro\Fit\Closing\FittedEdge;
use Incastro\Fit\Closing\Side;
use Incastro\Fit\FittedCell;
use Incastro\Fit\FittedRun;
use Incastro\Fit\ThingPlace;
use Incastro\Geometry\Axis;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\Materials\Purpose;
use Incastro\Survey\Room\Room;
use Incastro\Survey\Things\ThingKind;
use Incastro\Units\Assembly;
use Incastro\Units\Fixture;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/**
 * A run in its place, seen from the front at the plane of its face: the house, the gaps to it, the pieces, and the cells that
 * one can select. Crookedness grows away from the furniture, so that exaggerated walls never cross it.
 */
final readonly class RunDrawing
{
    private const STEPS = 12;

    /** How far beyond the furniture a wall is drawn, mm. */
    private const BEYOND = 0.3;

    private float $face;

    private float $leftWall;

    private float $rightWall;

    private float $ceiling;

    private bool $isFlat;

    /** @param list<Placed> $beside what else is built on its wall */
    public function __construct(private FittedRun $run, private Assembly $assembly, private Room $room, private LengthFormat $format, private array $beside = [])
    {
        $faces = array_map(fn (FittedCell $cell) => $cell->face, $run->cells);
        $this->face = $faces === [] ? $run->depth->result->toDouble() : max($faces);
        $this->isFlat = ! $room->shape->ceiling->isSloped();
        $this->leftWall = max(array_map(fn (float $z) => $run->frame->bare()->leftAt($this->face, $z), $this->heights($run->left)));
        $this->rightWall = min(array_map(fn (float $z) => $run->frame->bare()->rightAt($this->face, $z), $this->heights($run->right)));
        $this->ceiling = min($run->frame->ceilingAt($this->leftWall, $this->face), $run->frame->ceilingAt($this->rightWall, $this->face));
    }

    public function elevation(): Drawing
    {
        return new Drawing('Run, seen from the front', [
            'house-fill' => [new Outline($this->opening(), true, Style::Field)],
            'beside' => $this->shapes($this->beside, Style::BoardBehind),
            'inside' => [...$this->pieces(fn (Placed $placed) => $placed->part === Part::Body || $placed->part === Part::Loose, Style::BoardBehind), ...$this->fixtures()],
            'furniture' => $this->pieces(fn (Placed $placed) => in_array($placed->part, [Part::Face, Part::Plinth, Part::Worktop], true), Style::Board),
            'signs' => (new OpeningSigns($this->assembly))->shapes(),
            'things' => $this->things(),
            'gaps' => array_map($this->gap(...), array_values($this->gapEdges())),
            'house' => $this->house(),
            'cells' => array_map(fn (FittedCell $cell) => Outline::polygon(new Polygon($cell->outline()), Style::Cell, $cell->tier->id), $this->run->cells),
            'names' => $this->names(),
            'dimensions' => $this->dimensions(),
        ]);
    }

    /** @return list<Shape> what is bought and stands in the furniture, such as a rail */
    private function fixtures(): array
    {
        return array_map(fn (Fixture $fixture) => Outline::polygon(Polygon::rectangle($fixture->block->u0, $fixture->block->z0, $fixture->block->u1 - $fixture->block->u0, $fixture->block->z1 - $fixture->block->z0), Style::Board, $fixture->tier), $this->assembly->fixtures);
    }

    /** The same without texts and dimensions: small, for lists. */
    public function small(): Drawing
    {
        return new Drawing('Run', array_intersect_key($this->elevation()->layers, ['house-fill' => 1, 'beside' => 1, 'gaps' => 1, 'inside' => 1, 'furniture' => 1, 'house' => 1]));
    }

    /** @return non-empty-list<float> heights up one end of the run */
    private function heights(float $u): array
    {
        $top = max(1.0, $this->run->frame->ceilingAt($u, $this->face));

        return $this->run->frame->bare()->bendsBetween(0.0, $top);
    }

    /** @return list<FittedEdge> edges that are seen from the front */
    private function gapEdges(): array
    {
        return array_values(array_filter($this->run->edges, fn (FittedEdge $edge) => in_array($edge->side, [Side::Left, Side::Right, Side::Top, Side::Foot], true) && ! $this->isWorktop($edge)));
    }

    private function isWorktop(FittedEdge $edge): bool
    {
        foreach ($this->run->over() as $worktop) {
            if ($worktop->id === $edge->owner) {
                return true;
            }
        }

        return false;
    }

    /** A point on a surface, or on a piece cut to it, as crooked as the surface is there. */
    private function surface(float $u, float $z): DrawnPoint
    {
        $cx = match (true) {
            $u < $this->run->left - self::BEYOND => min(0.0, $u - $this->leftWall),
            $u > $this->run->right + self::BEYOND => max(0.0, $u - $this->rightWall),
            default => 0.0,
        };
        $cy = match (true) {
            $z < -self::BEYOND => $z,
            $this->isFlat && $z > $this->ceiling => $z - $this->ceiling,
            default => 0.0,
        };

        return new DrawnPoint($u, $z, $cx, $cy);
    }

    private function gap(FittedEdge $edge): Shape
    {
        $box = $this->run->box($edge->owner);
        $outer = $inner = [];
        foreach ($edge->gap->stations as $station) {
            if ($box === null) {
                $plinth = array_values(array_filter($this->run->under(), fn ($plinth) => $plinth->id === $edge->owner))[0] ?? null;
                $u = ($plinth->u ?? $this->run->left) + $station->x;
                [$inner[], $outer[]] = [new DrawnPoint($u, 0.0), $this->surface($u, -$station->y)];
            } elseif ($edge->side === Side::Top) {
                $u = $box->u + $station->x;
                [$inner[], $outer[]] = [new DrawnPoint($u, $box->topAt($u, $box->face())), $this->surface($u, $box->topAt($u, $box->face()) + $station->y)];
            } else {
                $u = $edge->side === Side::Left ? $box->u : $box->right();
                $z = $box->z + $station->x;
                [$inner[], $outer[]] = [new DrawnPoint($u, $z), $this->surface($edge->side === Side::Left ? $u - $station->y : $u + $station->y, $z)];
            }
        }

        return new Outline([...$outer, ...array_reverse($inner)], true, Style::Gap, $edge->key());
    }

    /** @return list<DrawnPoint> the walls, floor and ceiling at the plane of the face, going round from the left foot */
    private function opening(): array
    {
        [$left, $right] = [$this->wall('left'), $this->wall('right')];

        return [...$left, ...$this->across($left[count($left) - 1], $right[count($right) - 1], true), ...array_reverse($right), ...array_reverse($this->across($left[0], $right[0], false))];
    }

    /** @return non-empty-list<DrawnPoint> up one side, from floor to ceiling */
    private function wall(string $side): array
    {
        $end = $side === 'left' ? $this->run->left : $this->run->right;
        $at = fn (float $z) => $side === 'left' ? $this->run->frame->bare()->leftAt($this->face, $z) : $this->run->frame->bare()->rightAt($this->face, $z);
        $floor = $this->run->frame->floorAt($end, $this->face);
        $points = [];
        foreach ($this->heights($end) as $i => $z) {
            $point = $this->surface($at($z), $i === 0 ? $floor : $z);
            $points[] = new DrawnPoint($point->x, $point->y, $side === 'left' ? $point->x - $this->leftWall : $point->x - $this->rightWall, $point->cy);
        }

        return $points;
    }

    /** @return list<DrawnPoint> between two points, along the ceiling or the floor */
    private function across(DrawnPoint $from, DrawnPoint $to, bool $above): array
    {
        $points = [];
        for ($i = 1; $i < self::STEPS; $i++) {
            $u = $from->x + ($to->x - $from->x) * $i / self::STEPS;
            $points[] = $this->surface($u, $above ? $this->run->frame->ceilingAt($u, $this->face) : $this->run->frame->floorAt($u, $this->face));
        }

        return $points;
    }

    /** @return list<Shape> */
    private function house(): array
    {
        [$left, $right] = [$this->wall('left'), $this->wall('right')];
        $lines = [
            new Outline([$left[count($left) - 1], ...$this->across($left[count($left) - 1], $right[count($right) - 1], true), $right[count($right) - 1]], false, Style::House, 'ceiling'),
            new Outline([$left[0], ...$this->across($left[0], $right[0], false), $right[0]], false, Style::House, 'floor'),
        ];
        foreach (['left' => $left, 'right' => $right] as $side => $points) {
            $lines[] = new Outline($points, false, $this->run->frame->isOpen($side) ? Style::Plumb : Style::House, "wall:$side");
        }

        return $lines;
    }

    /**
     * @param  \Closure(Placed): bool  $which
     * @return list<Shape>
     */
    private function pieces(\Closure $which, Style $style): array
    {
        return $this->shapes(array_values(array_filter($this->assembly->placed, $which)), $style);
    }

    /**
     * @param  list<Placed>  $placed
     * @return list<Shape>
     */
    private function shapes(array $placed, Style $style): array
    {
        // What stands further back is drawn first.
        usort($placed, fn (Placed $a, Placed $b) => $a->bounds->v1 <=> $b->bounds->v1);

        return array_map(fn (Placed $one) => new Outline(
            array_map(fn (Point $point) => $this->surface($point->x, $point->y), $one->prism()->outline(Axis::V)),
            true,
            match ($one->part) {
                Part::Plinth => Style::Plinth,
                Part::Worktop => Style::Worktop,
                default => $one->piece->purpose === Purpose::Back ? Style::Hidden : $style,
            },
            $one->piece->key,
        ), $placed);
    }

    /** @return list<Shape> what stands on the run's own wall, and the studs in it */
    private function things(): array
    {
        $places = new ThingPlace($this->room, $this->run->frame);
        $shapes = [];
        foreach ($this->room->things as $thing) {
            if ($thing->wall !== $this->run->frame->wall || $thing->face->value !== 'wall') {
                continue;
            }
            $block = $places->block($thing);
            if ($thing->kind === ThingKind::Stud) {
                $u = ($block->u0 + $block->u1) / 2;
                $shapes[] = new Outline([new DrawnPoint($u, 0.0), new DrawnPoint($u, $this->run->frame->ceilingAt($u, 0.0))], false, Style::Plumb, "thing:$thing->id");
            } else {
                $shapes[] = Outline::rectangle($block->u0, $block->z0, $block->u1 - $block->u0, $block->z1 - $block->z0, Style::Thing, "thing:$thing->id");
                $shapes[] = new Label(new DrawnPoint(($block->u0 + $block->u1) / 2, ($block->z0 + $block->z1) / 2), $thing->name, Style::Label, "thing:$thing->id", room: max(60.0, $block->u1 - $block->u0));
            }
        }

        return $shapes;
    }

    /** @return list<Shape> the mark of every box, and what the other cells hold */
    private function names(): array
    {
        $named = [];
        $shapes = [];
        foreach ($this->run->cells as $cell) {
            $mark = $cell->boxId === null ? ($cell->tier->isBoxed() ? '' : $cell->label()) : $this->run->box($cell->boxId)->mark ?? '';
            if ($mark !== '' && ! isset($named[$cell->boxId ?? $cell->tier->id])) {
                $named[$cell->boxId ?? $cell->tier->id] = true;
                // Names of what is not built stand high, clear of what stands on the wall.
                $low = min($cell->left, $cell->right);
                $shapes[] = new Label(new DrawnPoint(($cell->u + $cell->end()) / 2, $cell->z + ($cell->boxId === null ? $low - min(90.0, $low / 3) : $low / 2)), $mark, Style::Label, 'name:'.$cell->tier->id, room: $cell->end() - $cell->u);
            }
        }

        return $shapes;
    }

    /** @return list<Shape> */
    private function dimensions(): array
    {
        $write = fn (Length $length) => $this->format->write($length);
        $foot = min(-90.0, $this->run->frame->floorAt($this->run->left, $this->face) - 60.0);
        $shapes = [];
        foreach ($this->run->bays as $bay) {
            $shapes[] = new Dimension(new DrawnPoint($bay->u, $foot), new DrawnPoint($bay->end, $foot), $write($bay->width->result), 'bay:'.$bay->bay->id);
        }
        $right = max($this->run->right, $this->rightWall) + 110.0;
        $last = $this->run->bays[count($this->run->bays) - 1] ?? null;
        foreach ($this->run->cells as $cell) {
            if ($last !== null && $cell->bayId === $last->bay->id) {
                $shapes[] = new Dimension(new DrawnPoint($right, $cell->z), new DrawnPoint($right, $cell->z + $cell->right), $write(Length::ofDouble($cell->right)->roundedDown($this->format->step)), 'tier:'.$cell->tier->id);
            }
        }

        return [...$shapes, ...$this->gapTexts()];
    }

    /** @return list<Shape> */
    private function gapTexts(): array
    {
        $texts = [];
        foreach ($this->gapEdges() as $edge) {
            $box = $this->run->box($edge->owner);
            if ($box === null) {
                continue;
            }
            $text = $this->format->writeRange(Length::ofDouble($edge->gap->least), Length::ofDouble($edge->gap->most));
            $spread = $edge->gap->most - $edge->gap->least;
            $middle = $box->z + ($edge->side === Side::Left ? $box->top->left : $box->top->right) / 2;
            $texts[] = match ($edge->side) {
                Side::Left => new Label(new DrawnPoint($box->u - 60.0, $middle, -$spread), $text, Style::Measure, $edge->key(), 'end'),
                Side::Right => new Label(new DrawnPoint($box->right() + 180.0, $middle + 200.0, $spread), $text, Style::Measure, $edge->key(), 'start'),
                default => new Label(new DrawnPoint(($box->u + $box->right()) / 2, $box->topAt(($box->u + $box->right()) / 2, $box->face()) + $edge->gap->most + 60.0, 0.0, $this->isFlat ? $spread : 0.0), $text, Style::Measure, $edge->key(), room: $box->right() - $box->u),
            };
        }

        return $texts;
    }
}
