<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Install\Session;
use Incastro\Install\Zone;
use Incastro\Rules\Edit;

/**
 * The times in which somebody is there to work, as days and hours of the place. A rule such as Saturdays from nine to one is written out into single
 * ones, each of which can be changed; one that is taken out stays as cancelled, so that a calendar that knows it is told.
 *
 * @phpstan-type Entry array{id: string, start: string, end: string, people: int, note: string, cancelled: bool}
 */
final readonly class FittingSessions
{
    private const MOST = 200;

    /** A rule makes no more at once. */
    private const MOST_AT_ONCE = 52;

    private const LONGEST = 14 * 3600;

    /** @param list<mixed> $entries */
    public function __construct(private array $entries, private Zone $zone)
    {
    }

    /**
     * With one of them changed, or some added by a rule: `add` takes {start, end, people, note, weeks}.
     *
     * @return list<Entry>
     *
     * @throws InvalidChoice
     */
    public function changed(string $which, Edit $edit): array
    {
        $value = is_array($edit->value) ? $edit->value : [];
        $entries = $this->checked($edit->path);
        if ($which === 'add') {
            $made = $this->made($edit->path, $value);

            return (new self([...$entries, ...$made], $this->zone))->checked($edit->path);
        }
        $at = array_search($which, array_column($entries, 'id'), true);
        if ($at === false) {
            throw new InvalidChoice($edit->path, 'Sessions: This one is not there any more.');
        }
        $entries[$at] = $edit->value === null ? ['cancelled' => true] + $entries[$at] : array_intersect_key($value, $entries[$at]) + $entries[$at];

        return (new self($entries, $this->zone))->checked($edit->path);
    }

    /**
     * @return list<Entry> in their order
     *
     * @throws InvalidChoice
     */
    public function checked(string $path = 'installing.sessions'): array
    {
        if (count($this->entries) > self::MOST) {
            throw new InvalidChoice($path, sprintf('Sessions: There are %d, and no more than %d.', count($this->entries), self::MOST));
        }
        $checked = [];
        foreach ($this->entries as $entry) {
            $checked[] = $this->entry($path, is_array($entry) ? $entry : []);
        }
        usort($checked, fn (array $one, array $other) => [$one['start'], $one['id']] <=> [$other['start'], $other['id']]);
        $stand = array_values(array_filter($checked, fn (array $one) => ! $one['cancelled']));
        for ($i = 1; $i < count($stand); $i++) {
            if ((int) $this->zone->moment($stand[$i]['start']) < (int) $this->zone->moment($stand[$i - 1]['end'])) {
                throw new InvalidChoice($path, sprintf('Start: The session of %s lies over the one that begins at %s.', str_replace('T', ' ', $stand[$i]['start']), str_replace('T', ' ', $stand[$i - 1]['start'])));
            }
        }

        return $checked;
    }

    /** @return list<Session> those that stand */
    public function read(int $setUp, int $clear): array
    {
        return array_values(array_map(
            fn (array $one) => new Session($one['id'], (int) $this->zone->moment($one['start']), (int) $this->zone->moment($one['end']), $one['people'], $setUp, $clear),
            array_filter($this->checked(), fn (array $one) => ! $one['cancelled']),
        ));
    }

    /** @return list<array{Session, bool}> all, and whether each is cancelled */
    public function withCancelled(): array
    {
        return array_map(fn (array $one): array => [new Session($one['id'], (int) $this->zone->moment($one['start']), (int) $this->zone->moment($one['end']), $one['people']), $one['cancelled']], $this->checked());
    }

    /**
     * @param  array<mixed>  $entry
     * @return Entry
     */
    private function entry(string $path, array $entry): array
    {
        $text = fn (string $key): string => is_string($entry[$key] ?? null) ? $entry[$key] : '';
        [$start, $end] = [$this->zone->moment($text('start')), $this->zone->moment($text('end'))];
        $people = filter_var($entry['people'] ?? 1, FILTER_VALIDATE_INT);
        $fault = match (true) {
            preg_match('/^[\w-]{1,60}$/D', $text('id')) !== 1 => 'Sessions: One has no name of its own.',
            $start === null => sprintf('Start: “%s” is not a day and an hour, such as 2027-03-06T09:00.', $text('start')),
            $end === null => sprintf('End: “%s” is not a day and an hour, such as 2027-03-06T13:00.', $text('end')),
            $end <= $start => sprintf('End: %s is before it begins, at %s.', str_replace('T', ' ', $text('end')), str_replace('T', ' ', $text('start'))),
            $end - $start > self::LONGEST => sprintf('End: That is %d hours. A session is no longer than 14.', intdiv($end - $start, 3600)),
            $people === false || $people < 1 || $people > 3 => 'People: 1, 2 or 3.',
            mb_strlen($text('note')) > 200 => 'Note: No more than 200 letters.',
            default => null,
        };
        if ($fault !== null) {
            throw new InvalidChoice($path, $fault);
        }

        return ['id' => $text('id'), 'start' => str_replace(' ', 'T', $text('start')), 'end' => str_replace(' ', 'T', $text('end')), 'people' => (int) $people, 'note' => trim($text('note')), 'cancelled' => ($entry['cancelled'] ?? false) === true];
    }

    /**
     * @param  array<mixed>  $rule
     * @return list<Entry>
     */
    private function made(string $path, array $rule): array
    {
        $first = $this->entry($path, ['id' => 's0', 'cancelled' => false] + $rule);
        $weeks = filter_var($rule['weeks'] ?? 1, FILTER_VALIDATE_INT);
        if ($weeks === false || $weeks < 1 || $weeks > self::MOST_AT_ONCE) {
            throw new InvalidChoice($path, sprintf('Weeks: “%s” is not a whole number from 1 to %d.', is_scalar($rule['weeks'] ?? null) ? (string) $rule['weeks'] : 'that', self::MOST_AT_ONCE));
        }
        [$start, $end] = [(int) $this->zone->moment($first['start']), (int) $this->zone->moment($first['end'])];
        $taken = array_fill_keys(array_map(fn (mixed $one) => is_array($one) && is_string($one['id'] ?? null) ? $one['id'] : '', $this->entries), true);
        $made = [];
        for ($week = 0; $week < $weeks; $week++) {
            $at = $this->written($this->zone->later($start, 7 * $week));
            $id = $base = 's'.preg_replace('/\D/', '', $at);
            for ($n = 2; isset($taken[$id]); $n++) {
                $id = "$base-$n";
            }
            $taken[$id] = true;
            $made[] = ['id' => $id, 'start' => $at, 'end' => $this->written($this->zone->later($end, 7 * $week))] + $first;
        }

        return $made;
    }

    private function written(int $moment): string
    {
        return str_replace(' ', 'T', $this->zone->local($moment));
    }
}
