<?php

declare(strict_types=1);

namespace Tests\Core;

use Incastro\Planning\SpacePlan;

/** Lengths and widths of the pieces of a plan, as worked examples state them; mm. */
final class PieceSizes
{
    /** @return array<string, array{float, float}> by mark, without that of its unit */
    public static function byMark(SpacePlan $plan): array
    {
        $sizes = [];
        foreach ($plan->pieces() as $piece) {
            $sizes[(string) preg_replace('/^[A-Z]\d-/', '', $piece->mark)] = [$piece->length->result->toDouble(), $piece->width->result->toDouble()];
        }

        return $sizes;
    }

    /** @return array<string, array<string, int>> how many there are of each, by name and "2324 × 63" */
    public static function counted(SpacePlan $plan): array
    {
        $sizes = [];
        foreach ($plan->pieces() as $piece) {
            $size = sprintf('%s × %s', $piece->length->result->toDouble(), $piece->width->result->toDouble());
            $sizes[$piece->name][$size] = ($sizes[$piece->name][$size] ?? 0) + 1;
        }

        return $sizes;
    }
}
