<?php

declare(strict_types=1);

namespace Incastro\Install;

use Incastro\Check\Carried;
use Incastro\Check\Step;
use Incastro\Check\StepKind;
use Incastro\Fit\Box;
use Incastro\Fit\FittedRun;
use Incastro\Fit\Terms;
use Incastro\Install\Checks\ByLevel;
use Incastro\Install\Checks\Diagonals;
use Incastro\Install\Checks\Plumb;
use Incastro\Install\Checks\Within;
use Incastro\Measure\Length;
use Incastro\Rules\Rule;
use Incastro\Rules\Schools\Mount;
use Incastro\Strength\Upsetting;
use Incastro\Units\Assembly;
use Incastro\Units\HungBox;
use Incastro\Units\Placed;

/** What is done with the boxes of a run: in, plumb and square, held, joined, fixed, proved. */
final readonly class BoxTasks
{
    /** What is taller is held before anything goes on beside it, mm and inches. */
    private const TALL = [600.0, 24.0];

    private const LONG = 1300.0;

    /** Clear between a base and what hangs over it from which on that is hung first, mm and inches. */
    private const OVER_BASE = [300.0, 12.0];

    /** σ of a tape along a diagonal, mm. */
    private const SIGMA = 1.0;

    /** @var array<string, true> keys of what moves */
    private array $moving;

    private KeptFree $free;

    /**
     * @param  list<Carried>  $carried
     */
    public function __construct(private string $space, private Terms $terms, private FittedRun $run, private Assembly $assembly, private array $carried, private WallStuds $studs, private BoxOrder $order, private FittingWishes $wishes)
    {
        $this->moving = $assembly->moving();
        $this->free = KeptFree::of($run->frame, $terms);
    }

    /** @return list<FittingTask> */
    public function all(): array
    {
        $tasks = [];
        $before = null;
        foreach ($this->order->sequence() as $id) {
            $box = $this->run->box($id);
            if ($box !== null) {
                array_push($tasks, ...$this->of($box, $before));
                $before = $box;
            }
        }

        return $tasks;
    }

    /** @return list<FittingTask> */
    private function of(Box $box, ?Box $before): array
    {
        $joined = $this->order->joinedTo($box->id);
        $group = $this->order->group($box->id);

        return [
            ...($this->isHung($box) ? [$this->ledger($box), $this->ledgerOff($box, $group[0])] : []),
            $this->in($box, $before),
            $this->plumb($box),
            ...($this->isHeld($box) ? [$this->held($box)] : []),
            ...($joined === null ? [] : [$this->joined($box, $joined)]),
            ...($group[0] === $box ? $this->fixed($box, $group) : []),
        ];
    }

    private function in(Box $box, ?Box $before): FittingTask
    {
        $weight = $this->weight($box);
        $needs = [Need::on(TaskKind::Level, $this->space), ...array_map(fn (string $id) => Need::on(TaskKind::BoxIn, $id), $this->order->before($box->id)), ...array_map(fn (string $id) => Need::on(TaskKind::Plumb, $id), $this->order->before($box->id))];
        foreach ($this->run->under() as $under) {
            if (in_array($box->id, array_map(fn (Box $one) => $one->id, $under->boxes), true)) {
                $needs[] = Need::on(TaskKind::PlinthFixed, $under->id);
            }
        }
        foreach ($this->order->topsUnder($box->id) as $top) {
            $needs[] = Need::on(TaskKind::Top, $top->memberId());
        }
        if ($this->isHung($box)) {
            $needs[] = Need::on(TaskKind::Ledger, $box->id);
        }
        if ($before !== null) {
            // A standing box tips: it is held before another comes.
            $needs[] = Need::on($this->isHeld($before) ? TaskKind::Held : TaskKind::Plumb, $before->id);
        }
        foreach ($this->run->boxes as $other) {
            $isOver = $this->isHung($other) && min($other->right(), $box->right()) - max($other->u, $box->u) > 1.0 && $other->z - $box->highest() >= $this->terms->rules->either(...self::OVER_BASE)->toDouble();
            $needs = $isOver && $other !== $box ? [...$needs, Need::custom(FittingTask::id(TaskKind::Fixed, $this->order->group($other->id)[0]->id))] : $needs;
        }
        [$isStood, $steps] = $this->way($box);
        $name = match (true) {
            $this->isHung($box) => '%s lifted onto its ledger',
            $isStood => '%s stood up and slid home',
            default => '%s slid home',
        };

        return new FittingTask(TaskKind::BoxIn, $box->id, sprintf($name, $box->mark), $this->wishes->minutes(TaskKind::BoxIn), min(3, $weight->people()), $needs, [$weight->words(), ...$steps], wall: $this->run->frame->wall, place: FittingTask::placeOf($box), kilograms: $weight->kilograms);
    }

    /** @return array{bool, list<string>} whether it is stood up, and every step of going in as a sentence */
    private function way(Box $box): array
    {
        $steps = [];
        foreach ($this->carried as $one) {
            if ($one->id === $box->id) {
                $steps = $one->steps;
            }
        }

        return [array_filter($steps, fn (Step $step) => $step->kind === StepKind::StoodUp) !== [], array_map(fn (Step $step) => ucfirst($step->words).'.', $steps)];
    }

    private function weight(Box $box): Weight
    {
        $sizes = [$box->outerWidth()->toDouble(), $box->outerHeight()->toDouble(), $box->outerDepth()->toDouble()];

        return Weight::of(Weight::carried($this->assembly->placed, $box->id, $this->moving), max($sizes), $this->isHung($box) ? $box->z + $sizes[1] / 2 : 0.0);
    }

    private function plumb(Box $box): FittingTask
    {
        [$wide, $high, $deep] = [$box->outerWidth()->toDouble(), $box->outerHeight()->toDouble(), $box->outerDepth()->toDouble()];
        $level = $this->terms->rules->either(...($high > self::LONG ? ByLevel::LONG : ByLevel::SHORT))->toDouble();
        $reveal = $this->terms->rules->schools->doors === Mount::Inset && $this->assembly->movementsOf($box) !== [] ? $this->terms->rule(Rule::DoorReveal) : null;
        $format = $this->terms->format;
        $isSquare = ! $box->top->isRaked();
        $checks = [
            ...($isSquare ? [new Diagonals($wide, $high, $reveal, $format)] : []),
            new Plumb(false, $wide, $high, $deep, $level, $format),
            new Plumb(true, $wide, $high, $deep, $level, $format),
        ];
        // Diagonals of what is tall and narrow say too little for a front that is set in.
        if ($reveal !== null && hypot($wide, $high) * self::SIGMA * M_SQRT2 / (2 * $wide) > $reveal / 4) {
            $checks[] = Within::openings($format);
        }

        return new FittingTask(TaskKind::Plumb, $box->id, "$box->mark plumb and square", $this->wishes->minutes(TaskKind::Plumb), 1, [Need::on(TaskKind::BoxIn, $box->id)], ['Read both diagonals and the level on both sides, then from back to front.'], $checks, wall: $this->run->frame->wall, place: FittingTask::placeOf($box));
    }

    private function held(Box $box): FittingTask
    {
        $anchors = $this->anchors($box);
        $has = $anchors->studs() !== [];
        $words = match (true) {
            $this->isHung($box) => 'One screw in each of two studs, not driven home. The ledger stays.',
            $has => 'One screw through the top nailer into a stud, not driven home.',
            default => 'No stud is known behind it: clamp it to its neighbour that is held, or brace it to the floor.',
        };

        return new FittingTask(TaskKind::Held, $box->id, "$box->mark held", $this->wishes->minutes(TaskKind::Held), 1, [Need::on(TaskKind::Plumb, $box->id), Need::on(TaskKind::Studs, $this->wall())], [$words], screws: array_values(array_filter($anchors->places, fn (ScrewPlace $one) => $one->isTop)), wall: $this->run->frame->wall, place: FittingTask::placeOf($box));
    }

    private function joined(Box $box, string $left): FittingTask
    {
        $other = $this->run->box($left);
        $marks = sprintf('%s and %s', $other->mark ?? '', $box->mark);
        $needs = [];
        foreach ([$box, $other] as $one) {
            $needs = $one === null ? $needs : [...$needs, Need::on(TaskKind::Plumb, $one->id), Need::on(TaskKind::Held, $one->id)];
        }

        return new FittingTask(TaskKind::Joined, $box->id, "$marks joined", $this->wishes->minutes(TaskKind::Joined), 1, $needs, ['Faces flush, clamped at top and foot; four screws or connectors at least.'], [Within::flush($this->terms->format)], wall: $this->run->frame->wall, place: FittingTask::placeOf($box));
    }

    /**
     * @param  non-empty-list<Box>  $group
     * @return list<FittingTask> fixed, and proved
     */
    private function fixed(Box $box, array $group): array
    {
        $anchors = array_map($this->anchors(...), $group);
        $places = array_merge([], ...array_map(fn (Anchors $one) => $one->places, $anchors));
        $marks = $this->marks($group);
        $needs = [Need::on(TaskKind::Studs, $this->wall())];
        foreach ($group as $one) {
            array_push($needs, Need::on(TaskKind::Plumb, $one->id), Need::on(TaskKind::Held, $one->id), Need::on(TaskKind::Joined, $one->id));
        }
        $packs = array_map(fn (ScrewPlace $one): array => ['u' => $one->u, 'v' => $one->z, 'text' => $this->terms->format->fine()->write(Length::ofDouble($one->packing))], array_values(array_filter($places, fn (ScrewPlace $one) => $one->packing > 0.5)));
        $words = ['Pack each stud before the screw is driven home, so that the box is not racked.'];
        if (array_filter($places, fn (ScrewPlace $one) => ! $one->isFound) !== []) {
            $words[] = 'A stud that is only expected is probed first.';
        }
        $ofGroup = [$box->id, ...array_map(fn (Box $one) => $one->id, array_slice($group, 1))];
        $span = [min(array_map(fn (Box $one) => $one->u, $group)), max(array_map(fn (Box $one) => $one->right(), $group)), min(array_map(fn (Box $one) => $one->z, $group)), max(array_map(fn (Box $one) => $one->highest(), $group))];
        $isAnchored = array_filter($group, $this->isHeld(...)) !== [];

        return [
            new FittingTask(TaskKind::Fixed, $box->id, "$marks packed and fixed", $this->wishes->minutes(TaskKind::Fixed), 1, $needs, $words, screws: $places, packs: $packs, wall: $this->run->frame->wall, place: $span, problem: $this->problem($group, $anchors)),
            ...($isAnchored ? [new FittingTask(TaskKind::Proved, $box->id, "$marks: anchors proved", $this->wishes->minutes(TaskKind::Proved), 1, [Need::on(TaskKind::Fixed, $ofGroup[0])], ['Pull by hand at the top of each, harder than a child would. Nothing may give.'], wall: $this->run->frame->wall, place: $span)] : []),
        ];
    }

    private function ledger(Box $box): FittingTask
    {
        return new FittingTask(TaskKind::Ledger, $box->id, "Ledger under $box->mark", $this->wishes->minutes(TaskKind::Ledger), 1, [Need::on(TaskKind::Level, $this->space), Need::on(TaskKind::Studs, $this->wall())], [sprintf('Its upper edge at %s over the level line’s zero, one screw in each of two studs.', $this->terms->write($box->z))], wall: $this->run->frame->wall, place: [$box->u, $box->right(), $box->z - 40.0, $box->z]);
    }

    private function ledgerOff(Box $box, Box $first): FittingTask
    {
        return new FittingTask(TaskKind::LedgerOff, $box->id, "Ledger under $box->mark off", $this->wishes->minutes(TaskKind::LedgerOff), 1, [Need::on(TaskKind::Fixed, $first->id), Need::on(TaskKind::Proved, $first->id)], ['Where it is to stay, leave it.'], wall: $this->run->frame->wall, place: FittingTask::placeOf($box));
    }

    /**
     * What keeps a group from being fixed: studs that are not there, or fewer screws at its top than it is pulled by.
     *
     * @param  non-empty-list<Box>  $group
     * @param  non-empty-list<Anchors>  $anchors
     */
    private function problem(array $group, array $anchors): ?string
    {
        $kind = $this->wishes->wall($this->space, $this->run->frame->wall);
        $isTall = array_filter($group, $this->isHeld(...)) !== [];
        if (! $isTall || ! $kind->hasStuds()) {
            return null;
        }
        if ($this->studs->found === []) {
            return sprintf('No stud is noted on this wall: find them before %s is fixed.', $this->marks($group));
        }
        $studs = array_unique(array_merge([], ...array_map(fn (Anchors $one) => $one->studs(), $anchors)));
        if (count($studs) < 2) {
            return array_values(array_filter(array_map(fn (Anchors $one) => $one->problem, $anchors)))[0]
                ?? sprintf('%s: only one stud is reached, and two are wanted. Find another behind the top nailer, or screw a batten across two studs behind it.', $this->marks($group));
        }
        $top = array_merge([], ...array_map(fn (Anchors $one) => array_filter($one->places, fn (ScrewPlace $place) => $place->isTop && $place->isFound), $anchors));
        $wanted = max(array_map(fn (Box $box) => Upsetting::screws($this->upsetting($box)), $group));

        return count($top) >= $wanted ? null : sprintf('%s: %d screws at the top where %d are wanted, so that it does not tip with a drawer open. Put two into each stud, 40 apart.', $this->marks($group), count($top), $wanted);
    }

    /** The pull at the top of a box with its largest drawer or door open, N. */
    private function upsetting(Box $box): float
    {
        $own = array_sum(array_map(fn (Placed $one) => $one->owner === $box->id ? $one->piece->weight() : 0.0, $this->assembly->placed));
        $deep = $box->outerDepth()->toDouble();
        $weights = array_map(fn (Placed $one) => $one->piece->weight(), $this->assembly->byKey());
        $worst = 0.0;
        foreach ($this->assembly->movementsOf($box) as $move) {
            $open = array_sum(array_intersect_key($weights, array_flip($move->moving)));
            $reach = $move->travel > 0.0 ? $move->travel : $box->outerWidth()->toDouble() / max(1, count($this->assembly->movementsOf($box)));
            $worst = max($worst, Upsetting::force($own, $deep / 2, $open, $reach / 2, $reach, $box->outerHeight()->toDouble()));
        }

        return $worst;
    }

    private function anchors(Box $box): Anchors
    {
        return Anchors::of($box, $this->assembly->placed, $this->run->frame, $this->studs, $this->free, $this->terms, $this->wishes->wall($this->space, $this->run->frame->wall), $this->wishes->wallboard ?? $this->terms->rules->either(...Anchors::WALLBOARD)->toDouble());
    }

    /** @param non-empty-list<Box> $group */
    private function marks(array $group): string
    {
        $marks = array_map(fn (Box $box) => $box->mark, $group);
        $last = array_pop($marks);

        return $marks === [] ? $last : implode(', ', $marks)." and $last";
    }

    private function isHung(Box $box): bool
    {
        return $box->has(HungBox::class);
    }

    private function isHeld(Box $box): bool
    {
        return $this->isHung($box) || $box->outerHeight()->isGreaterThan($this->terms->rules->either(...self::TALL));
    }

    private function wall(): string
    {
        return $this->space.'/'.$this->run->frame->wall;
    }
}
