<?php

declare(strict_types=1);

namespace Incastro\Cut;

use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

/** Fills boards of one material: the longest piece first and what fills its board best, then some boards at a time anew. By seed the same everywhere. */
final class BoardFill
{
    /** Choices that are looked at for what fills a board best. */
    private const NODES = 400;

    private const SEED = 1;

    /** Boards that are emptied at a time. */
    private const MOST = 4;

    private readonly Randomizer $chance;

    private int $nodes = 0;

    public function __construct(private readonly BoardList $list)
    {
        $this->chance = new Randomizer(new Xoshiro256StarStar(self::SEED));
    }

    /**
     * @param  int  $rounds  of emptying and filling anew; none while sizes still change
     * @return array{list<array{int, list<int>}>, list<int>} boards by kind with the numbers of their pieces, and the pieces that found none
     */
    public function best(int $rounds, float $bound): array
    {
        $all = array_keys($this->list->sizes);
        $best = null;
        foreach ($this->orders() as $order) {
            $filled = $this->filled($all, $order, []);
            if ($best === null || $this->cost($filled) < $this->cost($best)) {
                $best = $filled;
            }
        }
        $best ??= [[], $all];
        for ($round = 0; $round < $rounds && $best[1] === [] && $this->price($best[0]) > $bound + 1e-6 && count($best[0]) > 1; $round++) {
            $next = $this->again($best[0]);
            $best = $next !== null && $this->cost($next) <= $this->cost($best) ? $next : $best;
        }

        return $best;
    }

    /**
     * Some boards are emptied, and what was on them is put again.
     *
     * @param  list<array{int, list<int>}>  $boards
     * @return array{list<array{int, list<int>}>, list<int>}|null
     */
    private function again(array $boards): ?array
    {
        $boards = $this->chance->shuffleArray($boards);
        $many = $this->chance->getInt(2, min(self::MOST, count($boards)));
        $kept = array_slice($boards, $many);
        $pieces = array_merge(...array_column(array_slice($boards, 0, $many), 1));
        // A little disorder among those of about one length.
        $key = [];
        foreach ($pieces as $p) {
            $key[$p] = $this->list->sizes[$p] * (100 + $this->chance->getInt(0, 20));
        }
        usort($pieces, fn (int $a, int $b) => $key[$b] <=> $key[$a]);
        $orders = $this->orders();
        [$new, $out] = $this->filled($pieces, $orders[$this->chance->getInt(0, count($orders) - 1)], $kept);

        return $out === [] ? [[...$kept, ...$new], []] : null;
    }

    /**
     * @param  list<int>  $pieces  numbers, in the order in which they open boards
     * @param  list<int>  $order  of kinds, those preferred first
     * @param  list<array{int, list<int>}>  $besides  boards that are used already
     * @return array{list<array{int, list<int>}>, list<int>}
     */
    private function filled(array $pieces, array $order, array $besides): array
    {
        $used = array_count_values(array_column($besides, 0));
        $boards = $out = [];
        while ($pieces !== []) {
            $first = array_shift($pieces);
            $kind = null;
            foreach ($order as $k) {
                [$capacity, , $quantity] = $this->list->kinds[$k];
                if ($this->list->sizes[$first] <= $capacity && ($quantity === null || ($used[$k] ?? 0) < $quantity)) {
                    $kind = $k;
                    break;
                }
            }
            if ($kind === null) {
                $out[] = $first;
                continue;
            }
            $used[$kind] = ($used[$kind] ?? 0) + 1;
            $beside = $this->fullest($pieces, $this->list->kinds[$kind][0] - $this->list->sizes[$first]);
            $pieces = array_values(array_diff($pieces, $beside));
            $boards[] = [$kind, [$first, ...$beside]];
        }

        return [$boards, $out];
    }

    /**
     * Those that fill a room best together.
     *
     * @param  list<int>  $pieces
     * @return list<int>
     */
    private function fullest(array $pieces, int $room): array
    {
        $fitting = array_values(array_filter($pieces, fn (int $p) => $this->list->sizes[$p] <= $room));
        $rest = [0];
        foreach (array_reverse($fitting) as $p) {
            array_unshift($rest, $rest[0] + $this->list->sizes[$p]);
        }
        $this->nodes = 0;
        $best = [0, []];
        $this->search($fitting, $rest, 0, $room, [], 0, $best);

        return $best[1];
    }

    /**
     * @param  list<int>  $pieces
     * @param  list<int>  $rest  sum of the sizes from each on
     * @param  list<int>  $chosen
     * @param  array{int, list<int>}  $best
     */
    private function search(array $pieces, array $rest, int $at, int $room, array $chosen, int $sum, array &$best): void
    {
        if ($sum > $best[0]) {
            $best = [$sum, $chosen];
        }
        if ($at >= count($pieces) || $sum + $rest[$at] <= $best[0] || ++$this->nodes > self::NODES || $best[0] === $room) {
            return;
        }
        $size = $this->list->sizes[$pieces[$at]];
        if ($sum + $size <= $room) {
            $this->search($pieces, $rest, $at + 1, $room, [...$chosen, $pieces[$at]], $sum + $size, $best);
        }
        // One as long beside it would do no better.
        while ($at + 1 < count($pieces) && $this->list->sizes[$pieces[$at + 1]] === $size) {
            $at++;
        }
        $this->search($pieces, $rest, $at + 1, $room, $chosen, $sum, $best);
    }

    /** @return list<list<int>> kinds in the orders in which they may be preferred: by money for their length, and each first once */
    private function orders(): array
    {
        $byLength = array_keys($this->list->kinds);
        usort($byLength, fn (int $a, int $b) => [$this->list->kinds[$a][1] / $this->list->kinds[$a][0], -$this->list->kinds[$a][0]] <=> [$this->list->kinds[$b][1] / $this->list->kinds[$b][0], -$this->list->kinds[$b][0]]);
        $orders = [$byLength];
        foreach (array_slice($byLength, 1) as $kind) {
            $orders[] = [$kind, ...array_values(array_diff($byLength, [$kind]))];
        }

        return $orders;
    }

    /**
     * @param  array{list<array{int, list<int>}>, list<int>}  $filled
     * @return array{int, float, float} pieces out, price, and how little of the waste lies together
     */
    private function cost(array $filled): array
    {
        $together = 0.0;
        foreach ($filled[0] as [$kind, $pieces]) {
            $left = ($this->list->kinds[$kind][0] - array_sum(array_map(fn (int $p) => $this->list->sizes[$p], $pieces))) / 1e6;
            $together += $left * $left;
        }

        return [count($filled[1]), round($this->price($filled[0]), 2), -$together];
    }

    /** @param list<array{int, list<int>}> $boards */
    private function price(array $boards): float
    {
        return array_sum(array_map(fn (array $board) => $this->list->kinds[$board[0]][1], $boards));
    }
}
