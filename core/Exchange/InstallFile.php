<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Install\Circle;
use Incastro\Install\Climate;
use Incastro\Install\Order;
use Incastro\Install\Product;
use Incastro\Install\Session;
use Incastro\Install\Task;
use Incastro\Install\Zone;

/**
 * Reads what is to be done on fitting day and when there is time for it. Moments of sessions are local and turned into those of the epoch here,
 * so that a change of the clock shifts no drying.
 */
final class InstallFile
{
    private const MOST_TASKS = 500;

    private const MOST_SESSIONS = 200;

    private const LONGEST_SESSION = 14 * 3600;

    public readonly Order $order;

    /** @var list<Session> in their order, none over another */
    public readonly array $sessions;

    /** @var array<string, array{sequence: int, cancelled: bool}> what calendars are told of a session besides, by id */
    public readonly array $told;

    public readonly Climate $climate;

    public readonly Zone $zone;

    private readonly JsonFile $from;

    /** @throws BadFile */
    public function __construct(string $file, string $json)
    {
        $this->from = new JsonFile($file, $json, 'an object with tasks, sessions, climate, products and zone');
        $name = $this->from->data['zone'] ?? 'UTC';
        $zone = is_string($name) ? Zone::named($name) : null;
        if ($zone === null) {
            $this->from->fault('.zone', sprintf('“%s” is not a time zone, such as UTC or a name of an area.', is_scalar($name) ? $name : 'That'));
        }
        $this->zone = $zone ?? Zone::named('UTC') ?? throw new \LogicException('There is always UTC.');
        $climate = is_array($this->from->data['climate'] ?? null) ? $this->from->data['climate'] : [];
        $this->climate = new Climate($this->from->number($climate, 'celsius', '.climate', 1, 45, 20.0), $this->from->number($climate, 'humidity', '.climate', 1, 100, 50.0));
        if ($this->climate->damp > Climate::DAMPEST) {
            $this->from->fault('.climate.humidity', sprintf('Nothing is applied in air damper than %d %%.', Climate::DAMPEST));
        }
        $tasks = $this->tasks();
        [$this->sessions, $this->told] = $this->sessions();
        $this->from->refuseFaults();
        try {
            $this->order = new Order($tasks);
        } catch (Circle $circle) {
            throw BadFile::at("$file:\$.tasks", $circle->getMessage());
        }
    }

    /** @return list<Task> */
    private function tasks(): array
    {
        $tasks = [];
        $entries = $this->from->entries($this->from->data, 'tasks', '', self::MOST_TASKS);
        $ids = array_map(fn (array $entry): string => is_string($entry['id'] ?? null) ? $entry['id'] : '', $entries);
        foreach ($entries as $i => $entry) {
            $path = ".tasks[$i]";
            if (preg_match('/^[a-z][\w:.-]*$/iD', $ids[$i]) !== 1 || array_search($ids[$i], $ids, true) !== $i) {
                $this->from->fault("$path.id", sprintf('“%s” is not a name of its own that begins with a letter.', $ids[$i]));
            }
            $needs = [];
            foreach (($entry['needs'] ?? []) === [] ? [] : $this->from->entries($entry, 'needs', $path, self::MOST_TASKS) as $n => $need) {
                $of = is_string($need['task'] ?? null) ? $need['task'] : '';
                if (! in_array($of, $ids, true)) {
                    $this->from->fault("$path.needs[$n].task", sprintf('There is no task “%s”.', $of));
                }
                $needs[$of] = isset($need['dry']) ? $this->drying($need, "$path.needs[$n]") : 0;
            }
            $tasks[] = new Task($ids[$i], (int) $this->from->number($entry, 'minutes', $path, 1, 24 * 60), (int) $this->from->number($entry, 'people', $path, 1, 3, 1.0), $needs, is_string($entry['name'] ?? null) ? $entry['name'] : '');
        }

        return $tasks;
    }

    /** @param array<mixed> $need */
    private function drying(array $need, string $path): int
    {
        $product = is_string($need['dry']) ? Product::tryFrom($need['dry']) : null;
        if ($product === null) {
            $this->from->fault("$path.dry", sprintf('“%s” is not among what dries: %s.', is_scalar($need['dry']) ? $need['dry'] : 'That', implode(', ', array_column(Product::cases(), 'value'))));

            return 0;
        }
        $typed = is_array($this->from->data['products'] ?? null) ? $this->from->data['products'] : [];
        // The figure of the tin goes before the usual one.
        $hours = isset($typed[$product->value]) ? $this->from->number($typed, $product->value, '.products', 0.1, 1000) : null;

        return $product->seconds($this->climate, $hours, $this->from->number($need, 'depth', $path, 0.1, 100, Product::DEPTH));
    }

    /** @return array{list<Session>, array<string, array{sequence: int, cancelled: bool}>} */
    private function sessions(): array
    {
        $sessions = $told = [];
        foreach ($this->from->entries($this->from->data, 'sessions', '', self::MOST_SESSIONS) as $i => $entry) {
            $path = ".sessions[$i]";
            [$start, $end] = [$this->moment($entry, 'start', $path), $this->moment($entry, 'end', $path)];
            if ($start === 0 || $end === 0) {
                continue;
            }
            if ($end <= $start) {
                $this->from->fault("$path.end", 'It ends before it begins.');
            } elseif ($end - $start > self::LONGEST_SESSION) {
                $this->from->fault("$path.end", 'It is longer than 14 hours.');
            }
            $id = is_string($entry['id'] ?? null) && $entry['id'] !== '' ? $entry['id'] : "s$start";
            $told[$id] = ['sequence' => (int) $this->from->number($entry, 'sequence', $path, 0, 100_000, 0.0), 'cancelled' => $this->from->yesNo($entry, 'cancelled', $path, false)];
            $session = new Session($id, $start, $end, (int) $this->from->number($entry, 'people', $path, 1, 3, 1.0), 60 * (int) $this->from->number($entry, 'set_up', $path, 0, 120, Session::SET_UP / 60), 60 * (int) $this->from->number($entry, 'clear', $path, 0, 120, Session::CLEAR / 60));
            foreach ($sessions as $other) {
                if ($session->start < $other->end && $other->start < $session->end) {
                    $this->from->fault("$path.start", sprintf('It lies over the session that begins at %s.', $this->zone->local($other->start)));
                }
            }
            $sessions[] = $session;
        }
        usort($sessions, fn (Session $one, Session $other) => $one->start <=> $other->start);

        return [$sessions, $told];
    }

    /** @param array<mixed> $entry */
    private function moment(array $entry, string $key, string $path): int
    {
        $given = is_string($entry[$key] ?? null) ? $entry[$key] : '';
        $at = $this->zone->moment($given);
        if ($at === null) {
            $this->from->fault("$path.$key", sprintf('“%s” is not a day and an hour, such as 2027-03-06T09:00.', str_replace('T', ' ', $given)));
        }

        return $at ?? 0;
    }
}
