<?php

declare(strict_types=1);

namespace Incastro\Cut;

/** One attempt at a plan: pieces of one material put onto sheets one after another, each where it fits tightest. */
final class Filling
{
    /** @var list<OpenSheet> */
    public array $sheets = [];

    /** @var list<CutPiece> pieces that found no sheet, one by one */
    private array $left = [];

    /** @var array<int, int> sheets taken of each kind */
    private array $taken = [];

    /** @param list<Stock> $kinds */
    public function __construct(
        private readonly SawSetup $saw,
        private readonly array $kinds,
        private readonly int $preferred,
        private readonly Split $split,
    ) {
    }

    /**
     * Where a piece of the size in hand fits best on each sheet, until a piece is put onto that sheet: pieces of a size
     * follow one another, and only one sheet changes with each.
     *
     * @var array<int, array{int, array{int, int, bool}, int}|false>
     */
    private array $places = [];

    /** @param list<array{CutPiece, list<array{int, int, bool}>}> $pieces with the ways each may lie */
    public function fill(array $pieces): void
    {
        $before = null;
        foreach ($pieces as [$piece, $ways]) {
            if ($ways !== $before) {
                $this->places = [];
                $before = $ways;
            }
            for ($i = 0; $i < $piece->quantity; $i++) {
                if (! $this->onOpenSheet($piece, $ways) && ! $this->onNewSheet($piece, $ways)) {
                    $this->left[] = $piece;
                }
            }
        }
    }

    /** Lays each sheet's pieces out on a cheaper kind where they all go. */
    public function shrink(): void
    {
        foreach ($this->sheets as $k => $sheet) {
            foreach ($this->kinds as $i => $kind) {
                if ($kind->price < $this->sheets[$k]->stock->price && $this->isLeft($i)) {
                    $smaller = $this->relaid($sheet, $kind);
                    if ($smaller !== null) {
                        $old = (int) array_search($this->sheets[$k]->stock, $this->kinds, true);
                        $this->taken[$old]--;
                        $this->taken[$i] = ($this->taken[$i] ?? 0) + 1;
                        $this->sheets[$k] = $smaller;
                    }
                }
            }
        }
    }

    public function isBetterThan(self $that): bool
    {
        return [$this->countLeft(), $this->price(), count($this->sheets), count($this->settings()), -$this->largestOffcut()]
            < [$that->countLeft(), $that->price(), count($that->sheets), count($that->settings()), -$that->largestOffcut()];
    }

    /** @return array<string, true> */
    public function settings(): array
    {
        return array_merge([], ...array_map(fn (OpenSheet $sheet) => $sheet->settings(), $this->sheets));
    }

    /** @return list<Unplaced> */
    public function unplaced(): array
    {
        $byPiece = [];
        foreach ($this->left as $piece) {
            $byPiece[spl_object_id($piece)][] = $piece;
        }

        return array_map(
            fn (array $alike) => new Unplaced($alike[0]->name, count($alike), 'the sheets at hand are used up', true),
            array_values($byPiece),
        );
    }

    /** @return list<CutPiece> the pieces that lie on a sheet, each as often as it does */
    public function placed(): array
    {
        return array_merge([], ...array_map(fn (OpenSheet $sheet) => array_map(fn (PlacedPiece $placed) => $placed->piece->single(), $sheet->pieces()), $this->sheets));
    }

    private function countLeft(): int
    {
        return count($this->left);
    }

    private function price(): float
    {
        return array_sum(array_map(fn (OpenSheet $sheet) => $sheet->stock->price, $this->sheets));
    }

    private function largestOffcut(): float
    {
        return max([0.0, ...array_map(fn (OpenSheet $sheet) => ($sheet->close()->offcuts[0] ?? null)?->area() ?? 0.0, $this->sheets)]);
    }

    private function isLeft(int $kind): bool
    {
        $quantity = $this->kinds[$kind]->quantity;

        return $quantity === null || ($this->taken[$kind] ?? 0) < $quantity;
    }

    /** @param list<array{int, int, bool}> $ways */
    private function onOpenSheet(CutPiece $piece, array $ways): bool
    {
        $best = null;
        foreach ($this->sheets as $k => $sheet) {
            $place = $this->places[$k] ??= $sheet->bestPlace($ways) ?? false;
            if ($place !== false && ($best === null || $place[2] < $best[1][2])) {
                $best = [$k, $place];
            }
        }
        if ($best === null) {
            return false;
        }
        $this->sheets[$best[0]]->put($piece, $best[1][0], $best[1][1], $this->split);
        unset($this->places[$best[0]]);

        return true;
    }

    /** @param list<array{int, int, bool}> $ways */
    private function onNewSheet(CutPiece $piece, array $ways): bool
    {
        $order = [$this->preferred, ...array_diff(array_keys($this->kinds), [$this->preferred])];
        foreach ($order as $i) {
            $sheet = new OpenSheet($this->kinds[$i], $this->saw);
            $place = $this->isLeft($i) ? $sheet->bestPlace($ways) : null;
            if ($place !== null) {
                $sheet->put($piece, $place[0], $place[1], $this->split);
                $this->sheets[] = $sheet;
                $this->taken[$i] = ($this->taken[$i] ?? 0) + 1;

                return true;
            }
        }

        return false;
    }

    private function relaid(OpenSheet $sheet, Stock $kind): ?OpenSheet
    {
        $new = new OpenSheet($kind, $this->saw);
        foreach ($sheet->pieces() as $placed) {
            $place = $new->bestPlace(SheetPlanner::ways($placed->piece));
            if ($place === null) {
                return null;
            }
            $new->put($placed->piece, $place[0], $place[1], $this->split);
        }

        return $new;
    }
}
