<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Fit\Holds\HoldsOpening;
use Incastro\Fit\Holds\LeavesBottomOut;
use Incastro\Fit\Holds\SpansOpenings;
use Incastro\Fit\Holds\StandsForward;
use Incastro\Fit\Layout\Option;
use Incastro\Fit\Layout\Tier;
use Incastro\Fit\Layout\TopForm;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Rules\Rule;

/**
 * Puts the tiers of bays that share boards into their places: boxes of one cell or several, and the cells that hold something
 * else. Length and depth of every box are decided here; everything inside follows from them.
 */
final class BoxMaker
{
    /** A clear opening narrower or lower than this is no opening, mm: its boards, or what frames it, would touch. */
    private const THINNEST = 30.0;

    /** What is seen of an opening between the stiles and rails before it is at least this, mm. */
    private const SEEN = 10.0;

    /** The back of a sloped box is at least this high; below it the box stands forward, mm. */
    private const LEAST_BACK = 100.0;

    /** @var list<Box> */
    public array $boxes = [];

    /** @var list<FittedCell> */
    public array $cells = [];

    /** @var list<Finding> */
    public array $findings = [];

    private Length $board;

    /**
     * @param  array<string, float>  $worktops  thickness in mm of a worktop over a tier
     * @param  list<string>  $opened  tiers whose boxes have no top
     */
    public function __construct(
        private readonly Terms $terms,
        private readonly Headroom $headroom,
        private readonly Marks $marks,
        private readonly Working $depth,
        private readonly float $back,
        private readonly array $worktops,
        private readonly array $opened = [],
    ) {
        $this->board = $terms->materials->carcass->thickness;
    }

    /**
     * @param  non-empty-list<FittedBay>  $group  bays that share boards, or one
     * @param  Working  $outer  width of the whole group
     * @param  array<string, Division>  $divisions  of each bay's height, by bay
     */
    public function place(array $group, Working $outer, array $divisions, float $foot): void
    {
        $count = count($divisions[$group[0]->bay->id]->sizes);
        $z = $foot;
        for ($k = 0; $k < $count; $k++) {
            $stack = $group[0]->bay->stacks()[$k];
            $height = $divisions[$group[0]->bay->id]->outer($k, $this->board);
            $last = $stack[count($stack) - 1];
            if ($last->isBoxed()) {
                $this->box($group, $outer, $divisions, $k, $z, $height, $foot);
            } else {
                $this->cell($group[0], $last, $z, $height, $k === $count - 1, $foot);
            }
            $z += $height->result->toDouble() + ($this->worktops[$last->id] ?? 0.0);
        }
    }

    /** A cell that holds no box: it fills its bay, and under a slope the last one reaches up to it. */
    private function cell(FittedBay $bay, Tier $tier, float $z, Working $height, bool $isLast, float $foot): void
    {
        $high = $height->result->toDouble();
        [$left, $right] = $isLast ? $this->sides($bay, $bay, $high) : [$high, $high];
        $depth = $tier->depth ?? $this->depth->result;
        $this->cells[] = $cell = new FittedCell($tier, $bay->bay->id, null, $bay->u, $z, $bay->width, $height, $left, $right, $this->back, $this->back + $depth->toDouble());
        if ($cell->isTooSmall($this->terms)) {
            $this->findings[] = Finding::clash(Code::TooThin, sprintf(
                '%s cannot be made %s wide, %s high and %s deep%s. Give it more, or leave an open gap.',
                $cell->label(),
                $this->terms->format->write($bay->width->result),
                $this->terms->format->write($height->result),
                $this->terms->format->write($depth),
                $cell->why($this->terms),
            ), $tier->id)->about([$bay->bay->id]);
        }
    }

    /**
     * How high the last stack of a bay stands at both sides, where its lower side is so high.
     *
     * @return array{float, float}
     */
    private function sides(FittedBay $first, FittedBay $last, float $high): array
    {
        $left = $first->left->result->toDouble();
        $right = $last->right->result->toDouble();
        $low = min($left, $right);
        if ($first->bay->top !== TopForm::Sloped) {
            return [$high, $high];
        }

        return [$high + max(0.0, $left - $low), $high + max(0.0, $right - $low)];
    }

