<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Fit\Layout\Size;
use Incastro\Fit\Layout\Tier;
use Incastro\Measure\Length;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\WayOut;

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
     * @param  array<string, string>  $leads  by bay that shares its boards: the first of those, between whose heights it is divided
     * @return array<string, Division> by bay
     */
    public function divide(array $bays, array $leads): array
    {
        $board = $this->terms->materials->carcass->thickness;
        $divisions = $tops = [];
        // A bay that follows another one's heights comes after it.
        $ordered = self::ordered($bays)[0];
        $leading = array_filter($ordered, fn (FittedBay $bay) => ! isset($leads[$bay->bay->id]));
        foreach ([...$leading, ...array_filter($ordered, fn (FittedBay $bay) => isset($leads[$bay->bay->id]))] as $bay) {
            $stacks = $bay->bay->stacks();
            $sizes = array_map(fn (array $stack) => array_map(fn (Tier $tier) => $tier->size, $stack), $stacks);
            $lead = $divisions[$leads[$bay->bay->id] ?? ''] ?? null;
            if ($lead !== null) {
                $outer = array_map(fn (int $k) => $lead->outer($k, $board), array_keys($stacks));
                $divisions[$bay->bay->id] = Division::within($outer, $sizes, $board, $this->terms->format);

                continue;
            }
            $total = $bay->left->result->isGreaterThan($bay->right->result) ? $bay->right : $bay->left;
            foreach ($bay->bay->tiers as $tier) {
                $thick = $this->worktops[$tier->id] ?? 0.0;
                $total = $thick > 0.0 ? $total->minus('what lies over it', Length::ofDouble($thick)) : $total;
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

    /**
     * Tiers that line up with each other in a ring, so that none of them can.
     *
     * @param  list<FittedBay>  $bays
     * @return list<Finding>
     */
    public static function findings(array $bays): array
    {
        $findings = [];
        foreach (self::ordered($bays)[1] as $bay) {
            foreach ($bay->bay->tiers as $tier) {
                if ($tier->snap !== null) {
                    $findings[] = Finding::warning(Code::SnapRing, 'This tier lines up with one that, by way of others, lines up with it. It keeps its own height.', $tier->id)
                        ->withWaysOut([new WayOut('Line it up with nothing', Edits::tier($tier->id)->with('snap', null))]);
                }
            }
        }

        return $findings;
    }

    /**
     * The bays so that each comes after those with which its tiers line up, and those among them that wait for each other in
     * a ring.
     *
     * @param  list<FittedBay>  $bays
     * @return array{list<FittedBay>, list<FittedBay>}
     */
    private static function ordered(array $bays): array
    {
        $home = [];
        foreach ($bays as $bay) {
            foreach ($bay->bay->tiers as $tier) {
                $home[$tier->id] = $bay->bay->id;
            }
        }
        $ordered = [];
        $left = $bays;
        while ($left !== []) {
            $waiting = array_map(fn (FittedBay $bay) => $bay->bay->id, $left);
            $free = array_values(array_filter($left, fn (FittedBay $bay) => array_filter($bay->bay->tiers, fn (Tier $tier) => in_array($home[$tier->snap ?? ''] ?? null, $waiting, true)) === []));
            if ($free === []) {
                return [[...$ordered, ...$left], $left];
            }
            array_push($ordered, ...$free);
            $left = array_values(array_filter($left, fn (FittedBay $bay) => ! in_array($bay, $free, true)));
        }

        return [$ordered, []];
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
