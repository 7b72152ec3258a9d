<?php

declare(strict_types=1);

namespace Incastro\Exchange;

/** A file that cannot be taken, with all its faults. Nothing of it was taken. */
final class BadFile extends \RuntimeException
{
    /** @param non-empty-list<Fault> $faults */
    public function __construct(public readonly array $faults)
    {
        parent::__construct(implode("\n", array_map(strval(...), $faults)));
    }

    public static function at(string $place, string $sentence): self
    {
        return new self([new Fault($place, $sentence)]);
    }
}
