<?php

declare(strict_types=1);

namespace Incastro\Cut;

/** The list that is laid out: types of pieces, kinds of sheets, kerf and least size. It is the same for every attempt. */
final readonly class Lay
{
    /** Steps: the smallest size of any piece. Smaller rooms take none. */
    public int $least;

    /**
     * @param  list<PieceType>  $types
     * @param  list<SheetKind>  $kinds
     */
    public function __construct(public array $types, public array $kinds, public int $kerf)
    {
        $sizes = [];
        foreach ($types as $type) {
            foreach ($type->ways as $way) {
                array_push($sizes, $way->x, $way->y);
            }
        }
        $this->least = $sizes === [] ? 0 : min($sizes);
    }

    /**
     * The list without some pieces of its types.
     *
     * @param  list<int>  $out
     */
    public function without(array $out): self
    {
        $many = array_count_values($out);
        $types = [];
        foreach ($this->types as $t => $type) {
            $left = array_slice($type->pieces, 0, count($type->pieces) - ($many[$t] ?? 0));
            if ($left !== []) {
                $types[] = new PieceType($type->ways, $left);
            }
        }

        return new self($types, $this->kinds, $this->kerf);
    }

    /**
     * The different sizes along x and along y of pieces that lie in one way only: the fence is set to each, but where a piece reaches
     * across the sheet or ends with it by chance.
     */
    public function leastSettings(): int
    {
        $sizes = [];
        foreach ($this->types as $type) {
            foreach (count($type->ways) === 1 ? $type->ways : [] as $way) {
                $sizes["x$way->x"] = $sizes["y$way->y"] = true;
            }
        }
        foreach ($this->kinds as $kind) {
            unset($sizes["x$kind->x"], $sizes["y$kind->y"]);
        }

        return count($sizes);
    }

    /** @return list<int> the type of each piece, one by one */
    public function pieces(): array
    {
        return array_merge([], ...array_map(fn (int $t) => array_fill(0, count($this->types[$t]->pieces), $t), array_keys($this->types)));
    }
}
