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

    /** What takes longer, minutes, is painted in parts: by two people at once, or in two short sessions. */
    private const AT_ONCE = 60.0;

    private const MOST_PARTS = 4;

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
        $hang = array_map(fn (FittingTask $coat) => new Need($coat->id, true, $this->wishes->paint->toHang()), array_values(array_slice($coats, -$this->parts())));
        if ($hang !== []) {
            $tasks = array_map(fn (FittingTask $task) => $task->kind === TaskKind::Hung ? $task->after($hang) : $task, $tasks);
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
        [, $round] = $this->seen();
        $parts = range(1, $this->parts());
        $id = fn (TaskKind $kind, string $more = ''): string => FittingTask::id($kind, $this->space.$more);
        $primed = fn (int $part): Need => new Need($id(TaskKind::Prime, self::part('', $part)), false, $this->wishes->primer);
        $tasks = [
            $this->make(TaskKind::Fill, 'Fill screw holes and joints', 1.0, $covered, Product::Filler, 'Every joint that will be covered is closed by now.'),
            $this->make(TaskKind::Sand, 'Sand', 1.0, [new Need($id(TaskKind::Fill), false, Product::Filler)], null, 'Along the grain, then dust off with a damp cloth.'),
            ...array_map(fn (int $part): FittingTask => $this->brushed(TaskKind::Prime, 'Prime', $part, [new Need($id(TaskKind::Sand))], $this->wishes->primer, '%.1f m², edges first'), $parts),
            $this->make(TaskKind::Caulk, 'Caulk to walls and ceiling', $round, array_map($primed, $parts), Product::Caulk, sprintf('%.1f m, smoothed with a wet finger.', $round)),
        ];
        for ($i = 1; $i <= $this->wishes->coats; $i++) {
            foreach ($parts as $part) {
                $needs = $i === 1
                    ? [$primed($part), new Need($id(TaskKind::Caulk), false, Product::Caulk)]
                    : [new Need($id(TaskKind::Coat, self::part('/'.($i - 1), $part)), false, $this->wishes->paint)];
                $tasks[] = $this->brushed(TaskKind::Coat, sprintf('Coat %d of paint', $i), $part, $needs, $this->wishes->paint, '%.1f m²', "/$i");
            }
        }

        return $tasks;
    }

    /** In how many parts primer and paint are put on. */
    private function parts(): int
    {
        return min(self::MOST_PARTS, max(1, (int) ceil($this->wishes->minutes(TaskKind::Coat, $this->seen()[0]) / self::AT_ONCE)));
    }

    /** The first part is called as the whole would be, so that it is the same step when there is only one. */
    private static function part(string $of, int $part): string
    {
        return $part === 1 ? $of : ($of === '' ? '/0' : $of)."/$part";
    }

    /**
     * One part of primer or of a coat.
     *
     * @param  list<Need>  $needs
     */
    private function brushed(TaskKind $kind, string $name, int $part, array $needs, Product $applies, string $words, string $more = ''): FittingTask
    {
        $area = $this->seen()[0] / $this->parts();
        $of = $this->parts() === 1 ? ['', '.'] : [sprintf(', part %d of %d', $part, $this->parts()), sprintf(': the parts from the left, box by box; this is the %s.', ['first', 'second', 'third', 'fourth'][$part - 1])];

        return $this->make($kind, $name.$of[0], $area, $needs, $applies, sprintf($words, $area).$of[1], self::part($more, $part));
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
