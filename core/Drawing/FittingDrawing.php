<?php

declare(strict_types=1);

namespace Incastro\Drawing;

use Incastro\Fit\Box;
use Incastro\Fit\FittedRun;
use Incastro\Fit\FittedSurface;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Install\FittingTask;
use Incastro\Install\KeptFree;
use Incastro\Install\ScrewPlace;
use Incastro\Install\WallStuds;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Survey\Room\RunFrame;
use Incastro\Units\Assembly;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/**
 * A wall on fitting day, seen from the room: what stands before it, its studs, the strips that are kept free, and for each task the place where it
 * is done with its screws and packs; those lie in a layer that is named after the task.
 */
final readonly class FittingDrawing
{
    private const CORNERS = 12;

    /** Of its width and height together. */
    private const SCREW = 0.006;

    private const STEPS = 16;

    /** Wall beside a place, and beyond the wall's ends, mm; what is kept for texts above and below, of its height; and how wide at least, of that. */
    private const BESIDE = 250.0;

    private const MARGIN = 60.0;

    private const ABOVE = 0.1;

    private const UPRIGHT = 0.6;

    private float $length;

    private float $top;

    /**
     * @param  list<array{FittedRun, Assembly}>  $runs  on this wall
     * @param  list<FittedSurface>  $surfaces  on this wall
     * @param  list<string>  $sequence  ids of boxes as they go in
     */
    public function __construct(private RunFrame $frame, private array $runs, private array $surfaces, private WallStuds $studs, private KeptFree $free, private LengthFormat $format, private array $sequence = [])
    {
        $this->length = $frame->length();
        $this->top = max($frame->ceilingAt(0.0, 0.0), $frame->ceilingAt($this->length, 0.0));
    }

    /** @param list<FittingTask> $tasks on this wall */
    public function draw(string $name, array $tasks): Drawing
    {
        $layers = ['wall' => [$this->house()], 'behind' => [], 'furniture' => [], 'nailers' => []];
        foreach ($this->surfaces as $surface) {
            $layers['behind'][] = Outline::rectangle($surface->u, $surface->z, $surface->width->result->toDouble(), $surface->height->result->toDouble(), Style::BoardBehind);
        }
        foreach ($this->runs as [$run, $assembly]) {
            foreach ($assembly->placed as $placed) {
                if ($placed->part === Part::Nailer || $placed->part === Part::Plinth || $placed->part === Part::Cleat) {
                    $layers['nailers'][] = $this->piece($placed);
                }
            }
            foreach ($run->boxes as $box) {
                $layers['furniture'][] = Outline::polygon(self::seen($box), Style::Board);
                $middle = new DrawnPoint(($box->u + $box->right()) / 2, ($box->z + $box->highest()) / 2);
                $at = array_search($box->id, $this->sequence, true);
                $isOneOfMany = $at !== false && count($this->sequence) > 1;
                $layers['names'][] = new Label($middle, $isOneOfMany ? sprintf('%s, in as no. %d', $box->mark, $at + 1) : $box->mark, Style::Label, room: $isOneOfMany ? $box->right() - $box->u : null, short: $box->mark);
            }
            foreach ($run->over() as $over) {
                $layers['furniture'][] = Outline::rectangle($over->u, $over->z, $over->end() - $over->u, $over->top - $over->z, Style::Board);
            }
        }
        $layers['strips'] = array_map(fn (array $strip) => Outline::rectangle(max(0.0, $strip['u0']), max(0.0, $strip['z0']), min($this->length, $strip['u1']) - max(0.0, $strip['u0']), min($this->top, $strip['z1']) - max(0.0, $strip['z0']), Style::Kept), $this->free->strips());
        $layers['studs'] = $this->studs();
        foreach ($tasks as $task) {
            $layers['task '.$task->id] = $this->task($task);
        }

        return new Drawing($name, $layers);
    }

    /**
     * What of the wall is looked at for a task: its place with some of the wall beside it, and room for what is written above and below; all of the
     * wall where it has no place; mm.
     *
     * @return array{x: float, y: float, width: float, height: float}
     */
    public function shown(?FittingTask $task): array
    {
        $high = (1 + 2 * self::ABOVE) * $this->top;
        [$from, $to] = $task?->place === null ? [0.0, $this->length] : [$task->place[0] - self::BESIDE, $task->place[1] + self::BESIDE];
        // A narrow place is not drawn any larger than the height allows.
        $wide = min($this->length + 2 * self::MARGIN, max($to - $from, self::UPRIGHT * $high));
        $x = max(-self::MARGIN, min($this->length + self::MARGIN - $wide, ($from + $to - $wide) / 2));

        return ['x' => $x, 'y' => -self::ABOVE * $this->top, 'width' => $wide, 'height' => $high];
    }

    private function house(): Outline
    {
        $points = [new DrawnPoint(0.0, $this->frame->floorAt(0.0, 0.0)), new DrawnPoint($this->length, $this->frame->floorAt($this->length, 0.0))];
        for ($i = self::STEPS; $i >= 0; $i--) {
            $u = $this->length * $i / self::STEPS;
            $points[] = new DrawnPoint($u, $this->frame->ceilingAt($u, 0.0));
        }

        return new Outline($points, true, Style::House, 'wall');
    }

    private function piece(Placed $placed): Outline
    {
        $bounds = $placed->bounds;

        return Outline::rectangle($bounds->u0, $bounds->z0, $bounds->u1 - $bounds->u0, $bounds->z1 - $bounds->z0, Style::BoardBehind, $placed->piece->key);
    }

    /** @return list<Shape> */
    private function studs(): array
    {
        $line = fn (float $u, Style $style): Outline => new Outline([new DrawnPoint($u, 0.0), new DrawnPoint($u, $this->frame->ceilingAt($u, 0.0))], false, $style);
        $shapes = [];
        foreach ($this->studs->found as $u) {
            array_push($shapes, $line($u, Style::Plumb), new Label(new DrawnPoint($u, 1.02 * $this->top), $this->write($u), Style::Measure, anchor: 'start', turned: true));
        }
        foreach ($this->studs->expected as $one) {
            array_push($shapes, Outline::rectangle($one['from'], 0.0, $one['to'] - $one['from'], $this->frame->ceilingAt($one['u'], 0.0), Style::Gap), $line($one['u'], Style::Hidden));
        }

        return $shapes;
    }

    /** @return list<Shape> */
    private function task(FittingTask $task): array
    {
        $shapes = [];
        if ($task->place !== null) {
            [$u0, $u1, $z0, $z1] = $task->place;
            $shapes[] = Outline::polygon($this->boxAt($task->place) ?? Polygon::rectangle($u0, $z0, $u1 - $u0, $z1 - $z0), Style::Cell, $task->id);
        }
        foreach ($task->screws as $screw) {
            array_push($shapes, $this->screw($screw));
        }
        foreach ($task->screws === [] ? $this->bearers($task) : [] as $i => $u) {
            $shapes[] = new Label(new DrawnPoint($u, -0.035 * $this->top), (string) ($i + 1), Style::Measure);
        }

        return $shapes;
    }

    /**
     * The outline of the box that a place is the bounds of; null where it is another place.
     *
     * @param  array{float, float, float, float}  $place
     */
    private function boxAt(array $place): ?Polygon
    {
        foreach ($this->runs as [$run]) {
            foreach ($run->boxes as $box) {
                if ($place === FittingTask::placeOf($box)) {
                    return self::seen($box);
                }
            }
        }

        return null;
    }

    private static function seen(Box $box): Polygon
    {
        return new Polygon([new Point($box->u, $box->z), new Point($box->right(), $box->z), new Point($box->right(), $box->topAt($box->right(), $box->v)), new Point($box->u, $box->topAt($box->u, $box->v))]);
    }

    private function screw(ScrewPlace $screw): Outline
    {
        $r = self::SCREW * ($this->length + $this->top);

        return Outline::polygon(Polygon::oval(new Point($screw->u, $screw->z), 2 * $r, 2 * $r, self::CORNERS), $screw->isFound ? Style::Screw : Style::Hidden, 'screw');
    }

    /** @return list<float> where its bearers are, mm */
    private function bearers(FittingTask $task): array
    {
        return array_values(array_unique(array_column($task->packs, 'u')));
    }

    private function write(float $u): string
    {
        return $this->format->withoutUnit(Length::ofDouble($u));
    }
}
