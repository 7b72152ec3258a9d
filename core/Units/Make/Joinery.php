<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Measure\LengthFormat;
use Incastro\Units\Assembly;

/** What the joints of an assembly take to be made. */
final readonly class Joinery
{
    /** Pieces this near to each other meet, mm: sizes are rounded once, to at most a sixteenth of an inch, and shelves drop in with their play. */
    public const TOUCH = 2.0;

    public function __construct(private LengthFormat $format)
    {
    }

    public function bought(Assembly $assembly): Assembly
    {
        $byKey = $assembly->byKey();
        $counted = [];
        foreach ($assembly->joints as $joint) {
            $isThere = isset($byKey[$joint->a], $byKey[$joint->b]);
            foreach ($isThere ? Screws::of($joint, $byKey[$joint->a], $byKey[$joint->b], $this->format) : [] as $hardware) {
                $counted[] = $hardware;
            }
        }

        return $assembly->bought($counted);
    }
}
