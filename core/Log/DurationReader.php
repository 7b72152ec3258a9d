<?php

declare(strict_types=1);

namespace Incastro\Log;

use Incastro\Measure\Unreadable;

/** Reads how long somebody worked as it is typed, in minutes: 2,5 · 2h30 · 150 min · 2:30. */
final class DurationReader
{
    /** A whole number up to this is hours; more is asked about. */
    private const HOURS = 16;

    /** @throws Unreadable */
    public static function read(string $text): int
    {
        $typed = mb_strtolower(trim($text));
        $minutes = match (true) {
            preg_match('/^(\d{1,2})\s*(?:h|:)\s*([0-5]?\d)$/D', $typed, $m) === 1 => 60 * (int) $m[1] + (int) $m[2],
            preg_match('/^(\d{1,2}(?:[.,]\d{1,2})?)\s*h?$/D', $typed, $m) === 1 && (float) str_replace(',', '.', $m[1]) <= self::HOURS => (int) round(60 * (float) str_replace(',', '.', $m[1])),
            preg_match('/^(\d{1,4})\s*min(?:utes)?$/D', $typed, $m) === 1 => (int) $m[1],
            preg_match('/^\d{2,4}$/D', $typed) === 1 => throw new Unreadable(sprintf('“%s”: %s minutes (%d h %d)? Type “%s min”, or the hours.', $typed, $typed, intdiv((int) $typed, 60), (int) $typed % 60, $typed)),
            default => throw new Unreadable(sprintf('“%s” is not a time, such as 2:30, 2,5 or 150 min.', trim($text))),
        };
        if ($minutes < 1 || $minutes > self::HOURS * 60) {
            throw new Unreadable(sprintf('“%s” is %d h %d. It is between a minute and %d hours.', trim($text), intdiv($minutes, 60), $minutes % 60, self::HOURS));
        }

        return $minutes;
    }
}
