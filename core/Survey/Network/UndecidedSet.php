<?php

declare(strict_types=1);

namespace Incastro\Survey\Network;

/**
 * Readings of which one is wrong, and nothing says which.
 *
 * `slips` holds the slip that would explain each member's error, or null; `takeAgain` the member whose repeat is asked
 * for first; `newReading` the candidate reading, by its id, that would tell more of them apart than any repeat.
 */
final readonly class UndecidedSet
{
    /**
     * @param  non-empty-list<string>  $ids
     * @param  list<float>  $errors  how much too large each would be, if it were the one
     * @param  list<?string>  $slips
     */
    public function __construct(
        public array $ids,
        public array $errors,
        public array $slips,
        public string $takeAgain,
        public ?string $newReading,
    ) {
    }
}
