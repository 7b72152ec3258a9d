<?php

declare(strict_types=1);

namespace Incastro\Planning\Layout;

use Incastro\Fit\Layout\Size;
use Incastro\Measure\Length;
use Incastro\Planning\InvalidChoice;

/** What bays of a run and tiers of a bay have in common: a row of cells with sizes, split, joined and swapped alike. */
final class CellList
{
    /**
     * Half of a size: of a fixed one to the working fraction, of a share as near as whole shares go.
     *
     * @param  array<string, mixed>  $size
     * @return array{array<string, mixed>, array<string, mixed>}
     */
    public static function halves(array $size, Length $step): array
    {
        if (isset($size['nm'])) {
            $half = Length::ofNanometres(intdiv($size['nm'], 2))->roundedDown($step)->nanometres();

            return [['nm' => $half, 'typed' => ''], ['nm' => $size['nm'] - $half, 'typed' => '']];
        }
        $half = max(1, intdiv($size['share'], 2));

        return [['share' => $half], ['share' => $half]];
    }

    /**
     * All shares doubled where the one to be halved is odd, so that nothing else moves.
     *
     * @param  list<array<string, mixed>>  $cells
     * @return list<array<string, mixed>>
     */
    public static function doubled(array $cells, int $at): array
    {
        $isOdd = isset($cells[$at]['size']['share']) && $cells[$at]['size']['share'] % 2 === 1;
        $most = max([0, ...array_map(fn (array $cell) => $cell['size']['share'] ?? 0, $cells)]);

        return ! $isOdd || 2 * $most > Size::MOST ? $cells : array_map(fn (array $cell) => isset($cell['size']['share']) ? ['size' => ['share' => 2 * $cell['size']['share']]] + $cell : $cell, $cells);
    }

    /**
     * Takes a cell out; the one before it, or after the first, gets its size.
     *
     * @param  list<array<string, mixed>>  $cells
     * @return list<array<string, mixed>>
     */
    public static function joined(array $cells, int $at, string $least, string $path): array
    {
        if (count($cells) < 2) {
            throw new InvalidChoice($path, $least);
        }
        $to = $at < 1 ? 1 : $at - 1;
        [$gone, $kept] = [$cells[$at]['size'], $cells[$to]['size']];
        if (isset($gone['nm'], $kept['nm'])) {
            $cells[$to]['size'] = ['nm' => $gone['nm'] + $kept['nm'], 'typed' => ''];
        } elseif (isset($gone['share'], $kept['share'])) {
            $cells[$to]['size'] = ['share' => min(Size::MOST, $gone['share'] + $kept['share'])];
        } else {
            $cells[$to]['size'] = isset($gone['share']) ? $gone : $kept;
        }
        array_splice($cells, $at, 1);

        return $cells;
    }

    /**
     * @param  list<array<string, mixed>>  $cells
     * @return list<array<string, mixed>>
     */
    public static function swapped(array $cells, int $at, string $none, string $path): array
    {
        if (! isset($cells[$at + 1])) {
            throw new InvalidChoice($path, $none);
        }
        [$first, $second] = [$cells[$at], $cells[$at + 1]];
        // What a boundary is stays where it is.
        [$cells[$at], $cells[$at + 1]] = [['joined' => $first['joined']] + $second, ['joined' => $second['joined']] + $first];

        return $cells;
    }
}
