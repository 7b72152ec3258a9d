<?php

declare(strict_types=1);

namespace Incastro\Log;

use Incastro\Measure\Unreadable;

/** Reads an amount of money as it is typed, in minor units. A mark that may part thousands or cents is asked about, never guessed. */
final class MoneyReader
{
    private const MOST = 100_000_000;

    private const SIGNS = ['€', '$', '£', '¥', 'EUR', 'USD', 'GBP'];

    /** @throws Unreadable */
    public static function read(string $text, string $currency): int
    {
        $typed = trim($text);
        foreach (self::SIGNS as $sign) {
            if (str_contains($typed, $sign) && $sign !== $currency) {
                throw new Unreadable("This job counts in $currency.");
            }
        }
        $plain = str_replace([$currency, ' ', "\u{a0}"], '', str_replace(["\u{2212}", '+'], ['-', ''], $typed));
        $isLess = str_starts_with($plain, '-');
        $digits = ltrim($plain, '-');
        $minor = match (true) {
            // Both marks: the last parts the cents.
            preg_match('/^\d{1,3}(?:,\d{3}){1,2}\.\d{1,2}$/D', $digits) === 1 => self::minor(str_replace(',', '', $digits)),
            preg_match('/^\d{1,3}(?:\.\d{3}){1,2},\d{1,2}$/D', $digits) === 1 => self::minor(str_replace(['.', ','], ['', '.'], $digits)),
            preg_match('/^\d{1,3}[.,]\d{3}$/D', $digits) === 1 => throw new Unreadable(sprintf('“%s” may be %s or %s: type it with two places, or without a mark.', $typed, preg_replace('/[.,]/', '', $digits).'.00', str_replace(',', '.', $digits))),
            preg_match('/^\d{1,9}(?:[.,]\d{1,2})?$/D', $digits) === 1 => self::minor(str_replace(',', '.', $digits)),
            default => throw new Unreadable(sprintf('“%s” is not an amount, such as 27.50.', $typed)),
        };
        if ($minor > self::MOST) {
            throw new Unreadable(sprintf('“%s” is more than a job costs.', $typed));
        }

        return $isLess ? -$minor : $minor;
    }

    private static function minor(string $amount): int
    {
        [$whole, $part] = explode('.', $amount.'.');

        return (int) $whole * 100 + (int) str_pad(substr($part, 0, 2), 2, '0');
    }
}
