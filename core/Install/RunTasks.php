<?php

declare(strict_types=1);

namespace Incastro\Install;

use Incastro\Check\Carried;
use Incastro\Fit\Box;
use Incastro\Fit\Closing\Closing;
use Incastro\Fit\Closing\FittedEdge;
use Incastro\Fit\Closing\Side;
use Incastro\Fit\FittedCell;
use Incastro\Fit\FittedLayout;
use Incastro\Fit\FittedRun;
use Incastro\Fit\FittedSurface;
use Incastro\Fit\Holds\RestsOnWalls;
use Incastro\Fit\Members\Around;
use Incastro\Fit\Members\Beside;
use Incastro\Fit\Members\Over;
use Incastro\Fit\Members\Under;
use Incastro\Fit\Terms;
use Incastro\Install\Checks\GapUnderLevel;
use Incastro\Install\Checks\Within;
use Incastro\Units\Assembly;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/** The tasks of one run besides its boxes: plinths, tops, panels, edges, frames, what stands by itself, and what is hung last. */
final readonly class RunTasks
{
    private const CLOSED = [Closing::Scribe, Closing::Filler, Closing::Trim];

    /**
     * @param  list<Carried>  $carried
     * @param  array<string, array<string, float>>  $levels  the floor under the level line, mm, by the task of a plinth and the place
     */
    public function __construct(private string $space, private Terms $terms, private FittedLayout $layout, private FittedRun $run, private Assembly $assembly, private array $carried, private WallStuds $studs, private BoxOrder $order, private FittingWishes $wishes, private array $levels)
    {
    }

    /** @return list<FittingTask> */
    public function all(): array
    {
        $boxes = new BoxTasks($this->space, $this->terms, $this->run, $this->assembly, $this->carried, $this->studs, $this->order, $this->wishes);
        $tasks = [
            ...array_merge([], ...array_map((new PlinthTasks($this->space, $this->terms, $this->run->frame->wall, $this->assembly, $this->wishes, $this->levels))->of(...), $this->run->under())),
            ...$boxes->all(),
            ...array_map($this->top(...), $this->tops()),
            ...array_map($this->panel(...), $this->run->beside()),
            ...array_merge([], ...array_map($this->frame(...), $this->run->boxes)),
            ...array_map($this->edge(...), array_values(array_filter($this->run->edges, fn (FittedEdge $edge) => $edge->side !== Side::Foot && $edge->side !== Side::Back && in_array($edge->closing, self::CLOSED, true) && $this->run->box($edge->owner) !== null))),
            ...array_merge([], ...array_map($this->toe(...), $this->run->under())),
            ...array_map($this->around(...), $this->run->around()),
            ...array_merge([], ...array_map($this->unit(...), array_values(array_filter($this->run->cells, fn (FittedCell $cell) => $cell->boxId === null && $cell->tier->isBuilt())))),
            ...array_merge([], ...array_map($this->hung(...), $this->run->boxes)),
        ];

        return array_map(fn (FittingTask $task) => $task->kind === TaskKind::Plinth || $task->kind === TaskKind::BoxIn || $task->kind === TaskKind::Unit ? $task->after($this->surfacesBefore()) : $task, $tasks);
    }

    /** @return list<Need> what lies on this wall before furniture comes */
    private function surfacesBefore(): array
    {
        $surfaces = array_filter($this->layout->surfaces, fn (FittedSurface $surface) => $surface->frame->wall === $this->run->frame->wall && WallTasks::isBefore($surface));

        return array_map(fn (FittedSurface $surface) => Need::custom(FittingTask::id(TaskKind::Surface, $surface->surface->id)), array_values($surfaces));
    }

    /** @return list<Over> one of each member that lies over cells */
    private function tops(): array
    {
        $tops = [];
        foreach ($this->run->over() as $over) {
            $tops[$over->memberId()] ??= $over;
        }

        return array_values($tops);
    }

    private function top(Over $over): FittingTask
    {
        $under = array_filter($this->run->boxes, fn (Box $box) => min($over->end(), $box->right()) - max($over->u, $box->u) > 1.0 && $box->highest() <= $over->z + 1.0);
        $boards = array_values(array_filter($this->assembly->placed, fn (Placed $one) => $one->owner === $over->id));
        $weight = Weight::of($boards, $over->length->result->toDouble(), 0.0);

        return new FittingTask(TaskKind::Top, $over->memberId(), "$over->mark scribed and fixed", $this->wishes->minutes(TaskKind::Top), min(3, $weight->people()), [...$this->fixed(array_values($under)), ...$this->standing($over)], [$weight->words(), 'Lay it on, scribe it to the walls, fix it from below. Cut-outs go by the maker’s sheet.'], [Within::topToWall($this->terms->format)], wall: $this->run->frame->wall, place: [$over->u, $over->end(), $over->z, $over->top], kilograms: $weight->kilograms);
    }

    /** @return list<Need> what stands by itself under a top */
    private function standing(Over $over): array
    {
        $cells = array_filter($this->run->cells, fn (FittedCell $cell) => $cell->boxId === null && $cell->tier->isBuilt() && min($over->end(), $cell->end()) - max($over->u, $cell->u) > 1.0 && $cell->z < $over->z);

        return array_map(fn (FittedCell $cell) => Need::on(TaskKind::Unit, $cell->tier->id), array_values($cells));
    }

    private function panel(Beside $panel): FittingTask
    {
        return new FittingTask(TaskKind::Panel, $panel->memberId(), "$panel->mark scribed and fixed", $this->wishes->minutes(TaskKind::Panel), needs: $this->fixed(array_values(array_filter($this->run->boxes, fn (Box $box) => str_contains($panel->side, $box->id)))), words: ['Stand it in place, scribe its back edge to the wall, screw it on from inside the box.'], wall: $this->run->frame->wall, place: [$panel->u, $panel->u + $this->terms->board(), $panel->z, $panel->z + $panel->height->result->toDouble()]);
    }

    private function edge(FittedEdge $edge): FittingTask
    {
        $box = $this->run->box($edge->owner);
        $where = match ($edge->side) {
            Side::Left => 'left',
            Side::Right => 'right',
            default => 'top',
        };
        $name = match ($edge->closing) {
            Closing::Filler => 'filler, scribed',
            Closing::Trim => 'cover trim',
            default => 'scribe, cut, fit',
        };
        $words = [ucfirst(rtrim($edge->reason, '.')).'.'.($edge->scribe === null ? '' : ' Its line is on the Fit page, and full size as a template.')];
        $needs = $box === null ? [] : [...$this->fixed([$box]), Need::on(TaskKind::Frame, $box->id)];

        return new FittingTask(TaskKind::Edge, $edge->key(), sprintf('%s, %s: %s', $box->mark ?? '', $where, $name), $this->wishes->minutes(TaskKind::Edge), needs: $needs, words: $words, wall: $this->run->frame->wall, place: $box === null ? null : $this->beside($box, $edge->side));
    }

    /** @return array{float, float, float, float} */
    private function beside(Box $box, Side $side): array
    {
        return match ($side) {
            Side::Left => [$box->u - 40.0, $box->u, $box->z, $box->highest()],
            Side::Right => [$box->right(), $box->right() + 40.0, $box->z, $box->highest()],
            default => [$box->u, $box->right(), $box->highest(), $box->highest() + 40.0],
        };
    }

    /** @return list<FittingTask> */
    private function frame(Box $box): array
    {
        $moving = $this->assembly->moving();
        $strips = array_filter($this->assembly->placed, fn (Placed $one) => $one->owner === $box->id && $one->part === Part::Face && ! isset($moving[$one->piece->key]));
        if ($strips === []) {
            return [];
        }

        return [new FittingTask(TaskKind::Frame, $box->id, "Face frame of $box->mark", $this->wishes->minutes(TaskKind::Frame), needs: $this->fixed([$box]), words: [sprintf('%d pieces: dry first, then glued and pinned, flush inside.', count($strips))], wall: $this->run->frame->wall, place: FittingTask::placeOf($box))];
    }

    /** @return list<FittingTask> */
    private function toe(Under $under): array
    {
        $is = fn (string $role): bool => array_filter($this->assembly->placed, fn (Placed $one) => $one->owner === $under->id && str_contains($one->piece->key, ":$role")) !== [];
        if (! $is('toe-board') && ! $is('layer-')) {
            return [];
        }

        return [new FittingTask(TaskKind::Toe, $under->id, ($is('layer-') ? 'Skirting of ' : 'Toe board of ').$under->mark, $this->wishes->minutes(TaskKind::Toe, $under->length->result->toDouble() / 1000), needs: $this->fixed($under->boxes), words: ['Scribed to the floor; it hides the shims.'], wall: $this->run->frame->wall, place: [$under->u, $under->end(), 0.0, $under->height->toDouble()])];
    }

    private function around(Around $around): FittingTask
    {
        $boxes = array_values(array_filter($this->run->boxes, fn (Box $box) => $box->u < $around->end() - 1.0 && $box->right() > $around->u + 1.0 && abs($box->face() - $around->face) < 1.0));
        $strips = array_filter($this->assembly->placed, fn (Placed $one) => $one->owner === $around->id);
        $heights = array_merge(...array_map(fn (Placed $one): array => [$one->bounds->z0, $one->bounds->z1], array_values($strips))) ?: [$around->foot, $around->head];

        return new FittingTask(TaskKind::Toe, $around->id, "$around->mark round what stands there", $this->wishes->minutes(TaskKind::Toe, $around->length->result->toDouble() / 1000), needs: [...$this->fixed($boxes), ...array_map(fn (Box $box) => Need::on(TaskKind::Frame, $box->id), $boxes)], words: ['Both sides first, coped over the skirting of the wall and left long; the front is marked between them, its mitres glued.'], wall: $this->run->frame->wall, place: [$around->u, $around->end(), min($heights), max($heights)]);
    }

    /** @return list<FittingTask> */
    private function unit(FittedCell $cell): array
    {
        $mark = $this->mark($cell->tier->id);
        $name = $mark.lcfirst($cell->label());
        $needs = [Need::on(TaskKind::Level, $this->space), Need::on(TaskKind::Studs, $this->space.'/'.$this->run->frame->wall)];
        $place = [$cell->u, $cell->end(), $cell->z, $cell->z + max($cell->left, $cell->right)];
        $tasks = [];
        if ($cell->tier->holds instanceof RestsOnWalls) {
            $tasks[] = new FittingTask(TaskKind::Cleats, $cell->tier->id, sprintf('%scleats for %d boards', $mark, max(1, $cell->boards())), $this->wishes->minutes(TaskKind::Cleats, max(1, $cell->boards())), needs: $needs, words: ['Each one level, screwed to every stud that it meets.'], checks: [new GapUnderLevel('level', 'Level', ['left end', 'right end'], $this->terms->rules->either(...GapUnderLevel::SHORT)->toDouble(), $cell->width->result->toDouble(), $this->terms->format)], wall: $this->run->frame->wall, place: $place);
            $needs = [Need::on(TaskKind::Cleats, $cell->tier->id)];
        }
        $beside = array_filter($this->run->boxes, fn (Box $box) => abs($box->right() - $cell->u) < 5.0 || abs($box->u - $cell->end()) < 5.0);
        $soft = array_map(fn (Need $need) => Need::custom($need->task), $this->fixed(array_values($beside)));

        return [...$tasks, new FittingTask(TaskKind::Unit, $cell->tier->id, $name, $this->wishes->minutes(TaskKind::Unit), needs: [...$needs, ...$soft], words: ['Set it by the level line, and fix it as its pieces say.'], wall: $this->run->frame->wall, place: $place)];
    }

    /** The mark that begins those of its pieces, to begin a name with: "T1: ". */
    private function mark(string $owner): string
    {
        $mark = $this->assembly->markOf($owner);

        return $mark === null ? '' : "$mark: ";
    }

    /** @return list<FittingTask> what is hung in a box, and pulls */
    private function hung(Box $box): array
    {
        $moves = $this->assembly->movementsOf($box);
        $moving = $this->assembly->moving();
        $shelves = array_filter($this->assembly->placed, fn (Placed $one) => $one->owner === $box->id && $one->part === Part::Loose && ! isset($moving[$one->piece->key]));
        $count = count($moves) + ($shelves === [] ? 0 : 1);
        if ($count === 0) {
            return [];
        }
        $group = $this->order->group($box->id)[0]->id;
        $needs = [...$this->fixed([$box]), Need::on(TaskKind::Proved, $group), Need::on(TaskKind::Frame, $box->id)];
        $what = array_values(array_filter([$moves === [] ? '' : sprintf('%d %s', count($moves), count($moves) === 1 ? 'door or drawer' : 'doors and drawers'), $shelves === [] ? '' : 'loose shelves']));
        $tasks = [new FittingTask(TaskKind::Hung, $box->id, sprintf('%s: %s in', $box->mark, implode(', ', $what)), $this->wishes->minutes(TaskKind::Hung, $count), needs: $needs, words: [$moves === [] ? 'Pins in at one height all round, then the shelves on them.' : 'Set hinges and slides by their marks, then even the reveals.'], checks: $moves === [] ? [] : [Within::reveals($this->terms->format)], wall: $this->run->frame->wall, place: FittingTask::placeOf($box))];

        return $moves === [] ? $tasks : [...$tasks, new FittingTask(TaskKind::Pulls, $box->id, "$box->mark: pulls, catches and stays", $this->wishes->minutes(TaskKind::Pulls, count($moves)), needs: [Need::on(TaskKind::Hung, $box->id)], words: ['One template for all of a row.'], wall: $this->run->frame->wall, place: FittingTask::placeOf($box))];
    }

    /**
     * @param  list<Box>  $boxes
     * @return list<Need> that these are fixed, each with its group
     */
    private function fixed(array $boxes): array
    {
        $groups = array_unique(array_map(fn (Box $box) => $this->order->group($box->id)[0]->id, $boxes));

        return array_map(fn (string $first) => Need::on(TaskKind::Fixed, $first), array_values($groups));
    }
}
