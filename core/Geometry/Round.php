<?php

declare(strict_types=1);

namespace Incastro\Geometry;

/**
 * Something round from stations on its arc: the circle whose distances to them, weighted by how surely each is known along its own
 * normal, are least (Gauss-Newton from the algebraic fit u² + v² + D·u + E·v + F = 0). mm.
 */
final readonly class Round
{
    /** σ of a station's place along the straightedge from which the offsets were taken. */
    public const ALONG = 0.5;

    private const STEPS = 10;

    /** Of a seen arc shorter than this, degrees, the radius is a guess. */
    private const DOUBTFUL = 90.0;

    private const ONE_SIDED_95 = 1.645;

    /** @param list<float> $residuals  how far each station lies outside the circle */
    private function __construct(public Point $centre, public float $radius, public float $sigmaRadius, public float $sigmaCentre, public array $residuals, public float $arc)
    {
    }

    /**
     * @param  list<Point>  $stations  three at least, x along the straightedge
     * @param  float  $sigma  of the offset of a station
     * @param  float  $along  σ of its place along the straightedge
     * @return ?self null where they lie on a line
     */
    public static function of(array $stations, float $sigma, float $along = self::ALONG): ?self
    {
        $middle = new Point(array_sum(array_column($stations, 'x')) / max(1, count($stations)), array_sum(array_column($stations, 'y')) / max(1, count($stations)));
        $points = array_map(fn (Point $station) => new Point($station->x - $middle->x, $station->y - $middle->y), $stations);
        $circle = self::algebraic($points);
        for ($step = 0; $step < self::STEPS && $circle !== null; $step++) {
            $better = self::stepped($points, $circle, $sigma, $along);
            if ($better === null) {
                return null;
            }
            [$circle, $covariance] = $better;
        }
        if ($circle === null || ! isset($covariance)) {
            return null;
        }
        [$x, $y, $radius] = $circle;
        $angles = array_map(fn (Point $point) => atan2($point->x - $x, $point->y - $y), $points);

        return new self(
            new Point($x + $middle->x, $y + $middle->y),
            $radius,
            sqrt($covariance[2][2]),
            sqrt(max($covariance[0][0], $covariance[1][1])),
            array_map(fn (Point $point) => hypot($point->x - $x, $point->y - $y) - $radius, $points),
            $angles === [] ? 0.0 : rad2deg(max($angles) - min($angles)),
        );
    }

    /**
     * U of the radius: in 19 of 20 the true one is no greater than the radius and this. A larger circle is known less surely from the same
     * arc (σ grows as its square), so that σ is that of the largest that there may be.
     */
    public function doubt(): float
    {
        $doubt = self::ONE_SIDED_95 * $this->sigmaRadius;

        return $doubt * (1 + $doubt / $this->radius) ** 2;
    }

    /** The radius of a hole through which it passes with so much room all round, its doubts and those of its centre taken in. */
    public function hole(float $clearance): float
    {
        return $this->radius + $clearance + hypot($this->doubt(), self::ONE_SIDED_95 * $this->sigmaCentre);
    }

    /** Whether its stations say that it is round. */
    public function isRound(float $sigma): bool
    {
        return max(0.0, ...array_map(abs(...), $this->residuals)) <= max(1.0, 2.5 * $sigma);
    }

    /** Whether so little of it was seen that stations further round are needed. */
    public function isDoubtful(): bool
    {
        return $this->arc < self::DOUBTFUL;
    }

    /**
     * @param  list<Point>  $points
     * @return array{float, float, float}|null centre and radius
     */
    private static function algebraic(array $points): ?array
    {
        $fit = LeastSquares::solve(array_map(fn (Point $point) => [$point->x, $point->y, 1.0], $points), array_map(fn (Point $point) => -$point->x ** 2 - $point->y ** 2, $points), array_fill(0, count($points), 1.0));
        if ($fit === null) {
            return null;
        }
        [$d, $e, $f] = $fit->coefficients;
        $square = ($d ** 2 + $e ** 2) / 4 - $f;

        return $square > 0.0 ? [-$d / 2, -$e / 2, sqrt($square)] : null;
    }

    /**
     * @param  list<Point>  $points
     * @param  array{float, float, float}  $circle
     * @return array{array{float, float, float}, array<int, list<float>>}|null the circle after a step, and the covariance of its three numbers
     */
    private static function stepped(array $points, array $circle, float $sigma, float $along): ?array
    {
        [$x, $y, $radius] = $circle;
        $rows = $values = $sigmas = [];
        foreach ($points as $point) {
            $far = hypot($point->x - $x, $point->y - $y);
            if ($far < 1e-9) {
                return null;
            }
            [$nx, $ny] = [($point->x - $x) / $far, ($point->y - $y) / $far];
            $rows[] = [$nx, $ny, 1.0];
            $values[] = $far - $radius;
            $sigmas[] = hypot($along * $nx, $sigma * $ny);
        }
        $fit = LeastSquares::solve($rows, $values, $sigmas);

        return $fit === null ? null : [[$x + $fit->coefficients[0], $y + $fit->coefficients[1], $radius + $fit->coefficients[2]], $fit->covariance];
    }
}
