<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Cut\CutPiece;
use Incastro\Cut\FrontsInOrder;
use Incastro\Cut\Objective;
use Incastro\Cut\PlannedSheet;
use Incastro\Cut\SheetPlan;
use Incastro\Cut\SheetPlanner;
use Incastro\Cut\Stock;
use Incastro\Cut\Together;
use Incastro\Fit\Marks;
use Incastro\Pieces\Piece;
use Incastro\Rules\Materials\Lineal;
use Incastro\Rules\Materials\Purpose;
use Incastro\Saw\NotSawable;
use Incastro\Saw\SawSteps;
use Incastro\Saw\Slice;

/**
 * The sheets of a job as somebody wishes them planned. A plan is known by what is cut, from what, and by the wishes: what is remembered
 * of it belongs to that and to nothing else.
 */
final readonly class SheetStage
{
    private const CUT = 'cut';

    /** What stood there before something better was found. */
    private const FIRST = 'first';

    private const IMPROVED = 'improved';

    /** Plans of the same price that are tried at the saw: eight and more rarely find anything else. */
    public const SEEDS = 12;

    public function __construct(private StageMemory $memory)
    {
    }

    /**
     * @param  list<Piece>  $pieces
     * @param  list<Stock>  $stock
     */
    public function plan(Job $job, array $pieces, array $stock, bool $isThorough): SheetPlan
    {
        $hash = self::hashOf($job, $pieces, $stock);
        $first = $job->sheets->keepsFirst === $hash ? $this->memory->find(self::FIRST, $hash) : null;
        if ($first instanceof FirstSheets) {
            return $first->plan;
        }
        if ($isThorough) {
            return $this->memory->remember(self::CUT, $hash, fn () => $this->searched($job, $pieces, $stock));
        }
        $known = $this->memory->find(self::CUT, $hash);

        return $known instanceof SheetPlan ? $known : $this->around($job, $pieces, $stock, fn (SheetPlanner $planner, array $open, array $left): SheetPlan => $planner->draft($open, $left));
    }

    /** Whether the sheets of a plan may still get better: nobody looked long for a better one. */
    public function isOpen(Plan $plan): bool
    {
        return $plan->cut->sheets->sheets !== [] && $this->memory->find(self::IMPROVED, $this->hash($plan)) === null;
    }

    /** What stood there before a better plan was found, if one was. */
    public function first(Plan $plan): ?FirstSheets
    {
        $first = $this->memory->find(self::FIRST, $this->hash($plan));

        return $first instanceof FirstSheets ? $first : null;
    }

    /**
     * Looks longer for a better plan of the sheets and keeps it: one that is better by what the job wants, and of such as are alike in
     * that the one of which fewer cuts cannot be made, and for which the saw is set less often.
     *
     * @param  \Closure(float): bool  $isLate  whether so much of the time is over, of 1
     * @param  \Closure(SheetPlan): SawSteps  $atSaw  how a plan is sawn
     */
    public function improve(Plan $plan, int $steps, \Closure $isLate, \Closure $atSaw): void
    {
        $job = $plan->job;
        $hash = $this->hash($plan);
        $pieces = self::ofSheets($plan);
        $before = $this->memory->find(self::CUT, $hash);
        $before = $before instanceof SheetPlan ? $before : $plan->cut->sheets;
        $plans = function () use ($job, $pieces, $before, $steps, $isLate): iterable {
            yield $before;
            for ($seed = 1; $seed <= self::SEEDS && ! $isLate(1.0); $seed++) {
                $isLong = $seed === 1 && ! $before->isBest();
                yield $this->searched($job, $pieces, $job->stock, $isLong ? $steps : null, $seed, fn (): bool => $isLate($isLong ? 0.5 : 1.0));
            }
        };
        $best = $job->sheets->objective->best($plans(), fn (SheetPlan $one): array => $atSaw($one)->cost());
        if ($best !== $before) {
            $this->memory->keep(self::FIRST, $hash, new FirstSheets($before, $atSaw($before)->settings, $atSaw($best)->settings));
            $this->memory->keep(self::CUT, $hash, $best);
        }
        $this->memory->keep(self::IMPROVED, $hash, new \stdClass());
    }

    /** @return array<string, SheetPlan> the sheets of a plan for each thing they may be planned for */
    public function sideBySide(Plan $plan): array
    {
        $plans = [];
        foreach (Objective::cases() as $objective) {
            $plans[$objective->value] = $this->plan($plan->job->wishing($plan->job->sheets->towards($objective)), self::ofSheets($plan), $plan->job->stock, true);
        }

        return $plans;
    }

    /** By what the sheets of a plan are known. */
    public function hash(Plan $plan): string
    {
        return self::hashOf($plan->job, self::ofSheets($plan), $plan->job->stock);
    }

    /**
     * @param  list<Piece>  $pieces
     * @param  list<Stock>  $stock
     * @param  (\Closure(): bool)|null  $isLate
     */
    private function searched(Job $job, array $pieces, array $stock, ?int $steps = null, int $seed = 1, ?\Closure $isLate = null): SheetPlan
    {
        return $this->around($job, $pieces, $stock, fn (SheetPlanner $planner, array $open, array $left): SheetPlan => $planner->plan($open, $left, $steps, $seed, $isLate, objective: $job->sheets->objective));
    }

    /**
     * What is planned round the sheets that are locked.
     *
     * @param  list<Piece>  $pieces
     * @param  list<Stock>  $stock
     * @param  \Closure(SheetPlanner, list<CutPiece>, list<Stock>): SheetPlan  $planned
     */
    private function around(Job $job, array $pieces, array $stock, \Closure $planned): SheetPlan
    {
        $open = array_map(CutPiece::of(...), $pieces);
        $locked = [];
        foreach ($job->sheets->locked as $lock) {
            $taken = $lock->taken($open, $stock, $job->saw());
            if ($taken !== null && $this->isSawable($taken[0], $job)) {
                [$locked[], $open, $stock] = $taken;
            }
        }
        if ($job->sheets->frontsInOrder) {
            $fronts = array_fill_keys(array_map(fn (Piece $piece) => $piece->mark, array_filter($pieces, fn (Piece $piece) => $piece->purpose === Purpose::Front)), true);
            $isFront = fn (CutPiece $piece): bool => isset($fronts[$piece->name]);
            $open = [...(new FrontsInOrder($job->saw(), $stock))->rows(array_values(array_filter($open, $isFront))), ...array_values(array_filter($open, fn (CutPiece $piece) => ! $isFront($piece)))];
        }
        $open = $job->sheets->boxesTogether ? $this->boxes($job, $open, $stock) : $open;
        $plan = $planned(new SheetPlanner($job->saw(), $job->format), $open, $stock);

        return $locked === [] ? $plan : $plan->withLocked($locked, count($this->sizes([...$locked, ...$plan->sheets], $job)));
    }

    /**
     * @param  list<CutPiece>  $open
     * @param  list<Stock>  $stock
     * @return list<CutPiece> those of a box as one
     */
    private function boxes(Job $job, array $open, array $stock): array
    {
        $boxes = [];
        foreach ($open as $piece) {
            $boxes[implode('|', [Marks::unit($piece->name), $piece->material, $piece->thickness->nanometres()])][] = $piece;
        }

        return array_merge([], ...array_values(array_map((new Together($job->saw(), $job->format, $stock))->block(...), $boxes)));
    }

    /** A lock holds while the saw still goes through between its pieces: its kerf may have become another. */
    private function isSawable(PlannedSheet $sheet, Job $job): bool
    {
        try {
            return $this->sizes([$sheet], $job) !== [] || count($sheet->pieces) === 1;
        } catch (NotSawable) {
            return false;
        }
    }

    /**
     * @param  list<PlannedSheet>  $sheets
     * @return array<string, true> the sizes that the fence is set to, by axis
     */
    private function sizes(array $sheets, Job $job): array
    {
        return array_merge([], ...array_map(fn (PlannedSheet $sheet) => $sheet->pieces === [] ? [] : Slice::of($sheet->pieces, $job->saw()->kerf->nanometres())->sizes(), $sheets));
    }

    /** @return list<Piece> */
    private static function ofSheets(Plan $plan): array
    {
        return array_values(array_filter($plan->pieces(), fn (Piece $piece) => ! $piece->material instanceof Lineal));
    }

    /**
     * @param  list<Piece>  $pieces
     * @param  list<Stock>  $stock
     */
    private static function hashOf(Job $job, array $pieces, array $stock): string
    {
        $wishes = [$job->sheets->objective, $job->sheets->locked, $job->sheets->frontsInOrder, $job->sheets->boxesTogether];

        return hash('sha256', Planner::VERSION.serialize([array_map(CutPiece::of(...), $pieces), $stock, $job->saw(), $job->format, $wishes]));
    }
}