    /**
     * @param  non-empty-list<FittedBay>  $group
     * @param  array<string, Division>  $divisions
     */
    private function box(array $group, Working $outer, array $divisions, int $k, float $z, Working $height, float $foot): void
    {
        $tier = $group[0]->bay->stacks()[$k][0];
        $first = $group[0];
        $last = $group[count($group) - 1];
        $isLast = $k === count($divisions[$first->bay->id]->sizes) - 1;
        $forward = $this->forward($group, $k);
        $depth = $this->deep($tier, $forward);
        $back = $forward === null ? $this->back : $this->back + $this->depth->result->toDouble() - $depth->result->toDouble();
        $face = $back + $depth->result->toDouble();
        $high = $height->result->toDouble();
        [$left, $right] = $isLast ? $this->sides($first, $last, $high) : [$high, $high];
        // The bays of a group are clear openings: the box's own sides stand outside the outer two.
        $around = count($group) > 1 ? $this->board->toDouble() : 0.0;
        [$top, $v] = $this->top($first, $first->u - $around, $last->end + $around, $left, $right, $z, $foot, $back);
        $depth = $v > $back + 1e-6 ? $depth->minus('stands forward under the slope', Length::ofDouble($v - $back))->roundedDown($this->terms->format) : $depth;
        $v = $face - $depth->result->toDouble();
        if ($top->isRaked()) {
            $higher = $right > $left ? $last->right : $first->left;
            $height = abs($top->lowest() - $high) < 1e-6 && $k === 0 ? $higher : $height->plus('higher at its high side', Length::ofDouble($top->highest() - $high));
        }
        $columns = $this->columns($group, $divisions, $k, $outer);
        $box = $columns === [] || $depth->result->toDouble() < 2 * self::THINNEST ? null
            : new Box($tier->id, $this->marks->of('B', $tier->id), $first->u - $around, $v, $z, $outer, $height, $depth, $top, $columns, $this->isOpen($group, $k) && ! $top->isRaked() && ! $top->isSloped());
        if ($box === null) {
            $this->findings[] = $this->tooThin($group, $k, $outer, $height);
        } else {
            $this->boxes[] = $box;
        }
        $this->cellsOf($group, $divisions, $k, $z, $box, [$left, $right, $high], [$v, $face]);
    }

    /**
     * What lets a stack stand at the front of its run.
     *
     * @param  non-empty-list<FittedBay>  $group
     */
    private function forward(array $group, int $k): ?StandsForward
    {
        foreach ($group as $bay) {
            foreach ($bay->bay->stacks()[$k] as $tier) {
                foreach ($tier->options as $option) {
                    if ($option->holds instanceof StandsForward) {
                        return $option->holds;
                    }
                }
            }
        }

        return null;
    }

    private function deep(Tier $tier, ?StandsForward $forward): Working
    {
        if ($forward === null) {
            return $tier->depth === null ? $this->depth : Working::start('depth as chosen', $tier->depth);
        }
        $deep = $tier->depth === null ? Working::start('usual at the front of its run', $forward->usualDepth($this->terms->rules)) : Working::start('depth as chosen', $tier->depth);

        return $deep->atMost('depth of the run', $this->depth->result);
    }

    /** @param non-empty-list<FittedBay> $group */
    private function isOpen(array $group, int $k): bool
    {
        $highest = array_map(function (FittedBay $bay) use ($k): string {
            $stack = $bay->bay->stacks()[$k];

            return $stack[count($stack) - 1]->id;
        }, $group);

        return array_intersect($highest, $this->opened) !== [];
    }

    /** @return array{BoxTop, float} the outline above, and where the back stands */
    private function top(FittedBay $first, float $from, float $to, float $left, float $right, float $z, float $foot, float $stands): array
    {
        if (abs($left - $right) > 1e-6) {
            return [BoxTop::raked($left, $right), $stands];
        }
        $height = $left;
        $back = $first->back->result->toDouble() - ($z - $foot);
        if ($back >= $height - 1e-6 || ! $this->headroom->isSloped($from, $to)) {
            return [BoxTop::flat($height), $stands];
        }
        $breaks = max($stands, $this->headroom->clears($from, $to, $height, $z));
        if ($first->bay->top === TopForm::Stepped || ($stands > $this->back && $breaks < $stands + self::LEAST_BACK)) {
            return [BoxTop::flat($height), $breaks];
        }
        $v = $back >= self::LEAST_BACK ? $stands : max($stands, $this->headroom->clears($from, $to, self::LEAST_BACK, $z));

        return [BoxTop::sloped(max($back, self::LEAST_BACK), $height, $breaks - $v), $v];
    }

