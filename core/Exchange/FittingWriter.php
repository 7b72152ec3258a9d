<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Drawing\FittingDrawing;
use Incastro\Drawing\ScreenWriter;
use Incastro\Fit\FittedSurface;
use Incastro\Install\BoxOrder;
use Incastro\Install\Check;
use Incastro\Install\Checked;
use Incastro\Install\FittingDay;
use Incastro\Install\FittingTask;
use Incastro\Install\KeptFree;
use Incastro\Install\Placed;
use Incastro\Install\ScrewPlace;
use Incastro\Install\Session;
use Incastro\Install\TaskKind;
use Incastro\Install\WallStuds;
use Incastro\Install\Zone;
use Incastro\Measure\Length;
use Incastro\Planning\Fitting;

/**
 * Fitting day as the page has it, with everything that a device without a network needs: tasks with all that is said and read there, what each
 * reading means, drawings of walls, when what is dry.
 */
final readonly class FittingWriter
{
    private FittingDay $day;

    /**
     * @param  array<string, array{ids: list<string>, reading: float, texts: list<string>, left: bool}>  $checks  readings that stand, by task and check
     * @param  array<string, list<array{id: string, u: float, hit: bool}>>  $studs  as noted on fitting day
     */
    public function __construct(private Fitting $fitting, private Zone $zone, private array $checks = [], private array $studs = [])
    {
        $this->day = $fitting->day;
    }

    /** @return array<string, mixed> */
    public function write(): array
    {
        $end = $this->day->schedule()->end();
        $bound = $this->day->bound();

        return [
            'tasks' => array_map($this->task(...), array_values($this->day->precedence->tasks)),
            'now' => $this->day->now(),
            'done' => $this->day->countDone(),
            'sentence' => $this->day->sentence(),
            'sessions' => $this->sessions(),
            'end' => $end === null ? null : $this->when($end),
            'proven' => $end !== null && $bound !== null && $end === $bound,
            'bound' => $bound === null ? null : $this->when($bound),
            'chain' => array_map(fn (Placed $one): string => $one->task->id, $end === null ? [] : $this->day->schedule()->chain()),
            'helps' => $end === null ? [] : array_map($this->help(...), $this->day->helps($this->zone->offset(...))),
            'unplaced' => (object) $this->day->schedule()->unplaced,
            'drying' => array_map(fn (array $one): array => ['task' => $one['task'], 'name' => $this->day->precedence->tasks[$one['task']]->name, 'product' => $one['product']->label(), 'for' => $one['for'], 'until' => $this->when($one['until'])], $this->day->drying()),
            'walls' => $this->walls(),
            'refused' => array_map(fn (array $wish): string => sprintf('“%s before %s” is left out: it would close a circle.', $this->day->precedence->tasks[$wish[0]]->name, $this->day->precedence->tasks[$wish[1]]->name), $this->day->precedence->refused),
            'kinds' => array_map(fn (TaskKind $kind): array => ['value' => $kind->value, 'label' => $kind->label(), 'minutes' => $kind->minutes(), 'per' => $kind->per()], array_values(array_filter(TaskKind::cases(), fn (TaskKind $kind) => ! $kind->isLicensed()))),
        ];
    }

    /** @return array<string, mixed> */
    private function task(FittingTask $task): array
    {
        $placed = $this->day->schedule()->placed[$task->id] ?? null;
        $isDone = $this->day->isDone($task->id);
        $waits = $this->day->waitsFor($task->id);
        $ready = $this->day->readyAt($task->id);
        $format = $this->fitting->plan->job->format;
        $name = fn (string $id): string => $this->day->precedence->tasks[$id]->name;

        return [
            'id' => $task->id, 'kind' => $task->kind->value, 'name' => $task->name, 'minutes' => (int) ceil($task->minutes), 'people' => $task->people,
            'words' => $task->words, 'tools' => $task->kind->tools(), 'caution' => $task->kind->caution(), 'problem' => $task->problem,
            'wall' => $this->wallOf($task), 'done' => $isDone, 'done_at' => $isDone ? $this->when($this->day->progress->done[$task->id]) : null,
            'after' => array_map($name, $waits), 'needs' => array_keys($this->day->precedence->needs[$task->id]), 'before' => array_map($name, array_slice(array_values(array_filter($this->day->precedence->followers($task->id), fn (string $id) => ! str_starts_with($id, TaskKind::Cleared->value))), 0, 4)),
            'held' => $isDone ? '' : $this->day->held($task),
            'ready' => ! $isDone && $waits === [] && $this->day->held($task) === '' && $ready <= $this->day->progress->now,
            'dry' => ! $isDone && $waits === [] && $ready > $this->day->progress->now ? $this->when($ready) : null,
            'licensed' => $task->kind->isLicensed() ? substr($task->id, strlen($task->kind->value) + 1) : null,
            'session' => $placed?->session->id, 'start' => $placed === null ? null : $this->when($placed->start),
            'applies' => $task->applies?->label(), 'may_be_left' => $task->kind->mayBeLeft(),
            'screws' => $this->screws($task->screws),
            'packs' => $task->kind === TaskKind::Plinth ? array_map(fn (array $one): array => ['at' => $format->write(Length::ofDouble($one['u'])), 'text' => $one['text'], 'place' => $one['place'] ?? ''], $task->packs) : [],
            'checks' => array_map(fn (Check $check): array => $this->check($task, $check, $isDone), $task->checks),
        ];
    }

    /**
     * Screws that are alike said once, from the top.
     *
     * @param  list<ScrewPlace>  $screws
     * @return list<array{at: string, words: string, found: bool, warning: ?string}>
     */
    private function screws(array $screws): array
    {
        $format = $this->fitting->plan->job->format;
        $say = fn (float $mm): string => $format->write(Length::ofDouble($mm));

        return array_map(fn (ScrewPlace $one): array => [
            'at' => $one->isFound ? sprintf('%s: %s along the wall, %s up', $one->nailer, $say($one->u), $say($one->z)) : sprintf('%s: expected, probe %s to %s, %s up', $one->nailer, $say($one->from), $say($one->to), $say($one->z)),
            'words' => $one->words, 'found' => $one->isFound, 'warning' => $one->warning,
        ], $screws);
    }

    /** @return array<string, mixed> */
    private function check(FittingTask $task, Check $check, bool $isDone): array
    {
        $format = $this->fitting->plan->job->format;
        $checked = new Checked($check, $format);
        $nm = fn (float $mm): int => Length::ofDouble($mm)->nanometres();
        $believed = $checked->believed();
        $read = $this->checks["$task->id#{$check->key()}"] ?? null;

        return [
            'key' => $check->key(), 'label' => $check->label(), 'fields' => $check->fields(), 'ends' => $check->ends(), 'allowed' => $check->allowed(),
            'expected' => $check->expected() === null ? null : $format->write(Length::ofDouble($check->expected())),
            'believed' => $believed === null ? null : array_map($nm, $believed),
            'read' => $read === null ? null : ['ids' => $read['ids'], 'texts' => $read['texts'], 'left' => $read['left']] + $checked->judged($read['reading']),
            // What is done is not read again without a network.
            'table' => $isDone ? [] : array_map(fn (array $row): array => ['nm' => $nm($row['mm']), 'is' => $row['is'], 'says' => $row['says']], $checked->table()),
        ];
    }

    private function wallOf(FittingTask $task): ?string
    {
        if ($task->wall === null) {
            return null;
        }
        foreach ($this->fitting->tasks as $space => $tasks) {
            if (in_array($task, $tasks, true)) {
                return "$space/$task->wall";
            }
        }

        return null;
    }

    /** @return list<array<string, mixed>> */
    private function sessions(): array
    {
        return array_map(fn (Session $one): array => [
            'id' => $one->id, 'day' => $this->zone->day($one->start), 'hours' => $this->zone->hour($one->start).'–'.$this->zone->hour($one->end), 'people' => $one->people,
            'past' => $one->closes() <= $this->day->progress->now, 'start' => str_replace(' ', 'T', $this->zone->local($one->start)), 'end' => str_replace(' ', 'T', $this->zone->local($one->end)),
        ], $this->fitting->wishes->sessions);
    }

    /** @return array{at: int, text: string} a moment, and as it is said there */
    private function when(int $moment): array
    {
        return ['at' => $moment, 'text' => $this->zone->day($moment).', '.$this->zone->hour($moment)];
    }

    /**
     * @param  array{visit: ?Session, people: int, end: int}  $help
     * @return array{sentence: string, start: ?string, end: ?string}
     */
    private function help(array $help): array
    {
        $ends = $this->zone->day($help['end']);
        $visit = $help['visit'];
        if ($visit === null) {
            return ['sentence' => "One more person each time: it ends on $ends.", 'start' => null, 'end' => null];
        }
        $minutes = intdiv($visit->end - $visit->start, 60);
        $long = $minutes < 60 ? "$minutes min" : rtrim(sprintf('%d h %s', intdiv($minutes, 60), $minutes % 60 === 0 ? '' : $minutes % 60));

        return ['sentence' => sprintf('A visit of %s on %s at %s: it ends on %s.', $long, $this->zone->day($visit->start), $this->zone->hour($visit->start), $ends), 'start' => str_replace(' ', 'T', $this->zone->local($visit->start)), 'end' => str_replace(' ', 'T', $this->zone->local($visit->end))];
    }

    /** @return list<array<string, mixed>> every wall that furniture stands at, with its studs and its drawing */
    private function walls(): array
    {
        $walls = [];
        $format = $this->fitting->plan->job->format;
        foreach ($this->fitting->plan->spaces as $space) {
            $room = $space->survey->room;
            $tasks = $this->fitting->tasks[$space->space->id];
            if ($room === null || $space->layout === null || $tasks === []) {
                continue;
            }
            $terms = $this->fitting->terms($space);
            $sequence = (new BoxOrder($space->layout, $this->fitting->wishes, $this->fitting->studs($space)))->sequence();
            foreach ($this->fitting->studs($space) as $wall => $studs) {
                $runs = [];
                foreach ($space->layout->runs as $r => $run) {
                    if ($run->frame->wall === $wall) {
                        $runs[] = [$run, $space->assemblies[$r]];
                    }
                }
                $surfaces = array_values(array_filter($space->layout->surfaces, fn (FittedSurface $surface) => $surface->frame->wall === $wall));
                if ($runs === [] && $surfaces === []) {
                    continue;
                }
                $frame = $room->frame($wall);
                $name = $room->shape->wallName($wall);
                $drawing = new FittingDrawing($frame, $runs, $surfaces, $studs, KeptFree::of($frame, $terms), $format, $sequence);
                $mine = array_values(array_filter($tasks, fn (FittingTask $task) => $task->wall === $wall));
                $drawn = $drawing->draw("$name, seen from the room", $mine);
                $key = "{$space->space->id}/$wall";
                $walls[] = [
                    'key' => $key, 'name' => ucfirst($name).(count($this->fitting->plan->spaces) > 1 ? ', '.$space->space->name : ''), 'length' => $format->write(Length::ofDouble($frame->length())),
                    'kind' => $this->fitting->wishes->wall($space->space->id, $wall)->value, 'drawing' => ScreenWriter::write($drawn), 'shown' => (object) array_map(fn (FittingTask $task): array => $drawing->shown($task), array_column(array_filter($mine, fn (FittingTask $task) => $task->place !== null), null, 'id')),
                    'studs' => $this->studsOf($studs, $this->studs[$key] ?? []),
                ];
            }
        }

        return $walls;
    }

    /**
     * @param  list<array{id: string, u: float, hit: bool}>  $noted
     * @return array<string, mixed>
     */
    private function studsOf(WallStuds $studs, array $noted): array
    {
        $format = $this->fitting->plan->job->format;
        $say = fn (float $mm): string => $format->write(Length::ofDouble($mm));
        $pitches = array_map($say, $studs->pitches);

        return [
            'found' => array_map($say, $studs->found),
            'expected' => array_map(fn (array $one): string => sprintf('%s, probe %s to %s', $say($one['u']), $say($one['from']), $say($one['to'])), $studs->expected),
            'noted' => array_map(fn (array $one): array => ['id' => $one['id'], 'text' => $say($one['u']), 'hit' => $one['hit']], $noted),
            'says' => match (count($pitches)) {
                0 => count($studs->found) === 0 ? 'No stud is noted yet.' : 'Three studs tell where the others are.',
                1 => sprintf('They stand every %s.', $pitches[0]),
                default => sprintf('Every %s: %s.', implode(' or ', array_slice($pitches, 0, 2)), $studs->decides === null ? 'on this wall that makes no difference' : sprintf('a stud found near %s decides', $say($studs->decides))),
            },
        ];
    }
}
