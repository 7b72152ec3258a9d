<?php

declare(strict_types=1);

namespace Incastro\Planning\Layout;

use Incastro\Fit\Layout\Size;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Units\Family;
use Incastro\Units\Kinds;

/** The document of a layout: its parts as new, and where in it an id stands. */
final class LayoutDocument
{
    /** How many of each a space, a run or a bay has at most. */
    public const MOST = ['runs' => 6, 'bays' => 24, 'tiers' => 12, 'members' => 40, 'fronts' => 100, 'options' => 100];

    /** Lists of what stands beside the tree of cells and names some of them, by the family of what it is. */
    public const BESIDE = ['members' => Family::Member, 'fronts' => Family::Front, 'options' => Family::Option];

    /** Every list of units that stand outside the tree of cells, what lies on the walls among them, by their family. */
    public const OUTSIDE = self::BESIDE + ['surfaces' => Family::Surface];

    /** @return array<string, mixed> a space in which nothing is planned yet */
    public static function none(): array
    {
        return ['runs' => [], 'members' => [], 'fronts' => [], 'options' => [], 'surfaces' => [], 'closings' => [], 'openings' => [], 'marks' => []];
    }

    /**
     * @param  list<array<string, mixed>>  $bays
     * @param  array<string, mixed>  $but
     * @return array<string, mixed>
     */
    public static function run(string $id, int $wall, array $bays, array $but = []): array
    {
        return ['id' => $id] + $but + ['wall' => $wall, 'height' => null, 'depth' => null, 'left' => 'through', 'right' => 'through', 'bays' => $bays];
    }

    /**
     * @param  list<array<string, mixed>>  $tiers
     * @param  array<string, mixed>  $but
     * @return array<string, mixed>
     */
    public static function bay(string $id, array $tiers, array $but = []): array
    {
        return ['id' => $id] + $but + ['size' => ['share' => Size::USUAL], 'joined' => false, 'top' => 'sloped', 'snap' => null, 'tiers' => $tiers];
    }

    /**
     * @param  array<string, mixed>  $but
     * @return array<string, mixed>
     */
    public static function tier(string $id, array $but = []): array
    {
        return ['id' => $id] + $but + ['size' => ['share' => Size::USUAL], 'joined' => true, 'holds' => Recipe::box(), 'depth' => null, 'snap' => null];
    }

    /**
     * @param  list<string>  $cells
     * @return array<string, mixed>
     */
    public static function member(string $id, string $kind, array $cells): array
    {
        return ['id' => $id] + self::holds($kind) + ['cells' => $cells];
    }

    /**
     * A unit as a document has it: its kind, the version of its parameters, and those that were chosen.
     *
     * @param  array<string, mixed>  $with
     * @return array{kind: string, v: int, with: array<string, mixed>}
     */
    public static function holds(string $kind, array $with = []): array
    {
        return ['kind' => $kind, 'v' => Kinds::standard()->find($kind)?->about->version ?? 1, 'with' => $with];
    }

    /**
     * @param  array<string, mixed>  $layout
     * @return list<string> every id in it
     */
    public static function ids(array $layout): array
    {
        $ids = array_merge([], ...array_map(fn (string $list) => array_column($layout[$list] ?? [], 'id'), array_keys(self::OUTSIDE)));
        foreach ($layout['runs'] as $run) {
            array_push($ids, ...self::idsOfRun($run));
        }

        return $ids;
    }

    /**
     * @param  array<string, mixed>  $layout
     * @return string|null a sentence where two of its parts bear one id
     */
    public static function twice(array $layout): ?string
    {
        foreach (array_count_values(self::ids($layout)) as $id => $count) {
            if ($count > 1) {
                return sprintf('Every part of a layout has an id of its own; two bear “%s”.', $id);
            }
        }

        return null;
    }

    /**
     * @param  array<string, mixed>  $run
     * @return list<string>
     */
    public static function idsOfRun(array $run): array
    {
        $ids = [$run['id']];
        foreach ($run['bays'] as $bay) {
            array_push($ids, $bay['id'], ...array_column($bay['tiers'], 'id'));
        }

        return $ids;
    }

    /**
     * The same layout with ids of its own: a copy of a job shares none with it.
     *
     * @param  array<string, mixed>  $layout
     * @param  \Closure(): string  $next  a new id
     * @return array<string, mixed>
     */
    public static function renamed(array $layout, \Closure $next): array
    {
        $names = [];
        foreach (self::ids($layout) as $id) {
            $names[$id] = $next();
        }
        $renamed = ['runs' => self::replaced($layout['runs'], $names)] + array_map(fn (string $list) => self::replaced($layout[$list], $names), array_combine(array_keys(self::OUTSIDE), array_keys(self::OUTSIDE))) + ['openings' => $layout['openings']];
        $renamed['closings'] = [];
        foreach ($layout['closings'] as $edge => $closing) {
            [$side, $owner] = explode(':', (string) $edge, 2);
            $renamed['closings'][$side.':'.($names[$owner] ?? $owner)] = $closing;
        }

        $renamed['marks'] = [];
        foreach ($layout['marks'] as $owner => $mark) {
            $renamed['marks'][self::renamedOwner((string) $owner, $names)] = $mark;
        }

        return $renamed;
    }

    /**
     * An owner is a part of the layout, or a further row of one: the id of the part, a stroke, and what tells the row.
     *
     * @param  array<string, string>  $names
     */
    private static function renamedOwner(string $owner, array $names): string
    {
        foreach ($names as $old => $new) {
            if ($owner === $old) {
                return $new;
            }
        }
        foreach ($names as $old => $new) {
            if (str_starts_with($owner, "$old/")) {
                $row = substr($owner, strlen($old) + 1);

                return $new.'/'.($names[$row] ?? $row);
            }
        }

        return $owner;
    }

    /**
     * @param  array<mixed>  $value
     * @param  array<string, string>  $names
     * @return array<mixed>
     */
    private static function replaced(array $value, array $names): array
    {
        $replaced = [];
        foreach ($value as $key => $entry) {
            $replaced[$key] = match (true) {
                $key === 'cells' && is_array($entry) => array_map(fn (mixed $cell): mixed => $names[$cell] ?? $cell, $entry),
                is_array($entry) => self::replaced($entry, $names),
                in_array($key, ['id', 'snap', 'of', 'from', 'to'], true) && is_string($entry) => $names[$entry] ?? $entry,
                default => $entry,
            };
        }

        return $replaced;
    }

    /**
     * Where a bay, or the bay of a tier, stands: the numbers of its run and of itself.
     *
     * @param  array<string, mixed>  $layout
     * @return array{int, int}|null
     */
    public static function bayAt(array $layout, string $id): ?array
    {
        foreach ($layout['runs'] as $r => $run) {
            foreach ($run['bays'] as $b => $bay) {
                if ($bay['id'] === $id || in_array($id, array_column($bay['tiers'], 'id'), true)) {
                    return [$r, $b];
                }
            }
        }

        return null;
    }

    /**
     * @param  array<string, mixed>  $layout
     * @return array{int, int, int}|null
     */
    public static function tierAt(array $layout, string $id): ?array
    {
        foreach ($layout['runs'] as $r => $run) {
            foreach ($run['bays'] as $b => $bay) {
                $t = array_search($id, array_column($bay['tiers'], 'id'), true);
                if ($t !== false) {
                    return [$r, $b, (int) $t];
                }
            }
        }

        return null;
    }
}
