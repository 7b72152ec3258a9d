<?php

declare(strict_types=1);

namespace Incastro\Saw;

/** The cuts of one sheet that the yard makes: after which slices of its tree, and after which slices of those that are then alone. */
final readonly class YardCuts
{
    /**
     * @param  list<int>  $after  numbers of slices, rising; behind the last of all lies what is left over
     * @param  array<int, list<int>>  $within  the same for slices that lie between two of these cuts, by their number
     */
    public function __construct(public array $after, public array $within = [])
    {
    }

    public function count(): int
    {
        return count($this->after) + array_sum(array_map(count(...), $this->within));
    }

    /**
     * The parts that they leave, each a run of slices: the number of its first, and how many; none in what is left over.
     *
     * @param  list<int>  $after
     * @return non-empty-list<array{int, int}>
     */
    public static function runs(array $after, int $slices): array
    {
        $runs = [];
        $from = 0;
        foreach ($after as $last) {
            $runs[] = [$from, $last - $from + 1];
            $from = $last + 1;
        }

        return [...$runs, [$from, $slices - $from]];
    }
}
