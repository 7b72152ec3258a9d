<?php

declare(strict_types=1);

namespace Incastro\Install;

/** A task in its time. */
final readonly class Placed
{
    /** @param int $ready from when it could have begun: all that it waits for is done and dry */
    public function __construct(public Task $task, public Session $session, public int $start, public int $ready)
    {
    }

    public function end(): int
    {
        return $this->start + $this->task->seconds();
    }
}
