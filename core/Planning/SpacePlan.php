<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Check\Verdict;
use Incastro\Fit\FittedRun;
use Incastro\Rules\Finding;
use Incastro\Survey\Survey;
use Incastro\Units\Assembly;

/** What a space comes to: the room as found, the run fitted into it, its pieces, and all that was found on the way. */
final readonly class SpacePlan
{
    /** @param list<Finding> $findings */
    public function __construct(
        public Space $space,
        public Survey $survey,
        public ?FittedRun $run,
        public ?Assembly $assembly,
        public array $findings,
        public Verdict $verdict,
    ) {
    }
}
