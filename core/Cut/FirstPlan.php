<?php

declare(strict_types=1);

namespace Incastro\Cut;

/** The best of a fixed number of fillings, by order, fit and preferred kind: nothing in it is by chance. */
final readonly class FirstPlan
{
    public const ORDERS = 6;

    /** Fillings of each preferred kind, for lists of up to so many pieces; of longer ones, a single one. */
    private const TRIED = [150 => 18, 1000 => 8];

    /** Fillings that are enough to say how much is needed, while sizes still change. */
    public const QUICK = 4;

    public function __construct(private Lay $lay, private int $most = PHP_INT_MAX)
    {
    }

    public function best(): Filled
    {
        $pieces = $this->lay->pieces();
        $tried = 1;
        foreach (array_reverse(self::TRIED, true) as $most => $tries) {
            $tried = count($pieces) <= $most ? $tries : $tried;
        }
        $tried = min($tried, $this->most);
        $orders = array_map(fn (int $o) => self::sorted($pieces, $this->lay->types, $o), range(0, min(self::ORDERS, $tried) - 1));
        $best = null;
        foreach (array_keys($this->lay->kinds) as $preferred) {
            $kinds = [$preferred, ...array_values(array_diff(array_keys($this->lay->kinds), [$preferred]))];
            $left = $tried;
            foreach ([Fit::ShortSide, Fit::Area, Fit::LongSide] as $fit) {
                foreach ($orders as $order) {
                    if ($left-- <= 0) {
                        break 2;
                    }
                    $filled = new Filled($this->lay);
                    $filled->put($order, $fit, $kinds);
                    $this->shrink($filled);
                    $best = $best === null || self::isBetter($filled, $best) ? $filled : $best;
                }
            }
        }
        assert($best !== null);

        return $best;
    }

    /**
     * Pieces with the largest first, by one of six sizes: area, along x, along y, longer side, shorter side, half the way round.
     *
     * @param  list<int>  $pieces
     * @param  list<PieceType>  $types
     * @param  (\Closure(): float)|null  $noise  by which the size of each is multiplied
     * @return list<int>
     */
    public static function sorted(array $pieces, array $types, int $by, ?\Closure $noise = null): array
    {
        $keys = [];
        foreach ($pieces as $p => $t) {
            $way = $types[$t]->ways[0];
            $size = match ($by) {
                0 => $way->x * $way->y, 1 => $way->x, 2 => $way->y, 3 => max($way->x, $way->y), 4 => min($way->x, $way->y), default => $way->x + $way->y,
            };
            // Pieces of a type stay together, where nothing else parts them.
            $keys[$p] = $noise === null ? [-$size, $t] : [-$size * $noise(), $t];
        }
        asort($keys);

        return array_map(fn (int $p) => $pieces[$p], array_keys($keys));
    }

    private static function isBetter(Filled $one, Filled $other): bool
    {
        // Settings are counted only where all else is alike: that takes longest.
        $order = [count($one->out), $one->price, count($one->sheets)] <=> [count($other->out), $other->price, count($other->sheets)];

        return $order < 0 || $order === 0 && count($one->settings()) < count($other->settings());
    }

    /** Lays each sheet's pieces out on a cheaper kind where they all go. */
    private function shrink(Filled $filled): void
    {
        foreach ($filled->sheets as $s => $sheet) {
            foreach ($this->lay->kinds as $k => $kind) {
                if ($kind->stock->price >= $filled->sheets[$s]->of->stock->price || ! $filled->isAtHand($k)) {
                    continue;
                }
                $alone = new Lay($this->lay->types, [$kind], $this->lay->kerf);
                foreach (range(0, 3) as $order) {
                    $smaller = new Filled($alone, [new LaidSheet(0, $kind, null)]);
                    $smaller->put(self::sorted($sheet->root?->types() ?? [], $this->lay->types, $order), Fit::ShortSide, []);
                    if ($smaller->out === []) {
                        $filled->replace($s, new LaidSheet($k, $kind, $smaller->sheets[0]->root));
                        break;
                    }
                }
            }
        }
    }
}
