<?php

declare(strict_types=1);

namespace App\Prices;

/** A price service gave no answer, or one that cannot be believed. */
final class NoPrices extends \RuntimeException
{
    /** @param ?int $retryAfter  seconds after which it may be asked again, where it said so */
    public function __construct(string $why, public readonly ?int $retryAfter = null)
    {
        parent::__construct($why);
    }
}
