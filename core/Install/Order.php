<?php

declare(strict_types=1);

namespace Incastro\Install;

/** What comes before what: tasks as a graph without circles, and the longest way from each to the end. */
final readonly class Order
{
    /** @var array<string, Task> by id */
    public array $tasks;

    /** @var array<string, int> seconds from the beginning of a task to the end of all that follows, were there time at every hour */
    public array $tails;

    /**
     * @param  list<Task>  $tasks  each waits only for others of the list
     *
     * @throws Circle where some wait for each other
     */
    public function __construct(array $tasks)
    {
        $this->tasks = array_column($tasks, null, 'id');
        $followers = [];
        foreach ($tasks as $task) {
            foreach ($task->needs as $id => $dry) {
                $followers[$id][$task->id] = $dry;
            }
        }
        $tails = [];
        foreach (array_reverse($this->sorted()) as $id) {
            $after = array_map(fn (string $next, int $dry): int => $dry + $tails[$next], array_keys($followers[$id] ?? []), $followers[$id] ?? []);
            $tails[$id] = $this->tasks[$id]->seconds() + max([0, ...$after]);
        }
        $this->tails = $tails;
    }

    /** @return list<string> ids, each after all that it waits for */
    private function sorted(): array
    {
        $sorted = $open = [];
        $visit = function (string $id) use (&$visit, &$sorted, &$open): void {
            if (isset($sorted[$id])) {
                return;
            }
            if (isset($open[$id])) {
                $ids = array_keys($open);
                throw new Circle([...array_slice($ids, (int) array_search($id, $ids, true)), $id]);
            }
            $open[$id] = true;
            array_map(fn (int|string $need) => $visit((string) $need), array_keys($this->tasks[$id]->needs));
            unset($open[$id]);
            $sorted[$id] = $id;
        };
        array_map(fn (int|string $id) => $visit((string) $id), array_keys($this->tasks));

        return array_values($sorted);
    }
}
