<?php

declare(strict_types=1);

namespace Incastro\Buy;

/**
 * The packs that cover a need: of least price, of these the fewest packs, of these the least left over. Unbounded cover, exact by dynamic
 * programming up to a limit; above it the largest pack is taken first.
 */
final readonly class Cover
{
    /** Base units that are looked through one by one. */
    private const EXACT = 10_000;

    /** A larger pack that costs at most so much more is worth a word. */
    private const NEARLY = 1.15;

    /**
     * @param  list<array{int, Pack}>  $packs  how many of each
     * @param  ?int  $price  null where a pack has none
     * @param  ?string  $note
     */
    private function __construct(public array $packs, public ?int $price, public int $units, public ?string $note)
    {
    }

    /** @param non-empty-list<Pack> $packs that are sold */
    public static function of(int $need, array $packs): self
    {
        if ($need <= 0) {
            return new self([], 0, 0, null);
        }
        // Where one has no price, prices decide nothing.
        $isPriced = array_filter($packs, fn (Pack $pack) => $pack->price === null) === [];
        $largest = max(array_map(fn (Pack $pack) => $pack->units, $packs));
        $whole = $need > self::EXACT ? intdiv($need - self::EXACT, $largest) : 0;
        $taken = self::least($need - $whole * $largest, $packs, $isPriced);
        foreach ($packs as $p => $pack) {
            if ($pack->units === $largest && $whole > 0) {
                $taken[$p] = ($taken[$p] ?? 0) + $whole;
                break;
            }
        }
        uksort($taken, fn (int $a, int $b) => $packs[$b]->units <=> $packs[$a]->units);
        $chosen = array_map(fn (int $p, int $count) => [$count, $packs[$p]], array_keys($taken), array_values($taken));
        $sum = fn (\Closure $of): int => (int) array_sum(array_map(fn (array $one) => $one[0] * $of($one[1]), $chosen));
        $price = $isPriced ? $sum(fn (Pack $pack) => (int) $pack->price) : null;

        return new self($chosen, $price, $sum(fn (Pack $pack) => $pack->units), $price === null ? null : self::note($need, $price, $chosen, $packs));
    }

    /** In words: “1 × box of 200, 2 × box of 50”. */
    public function words(): string
    {
        return implode(', ', array_map(fn (array $one) => "$one[0] × {$one[1]->name}", $this->packs));
    }

    /**
     * @param  non-empty-list<Pack>  $packs
     * @return array<int, int> how many of each
     */
    private static function least(int $need, array $packs, bool $isPriced): array
    {
        $best = [0 => [0, 0, 0]];
        $from = [];
        for ($q = 1; $q <= $need; $q++) {
            foreach ($packs as $p => $pack) {
                [$price, $count, $units] = $best[max(0, $q - $pack->units)];
                $cost = [$price + ($isPriced ? (int) $pack->price : 0), $count + 1, $units + $pack->units];
                if (! isset($best[$q]) || $cost < $best[$q]) {
                    [$best[$q], $from[$q]] = [$cost, $p];
                }
            }
        }
        $taken = [];
        for ($q = $need; $q > 0; $q -= $packs[$from[$q]]->units) {
            $taken[$from[$q]] = ($taken[$from[$q]] ?? 0) + 1;
        }

        return $taken;
    }

    /**
     * Several packs, where one that is larger costs little more.
     *
     * @param  list<array{int, Pack}>  $chosen
     * @param  non-empty-list<Pack>  $packs
     */
    private static function note(int $need, int $price, array $chosen, array $packs): ?string
    {
        if (array_sum(array_column($chosen, 0)) < 2) {
            return null;
        }
        $larger = array_filter($packs, fn (Pack $pack) => $pack->units >= $need && $pack->price <= self::NEARLY * $price);
        usort($larger, fn (Pack $a, Pack $b) => $a->price <=> $b->price);

        return $larger === [] ? null : sprintf('%s alone costs %.2f more.', ucfirst($larger[0]->name), ((int) $larger[0]->price - $price) / 100);
    }
}
