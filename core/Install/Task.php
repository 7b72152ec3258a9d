<?php

declare(strict_types=1);

namespace Incastro\Install;

/** Something to do on fitting day: how long it takes, for how many, and after what. */
final readonly class Task
{
    /**
     * @param  array<string, int>  $needs  seconds that something dries, by the id of the task that it waits for; 0 where nothing dries
     * @param  int  $from  moment before which it cannot begin
     * @param  string  $held  why it cannot be done at all as things are; empty where nothing holds it
     */
    public function __construct(public string $id, public int $minutes, public int $people = 1, public array $needs = [], public string $name = '', public int $from = 0, public string $held = '')
    {
    }

    public function seconds(): int
    {
        return 60 * $this->minutes;
    }

    public function label(): string
    {
        return $this->name === '' ? $this->id : $this->name;
    }
}
