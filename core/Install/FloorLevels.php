<?php

declare(strict_types=1);

namespace Incastro\Install;

use Incastro\Geometry\LeastSquares;

/**
 * The floor under a plinth as it was read on the day, at the places where it stands: a plane by least squares, z = a + b·u + c·v, which tells a
 * slip from a floor, and where nothing was read. Heights in mm over any level line.
 */
final readonly class FloorLevels
{
    /** A height under a line is read so well, mm. */
    private const SIGMA = 1.0;

    /** A reading further from the plane of all than so many of its own σ is read again. */
    private const AGAIN = 2.8;

    /** At a place that was read the floor is as it was read, mm. */
    private const SAME_PLACE = 1.0;

    /** @param array<array{u: float, v: float, z: float}> $read  by place */
    private function __construct(public array $read, private LeastSquares $plane)
    {
    }

    /**
     * @param  array<array{u: float, v: float, z: float}>  $read  by place
     * @return ?self null while they lie on one line
     */
    public static function of(array $read): ?self
    {
        $plane = $read === [] ? null : LeastSquares::solve(array_map(self::row(...), array_values($read)), array_column($read, 'z'), array_fill(0, count($read), self::SIGMA));

        return $plane === null ? null : new self($read, $plane);
    }

    /** @return array{float, float, float} a, b and c of the plane */
    public function coefficients(): array
    {
        return [$this->plane->coefficients[0], 1e-3 * $this->plane->coefficients[1], 1e-3 * $this->plane->coefficients[2]];
    }

    /** Of the plane alone. */
    public function planeAt(float $u, float $v): float
    {
        return $this->plane->at(self::row(['u' => $u, 'v' => $v]));
    }

    public function at(float $u, float $v): float
    {
        foreach ($this->read as $one) {
            if (hypot($one['u'] - $u, $one['v'] - $v) <= self::SAME_PLACE) {
                return $one['z'];
            }
        }

        return $this->planeAt($u, $v);
    }

    /** How far a reading lies from the plane of all. */
    public function residual(string $place): float
    {
        return $this->read[$place]['z'] - $this->planeAt($this->read[$place]['u'], $this->read[$place]['v']);
    }

    /** @return list<string> places that are read again */
    public function doubtful(): array
    {
        return array_values(array_filter(array_map(strval(...), array_keys($this->read)), function (string $place): bool {
            $own = sqrt(max(0.0, self::SIGMA ** 2 - $this->plane->sigmaAt(self::row($this->read[$place])) ** 2));

            return $own > 1e-6 && abs($this->residual($place)) > self::AGAIN * $own;
        }));
    }

    /**
     * @param  array{u: float, v: float}  $at
     * @return array{float, float, float} in metres, so that no pivot is small against another
     */
    private static function row(array $at): array
    {
        return [1.0, $at['u'] / 1000, $at['v'] / 1000];
    }
}
