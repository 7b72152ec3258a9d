<?php

declare(strict_types=1);

namespace Incastro\Exchange;

/** One thing wrong in a file: where, and a sentence that says what is right. */
final readonly class Fault
{
    public function __construct(public string $place, public string $sentence)
    {
    }

    public function __toString(): string
    {
        return $this->place.': '.$this->sentence;
    }
}
