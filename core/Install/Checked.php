<?php

declare(strict_types=1);

namespace Incastro\Install;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;

/**
 * What is said of every reading of a check, so that a phone without a network only looks it up: in steps up to a limit, beyond which it is read
 * again.
 */
final readonly class Checked
{
    /** Steps and the farthest that is told, mm and inches. */
    private const STEP = [0.5, 1 / 64];

    private const FAR = [20.0, 3 / 4];

    /** What is read may be so far from what it should be about. */
    private const FAR_OFF = 0.03;

    public function __construct(private Check $check, private LengthFormat $format)
    {
    }

    /** @return list<array{mm: float, is: string, says: string}> by their readings; less than 0 is the first end, or a first reading that is less */
    public function table(): array
    {
        [$step, $far] = $this->format->unit->isMetric() ? [self::STEP[0], self::FAR[0]] : [self::STEP[1] * 25.4, self::FAR[1] * 25.4];
        $table = [];
        $steps = (int) round($far / $step);
        for ($i = -$steps; $i <= $steps; $i++) {
            $table[] = ['mm' => $i * $step] + $this->judged($i * $step);
        }

        return $table;
    }

    /** @return array{is: string, says: string} */
    public function judged(float $reading): array
    {
        return $this->isWithin($reading) ? ['is' => 'within', 'says' => sprintf('Within %s.', $this->format->fine()->write(Length::ofDouble($this->check->limit())))] : ['is' => 'out', 'says' => $this->check->remedy($reading)];
    }

    public function isWithin(float $reading): bool
    {
        return abs($reading) <= $this->check->limit() + 1e-6;
    }

    /** @return array{float, float}|null between which a reading is believed, mm; null where it may be anything */
    public function believed(): ?array
    {
        $expected = $this->check->expected();

        return $expected === null ? null : [$expected * (1 - self::FAR_OFF), $expected * (1 + self::FAR_OFF)];
    }
}
