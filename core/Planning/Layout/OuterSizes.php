<?php

declare(strict_types=1);

namespace Incastro\Planning\Layout;

use Incastro\Fit\Layout\Bay;
use Incastro\Fit\Layout\Layout;
use Incastro\Fit\Layout\Tier;
use Incastro\Measure\Length;

/**
 * A number is an outer size while a cell stands alone, and a clear opening where it shares boards. When a cell goes over from
 * one to the other, its number changes by the boards that are its own: half of each shared one, and all of an outer one; so
 * what a person chose stays as large as it was. Halves of a number are halves of the outer size: (size − (n + 1) · t)/n.
 */
final readonly class OuterSizes
{
    /** The least that a cell may measure, nm. */
    private const LEAST = 10_000_000;

    public function __construct(private Length $board)
    {
    }

    /**
     * @param  array<string, mixed>  $before
     * @param  array<string, mixed>  $after  a layout whose cells have the numbers that they had, or parts of them
     * @param  bool  $isSplit  whether a cell that is new has half of the one before it, rather than being its copy
     * @return array<string, mixed>
     */
    public function kept(array $before, array $after, bool $isSplit = false): array
    {
        $was = $this->boards(LayoutReader::division($before));
        $is = $this->boards(LayoutReader::division($after));
        foreach (self::lists($before) as $cells) {
            foreach ($cells as $i => $cell) {
                if (! isset($is[$cell['id']]) && count($cells) > 1) {
                    // Taken out, its boards go to the one that got its size.
                    $was[$cells[$i < 1 ? 1 : $i - 1]['id']] += $was[$cell['id']];
                }
            }
        }
        foreach ($after['runs'] as $r => $run) {
            $after['runs'][$r]['bays'] = $this->sized($run['bays'], $was, $is, $isSplit);
            foreach ($after['runs'][$r]['bays'] as $b => $bay) {
                $after['runs'][$r]['bays'][$b]['tiers'] = $this->sized($bay['tiers'], $was, $is, $isSplit);
            }
        }

        return $after;
    }

    /**
     * @param  array<string, mixed>  $layout
     * @return list<list<array<string, mixed>>> its rows of cells: bays of runs, and tiers of bays
     */
    private static function lists(array $layout): array
    {
        $lists = [];
        foreach ($layout['runs'] as $run) {
            $lists[] = $run['bays'];
            array_push($lists, ...array_column($run['bays'], 'tiers'));
        }

        return $lists;
    }

    /**
     * @param  list<array<string, mixed>>  $cells
     * @param  array<string, int>  $was
     * @param  array<string, int>  $is
     * @return list<array<string, mixed>>
     */
    private function sized(array $cells, array $was, array $is, bool $isSplit): array
    {
        $given = $cells;
        foreach ($given as $i => $cell) {
            $source = $given[$i - 1] ?? null;
            $isNew = ! isset($was[$cell['id']]) && $source !== null && isset($was[$source['id']]);
            if ($isNew && $isSplit && isset($cell['size']['nm'], $source['size']['nm'])) {
                $clear = $cell['size']['nm'] + $source['size']['nm'] + $was[$source['id']] - $is[$source['id']] - $is[$cell['id']];
                if ($clear !== $cell['size']['nm'] + $source['size']['nm']) {
                    $cells[$i - 1]['size'] = $cells[$i]['size'] = self::number(intdiv($clear, 2));
                } else {
                    $cells[$i - 1]['size'] = $source['size'];
                }
            } elseif (isset($cell['size']['nm'])) {
                $more = ($was[$isNew && ! $isSplit ? $source['id'] : $cell['id']] ?? 0) - ($is[$cell['id']] ?? 0);
                $cells[$i]['size'] = $more === 0 ? $cell['size'] : self::number($cell['size']['nm'] + $more);
            }
        }

        return $cells;
    }

    /** @return array{nm: int, typed: string} */
    private static function number(int $nm): array
    {
        return ['nm' => max(self::LEAST, $nm), 'typed' => ''];
    }

    /** @return array<string, int> by cell: what of the boards around it is its own, nm */
    private function boards(Layout $layout): array
    {
        $own = [];
        foreach ($layout->runs as $run) {
            foreach ($run->groups() as $group) {
                $own += $this->ofGroup(array_map(fn (Bay $bay) => $bay->id, $group));
            }
            foreach ($run->bays as $bay) {
                foreach ($bay->stacks() as $stack) {
                    $own += $this->ofGroup(array_map(fn (Tier $tier) => $tier->id, $stack));
                }
            }
        }

        return $own;
    }

    /**
     * @param  list<string>  $cells
     * @return array<string, int>
     */
    private function ofGroup(array $cells): array
    {
        $own = [];
        $half = intdiv($this->board->nanometres(), 2);
        $last = count($cells) - 1;
        foreach ($cells as $i => $cell) {
            $own[$cell] = $last === 0 ? 0 : ($i === 0 ? 2 * $half : $half) + ($i === $last ? 2 * $half : $half);
        }

        return $own;
    }
}
