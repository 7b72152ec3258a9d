<?php

declare(strict_types=1);

namespace Incastro\Planning\Layout;

use Incastro\Fit\Layout\Layout;
use Incastro\Fit\Marks;
use Incastro\Rules\Parameters\Blueprint;

/**
 * The marks that a job's layouts keep: each box, plinth, worktop, panel and row of shelves gets one when it is made, and bears
 * it as long as it stands.
 */
final class LayoutMarks
{
    /**
     * The layouts of a job, each with a mark for everything that bears one; those that are there stay.
     *
     * @param  list<array<string, mixed>>  $layouts  of all spaces, in their order
     * @return list<array<string, mixed>>
     */
    public static function settled(array $layouts): array
    {
        $kept = [];
        foreach ($layouts as $s => $layout) {
            $owners = self::owners(LayoutReader::division($layout));
            $kept[$s] = array_filter($layout['marks'], fn (string $mark, string $owner) => self::isOf($owner, $mark, $owners) && ! in_array($mark, array_merge([], ...array_slice($kept, 0, $s)), true), ARRAY_FILTER_USE_BOTH);
        }
        // Each is drawn from all that are taken, wherever they stand.
        $marks = new Marks(array_merge([], ...$kept));
        foreach ($layouts as $s => $layout) {
            foreach (self::owners(LayoutReader::division($layout)) as $owner => $letter) {
                $kept[$s][$owner] = $marks->of($letter, $owner);
            }
            $layouts[$s]['marks'] = $kept[$s];
        }

        return $layouts;
    }

    /**
     * Whether a mark belongs to something that stands: to an owner of its letter, or to a further row of one.
     *
     * @param  array<string, string>  $owners
     */
    private static function isOf(string $owner, string $mark, array $owners): bool
    {
        foreach ($owners as $id => $letter) {
            if (($owner === $id || str_starts_with($owner, "$id/")) && str_starts_with($mark, $letter)) {
                return true;
            }
        }

        return false;
    }

    /** @return array<string, string> letters by what bears a mark: a box by its first tier, members and other cells by themselves */
    private static function owners(Layout $layout): array
    {
        $owners = [];
        foreach ($layout->runs as $run) {
            foreach ($run->groups() as $group) {
                foreach ($group[0]->stacks() as $stack) {
                    $letter = $stack[0]->isBoxed() ? 'B' : Blueprint::of($stack[0]->holds::class)->about->mark;
                    $owners += $letter === null ? [] : [$stack[0]->id => $letter];
                }
            }
        }
        foreach ($layout->members as $member) {
            $owners[$member->id] = Blueprint::of($member->holds::class)->about->mark ?? 'U';
        }

        return $owners;
    }
}
