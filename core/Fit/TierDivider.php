<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Fit\Layout\Size;
use Incastro\Fit\Layout\Tier;
use Incastro\Measure\Length;

/** Divides bays into their tiers, from the bottom to the top. */
final readonly class TierDivider
{
    /** @param array<string, float> $worktops thickness in mm of a worktop over a tier */
    public function __construct(private Terms $terms, private array $worktops)
    {
    }

    /**
     * Divides the height of every bay among its tiers; one that snaps to a tier of another bay ends where that does.
     *
     * @param  list<FittedBay>  $bays
     * @return array<string, Division> by bay
     */
    public function divide(array $bays): array
    {
        $board = $this->terms->materials->carcass->thickness;
        $divisions = $tops = [];
        usort($bays, fn (FittedBay $a, FittedBay $b) => self::snaps($a) <=> self::snaps($b));
        foreach ($bays as $bay) {
            $stacks = $bay->bay->stacks();
            $sizes = array_map(fn (array $stack) => array_map(fn (Tier $tier) => $tier->size, $stack), $stacks);
            $total = $bay->left->result->isGreaterThan($bay->right->result) ? $bay->right : $bay->left;
            foreach ($bay->bay->tiers as $tier) {
                $thick = $this->worktops[$tier->id] ?? 0.0;
                $total = $thick > 0.0 ? $total->minus('worktop', Length::ofDouble($thick)) : $total;
            }
            $division = Division::of($total, $sizes, $board, $this->terms->format);
            foreach ($stacks as $k => $stack) {
                foreach ($stack as $i => $tier) {
                    $wanted = $tops[$tier->snap ?? ''] ?? null;
                    if ($wanted === null) {
                        continue;
                    }
                    $off = Length::ofDouble($wanted - $this->topsOf($bay, $division, $board)[$tier->id]);
                    $size = $division->sizes[$k][$i]->result->plus($off);
                    if ($size->isPositive()) {
                        $sizes = self::frozen($sizes, $division, $k, $i, $size);
                        $division = Division::of($total, $sizes, $board, $this->terms->format);
                    }
                }
            }
            $divisions[$bay->bay->id] = $division;
            $tops += $this->topsOf($bay, $division, $board);
        }

        return $divisions;
    }

    private static function snaps(FittedBay $bay): int
    {
        return count(array_filter($bay->bay->tiers, fn (Tier $tier) => $tier->snap !== null));
    }

    /**
     * Everything below a tier keeps its size, and the tier itself gets the given one.
     *
     * @param  list<non-empty-array<int, Size>>  $sizes
     * @return list<non-empty-array<int, Size>>
     */
    private static function frozen(array $sizes, Division $division, int $stack, int $tier, Length $size): array
    {
        foreach ($sizes as $k => $group) {
            foreach (array_keys($group) as $i) {
                if ($k < $stack || ($k === $stack && $i < $tier)) {
                    $sizes[$k][$i] = Size::fixed($division->sizes[$k][$i]->result);
                }
            }
        }
        $sizes[$stack][$tier] = Size::fixed($size);

        return $sizes;
    }

    /** @return array<string, float> where each tier of a bay ends: the top of its clear opening, or of its box; mm over the foot */
    private function topsOf(FittedBay $bay, Division $division, Length $board): array
    {
        $tops = [];
        $z = 0.0;
        foreach ($bay->bay->stacks() as $k => $stack) {
            $at = $z + (count($stack) > 1 ? $board->toDouble() : 0.0);
            foreach ($stack as $i => $tier) {
                $at += $division->sizes[$k][$i]->result->toDouble();
                $tops[$tier->id] = $at;
                $at += $board->toDouble();
            }
            $z += $division->outer($k, $board)->result->toDouble() + ($this->worktops[$stack[count($stack) - 1]->id] ?? 0.0);
        }

        return $tops;
    }
}
