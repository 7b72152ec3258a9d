<?php

declare(strict_types=1);

namespace Incastro\Planning\Layout;

use Incastro\Planning\Field;
use Incastro\Planning\InvalidChoice;
use Incastro\Rules\Edit;
use Incastro\Units\Family;

/** Takes the parts of a layout that an edit puts in whole, and checks each: its fields, how many there are, and their ids. */
final readonly class LayoutParts
{
    public function __construct(private LayoutFields $fields, private UnitChoices $units, private LayoutSurfaces $surfaces)
    {
    }

    /** @return array<string, mixed> */
    public function whole(Edit $edit): array
    {
        $value = is_array($edit->value) ? $edit->value : [];
        $whole = [
            'runs' => $this->runs($edit), ...$this->allBeside($edit), 'surfaces' => $this->surfaces->whole($edit),
            'closings' => array_filter($this->closings($edit), fn (?string $closing) => $closing !== null),
            'openings' => array_values(array_filter(is_array($value['openings'] ?? null) ? $value['openings'] : [], is_string(...))),
            'marks' => self::marks($value['marks'] ?? []),
        ];
        self::bearEachIdOnce($edit->path, $whole);

        return $whole;
    }

    /**
     * @param  array<string, mixed>  $layout
     *
     * @throws InvalidChoice
     */
    public static function bearEachIdOnce(string $path, array $layout): void
    {
        $twice = LayoutDocument::twice($layout);
        if ($twice !== null) {
            throw new InvalidChoice($path, $twice);
        }
    }

    /** @return array<string, string> by owner, those that are marks at all */
    public static function marks(mixed $value): array
    {
        return array_filter(is_array($value) ? $value : [], fn (mixed $mark) => is_string($mark) && preg_match('/^[A-Z][1-9]\d{0,3}[a-z]?$/', $mark) === 1);
    }

    /** @return list<array<string, mixed>> */
    public function runs(Edit $edit): array
    {
        $tier = fn (array $tier) => $this->entry($edit->path, $tier, ['size', 'joined', 'depth', 'snap'], $this->fields->tier(...)) + ['holds' => $this->units->unit($edit->path, $tier['holds'] ?? null, null, Family::Inside, Family::Cell)];
        $bay = fn (array $bay) => $this->entry($edit->path, $bay, ['size', 'joined', 'top', 'snap'], $this->fields->bay(...)) + ['tiers' => array_map($tier, self::entries($bay, 'tiers', $edit->path))];

        return array_map(fn (array $run) => $this->entry($edit->path, $run, ['wall', 'height', 'depth', 'left', 'right', ...array_values(array_filter(['from', 'to'], fn (string $end) => isset($run[$end])))], $this->fields->run(...)) + ['bays' => array_map($bay, self::entries($run, 'bays', $edit->path))], self::entries($edit->value, 'runs', $edit->path));
    }

    /** @return array<string, list<array<string, mixed>>> all lists of what names cells */
    public function allBeside(Edit $edit): array
    {
        return array_combine(array_keys(LayoutDocument::BESIDE), array_map(fn (string $list) => $this->beside($edit, $list), array_keys(LayoutDocument::BESIDE)));
    }

    /**
     * What names cells, of one of the lists; an older layout has none but members.
     *
     * @param  key-of<LayoutDocument::BESIDE>  $list
     * @return list<array<string, mixed>>
     */
    private function beside(Edit $edit, string $list): array
    {
        if ($list !== 'members' && is_array($edit->value) && ! isset($edit->value[$list])) {
            return [];
        }

        return array_map(
            fn (array $member) => $this->entry($edit->path, $member, [], fn () => null) + $this->units->unit($edit->path, $member, null, LayoutDocument::BESIDE[$list]) + ['cells' => array_values(array_filter(is_array($member['cells'] ?? null) ? $member['cells'] : [], is_string(...)))],
            self::entries($edit->value, $list, $edit->path),
        );
    }

    /** @return list<array<string, mixed>> */
    private static function entries(mixed $value, string $key, string $path): array
    {
        $entries = is_array($value) && is_array($value[$key] ?? null) ? array_values($value[$key]) : null;
        if ($entries === null || array_filter($entries, fn (mixed $entry) => ! is_array($entry)) !== []) {
            throw new InvalidChoice($path, "A layout has a list of $key.");
        }
        if (count($entries) > LayoutDocument::MOST[$key] || ($key === 'tiers' && $entries === [])) {
            throw new InvalidChoice($path, sprintf('There are %d %s; it takes %d to %d.', count($entries), $key, $key === 'tiers' ? 1 : 0, LayoutDocument::MOST[$key]));
        }

        return $entries;
    }

    /**
     * @param  array<string, mixed>  $entry
     * @param  list<string>  $names
     * @param  \Closure(string): ?Field  $field
     * @return array<string, mixed>
     */
    private function entry(string $path, array $entry, array $names, \Closure $field): array
    {
        $id = $entry['id'] ?? null;
        if (! is_string($id) || preg_match('~^[A-Za-z0-9/-]{1,120}$~', $id) !== 1) {
            throw new InvalidChoice($path, 'Every part of a layout has an id.');
        }
        $kept = ['id' => $id];
        foreach ($names as $name) {
            $kept[$name] = $field($name)?->store($path, $entry[$name] ?? null);
        }

        return $kept;
    }

    /** @throws InvalidChoice */
    public function closing(string $path, string $edge, mixed $value): ?string
    {
        if (preg_match('~^(left|right|top):[A-Za-z0-9/-]{1,120}$~', $edge) !== 1) {
            throw new InvalidChoice($path, 'This edge is not one that can be closed otherwise.');
        }

        return $this->fields->closing()->store($path, $value);
    }

    /** @return array<string, ?string> by edge */
    public function closings(Edit $edit): array
    {
        $closings = [];
        foreach (is_array($edit->value) && is_array($edit->value['closings'] ?? null) ? $edit->value['closings'] : [] as $edge => $closing) {
            $closings[$edge] = $this->closing($edit->path, (string) $edge, $closing);
        }

        return $closings;
    }
}
