<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

/**
 * How wide the first of a row of boards is, so that no strip is a sliver: neither the first, nor the last, nor what is left of a board
 * beside an opening. n = 1 + ⌈(B − wx)/k⌉, q = B − wx − (n − 2)·k: the first is as wide as it may be and the last takes q, or, where that
 * would be less than half a board, both share; where a strip would still be too narrow, every first board there may be is tried. Lengths in one whole unit, such as nm.
 */
final readonly class FirstBoard
{
    /** @param list<int> $widths  of all boards */
    private function __construct(public array $widths, public int $leastStrip)
    {
    }

    /**
     * @param  int  $clear  B: what the boards cover
     * @param  int  $cover  k: of a whole board
     * @param  int  $most  wx: of the first board, which may be scribed
     * @param  int  $least  that looks like a board
     * @param  list<int>  $edges  of openings by pairs, from where the first board begins
     * @param  int  $step  in which the first board is cut
     */
    public static function of(int $clear, int $cover, int $most, int $least, array $edges = [], int $step = 1): self
    {
        if ($clear <= $most) {
            return self::from($clear, $clear, $cover, $edges);
        }
        $count = 1 + intdiv($clear - $most + $cover - 1, $cover);
        $last = $clear - $most - ($count - 2) * $cover;
        $usual = self::from(2 * $last >= $cover ? $most : self::down(intdiv($most + $last, 2), $step), $clear, $cover, $edges);
        if ($usual->leastStrip >= $least) {
            return $usual;
        }
        // The widest least strip; of those alike the widest first board, which is the one tried first.
        $best = $usual;
        for ($first = self::down($most, $step); $first >= $least; $first -= $step) {
            $tried = self::from($first, $clear, $cover, $edges);
            $best = $tried->leastStrip > $best->leastStrip ? $tried : $best;
        }

        return $best;
    }

    private static function down(int $size, int $step): int
    {
        return $size - $size % $step;
    }

    /** @param list<int> $edges */
    private static function from(int $first, int $clear, int $cover, array $edges): self
    {
        $widths = [$first];
        for ($left = $clear - $first; $left > 0; $left -= $cover) {
            $widths[] = min($cover, $left);
        }

        return new self($widths, self::leastStrip($widths, $edges));
    }

    /**
     * The narrowest of the first board, the last, and what is left of a board beside an opening.
     *
     * @param  non-empty-list<int>  $widths  of all boards
     * @param  list<int>  $edges
     */
    public static function leastStrip(array $widths, array $edges): int
    {
        $least = min($widths[0], $widths[count($widths) - 1]);
        foreach ($edges as $i => $edge) {
            // Edges come by pairs: below the lower one and above the upper one a part of a board is left.
            $at = 0;
            foreach ($widths as $width) {
                if ($edge > $at && $edge < $at + $width) {
                    $least = min($least, $i % 2 === 0 ? $edge - $at : $at + $width - $edge);
                }
                $at += $width;
            }
        }

        return $least;
    }
}
