<?php

declare(strict_types=1);

namespace Incastro\Measure;

/**
 * A length as a whole number of nanometres, exact for everything that is stored, shown or cut.
 *
 * 1/64 in is 396 875 nm and 0.001 mm is 1000 nm, so that sums of either lose nothing. A length may be negative (an
 * offset away from the room). It is never multiplied by a length: areas are double mm².
 */
final readonly class Length
{
    private function __construct(private int $nanometres)
    {
    }

    public static function ofNanometres(int $nanometres): self
    {
        return new self($nanometres);
    }

    public static function zero(): self
    {
        return new self(0);
    }

    /** Whole millimetres, exactly. */
    public static function ofMillimetres(int $millimetres): self
    {
        return new self($millimetres * Unit::Millimetre->nanometres());
    }

    /**
     * The one door from geometry back to lengths: double millimetres, rounded to the nearest nanometre.
     *
     * @throws LengthOutOfRange when the value is not finite or beyond ± 1 km
     */
    public static function ofDouble(float $millimetres): self
    {
        if (! is_finite($millimetres) || abs($millimetres) > 1e6) {
            throw LengthOutOfRange::ofDouble($millimetres);
        }

        return new self((int) round($millimetres * 1e6));
    }

    public function nanometres(): int
    {
        return $this->nanometres;
    }

    /** The door into geometry: double millimetres. */
    public function toDouble(): float
    {
        return $this->nanometres / 1e6;
    }

    public function plus(self $that): self
    {
        return new self($this->nanometres + $that->nanometres);
    }

    public function minus(self $that): self
    {
        return new self($this->nanometres - $that->nanometres);
    }

    public function times(int $factor): self
    {
        return new self($this->nanometres * $factor);
    }

    /** Divided into equal parts, rounded to the nearest nanometre. */
    public function dividedBy(int $parts): self
    {
        return new self((int) round($this->nanometres / $parts));
    }

    /** The largest multiple of the step that is not above this length. */
    public function roundedDown(self $step): self
    {
        return new self((int) floor($this->nanometres / $step->nanometres) * $step->nanometres);
    }

    /** The smallest multiple of the step that is not below this length. */
    public function roundedUp(self $step): self
    {
        return new self((int) ceil($this->nanometres / $step->nanometres) * $step->nanometres);
    }

    /** The nearest multiple of the step; a half goes away from zero. */
    public function rounded(self $step): self
    {
        return new self((int) round($this->nanometres / $step->nanometres) * $step->nanometres);
    }

    public function isNegative(): bool
    {
        return $this->nanometres < 0;
    }

    public function isZero(): bool
    {
        return $this->nanometres === 0;
    }

    public function isPositive(): bool
    {
        return $this->nanometres > 0;
    }

    public function isEqualTo(self $that): bool
    {
        return $this->nanometres === $that->nanometres;
    }

    public function isGreaterThan(self $that): bool
    {
        return $this->nanometres > $that->nanometres;
    }

    public function isLessThan(self $that): bool
    {
        return $this->nanometres < $that->nanometres;
    }
}
