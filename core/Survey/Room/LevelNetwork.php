<?php

declare(strict_types=1);

namespace Incastro\Survey\Room;

use Incastro\Geometry\Point;
use Incastro\Survey\Network\Observation;
use Incastro\Survey\Reading;
use Incastro\Survey\ReadingKind;
use Incastro\Survey\Slot;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Survey\Space\Spot;

/**
 * The floor and the planes of the ceiling as unknowns: slopes of the floor, which passes through height 0 at the first
 * corner, then height there and slopes of each plane. Heights, falls and slopes observe them.
 */
final readonly class LevelNetwork
{
    /** σ of the slope of a floor, or of a plane across its fall, where no reading says: 3 mm a metre. */
    private const LEVEL = 0.003;

    /** Readings that lie within this of a line say nothing across it, mm. */
    private const LINE = 150.0;

    /** σ of how steep a plane is while nobody read it, and what is as good as level. */
    private const STEEP = 0.5;

    private const HARDLY = 0.05;

    /** σ of the height of a plane that nobody read, mm: a ceiling is somewhere between a door and a giant. */
    private const HEIGHT = 300.0;

    private const FLOOR = 2;

    /** @param \Closure(Spot): Point $place */
    public function __construct(private SpaceShape $shape, private \Closure $place)
    {
    }

    public function unknowns(): int
    {
        return self::FLOOR + 3 * count($this->shape->ceiling->planes());
    }

    /**
     * Height of the floor at a place.
     *
     * @return array<int, float> weights by unknown
     */
    public static function floor(Point $at): array
    {
        return [0 => $at->x, 1 => $at->y];
    }

    /**
     * Height of a plane of the ceiling at a place.
     *
     * @return array<int, float> weights by unknown
     */
    public static function plane(int $plane, Point $at): array
    {
        $first = self::FLOOR + 3 * $plane;

        return [$first => 1.0, $first + 1 => $at->x, $first + 2 => $at->y];
    }

    public function observation(string $id, Slot $slot, float $value, float $sigma): ?Observation
    {
        if ($slot->kind === ReadingKind::Slope) {
            $first = self::FLOOR + 3 * $slot->plane;

            return new Observation($id, $value, $sigma, [$first + 1, $first + 2], fn (array $x): float => rad2deg(atan(hypot($x[$first + 1], $x[$first + 2]))), true);
        }
        $spots = array_map($this->place, $slot->spots);
        if ($slot->kind === ReadingKind::Height && count($spots) === 1) {
            return Observation::linear($id, $value, $sigma, RoomNetwork::difference(self::plane($slot->plane, $spots[0]), self::floor($spots[0])));
        }
        if ($slot->kind === ReadingKind::Fall && count($spots) === 2) {
            // Positive when the second place is lower.
            return $slot->onCeiling
                ? Observation::linear($id, $value, $sigma, RoomNetwork::difference(self::plane($slot->plane, $spots[0]), self::plane($slot->plane, $spots[1])))
                : Observation::linear($id, $value, $sigma, RoomNetwork::difference(self::floor($spots[0]), self::floor($spots[1])));
        }

        return null;
    }

    /**
     * Floors and planes are level across the directions in which nobody measured them.
     *
     * @param  array<string, Reading>  $readings
     * @return list<Observation>
     */
    public function assumptions(array $readings): array
    {
        $all = [];
        $falls = [];
        foreach ($readings as $reading) {
            if ($reading->slot->kind === ReadingKind::Fall && ! $reading->slot->onCeiling && count($reading->slot->spots) === 2) {
                [$p, $q] = array_map($this->place, $reading->slot->spots);
                $falls[] = [$q->x - $p->x, $q->y - $p->y];
            }
        }
        foreach (self::unmeasured($falls) as $i => [$dx, $dy]) {
            $all[] = Observation::linear("level-floor-$i", 0.0, self::LEVEL, [0 => $dx, 1 => $dy], true);
        }
        foreach (array_keys($this->shape->ceiling->planes()) as $plane) {
            array_push($all, ...$this->ofPlane($plane, $readings));
        }

        return $all;
    }

    /**
     * @param  array<string, Reading>  $readings
     * @return list<Observation>
     */
    private function ofPlane(int $plane, array $readings): array
    {
        $heights = $all = [];
        $hasSlope = false;
        foreach ($readings as $reading) {
            if ($reading->slot->plane === $plane && $reading->slot->kind === ReadingKind::Height && count($reading->slot->spots) === 1) {
                $heights[] = ($this->place)($reading->slot->spots[0]);
            }
            $hasSlope = $hasSlope || ($reading->slot->kind === ReadingKind::Slope && $reading->slot->plane === $plane);
        }
        $count = max(1, count($heights));
        $mx = array_sum(array_map(fn (Point $p) => $p->x, $heights)) / $count;
        $my = array_sum(array_map(fn (Point $p) => $p->y, $heights)) / $count;
        $first = self::FLOOR + 3 * $plane;
        foreach (self::unmeasured(array_map(fn (Point $p) => [$p->x - $mx, $p->y - $my], $heights)) as $i => [$dx, $dy]) {
            // A rake or a slope falls the usual way of its kind until it is read; across that it is level. An angle says how
            // steep it is, though not which way.
            $usual = $this->usual($plane, $dx, $dy);
            $sigma = abs($usual) < self::HARDLY ? self::LEVEL : ($hasSlope ? self::STEEP : self::STEEP / 2);
            $all[] = Observation::linear("level-$plane-$i", $usual, $sigma, [$first + 1 => $dx, $first + 2 => $dy], true);
        }
        if ($heights === []) {
            $all[] = Observation::linear("height-$plane", $this->usualHeight($plane), self::HEIGHT, [$first => 1.0], true);
        }

        return $all;
    }

    /** How high a plane of this kind usually lies over the first corner, which is right at the back, mm. */
    private function usualHeight(int $plane): float
    {
        return match ($this->shape->ceiling->planes()[$plane]) {
            'slope', 'back slope' => 900.0,
            'front slope' => 2700.0,
            'rake' => 2300.0,
            default => 2400.0,
        };
    }

    /** How a plane of this kind usually falls in a direction. */
    private function usual(int $plane, float $dx, float $dy): float
    {
        return match ($this->shape->ceiling->planes()[$plane]) {
            'slope', 'back slope' => 0.8 * $dy,
            'front slope' => -0.8 * $dy,
            'rake' => -0.65 * $dx,
            default => 0.0,
        };
    }

    /**
     * A start from which the angle of a plane can be found.
     *
     * @return list<float>
     */
    public function start(): array
    {
        $x = [0.0, 0.0];
        foreach (array_keys($this->shape->ceiling->planes()) as $plane) {
            array_push($x, 2000.0, $this->usual($plane, 1.0, 0.0), $this->usual($plane, 0.0, 1.0));
        }

        return $x;
    }

    /**
     * The directions, as unit vectors, in which none of the steps goes any distance: from the small eigenvalues of Σ d·dᵀ.
     *
     * @param  list<array{float, float}>  $steps
     * @return list<array{float, float}>
     */
    private static function unmeasured(array $steps): array
    {
        $xx = $xy = $yy = 0.0;
        foreach ($steps as [$dx, $dy]) {
            $xx += $dx * $dx;
            $xy += $dx * $dy;
            $yy += $dy * $dy;
        }
        $angle = atan2(2 * $xy, $xx - $yy) / 2;
        $root = sqrt((($xx - $yy) / 2) ** 2 + $xy ** 2);
        $directions = [];
        if (($xx + $yy) / 2 + $root < self::LINE ** 2) {
            $directions[] = [cos($angle), sin($angle)];
        }
        if (($xx + $yy) / 2 - $root < self::LINE ** 2) {
            $directions[] = [-sin($angle), cos($angle)];
        }

        return $directions;
    }
}
