<?php

declare(strict_types=1);

namespace Incastro\Measure;

/** An angle as a whole number of millionths of a degree. */
final readonly class Angle
{
    private function __construct(private int $microdegrees)
    {
    }

    public static function ofMicrodegrees(int $microdegrees): self
    {
        return new self($microdegrees);
    }

    public static function ofDegrees(float $degrees): self
    {
        return new self((int) round($degrees * 1e6));
    }

    /** The angle of a slope that rises so much over a level run: atan(rise / run). */
    public static function ofSlope(float $rise, float $run): self
    {
        return self::ofDegrees(rad2deg(atan2($rise, $run)));
    }

    public function microdegrees(): int
    {
        return $this->microdegrees;
    }

    public function toDegrees(): float
    {
        return $this->microdegrees / 1e6;
    }

    public function isEqualTo(self $that): bool
    {
        return $this->microdegrees === $that->microdegrees;
    }

    /** Degrees with up to three decimals: "90.4°". */
    public function write(): string
    {
        return rtrim(rtrim(number_format($this->toDegrees(), 3, '.', ''), '0'), '.').'°';
    }
}
