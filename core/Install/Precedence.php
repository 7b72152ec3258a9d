<?php

declare(strict_types=1);

namespace Incastro\Install;

/**
 * What waits for what, made into one order without circles: what physics and safety ask first, then what somebody wished, then what is custom; what
 * closes a circle is left out, and a wish that does is noted. That neither of two boxes goes in after the other is found before it comes here.
 */
final readonly class Precedence
{
    /** @var array<string, FittingTask> */
    public array $tasks;

    /** @var array<string, array<string, Need>> by the task that waits, and the one that it waits for */
    public array $needs;

    /** @var list<array{string, string}> wishes that were left out: first and second */
    public array $refused;

    /**
     * @param  list<FittingTask>  $tasks
     * @param  list<array{string, string}>  $wishes  ids, the first before the second
     */
    public function __construct(array $tasks, array $wishes = [])
    {
        $this->tasks = array_column($tasks, null, 'id');
        $needs = array_fill_keys(array_keys($this->tasks), []);
        $custom = [];
        foreach ($tasks as $task) {
            foreach ($task->needs as $need) {
                // What the plan no longer has is waited for by nobody.
                if (! isset($this->tasks[$need->task]) || $need->task === $task->id) {
                    continue;
                }
                if ($need->isCustom) {
                    $custom[] = [$task->id, $need];
                } elseif (self::way($needs, $need->task, $task->id) === null) {
                    $needs[$task->id][$need->task] = self::longer($needs[$task->id][$need->task] ?? null, $need);
                }
            }
        }
        $refused = [];
        foreach ($wishes as [$first, $second]) {
            if (! isset($this->tasks[$first], $this->tasks[$second])) {
                continue;
            }
            if (self::way($needs, $first, $second) !== null) {
                $refused[] = [$first, $second];
            } else {
                $needs[$second][$first] ??= Need::custom($first);
            }
        }
        foreach ($custom as [$id, $need]) {
            if (self::way($needs, $need->task, $id) === null) {
                $needs[$id][$need->task] = self::longer($needs[$id][$need->task] ?? null, $need);
            }
        }
        $this->needs = $needs;
        $this->refused = $refused;
    }

    /**
     * The circle that a wish would close: why the first waits for the second already, from the first on; null where it closes none.
     *
     * @return list<string>|null names
     */
    public function circle(string $first, string $second): ?array
    {
        $hard = array_map(fn (array $needs): array => array_filter($needs, fn (Need $need) => ! $need->isCustom), $this->needs);
        $way = self::way($hard, $first, $second);

        return $way === null ? null : array_map(fn (string $id): string => $this->tasks[$id]->name, $way);
    }

    /** @return list<string> ids of what waits for a task */
    public function followers(string $id): array
    {
        return array_values(array_filter(array_keys($this->needs), fn (string $other) => isset($this->needs[$other][$id])));
    }

    private static function longer(?Need $known, Need $need): Need
    {
        return $known === null || $known->dry === null ? $need : ($need->dry === null || $known->dry->hours() >= $need->dry->hours() ? $known : $need);
    }

    /**
     * How one task waits for another, by way of others.
     *
     * @param  array<string, array<string, Need>>  $needs
     * @return list<string>|null ids, from the one to the other
     */
    private static function way(array $needs, string $from, string $to): ?array
    {
        $came = [$from => ''];
        $open = [$from];
        while ($open !== []) {
            $id = array_shift($open);
            if ($id === $to) {
                $way = [$id];
                while ($came[$way[0]] !== '') {
                    array_unshift($way, $came[$way[0]]);
                }

                return $way;
            }
            foreach (array_keys($needs[$id] ?? []) as $next) {
                if (! isset($came[$next])) {
                    $came[$next] = $id;
                    $open[] = $next;
                }
            }
        }

        return null;
    }
}
