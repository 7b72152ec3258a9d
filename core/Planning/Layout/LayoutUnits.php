<?php

declare(strict_types=1);

namespace Incastro\Planning\Layout;

use Incastro\Fit\Demand\MemberForm;
use Incastro\Fit\Holds\SpansCells;
use Incastro\Measure\Unit;
use Incastro\Rules\HouseRules;
use Incastro\Units\Halves;
use Incastro\Units\Kinds;

/** What the units of a document mean to its division: what lies over tiers, and what becomes of one that is split. */
final class LayoutUnits
{
    /** @param array{kind: string, with: array<string, mixed>} $entry */
    private static function made(array $entry): ?object
    {
        return Kinds::standard()->find($entry['kind'])?->make($entry['with'], new HouseRules(Unit::Millimetre));
    }

    /**
     * How a member lies to its cells; null of what is none.
     *
     * @param  array{kind: string, with: array<string, mixed>}  $member
     */
    public static function form(array $member): ?MemberForm
    {
        $unit = self::made($member);

        return $unit instanceof SpansCells ? $unit->form() : null;
    }

    /** @param array{kind: string, with: array<string, mixed>} $member */
    public static function isOver(array $member): bool
    {
        return self::form($member) === MemberForm::Over;
    }

    /**
     * What stands in the lower and the upper half of a tier that is split.
     *
     * @param  array{kind: string, v: int, with: array<string, mixed>}  $holds
     * @return array{array{kind: string, v: int, with: array<string, mixed>}, array{kind: string, v: int, with: array<string, mixed>}}
     */
    public static function halved(array $holds): array
    {
        $unit = self::made($holds);

        return $unit instanceof Halves ? array_map(fn (array $with) => array_replace($holds, ['with' => array_replace($holds['with'], $with)]), $unit->halved()) : [$holds, $holds];
    }
}
