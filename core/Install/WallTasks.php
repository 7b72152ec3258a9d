<?php

declare(strict_types=1);

namespace Incastro\Install;

use Incastro\Fit\FittedLayout;
use Incastro\Fit\FittedRun;
use Incastro\Fit\FittedSurface;
use Incastro\Fit\Holds\GoesOnLast;
use Incastro\Fit\Terms;
use Incastro\Fit\ThingPlace;
use Incastro\Install\Checks\Within;
use Incastro\Rules\Parameters\Blueprint;
use Incastro\Survey\Room\RunFrame;
use Incastro\Survey\Things\Face;
use Incastro\Survey\Things\Thing;
use Incastro\Survey\Things\ThingKind;
use Incastro\Survey\Things\ThingRule;

/** What is done to the walls of a space: trim off, looked behind, services moved, the level line, studs; and what lies on them. */
final readonly class WallTasks
{
    /** Somebody licensed moves these. */
    private const SERVICES = [ThingKind::Socket, ThingKind::Switch, ThingKind::JunctionBox, ThingKind::Radiator, ThingKind::Pipe, ThingKind::Valve, ThingKind::Trap];

    public function __construct(private string $space, private Terms $terms, private FittedLayout $layout, private FittingWishes $wishes)
    {
    }

    /** @return list<FittingTask> before anything stands */
    public function before(): array
    {
        $tasks = [];
        $walls = $this->walls();
        if ($walls === []) {
            return [];
        }
        $stripped = $this->terms->room->skirtingHeight > 0.0 && ! $this->terms->rules->skirtingStays ? $walls : [];
        foreach ($stripped as $wall => $frame) {
            $metres = $frame->length() / 1000;
            $tasks[] = new FittingTask(TaskKind::Strip, $this->at($wall), sprintf('Skirting and trim off%s', $this->of($wall)), $this->wishes->minutes(TaskKind::Strip, $metres), words: ['Score the paint line first, then lever off from a stud.'], wall: $wall);
            $tasks[] = new FittingTask(TaskKind::Look, $this->at($wall), sprintf('Look behind%s', $this->of($wall)), $this->wishes->minutes(TaskKind::Look), needs: [Need::on(TaskKind::Strip, $this->at($wall))], words: ['What was not known before shows now: cables, pipes, damp, an old fireplace. Where something is in doubt, stop and ask.'], wall: $wall);
        }
        $looked = array_map(fn (int $wall) => Need::on(TaskKind::Look, $this->at($wall)), array_keys($stripped));
        foreach ($this->moved() as $thing) {
            $tasks[] = new FittingTask(TaskKind::Service, $thing->id, sprintf('%s moved', ucfirst($thing->name)), 0.0, needs: $looked, words: [$this->dated($thing)], wall: $thing->face === Face::Wall ? $thing->wall : null);
        }
        $round = array_sum(array_map(fn (RunFrame $frame) => $frame->length(), $walls));
        $ready = [...$looked, ...array_map(fn (Thing $thing) => Need::on(TaskKind::Service, $thing->id), $this->moved())];
        $tasks[] = new FittingTask(TaskKind::Level, $this->space, 'Level line all round', $this->wishes->minutes(TaskKind::Level), needs: $ready, words: ['Strike it at one height on every wall that furniture meets; every height is measured from it.'], checks: [Within::levelLine($round, $this->terms->format)]);
        foreach ($walls as $wall => $frame) {
            $kind = $this->wishes->wall($this->space, $wall);
            $tasks[] = new FittingTask(TaskKind::Studs, $this->at($wall), ($kind->hasStuds() ? 'Studs found and marked' : 'Cables and pipes looked for').$this->of($wall), $this->wishes->minutes(TaskKind::Studs, $frame->length() / 1000), needs: $ready, words: [$kind->hasStuds() ? 'Find both edges with the detector, probe with a fine bit where a nailer will hide it, and note the middle line.' : 'This wall takes plugs: mark where cables and pipes run.'], wall: $wall);
        }

        return $tasks;
    }

    /** @return list<FittingTask> what lies on walls */
    public function surfaces(): array
    {
        $tasks = [];
        foreach ($this->layout->surfaces as $surface) {
            $tasks[] = $this->surface($surface);
        }
        foreach ($this->opened() as $thing) {
            $tasks[] = new FittingTask(TaskKind::Refit, $thing->id, sprintf('%s brought forward', ucfirst($thing->name)), 0.0, needs: array_map(fn (FittedRun $run) => Need::on(TaskKind::Fixed, $run->boxes[0]->id), array_values(array_filter($this->layout->runs, fn (FittedRun $run) => $run->boxes !== [] && $run->frame->wall === $thing->wall))), words: [$this->dated($thing)], wall: $thing->wall);
        }

        return $tasks;
    }

    /** Whether furniture waits for it: what is not trim stands before its wall or closes it. */
    public static function isBefore(FittedSurface $surface): bool
    {
        return ! $surface->surface->holds instanceof GoesOnLast;
    }

    private function surface(FittedSurface $surface): FittingTask
    {
        $label = Blueprint::of($surface->surface->holds::class)->about->label;
        $wall = $surface->frame->wall;
        $needs = [Need::on(TaskKind::Level, $this->space), Need::on(TaskKind::Studs, $this->at($wall))];
        if ($surface->host !== null) {
            $needs[] = Need::on(TaskKind::Surface, $surface->host->surface->id);
        }
        if (! self::isBefore($surface)) {
            foreach ($this->layout->runs as $run) {
                array_push($needs, ...array_map(fn ($box) => Need::custom(FittingTask::id(TaskKind::Fixed, $box->id)), $run->boxes));
            }
        }

        return new FittingTask(TaskKind::Surface, $surface->surface->id, sprintf('%s: %s', $surface->mark, lcfirst($label)), $this->wishes->minutes(TaskKind::Surface), needs: $needs, words: [sprintf('%s wide and %s high, from %s along the wall.', $this->terms->format->write($surface->width->result), $this->terms->format->write($surface->height->result), $this->terms->write($surface->u))], wall: $wall, place: [$surface->u, $surface->end(), $surface->z, $surface->z + $surface->height->result->toDouble()]);
    }

    /** @return array<int, RunFrame> the walls that furniture stands or lies on */
    private function walls(): array
    {
        $walls = [];
        foreach ($this->layout->runs as $run) {
            if (! $run->isOpen()) {
                $walls[$run->frame->wall] = $run->frame;
            }
        }
        foreach ($this->layout->surfaces as $surface) {
            $walls[$surface->frame->wall] = $surface->frame;
        }

        return $walls;
    }

    /** @return list<Thing> that somebody licensed takes away or moves */
    private function moved(): array
    {
        return array_values(array_filter($this->terms->room->things, fn (Thing $thing) => $thing->rule === ThingRule::Removed && in_array($thing->kind, self::SERVICES, true)));
    }

    /** @return list<Thing> sockets and switches that a box stands before */
    private function opened(): array
    {
        $opened = [];
        foreach ($this->layout->runs as $run) {
            foreach ((new ThingPlace($this->terms->room, $run->frame))->onItsWall(ThingKind::Socket, ThingKind::Switch, ThingKind::JunctionBox) as [$thing, $block]) {
                foreach ($thing->rule === ThingRule::Reachable ? $run->boxes : [] as $box) {
                    $isBehind = min($block->u1, $box->right()) - max($block->u0, $box->u) > 1.0 && min($block->z1, $box->highest()) - max($block->z0, $box->z) > 1.0;
                    $opened += $isBehind ? [$thing->id => $thing] : [];
                }
            }
        }

        return array_values($opened);
    }

    private function dated(Thing $thing): string
    {
        return isset($this->wishes->dates[$thing->id]) ? 'Somebody licensed does it, on the day that you noted.' : 'Somebody licensed does it. Note the day, and what comes after it gets its date.';
    }

    private function at(int $wall): string
    {
        return "$this->space/$wall";
    }

    private function of(int $wall): string
    {
        return count($this->walls()) < 2 ? '' : ', '.$this->terms->room->shape->wallName($wall);
    }
}
