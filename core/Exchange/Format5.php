<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Planning\JobChoices;
use Incastro\Planning\Layout\LayoutDocument;
use Incastro\Planning\Recipes\Recipe;

/**
 * With the fifth format a tier and a member say what they hold as a unit: its kind, the version of its parameters, and those
 * that were chosen. The same class serves files, stored spaces, and what an undo puts back; what is in the newest form already
 * it leaves as it is.
 */
final class Format5
{
    /** Kinds of cells as they were called before. */
    private const KINDS = ['open' => 'gap', 'knee' => 'knee-space', 'filler' => 'filler-panel'];

    /**
     * Materials are a list, and `uses` says what each is for; drawers get a material of their own.
     *
     * @param  array<string, mixed>  $job  or its choices
     * @return array<string, mixed>
     */
    public static function materials(array $job): array
    {
        if (isset($job['uses'])) {
            return $job;
        }
        $new = JobChoices::defaults('', $job['measure']);
        $materials = [];
        $woods = array_column($new['materials'], 'wood', 'name');
        foreach ($job['materials'] as $id => $material) {
            $materials[] = ['id' => $id, 'kind' => 'sheet', 'name' => $material['name'], 'thickness' => $material['thickness'], 'width' => null, 'cover' => null, 'density' => $material['density'], 'wood' => $woods[$material['name']] ?? null];
        }
        $drawer = array_values(array_filter($new['materials'], fn (array $material) => $material['id'] === 'drawer'));
        $stock = array_values(array_filter($new['stock'], fn (array $entry) => $entry['material'] === 'drawer' && ! in_array($entry['id'], array_column($job['stock'], 'id'), true)));

        $all = [...$materials, ...$drawer];

        return array_replace($job, ['materials' => $all, 'uses' => array_intersect($new['uses'], array_column($all, 'id')), 'stock' => [...$job['stock'], ...$stock]]);
    }

    /**
     * @param  array<string, mixed>  $layout
     * @return array<string, mixed>
     */
    public static function layout(array $layout): array
    {
        foreach ($layout['runs'] as $r => $run) {
            foreach ($run['bays'] as $b => $bay) {
                $layout['runs'][$r]['bays'][$b]['tiers'] = array_map(self::tier(...), $bay['tiers']);
            }
        }
        $layout['members'] = array_map(self::member(...), $layout['members']);

        return $layout + ['fronts' => [], 'options' => [], 'surfaces' => []];
    }

    /**
     * @param  array<string, mixed>  $tier
     * @return array<string, mixed>
     */
    private static function tier(array $tier): array
    {
        return isset($tier['holds']) ? $tier
            : array_diff_key($tier, ['unit' => 1, 'fixed_shelves' => 1, 'adjustable_shelves' => 1]) + ['holds' => self::holds($tier['unit'], $tier['fixed_shelves'], $tier['adjustable_shelves'])];
    }

    /** @return array{kind: string, v: int, with: array<string, mixed>} */
    private static function holds(string $unit, int $fixed, int $adjustable): array
    {
        return match ($unit) {
            'box' => Recipe::box($fixed, $adjustable),
            'shelves' => Recipe::cleats(max(1, $fixed + $adjustable)),
            default => LayoutDocument::holds(self::KINDS[$unit]),
        };
    }

    /**
     * @param  array<string, mixed>  $member
     * @return array<string, mixed>
     */
    private static function member(array $member): array
    {
        return isset($member['with']) ? $member
            : array_diff_key($member, ['overhang' => 1]) + LayoutDocument::holds($member['kind'], array_filter(['overhang' => $member['overhang'] ?? null]));
    }

    /**
     * A recorded edit, or the one that takes it back.
     *
     * @param  array{path: string, value: mixed}  $edit
     * @return array{path: string, value: mixed}
     */
    public static function edit(array $edit): array
    {
        $value = $edit['value'];
        if (is_array($value) && in_array($edit['path'], ['layout', 'layout.put'], true)) {
            return ['value' => self::layout($value)] + $edit;
        }
        if ($edit['path'] === 'layout.do' && is_array($value) && ($value['action'] ?? null) === 'add-member') {
            return ['value' => ['action' => 'add'] + $value] + $edit;
        }
        if ($edit['path'] === 'layout.do' && is_array($value) && ($value['name'] ?? null) === 'cleat-shelves') {
            return ['value' => ['name' => 'wall-to-wall'] + $value] + $edit;
        }
        if (preg_match('~^(layout\.(?:tiers|members)\.[^.]+)\.(unit|shelves|fixed_shelves|adjustable_shelves|overhang)$~', $edit['path'], $parts) !== 1) {
            return $edit;
        }
        [, $part, $field] = $parts;

        return match ($field) {
            'unit' => ['path' => "$part.holds", 'value' => is_string($value) ? self::holds($value, 0, $value === 'shelves' ? 1 : 0)['kind'] : $value],
            'shelves' => ['path' => "$part.with", 'value' => $value],
            'overhang' => ['path' => "$part.with.overhang", 'value' => $value],
            default => ['path' => "$part.with.".substr($field, 0, -strlen('_shelves')), 'value' => $value],
        };
    }
}
