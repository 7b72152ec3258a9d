<?php

declare(strict_types=1);

namespace Incastro\Drawing;

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

    private float $length;

    private float $top;

    /**
     * @param  list<array{FittedRun, Assembly}>  $runs  on this wall
     * @param  list<FittedSurface>  $surfaces  on this wall
     */
    public function __construct(private RunFrame $frame, private array $runs, private array $surfaces, private WallStuds $studs, private KeptFree $free, private LengthFormat $format)
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
                $layers['furniture'][] = Outline::polygon(new Polygon([new Point($box->u, $box->z), new Point($box->right(), $box->z), new Point($box->right(), $box->topAt($box->right(), $box->v)), new Point($box->u, $box->topAt($box->u, $box->v))]), Style::Board);
                $layers['names'][] = new Label(new DrawnPoint(($box->u + $box->right()) / 2, ($box->z + $box->highest()) / 2), $box->mark, Style::Label);
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
            array_push($shapes, $line($u, Style::Plumb), new Label(new DrawnPoint($u, $this->top + 0.03 * $this->top), $this->write($u), Style::Measure));
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
            $shapes[] = Outline::rectangle($u0, $z0, $u1 - $u0, $z1 - $z0, Style::Cell, $task->id);
        }
        foreach ($task->screws as $screw) {
            array_push($shapes, $this->screw($screw));
        }
        foreach ($this->columns($task->screws) as [$u, $z, $text]) {
            $shapes[] = new Label(new DrawnPoint($u, $z), $text, Style::Measure);
        }
        foreach ($task->screws === [] ? $this->packs($task) : [] as [$u, $text]) {
            $shapes[] = new Label(new DrawnPoint($u, -0.04 * $this->top), $text, Style::Measure);
        }

        return $shapes;
    }

    private function screw(ScrewPlace $screw): Outline
    {
        $r = self::SCREW * ($this->length + $this->top);

        return Outline::polygon(Polygon::oval(new Point($screw->u, $screw->z), 2 * $r, 2 * $r, self::CORNERS), $screw->isFound ? Style::Screw : Style::Hidden, 'screw');
    }

    /**
     * How far along the wall the screws of a nailer are, said once for each stud, over its highest.
     *
     * @param  list<ScrewPlace>  $screws
     * @return list<array{float, float, string}>
     */
    private function columns(array $screws): array
    {
        $columns = [];
        foreach ($screws as $screw) {
            $key = (string) round($screw->u);
            $columns[$key] = [$screw->u, max($screw->z, $columns[$key][1] ?? 0.0), $this->write($screw->u)];
        }

        return array_map(fn (array $one): array => [$one[0], $one[1] + 0.035 * $this->top, $one[2]], array_values($columns));
    }

    /** @return list<array{float, string}> what lies under each bearer: back, and front */
    private function packs(FittingTask $task): array
    {
        $packs = [];
        foreach ($task->packs as $pack) {
            $packs[(string) round($pack['u'])][] = $pack['text'];
        }

        return array_map(fn (string|int $u, array $texts): array => [(float) $u, implode(' / ', $texts)], array_keys($packs), $packs);
    }

    private function write(float $u): string
    {
        return $this->format->write(Length::ofDouble($u));
    }
}
