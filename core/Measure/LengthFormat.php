<?php

declare(strict_types=1);

namespace Incastro\Measure;

/**
 * How a job writes and rounds its lengths: the unit, the working fraction, and whether feet are split off.
 *
 * The working fraction is 1/8, 1/16, 1/32 or 1/64 in, or 1, 0.5 or 0.1 mm.
 */
final readonly class LengthFormat
{
    public const INCH_DENOMINATORS = [8, 16, 32, 64];

    public const MILLIMETRE_STEPS = ['1', '0.5', '0.1'];

    private function __construct(public Unit $unit, public Length $step, public bool $feet)
    {
    }

    public static function inches(int $denominator = 16, bool $feet = false): self
    {
        if (! in_array($denominator, self::INCH_DENOMINATORS, true)) {
            throw new \InvalidArgumentException(sprintf('1/%d in is not a working fraction: 8, 16, 32 or 64 is.', $denominator));
        }

        return new self(Unit::Inch, Length::ofNanometres(intdiv(Unit::Inch->nanometres(), $denominator)), $feet);
    }

    public static function millimetres(string $step = '1'): self
    {
        if (! in_array($step, self::MILLIMETRE_STEPS, true)) {
            throw new \InvalidArgumentException(sprintf('%s mm is not a working fraction: 1, 0.5 or 0.1 is.', $step));
        }

        return new self(Unit::Millimetre, Length::ofDouble((float) $step), false);
    }

    /**
     * The format of a name such as "mm/1", "mm/0.5", "in/16" or "ft/16" (inches with feet split off).
     *
     * @throws \InvalidArgumentException when there is none of that name
     */
    public static function of(string $name): self
    {
        [$unit, $step] = [...explode('/', $name, 2), ''];

        return match ($unit) {
            'mm' => self::millimetres($step),
            'in' => self::inches((int) $step),
            'ft' => self::inches((int) $step, feet: true),
            default => throw new \InvalidArgumentException(sprintf('“%s” is not a way to write lengths: mm/1, mm/0.5, mm/0.1, in/8, in/16, in/32, in/64, or ft/ with one of these.', $name)),
        };
    }

    /** @return list<string> the names of all formats */
    public static function names(): array
    {
        return [
            ...array_map(fn (string $step) => "mm/$step", self::MILLIMETRE_STEPS),
            ...array_map(fn (int $denominator) => "in/$denominator", self::INCH_DENOMINATORS),
            ...array_map(fn (int $denominator) => "ft/$denominator", self::INCH_DENOMINATORS),
        ];
    }

    /** The length rounded to the working fraction, with its unit: "31 5/8 in", "803 mm", "5' 3 1/2\"". */
    public function write(Length $length): string
    {
        $rounded = $length->rounded($this->step);
        $sign = $rounded->isNegative() ? '-' : '';
        $size = abs($rounded->nanometres());
        if ($this->unit === Unit::Millimetre) {
            return $sign.$this->decimal($size).' mm';
        }
        $foot = Unit::Foot->nanometres();
        if ($this->feet && $size >= $foot) {
            $inches = $size % $foot;

            return $sign.intdiv($size, $foot)."'".($inches === 0 ? '' : ' '.$this->mixed($inches).'"');
        }

        return $sign.$this->mixed($size).' in';
    }

    /** Two lengths in one text with the unit said once: "2440 × 1220 mm". */
    public function writeSize(Length $length, Length $width): string
    {
        return preg_replace('/ (mm|in)$/', '', $this->writeCut($length)).' × '.$this->writeCut($width);
    }

    /** From least to most with the unit said once: "9–16 mm", "-8 to 2 mm", or one length where both are written alike. */
    public function writeRange(Length $least, Length $most): string
    {
        if ($this->write($least) === $this->write($most)) {
            return $this->write($most);
        }

        return $this->withoutUnit($least).($least->isNegative() ? ' to ' : '–').$this->write($most);
    }

    /**
     * A place at which one measures, mm, as round in this unit as it is in millimetres: an inch for every 25 mm, so that 600 is
     * 24 in.
     */
    public function place(float $millimetres): float
    {
        return $this->unit === Unit::Millimetre ? $millimetres : round($millimetres / 25.0) * 25.4;
    }

    /** The nearest place that is quickly found on a tape: a full millimetre, or a full inch. */
    public function nearestPlace(float $millimetres): float
    {
        return $this->unit === Unit::Millimetre ? round($millimetres) : round($millimetres / 25.4) * 25.4;
    }

    /** The next round place below one that is computed: the full 10 mm, or the full inch. */
    public function placeBelow(float $millimetres): float
    {
        $step = $this->unit === Unit::Millimetre ? 10.0 : 25.4;

        return floor($millimetres / $step + 1e-9) * $step;
    }

    /** As it is written where the unit is said once for many. */
    public function withoutUnit(Length $length): string
    {
        return (string) preg_replace('/ (mm|in)$/', '', $this->write($length));
    }

    /** The same length in the other system, for the echo under a field. */
    public function other(): self
    {
        return $this->unit === Unit::Millimetre ? self::inches() : self::millimetres('0.1');
    }

    /** The finest fraction of the same unit, for the lines of a working. */
    public function finest(): self
    {
        return $this->unit === Unit::Millimetre ? self::millimetres('0.1') : self::inches(64);
    }

    /** For what moves in slides and reveals: half a millimetre or 1/32 in, or the working fraction where that is finer. */
    public function fine(): self
    {
        $fine = $this->unit === Unit::Millimetre ? self::millimetres('0.5') : self::inches(32, $this->feet);

        return $fine->step->isLessThan($this->step) ? $fine : $this;
    }

    /** A size as it is cut: to the working fraction, or finer where it was decided so. */
    public function writeCut(Length $length): string
    {
        $fine = $this->fine();

        return $length->rounded($fine->step)->nanometres() === $length->nanometres() ? $fine->write($length) : $this->write($length);
    }

    /** "the full mm", "the full 1/16 in": for the working of a rounded size. */
    public function stepName(): string
    {
        $step = $this->step->nanometres();

        return $this->unit === Unit::Millimetre
            ? ($step === Unit::Millimetre->nanometres() ? 'the full mm' : 'the full '.$this->decimal($step).' mm')
            : 'the full 1/'.intdiv(Unit::Inch->nanometres(), $step).' in';
    }

    private function decimal(int $nanometres): string
    {
        $tenths = intdiv($nanometres, 100_000);

        return $tenths % 10 === 0 ? (string) intdiv($tenths, 10) : intdiv($tenths, 10).'.'.($tenths % 10);
    }

    private function mixed(int $nanometres): string
    {
        $inch = Unit::Inch->nanometres();
        $whole = intdiv($nanometres, $inch);
        $top = intdiv($nanometres % $inch, $this->step->nanometres());
        $bottom = intdiv($inch, $this->step->nanometres());
        while ($top > 0 && $top % 2 === 0) {
            $top = intdiv($top, 2);
            $bottom = intdiv($bottom, 2);
        }
        if ($top === 0) {
            return (string) $whole;
        }

        return ($whole === 0 ? '' : $whole.' ').$top.'/'.$bottom;
    }
}
