<?php

declare(strict_types=1);

namespace Incastro\Install;

/** Something to do on fitting day: how long it takes, for how many, and after what. */
final readonly class Task
{
    /**
     * @param  array<string, int>  $needs  seconds that something dries, by the id of the task that it waits for; 0 where nothing dries
     * @param  ?int  $from  moment before which it cannot begin; null: not before somebody says when
     */
    public function __construct(public string $id, public int $minutes, public int $people = 1, public array $needs = [], public string $name = '', public ?int $from = 0)
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
