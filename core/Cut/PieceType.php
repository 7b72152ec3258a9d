<?php

declare(strict_types=1);

namespace Incastro\Cut;

/** Pieces of one size that may lie alike: for the saw they are the same, whatever they are called. */
final readonly class PieceType
{
    public int $area;

    /**
     * @param  non-empty-list<Way>  $ways
     * @param  non-empty-list<CutPiece>  $pieces  one by one
     */
    public function __construct(public array $ways, public array $pieces)
    {
        $this->area = $ways[0]->x * $ways[0]->y;
    }

    /**
     * The types of a list, each with its pieces in the list's order.
     *
     * @param  list<CutPiece>  $pieces
     * @return list<self>
     */
    public static function all(array $pieces, Grid $grid): array
    {
        $alike = [];
        foreach ($pieces as $piece) {
            $ways = array_map(fn (array $way) => new Way($grid->steps($way[0]), $grid->steps($way[1]), $way[2]), SheetPlanner::ways($piece));
            $key = implode('|', array_map(fn (Way $way) => "$way->x,$way->y,".(int) $way->turned, $ways));
            $alike[$key] ??= [$ways, []];
            for ($i = 0; $i < $piece->quantity; $i++) {
                $alike[$key][1][] = $piece;
            }
        }

        return array_values(array_map(fn (array $type) => new self(...$type), array_filter($alike, fn (array $type) => $type[1] !== [])));
    }
}
