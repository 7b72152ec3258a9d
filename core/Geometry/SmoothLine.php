<?php

declare(strict_types=1);

namespace Incastro\Geometry;

/**
 * The line through noisy stations that has as few pieces as their noise allows: a straight line, a parabola, a cubic, two
 * straight lines that meet at a kink, or a cubic spline. Chosen by the Bayesian information criterion, χ² + k·ln n, where k
 * counts the coefficients, and the place of a kink or knot as one more.
 */
final readonly class SmoothLine
{
    /** A kinked or knotted line is preferred only when it is better by this much: noise looks like a kink now and then. */
    private const BETTER = 2.0;

    /** @param \Closure(float): list<float> $basis */
    private function __construct(public string $kind, private LeastSquares $fit, private \Closure $basis)
    {
    }

    /**
     * @param  non-empty-list<Point>  $stations  x along, y the value; in rising order of x
     * @param  float  $sigma  of one value, mm
     */
    public static function through(array $stations, float $sigma): self
    {
        $n = count($stations);
        $first = $stations[0]->x;
        $span = max(1.0, $stations[$n - 1]->x - $first);
        $scaled = fn (float $x): float => 2 * ($x - $first) / $span - 1;
        $best = self::fitted('straight', $stations, $sigma, fn (float $x): array => [1.0], 1);
        assert($best !== null);
        [$line, $score] = $best;
        $candidates = [['straight', 2, fn (float $x): array => [1.0, $scaled($x)], 0.0], ['parabola', 3, fn (float $x): array => [1.0, $scaled($x), $scaled($x) ** 2], 0.0]];
        if ($n >= 5) {
            $candidates[] = ['cubic', 4, fn (float $x): array => [1.0, $scaled($x), $scaled($x) ** 2, $scaled($x) ** 3], 0.0];
            foreach (self::places($stations) as $kink) {
                $candidates[] = ['kink', 4, fn (float $x): array => [1.0, $scaled($x), max(0.0, $scaled($x) - $scaled($kink))], self::BETTER];
            }
        }
        if ($n >= 8) {
            foreach (self::places($stations) as $knot) {
                $candidates[] = ['spline', 6, fn (float $x): array => [1.0, $scaled($x), $scaled($x) ** 2, $scaled($x) ** 3, max(0.0, $scaled($x) - $scaled($knot)) ** 3], self::BETTER];
            }
        }
        foreach ($candidates as [$kind, $count, $basis, $penalty]) {
            $found = count($basis(0.0)) <= $n ? self::fitted($kind, $stations, $sigma, $basis, $count) : null;
            if ($found !== null && $found[1] + $penalty < $score) {
                [$line, $score] = [$found[0], $found[1] + $penalty];
            }
        }

        return $line;
    }

    /**
     * The one station without which the others lie on a line far better, and how far off that line it is; null where there is
     * none.
     *
     * @param  non-empty-list<Point>  $stations
     * @param  float  $far  in σ
     * @return array{int, float}|null
     */
    public static function oddOne(array $stations, float $sigma, float $far): ?array
    {
        if (count($stations) < 5) {
            return null;
        }
        $all = self::through($stations, $sigma)->fit->sumOfSquares;
        if ($all < $far ** 2 / 2) {
            return null;
        }
        $best = null;
        foreach ($stations as $i => $station) {
            $others = $stations;
            array_splice($others, $i, 1);
            assert($others !== []);
            $line = self::through($others, $sigma);
            $off = $station->y - $line->at($station->x);
            if (abs($off) > $far * hypot($sigma, $line->sigmaAt($station->x)) && ($best === null || $line->fit->sumOfSquares < $best[2])) {
                $best = [$i, $off, $line->fit->sumOfSquares];
            }
        }

        return $best === null || $all - $best[2] < $far ** 2 / 2 ? null : [$best[0], $best[1]];
    }

    /**
     * Places at which a line may turn: stations with at least two beyond them on either side, which hold the line there, and
     * half way between such.
     *
     * @param  non-empty-list<Point>  $stations
     * @return list<float>
     */
    private static function places(array $stations): array
    {
        $places = [];
        for ($i = 2; $i + 2 < count($stations); $i++) {
            $places[] = $stations[$i]->x;
            if ($i + 3 < count($stations)) {
                $places[] = ($stations[$i]->x + $stations[$i + 1]->x) / 2;
            }
        }

        return $places;
    }

    /**
     * @param  non-empty-list<Point>  $stations
     * @param  \Closure(float): list<float>  $basis
     * @return array{self, float}|null the line and its score
     */
    private static function fitted(string $kind, array $stations, float $sigma, \Closure $basis, int $count): ?array
    {
        $fit = LeastSquares::solve(
            array_map(fn (Point $station) => $basis($station->x), $stations),
            array_map(fn (Point $station) => $station->y, $stations),
            array_fill(0, count($stations), max(1e-3, $sigma)),
        );

        return $fit === null ? null : [new self($kind, $fit, $basis), $fit->sumOfSquares + $count * log(count($stations))];
    }

    public function at(float $x): float
    {
        return $this->fit->at(($this->basis)($x));
    }

    /** σ of the line at a place, mm. */
    public function sigmaAt(float $x): float
    {
        return $this->fit->sigmaAt(($this->basis)($x));
    }
}
