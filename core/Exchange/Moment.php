<?php

declare(strict_types=1);

namespace Incastro\Exchange;

/** When something was taken, as files say it: a date, and a time of day with its zone, of ISO 8601. */
final class Moment
{
    private const FORM = '/^(\d{4})-(\d\d)-(\d\d)[T ]([01]\d|2[0-3]):[0-5]\d(:[0-5]\d(\.\d{1,9})?)?(Z|[+-]\d\d:?\d\d)?$/';

    public const SENTENCE = '“%s” is not a date and time. Write it as 2026-03-15T10:00:00Z, or leave it away.';

    public static function isOne(string $text): bool
    {
        return preg_match(self::FORM, $text, $parts) === 1 && checkdate((int) $parts[2], (int) $parts[3], (int) $parts[1]);
    }
}
