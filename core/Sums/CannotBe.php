<?php

declare(strict_types=1);

namespace Incastro\Sums;

/** What was typed has no answer: which field, and why. */
final class CannotBe extends \DomainException
{
    public function __construct(public readonly string $field, string $sentence)
    {
        parent::__construct($sentence);
    }
}
