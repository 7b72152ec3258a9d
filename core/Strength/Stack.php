<?php

declare(strict_types=1);

namespace Incastro\Strength;

use Incastro\Measure\Unit;
use Incastro\Rules\HouseRules;
use Incastro\Survey\Room\WallKind;

/** How long a screw may be that goes through one thing into the next, mm: the longest that is sold within that, never the next longer (handbook, "Strength"). */
final readonly class Stack
{
    /** What is left of both boards face to face; in mm and in inches, as all pairs here. */
    private const LEFT = [3.0, 1 / 8];

    /** Least and most hold: in an edge, in a stud, and past all that lies before masonry. */
    private const EDGE = [[25.0, 1.0], [30.0, 1.25]];

    private const STUD = [[25.0, 1.0], [32.0, 1.25]];

    private const MASONRY = [[50.0, 2.0], [60.0, 2.375]];

    private function __construct(public float $least, public float $most)
    {
    }

    /** Never longer than both less 3 mm; held by 0.6 of the second, by 8 mm at least and 25 at most. */
    public static function faceToFace(float $first, float $second, Unit $unit = Unit::Millimetre): self
    {
        return new self($first + min(25.0, max(8.0, 0.6 * $second)), $first + $second - self::either(self::LEFT, $unit));
    }

    /** 25 to 30 mm of hold. */
    public static function intoEdge(float $first, Unit $unit = Unit::Millimetre): self
    {
        return self::past($first, self::EDGE, $unit);
    }

    /** 25 to 32 mm past all that lies before the stud: what crosses it behind that may be a cable. */
    public static function intoStud(float $before, Unit $unit = Unit::Millimetre): self
    {
        return self::past($before, self::STUD, $unit);
    }

    /** 50 to 60 mm past all that lies before it. */
    public static function intoMasonry(float $before, Unit $unit = Unit::Millimetre): self
    {
        return self::past($before, self::MASONRY, $unit);
    }

    /** What holds in a wall past so much before it; null where only a rated fixing does. */
    public static function into(WallKind $wall, float $before, Unit $unit): ?self
    {
        return match ($wall) {
            WallKind::Timber, WallKind::Lath => self::intoStud($before, $unit),
            WallKind::Masonry, WallKind::Dabs => self::intoMasonry($before, $unit),
            WallKind::Metal => null,
        };
    }

    /** @param list<float> $sold */
    public function longest(array $sold): ?float
    {
        $fit = $this->within($sold);

        return $fit === [] ? null : max($fit);
    }

    /** @param list<float> $sold */
    public function shortest(array $sold): ?float
    {
        $fit = $this->within($sold);

        return $fit === [] ? null : min($fit);
    }

    /**
     * @param  list<float>  $sold
     * @return array<float>
     */
    private function within(array $sold): array
    {
        return array_filter($sold, fn (float $long) => $long >= $this->least - 1e-9 && $long <= $this->most + 1e-9);
    }

    /** @param array{array{float, float}, array{float, float}} $holds */
    private static function past(float $before, array $holds, Unit $unit): self
    {
        return new self($before + self::either($holds[0], $unit), $before + self::either($holds[1], $unit));
    }

    /** @param array{float, float} $size */
    private static function either(array $size, Unit $unit): float
    {
        return (new HouseRules($unit))->either(...$size)->toDouble();
    }
}
