<?php

declare(strict_types=1);

namespace Incastro\Planning\Layout;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\Field;
use Incastro\Planning\InvalidChoice;
use Incastro\Rules\Edit;
use Incastro\Units\Family;

/** What lies on walls, in the document: `{id, kind, v, with, on: {wall, from, to, foot, head}}`, and `of` in `on` for what lies on one of those before it. */
final readonly class LayoutSurfaces
{
    public const MOST = 20;

    private const ENDS = ['from' => 'Begins along the wall at', 'to' => 'Ends along the wall at', 'foot' => 'Its foot', 'head' => 'Its head'];

    /** @param list<int> $walls */
    public function __construct(private UnitChoices $units, private LengthFormat $format, private array $walls)
    {
    }

    /**
     * Those that an edit puts in whole; an older layout has none.
     *
     * @return list<array<string, mixed>>
     *
     * @throws InvalidChoice
     */
    public function whole(Edit $edit): array
    {
        $given = is_array($edit->value) && is_array($edit->value['surfaces'] ?? null) ? array_values($edit->value['surfaces']) : [];
        if (count($given) > self::MOST) {
            throw new InvalidChoice($edit->path, sprintf('There are %d surfaces; it takes 0 to %d.', count($given), self::MOST));
        }

        $known = [];

        return array_map(function (mixed $entry) use ($edit, &$known): array {
            $id = is_array($entry) ? $entry['id'] ?? null : null;
            if (! is_array($entry) || ! is_string($id) || preg_match('~^[A-Za-z0-9/-]{1,120}$~', $id) !== 1) {
                throw new InvalidChoice($edit->path, 'Every part of a layout has an id.');
            }
            $on = ['wall' => $this->wall($edit->path, is_array($entry['on'] ?? null) ? $entry['on']['wall'] ?? null : null)];
            foreach (array_keys(self::ENDS) as $end) {
                $on[$end] = $this->end($end)->store($edit->path, $entry['on'][$end] ?? null);
            }

            $of = $entry['on']['of'] ?? null;
            if ($of !== null) {
                $on['of'] = is_string($of) && isset($known[$of]) ? $of : throw new InvalidChoice($edit->path, 'What it lies on comes before it in the list of surfaces.');
            }
            $known[$id] = true;

            return ['id' => $id] + $this->units->unit($edit->path, $entry, null, Family::Surface) + ['on' => $on];
        }, $given);
    }

    /**
     * A new one on a wall, or on what lies there, from end to end of it.
     *
     * @param  array<string, mixed>  $value
     * @param  list<array<string, mixed>>  $surfaces  that are there
     * @return array<string, mixed>
     *
     * @throws InvalidChoice
     */
    public function added(string $path, string $id, array $value, array $surfaces): array
    {
        $of = array_column($surfaces, null, 'id')[is_string($value['of'] ?? null) ? $value['of'] : ''] ?? null;
        $wall = $of === null ? $value['wall'] ?? null : $of['on']['wall'];

        return ['id' => $id] + $this->units->unit($path, $value['kind'] ?? null, null, Family::Surface)
            + ['on' => ['wall' => $this->wall($path, $wall), 'from' => null, 'to' => null, 'foot' => null, 'head' => null] + ($of === null ? [] : ['of' => $of['id']])];
    }

    /**
     * A layout without one of them: what lies on it goes too, and what stood beside it goes on to the wall.
     *
     * @param  array<string, mixed>  $layout
     * @return array<string, mixed>
     */
    public static function without(array $layout, string $id): array
    {
        $gone = [$id => true];
        $kept = [];
        foreach ($layout['surfaces'] as $surface) {
            if (isset($gone[$surface['id']]) || isset($gone[$surface['on']['of'] ?? ''])) {
                $gone[$surface['id']] = true;
            } else {
                $kept[] = $surface;
            }
        }
        $layout['surfaces'] = $kept;
        $layout['runs'] = array_map(fn (array $run) => array_filter($run, fn (mixed $value, string $name) => ! in_array($name, ['from', 'to'], true) || ! isset($gone[$value ?? '']), ARRAY_FILTER_USE_BOTH), $layout['runs']);

        return $layout;
    }

    /**
     * One of its ends put elsewhere; null is as far as the wall goes.
     *
     * @param  array<string, mixed>  $surface
     * @return array{array<string, mixed>, Edit}
     *
     * @throws InvalidChoice
     */
    public function placed(array $surface, Edit $edit, string $end): array
    {
        if (! isset(self::ENDS[$end])) {
            throw new InvalidChoice($edit->path, sprintf('“%s” is not a field of a layout.', $edit->path));
        }
        $inverse = new Edit($edit->path, $surface['on'][$end]);
        $surface['on'][$end] = $this->end($end)->store($edit->path, $edit->value);
        foreach ([['from', 'to'], ['foot', 'head']] as [$first, $last]) {
            if (isset($surface['on'][$first], $surface['on'][$last]) && $surface['on'][$first]['nm'] >= $surface['on'][$last]['nm']) {
                throw new InvalidChoice($edit->path, sprintf('It would end before it begins: from %s to %s.', $this->written($surface['on'][$first]), $this->written($surface['on'][$last])));
            }
        }

        return [$surface, $inverse];
    }

    /** @param array{nm: int} $length */
    private function written(array $length): string
    {
        return $this->format->write(Length::ofNanometres($length['nm']));
    }

    private function end(string $end): Field
    {
        return Field::length(self::ENDS[$end], $this->format, Length::zero(), Length::ofMillimetres(20_000))->orComputed();
    }

    private function wall(string $path, mixed $wall): int
    {
        return is_int($wall) && in_array($wall, $this->walls, true) ? $wall : throw new InvalidChoice($path, 'There is no such wall to lie on.');
    }
}
