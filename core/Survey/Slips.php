<?php

declare(strict_types=1);

namespace Incastro\Survey;

use Incastro\Survey\Network\Normal;
use Incastro\Survey\Network\Slip;

/**
 * The typical blunders of a reading (handbook, "Typical blunders"): how much too large each makes it. A blunder explains
 * an error when it lies within the error's uncertainty and is large against it.
 */
final class Slips
{
    private const INCH = 25.4;

    /** A tape's body measures about this much, mm; makers differ by the rest. */
    private const BODY = 80.0;

    private const BODY_VARIES = 15.0;

    /** A blunder smaller than this many σ of the error explains anything. */
    private const LARGE = 3.0;

    /**
     * @param  float  $value  mm or degrees, signed as the slot counts it
     * @param  string  $typed  as typed, for its digits
     * @param  ?float  $other  the reading of the other side, which may have been written here by mistake
     */
    public static function explain(float $error, float $sigma, float $value, string $typed, Tool $tool, bool $isInch, ?float $other = null): ?Slip
    {
        $best = null;
        foreach (self::candidates($value, $typed, $tool, $isInch, $other) as [$size, $words, $penalty, $varies]) {
            $off = max(0.0, abs($error - $size) - $varies) / $sigma;
            if ($off <= Normal::TWO_SIDED_95 && abs($size) >= self::LARGE * $sigma && ($best === null || $off + $penalty < $best[0])) {
                $best = [$off + $penalty, new Slip($size, $words)];
            }
        }

        return $best[1] ?? null;
    }

    /** The words of a slip without the figures of the one reading: how one slips, not where. */
    public static function sort(string $words): string
    {
        return str_contains($words, ': ') ? explode(': ', $words, 2)[1] : $words;
    }

    /** What helps against a sort of slip that comes again and again. */
    public static function advice(string $sort): string
    {
        return match (true) {
            str_contains($sort, 'too long') => 'Your tape seems to start late: look whether its hook is bent, or begin at a round mark, say which aloud, and take it off.',
            str_contains($sort, 'too short') => 'Say each number aloud with its hundreds or its inches before you type it, and read it from the far side of the mark.',
            str_contains($sort, 'sign') => 'Say which end the bubble runs to, and press that end, before the level is taken down.',
            str_contains($sort, 'body') => 'Choose “inside, with the body of the tape” first and type second; better still, measure to a mark from both sides.',
            str_contains($sort, 'swapped') && str_contains($sort, 'left') => 'Read the name of the field aloud before the number: left is left when one stands before the space and looks in.',
            default => 'Look at what the field echoes before you go on, digit by digit.',
        };
    }

    /** @return list<array{float, string, float, float}> size, words, how far less typical, how much it varies */
    private static function candidates(float $value, string $typed, Tool $tool, bool $isInch, ?float $other): array
    {
        if ($tool === Tool::Gauge) {
            return self::digits($typed, 1.0);
        }
        $candidates = [];
        if ($tool->isLevel()) {
            $candidates[] = [2 * $value, 'the level’s sign the wrong way round', 0.0, 0.0];
        } else {
            foreach ([[self::INCH, 'one inch', 0.0], ...($isInch ? [[self::INCH * 3 / 8, '3/8 in', 0.5], [self::INCH * 4, '4 in', 0.8]] : [[10.0, '10 mm', 0.2], [100.0, '100 mm', 0.3]]), [12 * self::INCH, 'one foot', 0.3], [2 * self::INCH, 'two inches', 0.8]] as [$size, $words, $penalty]) {
                $candidates[] = [$size, "$words too long", $penalty, 0.0];
                $candidates[] = [-$size, "$words too short", $penalty, 0.0];
            }
            if ($isInch) {
                $candidates[] = [self::INCH / 8, 'an eighth of an inch too long', 0.4, 0.0];
                $candidates[] = [-self::INCH / 8, 'an eighth of an inch too short', 0.4, 0.0];
            }
            if ($tool === Tool::Inside) {
                $candidates[] = [-self::BODY, 'the tape’s body not added', 0.5, self::BODY_VARIES];
                $candidates[] = [self::BODY, 'the tape’s body added where it was not bent', 0.9, self::BODY_VARIES];
            }
        }
        if ($other !== null && abs($value - $other) > 1.0) {
            $candidates[] = [$value - $other, 'left and right swapped', 0.3, 0.0];
        }

        return [...$candidates, ...self::digits($typed, $isInch ? self::INCH : 1.0)];
    }

    /**
     * A 6 read as 9 or the other way, and two neighbouring digits swapped, in the whole number that was typed first.
     *
     * @return list<array{float, string, float, float}>
     */
    private static function digits(string $typed, float $unit): array
    {
        if (! preg_match('/\d+/', $typed, $found)) {
            return [];
        }
        $digits = $found[0];
        $candidates = [];
        foreach (str_split($digits) as $i => $digit) {
            if ($digit === '6' || $digit === '9') {
                $meant = substr_replace($digits, $digit === '6' ? '9' : '6', $i, 1);
                $candidates[] = [((int) $digits - (int) $meant) * $unit, sprintf('%s for %s: a %s read as %s', $digits, $meant, $digit === '6' ? '9' : '6', $digit), 0.2, 0.0];
            }
            if (isset($digits[$i + 1]) && $digits[$i + 1] !== $digit) {
                $meant = substr_replace($digits, $digits[$i + 1].$digit, $i, 2);
                $candidates[] = [((int) $digits - (int) $meant) * $unit, sprintf('%s for %s: digits swapped', $digits, $meant), 0.2, 0.0];
            }
        }

        return $candidates;
    }
}
