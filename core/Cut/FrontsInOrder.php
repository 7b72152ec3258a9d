<?php

declare(strict_types=1);

namespace Incastro\Cut;

use Incastro\Pieces\Grain;

/**
 * Fronts of one height that come from one strip in their order, so that the figure of the wood runs on from one to the next: for the
 * planner each such row is one piece as wide as all of them with the kerfs between.
 */
final readonly class FrontsInOrder
{
    /** @param list<Stock> $stock */
    public function __construct(private SawSetup $saw, private array $stock)
    {
    }

    /**
     * @param  list<CutPiece>  $fronts  one by one, in their order
     * @return list<CutPiece> rows of those that go side by side, and what stays alone
     */
    public function rows(array $fronts): array
    {
        $rows = $open = [];
        foreach ($fronts as $front) {
            if ($front->grain !== Grain::Length) {
                $rows[] = $front;
                continue;
            }
            $key = implode('|', [$front->length->nanometres(), $front->thickness->nanometres(), $front->material]);
            $row = [...$open[$key] ?? [], $front];
            if (! $this->goes($row)) {
                array_push($rows, ...self::row($open[$key] ?? [], $this->saw));
                $row = [$front];
            }
            $open[$key] = $row;
        }

        return array_merge($rows, ...array_values(array_map(fn (array $row) => self::row($row, $this->saw), $open)));
    }

    /** @param non-empty-list<CutPiece> $row */
    private function goes(array $row): bool
    {
        $piece = CutPiece::row($row, $this->saw->kerf);
        foreach ($this->stock as $stock) {
            if ($stock->suits($piece) && ! $piece->width->isGreaterThan($this->saw->usableWidth($stock))) {
                return true;
            }
        }

        return false;
    }

    /**
     * @param  list<CutPiece>  $row
     * @return list<CutPiece>
     */
    private static function row(array $row, SawSetup $saw): array
    {
        return count($row) < 2 ? $row : [CutPiece::row($row, $saw->kerf)];
    }
}
