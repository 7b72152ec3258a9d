<?php

declare(strict_types=1);

namespace Incastro\Planning\Layout;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\Field;
use Incastro\Planning\InvalidChoice;
use Incastro\Planning\Recipes\StartingLayouts;
use Incastro\Rules\Edit;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Units\Family;
use Incastro\Units\Kinds;

/**
 * Edits of a layout. `layout.bays.ID.size` and its like change one field; `layout.do` carries one action on the division;
 * `layout.put` puts whole runs, all members and the closings that differ back as they were, which is what undoes an action;
 * `layout` replaces it all.
 */
final readonly class LayoutChoices
{
    private LayoutFields $fields;

    private LayoutParts $parts;

    private UnitChoices $units;

    private LayoutSurfaces $surfaces;

    public function __construct(private LengthFormat $format, private SpaceShape $shape, private Length $board)
    {
        $this->fields = new LayoutFields($format, $shape->corners());
        $this->units = new UnitChoices($format);
        $this->surfaces = new LayoutSurfaces($this->units, $format, $shape->walls());
        $this->parts = new LayoutParts($this->fields, $this->units, $this->surfaces);
    }

    /**
     * @param  array<string, mixed>  $layout
     * @return array{array<string, mixed>, Edit} the changed layout, and the edit that undoes it
     *
     * @throws InvalidChoice
     */
    public function apply(array $layout, Edit $edit): array
    {
        $parts = explode('.', $edit->path, 4);
        $value = is_array($edit->value) ? $edit->value : [];

        return match ($parts[1] ?? '') {
            '' => [$this->parts->whole($edit), new Edit('layout', $layout)],
            'put' => $this->put($layout, $edit),
            'do' => $this->act($layout, $edit->path, $value),
            'runs', 'bays', 'tiers', 'members', 'fronts', 'options', 'surfaces' => $this->field($layout, $edit, $parts[1], $parts[2] ?? '', $parts[3] ?? ''),
            'closings' => $this->closing($layout, $edit, substr($edit->path, strlen('layout.closings.'))),
            'openings' => $this->opening($layout, $edit, $parts[2] ?? ''),
            default => throw new InvalidChoice($edit->path, sprintf('“%s” is not a field of a layout.', $edit->path)),
        };
    }

    /**
     * @param  array<string, mixed>  $layout
     * @param  array<string, mixed>  $value
     * @return array{array<string, mixed>, Edit}
     */
    private function act(array $layout, string $path, array $value): array
    {
        $seed = $value['seed'] ?? null;
        if (! is_string($seed) || strlen($seed) < 8 || strlen($seed) > 80) {
            throw new InvalidChoice($path, 'An action carries a seed of 8 to 80 letters, from which new cells get their ids.');
        }
        if (($value['action'] ?? null) === 'start') {
            $started = (new StartingLayouts($this->shape, $seed, $this->format))->named(is_string($value['name'] ?? null) ? $value['name'] : '') ?? throw new InvalidChoice($path, 'There is no such layout to start from.');

            // What lies on walls does not go with what stands before them.
            return [['surfaces' => [...$layout['surfaces'] ?? [], ...$started['surfaces']]] + $started, new Edit('layout', $layout)];
        }

        if (($value['action'] ?? null) === 'add' && ($value['list'] ?? null) === 'surfaces') {
            if (count($layout['surfaces']) >= LayoutSurfaces::MOST) {
                throw new InvalidChoice($path, sprintf('A space has at most %d of them.', LayoutSurfaces::MOST));
            }
            $after = array_replace($layout, ['surfaces' => [...$layout['surfaces'], $this->surfaces->added($path, (new LayoutIds($seed, LayoutDocument::ids($layout)))->next(), $value, $layout['surfaces'])]]);

            return [$after, self::puttingBack($layout, $after)];
        }
        $after = (new LayoutActions($layout, $this->shape->walls(), $seed, $path, $this->format->step, $this->board))->apply($value);

        return [$after, self::puttingBack($layout, $after)];
    }

    /**
     * @param  array<string, mixed>  $layout
     * @return array{array<string, mixed>, Edit}
     */
    private function put(array $layout, Edit $edit): array
    {
        $closings = array_filter(array_replace($layout['closings'], $this->parts->closings($edit)), fn (?string $closing) => $closing !== null);
        $after = ['runs' => $this->parts->runs($edit), ...$this->parts->allBeside($edit), 'surfaces' => $this->surfaces->whole($edit), 'closings' => $closings, 'marks' => LayoutParts::marks(is_array($edit->value) ? $edit->value['marks'] ?? [] : []) + $layout['marks']] + $layout;
        LayoutParts::bearEachIdOnce($edit->path, $after);

        return [$after, self::puttingBack($layout, $after)];
    }

    /**
     * The edit that makes one layout of another: whole runs and members, and of the closings those that differ.
     *
     * @param  array<string, mixed>  $layout
     * @param  array<string, mixed>  $from
     */
    private static function puttingBack(array $layout, array $from): Edit
    {
        $closings = [];
        foreach (self::closingsThatDiffer($layout, $from) as $edge) {
            $closings[$edge] = $layout['closings'][$edge] ?? null;
        }

        return new Edit('layout.put', ['runs' => $layout['runs']] + array_intersect_key($layout, LayoutDocument::OUTSIDE) + ($closings === [] ? [] : ['closings' => $closings]) + ($layout['marks'] === [] ? [] : ['marks' => $layout['marks']]));
    }

    /**
     * @param  array<string, mixed>  $layout
     * @param  array<string, mixed>  $other
     * @return list<string> the edges that are closed otherwise
     */
    private static function closingsThatDiffer(array $layout, array $other): array
    {
        $edges = array_keys($layout['closings'] + $other['closings']);

        return array_values(array_filter($edges, fn (string $edge) => ($layout['closings'][$edge] ?? null) !== ($other['closings'][$edge] ?? null)));
    }

    /**
     * @param  array<string, mixed>  $layout
     * @return array{array<string, mixed>, Edit}
     */
    private function field(array $layout, Edit $edit, string $list, string $id, string $name): array
    {
        $target = self::target($layout, $list, $id) ?? throw new InvalidChoice($edit->path, 'What this would change is not there any more.');
        if (isset(LayoutDocument::OUTSIDE[$list]) && $name === '' && $edit->value === null) {
            $after = $list === 'surfaces' ? LayoutSurfaces::without($layout, $id) : array_replace($layout, [$list => array_values(array_filter($layout[$list], fn (array $entry) => $entry['id'] !== $id))]);

            return [$after, self::puttingBack($layout, $after)];
        }
        if ($name === 'with' || str_starts_with($name, 'with.')) {
            return $this->set($layout, $edit, $list, $target, substr($name, strlen('with.')));
        }
        if ($list === 'surfaces' && str_starts_with($name, 'on.')) {
            [$placed, $inverse] = $this->surfaces->placed($target, $edit, substr($name, strlen('on.')));

            return [self::with($layout, $list, $id, $placed), $inverse];
        }
        if ($list === 'tiers' && $name === 'holds') {
            $inverse = new Edit($edit->path, $target['holds']);
            $holds = $this->units->unit($edit->path, $edit->value ?? Kinds::standard()->nothing(), $target['holds'], Family::Inside, Family::Cell);

            return $this->sized($layout, self::with($layout, $list, $id, array_replace($target, ['holds' => $holds])), $inverse);
        }
        $field = match ($list) {
            'runs' => $this->fields->run($name),
            'bays' => $this->fields->bay($name),
            'tiers' => $this->fields->tier($name),
            default => null,
        } ?? throw new InvalidChoice($edit->path, sprintf('“%s” is not a field of a layout.', $edit->path));
        $inverse = new Edit($edit->path, $target[$name] ?? null);
        $target[$name] = $field->store($edit->path, $edit->value);
        $after = self::with($layout, $list, $id, $target);

        return $name === 'joined' ? $this->sized($layout, $after, $inverse) : [$after, $inverse];
    }

    /**
     * What now shares a board, or no longer does, keeps its outer size.
     *
     * @param  array<string, mixed>  $layout
     * @param  array<string, mixed>  $after
     * @return array{array<string, mixed>, Edit}
     */
    private function sized(array $layout, array $after, Edit $inverse): array
    {
        $kept = (new OuterSizes($this->board))->kept($layout, $after);

        return [$kept, $kept === $after ? $inverse : self::puttingBack($layout, $kept)];
    }

    /**
     * One parameter of what stands there, or several by their names.
     *
     * @param  array<string, mixed>  $layout
     * @param  array<string, mixed>  $target
     * @return array{array<string, mixed>, Edit}
     */
    private function set(array $layout, Edit $edit, string $list, array $target, string $name): array
    {
        if ($list !== 'tiers' && ! isset(LayoutDocument::OUTSIDE[$list])) {
            throw new InvalidChoice($edit->path, sprintf('“%s” is not a field of a layout.', $edit->path));
        }
        $given = $name !== '' ? [$name => $edit->value] : (is_array($edit->value) ? $edit->value : []);
        [$unit, $before] = $this->units->set($edit->path, $list === 'tiers' ? $target['holds'] : array_intersect_key($target, ['kind' => 1, 'v' => 1, 'with' => 1]), $given);
        $changed = array_replace($target, $list === 'tiers' ? ['holds' => $unit] : $unit);

        return [self::with($layout, $list, $target['id'], $changed), new Edit($edit->path, $name !== '' ? $before[$name] : $before)];
    }

    /**
     * @param  array<string, mixed>  $layout
     * @return array<string, mixed>|null
     */
    private static function target(array $layout, string $list, string $id): ?array
    {
        if ($list === 'runs' || isset(LayoutDocument::OUTSIDE[$list])) {
            return array_column($layout[$list], null, 'id')[$id] ?? null;
        }
        if ($list === 'bays') {
            $at = LayoutDocument::bayAt($layout, $id);
            $bay = $at === null ? null : $layout['runs'][$at[0]]['bays'][$at[1]];

            return $bay !== null && $bay['id'] === $id ? $bay : null;
        }
        $at = LayoutDocument::tierAt($layout, $id);

        return $at === null ? null : $layout['runs'][$at[0]]['bays'][$at[1]]['tiers'][$at[2]];
    }

    /**
     * @param  array<string, mixed>  $layout
     * @param  array<string, mixed>  $changed
     * @return array<string, mixed>
     */
    private static function with(array $layout, string $list, string $id, array $changed): array
    {
        $put = fn (array $entries) => array_map(fn (array $entry) => $entry['id'] === $id ? $changed : $entry, $entries);
        if ($list === 'runs' || isset(LayoutDocument::OUTSIDE[$list])) {
            return array_replace($layout, [$list => $put($layout[$list])]);
        }
        $layout['runs'] = array_map(fn (array $run) => array_replace($run, ['bays' => $list === 'bays' ? $put($run['bays']) : array_map(fn (array $bay) => array_replace($bay, ['tiers' => $put($bay['tiers'])]), $run['bays'])]), $layout['runs']);

        return $layout;
    }

    /**
     * @param  array<string, mixed>  $layout
     * @return array{array<string, mixed>, Edit}
     */
    private function closing(array $layout, Edit $edit, string $key): array
    {
        $inverse = new Edit($edit->path, $layout['closings'][$key] ?? null);
        $layout['closings'][$key] = $this->parts->closing($edit->path, $key, $edit->value);
        $layout['closings'] = array_filter($layout['closings'], fn (?string $closing) => $closing !== null);

        return [$layout, $inverse];
    }

    /**
     * @param  array<string, mixed>  $layout
     * @return array{array<string, mixed>, Edit}
     */
    private function opening(array $layout, Edit $edit, string $thing): array
    {
        $isOpen = Field::yesNo('Opening for it')->store($edit->path, $edit->value);
        $inverse = new Edit($edit->path, in_array($thing, $layout['openings'], true));
        $others = array_values(array_diff($layout['openings'], [$thing]));

        return [['openings' => $isOpen ? [...$others, $thing] : $others] + $layout, $inverse];
    }

    /** What an edit of a layout is called in the history: "Split the bay", "depth of the run". */
    public static function label(Edit $edit): string
    {
        $parts = explode('.', $edit->path);
        $action = is_array($edit->value) && is_string($edit->value['action'] ?? null) ? $edit->value['action'] : '';
        $of = ['runs' => 'run', 'bays' => 'bay', 'tiers' => 'tier', 'members' => 'worktop or plinth', 'fronts' => 'front', 'options' => 'box', 'surfaces' => 'wall'][$parts[1] ?? ''] ?? null;
        $field = ['size' => $of === 'bay' ? 'width' : 'height', 'joined' => 'shared board', 'holds' => 'use', 'snap' => 'alignment'][$parts[3] ?? ''] ?? str_replace('_', ' ', $parts[4] ?? ['with' => 'settings'][$parts[3] ?? ''] ?? $parts[3] ?? 'whole');

        return match ($parts[1] ?? '') {
            'do' => LayoutActions::NAMES[$action] ?? 'layout',
            'closings' => 'closing of an edge',
            'openings' => 'opening for a thing',
            default => $of === null ? 'layout' : "$field of the $of",
        };
    }

    /**
     * What an edit touched, for telling whether somebody changed the same since: the ids of all that differs, and of every
     * cell of a run that was divided anew.
     *
     * @param  array<string, mixed>  $before
     * @param  array<string, mixed>  $after
     * @return list<string>
     */
    public static function touched(array $before, array $after, Edit $edit): array
    {
        $parts = explode('.', $edit->path);
        if (in_array($parts[1] ?? '', ['', 'do', 'put'], true) || (isset(LayoutDocument::OUTSIDE[$parts[1]]) && count($parts) === 3)) {
            $ids = ['layout', ...self::closingsThatDiffer($before, $after)];
            foreach ([$before, $after] as $layout) {
                foreach ($layout['runs'] as $run) {
                    $same = array_column(($layout === $before ? $after : $before)['runs'], null, 'id')[$run['id']] ?? null;
                    $ids = $same === $run ? $ids : [...$ids, ...LayoutDocument::idsOfRun($run)];
                }
            }

            return array_values(array_unique($ids));
        }

        return [$parts[2] ?? 'layout'];
    }
}
