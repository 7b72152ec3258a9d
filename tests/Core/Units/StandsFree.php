<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Planning\SpacePlan;
use Incastro\Rules\Finding;
use Incastro\Rules\Severity;

/** What only the check of the whole finds: a unit that cannot be made says so itself. */
trait StandsFree
{
    /** @return list<string> */
    private static function faults(SpacePlan $plan): array
    {
        $clashes = array_filter($plan->findings, fn (Finding $finding) => $finding->severity === Severity::Clash);
        $codes = array_map(fn (Finding $finding) => $finding->code->value, $clashes);
        $isSaid = array_filter($codes, fn (string $code) => ! str_starts_with($code, 'assembled-')) !== [];

        return $isSaid ? [] : array_values(array_map(fn (Finding $finding) => $finding->sentence, $clashes));
    }
}
