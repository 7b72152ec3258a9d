<?php

declare(strict_types=1);

namespace Incastro\Saw;

use Incastro\Cut\Axis;

/** Plays the cuts in their order: what each takes, frees and leaves behind. */
final class Played
{
    /** @var array<string, Part> parts of the plan, and what is left behind, by id */
    private array $parts;

    /** @var array<string, Part> what a blank has become, by the blank's id */
    private array $now = [];

    /** @var array<string, int> cuts that a blank still takes */
    private array $open = [];

    public function __construct(private readonly Forest $forest, private readonly Tools $tools, private readonly bool $isSideBySide)
    {
        $this->parts = $forest->parts();
        foreach ($forest->cuts() as $cut) {
            $this->open[$cut->takes] = ($this->open[$cut->takes] ?? 0) + 1;
        }
    }

    /**
     * @param  list<array{?string, non-empty-list<int>}>  $bursts
     * @return list<Step>
     */
    public function steps(array $bursts): array
    {
        $steps = [];
        // Sheets come from the yard in parts, all of them at once.
        $isYard = fn (int $c): bool => $this->forest->cuts()[$c]->class === CutClass::Yard;
        $atYard = array_values(array_filter(array_merge([], ...array_column($bursts, 1)), $isYard));
        foreach ([...$atYard === [] ? [] : [[null, $atYard]], ...array_map(fn (array $burst) => [$burst[0], array_values(array_filter($burst[1], fn (int $c) => ! $isYard($c)))], $bursts)] as [$setting, $cuts]) {
            if ($cuts === []) {
                continue;
            }
            // What is marked out is straightened with one tool, and all along before ends are squared.
            $together = [];
            foreach ($this->sorted($cuts) as $c) {
                $cut = $this->forest->cuts()[$c];
                $together[$setting ?? ($cut->way->value ?? '').$cut->axis->name.($cut->class === CutClass::Yard ? $cut->sheet : '')][] = $c;
            }
            foreach ($together as $cuts) {
                $steps[] = $this->step($setting, $cuts);
            }
        }

        return $steps;
    }

    /** @return list<Part> sheets and everything that was cut from them, the dust aside */
    public function parts(): array
    {
        return array_values(array_filter($this->parts, fn (Part $part) => $part->x > 0 && $part->y > 0));
    }

    /** @param non-empty-list<int> $cuts */
    private function step(?string $setting, array $cuts): Step
    {
        $planned = array_map(fn (int $c) => $this->forest->cuts()[$c], $cuts);
        $way = $planned[0]->way;
        assert($way !== null);
        $size = $setting === null ? null : $planned[0]->size;
        $class = CutClass::from(min(array_map(fn (PlannedCut $cut) => $cut->class->value, $planned)));

        return new Step($class, $way, $size, $size === null ? null : $this->tools->guideAt($way, $size), array_map($this->played(...), $planned), $way->tool() === ToolKind::GuidedSaw ? $this->clampings($planned) : 0, $size === null ? 0 : $this->tools->setOff($way));
    }

    private function played(PlannedCut $cut): SawCut
    {
        $takes = $this->now[$cut->takes] ?? $this->parts[$cut->takes];
        $isX = $cut->axis === Axis::X;
        $rest = ($isX ? $takes->x : $takes->y) - $cut->size - $cut->kerf;
        $isLast = --$this->open[$cut->takes] === 0;
        $leaves = null;
        if ($rest > 0) {
            [$x, $y] = $isX ? [$rest, $takes->y] : [$takes->x, $rest];
            $last = $this->forest->last()[$cut->takes] ?? null;
            $leaves = $isLast && $last !== null ? $this->parts[$last] : $this->rest($takes, $cut, $x, $y, $isLast);
            $this->parts[$leaves->id] = $leaves;
            $this->now[$cut->takes] = $leaves;
        }

        return new SawCut($cut->takes, $takes, $this->parts[$cut->frees], $leaves, $cut->axis, $cut->class === CutClass::Straighten, $cut->size, $cut->kerf);
    }

    /** What a cut leaves: it keeps the mark of what it was while something is still cut from it. */
    private function rest(Part $takes, PlannedCut $cut, int $x, int $y, bool $isLast): Part
    {
        $fate = $isLast ? Fate::ofRest($x, $y) : Fate::CutFurther;
        $kg = $takes->x * $takes->y === 0 ? 0.0 : $takes->kg * ($x / $takes->x) * ($y / $takes->y);

        return new Part($cut->frees.'/rest', $takes->mark, $x, $y, $kg, $takes->id, $takes->sheet, null, $fate);
    }

    /**
     * The heaviest first, those of one part together, none before what it needs.
     *
     * @param  non-empty-list<int>  $cuts
     * @return non-empty-list<int>
     */
    private function sorted(array $cuts): array
    {
        $all = $this->forest->cuts();
        $depth = [];
        $deep = function (int $c) use (&$deep, &$depth, $cuts, $all): int {
            return $depth[$c] ??= 1 + array_reduce(array_intersect($all[$c]->needs, $cuts), fn (int $most, int $need) => max($most, $deep($need)), 0);
        };
        $kg = [];
        foreach ($cuts as $c) {
            $kg[$all[$c]->takes] = max($kg[$all[$c]->takes] ?? 0.0, $all[$c]->kg);
        }
        usort($cuts, fn (int $a, int $b) => [$deep($a), $kg[$all[$b]->takes], $all[$a]->takes, $a] <=> [$deep($b), $kg[$all[$a]->takes], $all[$b]->takes, $b]);

        return $cuts;
    }

    /**
     * How often the guide is clamped: parts that lie side by side under it are cut at once.
     *
     * @param  non-empty-list<PlannedCut>  $cuts
     */
    private function clampings(array $cuts): int
    {
        if (! $this->isSideBySide || $this->tools->guided === null) {
            return count($cuts);
        }
        $rounds = $nth = [];
        foreach ($cuts as $cut) {
            $n = $nth[$cut->takes] = ($nth[$cut->takes] ?? 0) + 1;
            $rounds[$cut->axis === Axis::X && $cut->line >= Tools::STEADY ? $n : 'alone '.count($rounds)][] = $cut->line;
        }
        $clampings = 0;
        foreach ($rounds as $lines) {
            rsort($lines);
            $under = [];
            foreach ($lines as $line) {
                foreach ($under as $u => $width) {
                    if ($width + $line <= $this->tools->guided->reach()) {
                        $under[$u] += $line;
                        continue 2;
                    }
                }
                $under[] = $line;
            }
            $clampings += count($under);
        }

        return $clampings;
    }
}
