<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Fit\Layout;
use Incastro\Survey\SheetChoices;
use Incastro\Survey\Take;

/** A space of a job: where its readings are taken, the takes that count, and what is to stand in it. */
final readonly class Space
{
    /** @param list<Take> $takes */
    public function __construct(
        public string $id,
        public string $name,
        public SheetChoices $sheet,
        public array $takes,
        public Layout $layout,
    ) {
    }
}
