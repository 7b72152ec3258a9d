<?php

declare(strict_types=1);

namespace Incastro\Install;

/**
 * Studs stand on a grid of a usual pitch, nearly. For each pitch the origin that costs least is sought, cost Σ min((r/7)², 9) of the distances
 * r of what was found from its places; a pitch is claimed where the next one costs 4 more. Found studs beside the grid are kept as found.
 */
final readonly class StudGrid
{
    /** mm: 400, 16 in, 450, 600, 24 in. */
    public const PITCHES = [400.0, 406.4, 450.0, 600.0, 609.6];

    /** How far a found stud lies from its place by chance, one σ; from how far on it is none of the grid; mm. */
    private const SIGMA = 7.0;

    private const BESIDE = 20.0;

    /** A stud far from every place costs no more. */
    private const MOST = 9.0;

    /** A pitch is claimed where the next best costs so much more. */
    private const CLEAR = 4.0;

    /** Fewer found studs say nothing of others. */
    private const FEWEST = 3;

    /** Two pitches are told apart where their places differ so far, mm. */
    private const APART = 15.0;

    /** 95 of 100 lie within so many σ. */
    private const BAND = 1.96;

    /**
     * @param  list<float>  $found  centre lines along the wall, mm
     * @param  list<array{pitch: float, origin: float, cost: float}>  $fits  the best of each pitch, cheapest first
     */
    private function __construct(public array $found, private array $fits)
    {
    }

    /** @param list<float> $found centre lines along the wall, mm */
    public static function of(array $found): self
    {
        sort($found);
        $fits = [];
        foreach (count($found) < self::FEWEST ? [] : self::PITCHES as $pitch) {
            $each = array_map(fn (float $from): array => self::fit($found, $pitch, $from), $found);
            usort($each, fn (array $one, array $other) => $one['cost'] <=> $other['cost']);
            $fits[] = $each[0];
        }
        usort($fits, fn (array $one, array $other) => $one['cost'] <=> $other['cost']);

        return new self($found, $fits);
    }

    /** @return list<float> the pitches that what was found allows, likeliest first: one where it is claimed */
    public function pitches(): array
    {
        return array_column($this->likely(), 'pitch');
    }

    /** What this pitch costs. */
    public function cost(float $pitch): float
    {
        return array_column($this->fits, 'cost')[(int) array_search($pitch, array_column($this->fits, 'pitch'), true)];
    }

    /** @return list<array{u: float, off: float}> found studs that stand on no place of the likeliest grid, mm; off it to the left is less than 0 */
    public function beside(): array
    {
        $best = $this->likely()[0] ?? null;
        if ($best === null) {
            return [];
        }
        $off = array_map(fn (float $u): array => ['u' => $u, 'off' => self::off($u, $best['pitch'], $best['origin'])], $this->found);

        return array_values(array_filter($off, fn (array $one) => abs($one['off']) > self::BESIDE));
    }

    /**
     * Places where a stud is to be expected and none was found, with the band in which to probe. Where pitches are undecided and their places
     * are near each other they are one band; farther on nothing is expected.
     *
     * @return list<array{u: float, from: float, to: float}> mm
     */
    public function expected(float $from, float $to): array
    {
        $likely = $this->likely();
        if ($likely === []) {
            return [];
        }
        ['pitch' => $pitch, 'origin' => $origin] = $likely[0];
        $on = count($this->found) - count($this->beside());
        $band = self::BAND * self::SIGMA * sqrt(1 + 1 / max(1, $on));
        $expected = [];
        for ($k = (int) ceil(($from - $origin) / $pitch); $origin + $k * $pitch <= $to; $k++) {
            $u = $origin + $k * $pitch;
            $places = [$u, ...array_map(fn (array $other): float => $u - self::off($u, $other['pitch'], $other['origin']), array_slice($likely, 1))];
            $isFound = array_filter($this->found, fn (float $one) => abs($one - $u) <= self::BESIDE) !== [];
            if (! $isFound && max($places) - min($places) < self::APART) {
                $expected[] = ['u' => array_sum($places) / count($places), 'from' => min($places) - $band, 'to' => max($places) + $band];
            }
        }

        return $expected;
    }

    /** The nearest place beyond what was found at which a stud would decide between the pitches; null where there is nothing to decide. */
    public function decides(float $to): ?float
    {
        $likely = $this->likely();
        if (count($likely) < 2 || $this->found === []) {
            return null;
        }
        ['pitch' => $pitch, 'origin' => $origin] = $likely[0];
        for ($k = (int) floor((max($this->found) - $origin) / $pitch) + 1; $origin + $k * $pitch <= $to; $k++) {
            $u = $origin + $k * $pitch;
            if (abs(self::off($u, $likely[1]['pitch'], $likely[1]['origin'])) >= self::APART) {
                return $u;
            }
        }

        return null;
    }

    /** @return list<array{pitch: float, origin: float, cost: float}> */
    private function likely(): array
    {
        $least = $this->fits[0]['cost'] ?? 0.0;

        return array_values(array_filter($this->fits, fn (array $fit) => $fit['cost'] < $least + self::CLEAR));
    }

    /**
     * The grid through this one, shifted to the mean of those near it.
     *
     * @param  list<float>  $found
     * @return array{pitch: float, origin: float, cost: float}
     */
    private static function fit(array $found, float $pitch, float $from): array
    {
        $near = array_filter($found, fn (float $u) => abs(self::off($u, $pitch, $from)) <= self::BESIDE);
        $origin = $from + array_sum(array_map(fn (float $u): float => self::off($u, $pitch, $from), $near)) / max(1, count($near));

        return ['pitch' => $pitch, 'origin' => $origin, 'cost' => array_sum(array_map(fn (float $u): float => min(self::MOST, (self::off($u, $pitch, $origin) / self::SIGMA) ** 2), $found))];
    }

    /** How far right of the nearest place of the grid. */
    private static function off(float $u, float $pitch, float $origin): float
    {
        return $u - $origin - round(($u - $origin) / $pitch) * $pitch;
    }
}
