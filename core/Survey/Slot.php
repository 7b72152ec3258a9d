<?php

declare(strict_types=1);

namespace Incastro\Survey;

/**
 * One line of the tape book: what to measure, where, and how.
 *
 * `ends` names the two answers to "at which end" for a plumb or fall reading. Heights are mm above the floor, depths mm
 * from the back wall; both are null where the room does not determine them yet.
 */
final readonly class Slot
{
    /** @param list<string> $ends */
    public function __construct(
        public string $id,
        public ReadingKind $kind,
        public string $label,
        public string $how,
        public Tool $tool,
        public bool $required,
        public ?float $height = null,
        public ?float $depth = null,
        public ?float $span = null,
        public array $ends = [],
    ) {
    }
}
