<?php

declare(strict_types=1);

namespace Incastro\Install;

use Incastro\Fit\Terms;
use Incastro\Units\Assembly;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/** Filling, sanding, priming, caulking and coats of a space, each when what came before has dried, and clearing up at the end. */
final readonly class FinishTasks
{
    /** Parts that are painted in their place. */
    private const SEEN = [Part::Face, Part::Cladding, Part::Worktop, Part::Lining];

    private const COVERED = [TaskKind::Top, TaskKind::Panel, TaskKind::Edge, TaskKind::Frame, TaskKind::Toe, TaskKind::Surface, TaskKind::Unit, TaskKind::Fixed];

    /** @param list<Assembly> $assemblies */
    public function __construct(private string $space, private Terms $terms, private array $assemblies, private FittingWishes $wishes)
    {
    }

    /**
     * @param  list<FittingTask>  $tasks  all others
     * @return list<FittingTask> with those that wait for the paint waiting for it
     */
    public function after(array &$tasks): array
    {
        if ($tasks === []) {
            return [];
        }
        $covered = array_map(fn (FittingTask $task) => new Need($task->id), array_values(array_filter($tasks, fn (FittingTask $task) => in_array($task->kind, self::COVERED, true))));
        $finish = $this->terms->rules->painted && $covered !== [] ? $this->painted($covered) : [];
        $coats = array_filter($finish, fn (FittingTask $task) => $task->kind === TaskKind::Coat);
        $last = $coats === [] ? null : $coats[array_key_last($coats)];
        if ($last !== null) {
            $hang = new Need($last->id, true, $this->wishes->paint->toHang());
            $tasks = array_map(fn (FittingTask $task) => $task->kind === TaskKind::Hung ? $task->after([$hang]) : $task, $tasks);
        }
        $all = array_map(fn (FittingTask $task) => new Need($task->id), [...$tasks, ...$finish]);

        return [...$finish, new FittingTask(TaskKind::Cleared, $this->space, 'Cleared up, leftovers noted', $this->wishes->minutes(TaskKind::Cleared), needs: $all, words: ['Note hours and what went wrong in the Log while you know it.'])];
    }

    /**
     * @param  list<Need>  $covered
     * @return list<FittingTask>
     */
    private function painted(array $covered): array
    {
        [$area, $round] = $this->seen();
        $id = fn (TaskKind $kind, string $more = ''): string => FittingTask::id($kind, $this->space.$more);
        $tasks = [
            $this->make(TaskKind::Fill, 'Fill screw holes and joints', 1.0, $covered, Product::Filler, 'Every joint that will be covered is closed by now.'),
            $this->make(TaskKind::Sand, 'Sand', 1.0, [new Need($id(TaskKind::Fill), false, Product::Filler)], null, 'Along the grain, then dust off with a damp cloth.'),
            $this->make(TaskKind::Prime, 'Prime', $area, [new Need($id(TaskKind::Sand))], $this->wishes->primer, sprintf('%.1f m², edges first.', $area)),
            $this->make(TaskKind::Caulk, 'Caulk to walls and ceiling', $round, [new Need($id(TaskKind::Prime), false, $this->wishes->primer)], Product::Caulk, sprintf('%.1f m, smoothed with a wet finger.', $round)),
        ];
        for ($i = 1; $i <= $this->wishes->coats; $i++) {
            $needs = $i === 1
                ? [new Need($id(TaskKind::Prime), false, $this->wishes->primer), new Need($id(TaskKind::Caulk), false, Product::Caulk)]
                : [new Need($id(TaskKind::Coat, '/'.($i - 1)), false, $this->wishes->paint)];
            $tasks[] = $this->make(TaskKind::Coat, sprintf('Coat %d of paint', $i), $area, $needs, $this->wishes->paint, sprintf('%.1f m².', $area), "/$i");
        }

        return $tasks;
    }

    /** @param list<Need> $needs */
    private function make(TaskKind $kind, string $name, float $count, array $needs, ?Product $applies, string $words, string $more = ''): FittingTask
    {
        return new FittingTask($kind, $this->space.$more, $name, $this->wishes->minutes($kind, $count), needs: $needs, words: [$words], applies: $applies);
    }

    /** @return array{float, float} square metres that are painted, and metres along walls and ceiling */
    private function seen(): array
    {
        $area = $round = 0.0;
        foreach ($this->assemblies as $assembly) {
            foreach ($assembly->placed as $one) {
                if (in_array($one->part, self::SEEN, true)) {
                    $area += $one->piece->length->result->toDouble() * $one->piece->width->result->toDouble() / 1e6;
                }
            }
            $round += $assembly->placed === [] ? 0.0 : $this->round($assembly->placed);
        }

        return [max(0.5, $area), max(1.0, $round)];
    }

    /** @param non-empty-list<Placed> $placed */
    private function round(array $placed): float
    {
        $wide = max(array_map(fn (Placed $one) => $one->bounds->u1, $placed)) - min(array_map(fn (Placed $one) => $one->bounds->u0, $placed));
        $high = max(array_map(fn (Placed $one) => $one->bounds->z1, $placed)) - min(array_map(fn (Placed $one) => $one->bounds->z0, $placed));

        return ($wide + 2 * $high) / 1000;
    }
}