    /**
     * @param  non-empty-list<FittedBay>  $group
     * @param  array<string, Division>  $divisions
     * @return list<Column> none where a board would touch the next
     */
    private function columns(array $group, array $divisions, int $k, Working $outer): array
    {
        $t = $this->board->toDouble();
        $columns = [];
        $x = $t;
        $foot = $this->isBottomless($group, $k) ? 0.0 : $t;
        foreach ($group as $bay) {
            $width = count($group) > 1 ? $bay->width : $outer->minusTimes('two sides', 2, $this->board);
            $sizes = $divisions[$bay->bay->id]->sizes[$k];
            $openings = [];
            $closing = null;
            $over = 0;
            $z = $foot;
            foreach ($bay->bay->stacks()[$k] as $i => $tier) {
                if (! $tier->holds instanceof HoldsOpening) {
                    continue;
                }
                $clear = $sizes[$i];
                if (count($sizes) === 1) {
                    $clear = $foot > 0.0 ? $clear->minusTimes('bottom and top', 2, $this->board) : $clear->minus('top', $this->board);
                } elseif ($i === 0 && $foot === 0.0) {
                    $clear = $clear->plus('the bottom left out', $this->board);
                }
                if ($width->result->toDouble() < $this->narrowest(Rule::StileWidth) || $clear->result->toDouble() < $this->narrowest(Rule::RailWidth)) {
                    return [];
                }
                // A front that spans several openings closes those over its own that have none.
                $isSpanned = $tier->front === null && $over > 0;
                $closing = $isSpanned ? $closing : $tier->front;
                $over = $isSpanned ? $over - 1 : ($closing?->holds instanceof SpansOpenings ? $closing->holds->spans() - 1 : 0);
                $openings[] = new Opening($tier->id, $clear, $z, $tier->holds, $closing, $tier->options, $isSpanned);
                $z += $clear->result->toDouble() + $t;
            }
            if ($openings === []) {
                return [];
            }
            $columns[] = new Column($bay->bay->id, $width, $x, $openings);
            $x += $width->result->toDouble() + $t;
        }

        return $columns;
    }

    /**
     * Whether an option of a lowest tier leaves the bottom out.
     *
     * @param  non-empty-list<FittedBay>  $group
     */
    private function isBottomless(array $group, int $k): bool
    {
        foreach ($group as $bay) {
            foreach (array_slice($bay->bay->stacks()[$k], 0, 1) as $tier) {
                if (array_filter($tier->options, fn (Option $option) => $option->holds instanceof LeavesBottomOut) !== []) {
                    return true;
                }
            }
        }

        return false;
    }

    /** The least opening, mm, with a frame of stiles or rails before its boards. */
    private function narrowest(Rule $frame): float
    {
        return max(self::THINNEST, 2 * ($this->terms->faceOf($frame) - $this->board->toDouble()) + self::SEEN);
    }

    /**
     * @param  non-empty-list<FittedBay>  $group
     * @param  array<string, Division>  $divisions
     * @param  array{float, float, float}  $sides  heights at the left and the right, and the lower
     * @param  array{float, float}  $depths
     */
    private function cellsOf(array $group, array $divisions, int $k, float $z, ?Box $box, array $sides, array $depths): void
    {
        $t = $this->board->toDouble();
        foreach ($group as $bay) {
            $sizes = $divisions[$bay->bay->id]->sizes[$k];
            $tiers = $bay->bay->stacks()[$k];
            $isOpenBelow = count($sizes) > 1 && $this->isBottomless($group, $k);
            $at = $z + (count($sizes) > 1 && ! $isOpenBelow ? $t : 0.0);
            foreach ($tiers as $i => $tier) {
                $size = $sizes[$i]->result->toDouble() + ($isOpenBelow && $i === 0 ? $t : 0.0);
                $isTop = $i === count($tiers) - 1;
                $this->cells[] = new FittedCell(
                    $tier,
                    $bay->bay->id,
                    $box?->id,
                    $bay->u,
                    $at,
                    $bay->width,
                    $sizes[$i],
                    $size + ($isTop ? $sides[0] - $sides[2] : 0.0),
                    $size + ($isTop ? $sides[1] - $sides[2] : 0.0),
                    $depths[0],
                    $depths[1],
                );
                $at += $size + $t;
            }
        }
    }

    /** @param non-empty-list<FittedBay> $group */
    private function tooThin(array $group, int $k, Working $outer, Working $height): Finding
    {
        $tiers = $group[0]->bay->stacks()[$k];

        return Finding::clash(Code::TooThin, sprintf(
            'A box of %s by %s has no room between its boards, which are %s thick. Join it with its neighbour, or give it more.',
            $this->terms->format->write($outer->result),
            $this->terms->format->write($height->result),
            $this->terms->format->write($this->board),
        ), $tiers[0]->id)->about(array_map(fn (FittedBay $bay) => $bay->bay->id, $group));
    }
}
