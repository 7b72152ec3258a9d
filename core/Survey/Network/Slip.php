<?php

declare(strict_types=1);

namespace Incastro\Survey\Network;

/** A typical blunder that would explain an error: how large it is, in mm or degrees, and what to call it. */
final readonly class Slip
{
    /** Nobody repeats a tape for less than this, mm. */
    private const NOTICEABLE = 8.0;

    public function __construct(public float $size, public string $words)
    {
    }

    /**
     * How likely a reading is to be wrong by so much, as far as that can be said: typical slips first, then the smaller
     * errors, and last those that are hardly a slip at all or wilder than a person misreads. No proof of anything.
     */
    public static function likelihood(float $error, ?self $slip): float
    {
        $size = abs($error);

        return ($slip === null ? 0.0 : 10.0) + ($size < self::NOTICEABLE ? $size / self::NOTICEABLE : self::NOTICEABLE / $size + 1.0);
    }
}
