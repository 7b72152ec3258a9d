<?php

declare(strict_types=1);

namespace Incastro\Install;

/**
 * Something that is read on fitting day. What is read comes to one number, mm: a gap under a level, with its sign by the end at which it is, or
 * the difference of two diagonals.
 */
interface Check
{
    public function key(): string;

    public function label(): string;

    /** @return list<string> what is read, one or two fields */
    public function fields(): array;

    /** @return array{string, string}|null at which end a gap is; null where that says nothing */
    public function ends(): ?array;

    /** What each reading should be about, mm; null where a gap is read, which should be nothing. */
    public function expected(): ?float;

    /** Largest that is allowed, mm. */
    public function limit(): float;

    /** In which words the limit is said. */
    public function allowed(): string;

    /** What to do where it reads so; mm. */
    public function remedy(float $reading): string;
}
