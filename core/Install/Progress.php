<?php

declare(strict_types=1);

namespace Incastro\Install;

/** How far fitting day has come: what is done and when, what was touched, and in what air things dry; moments are seconds of the epoch. */
final readonly class Progress
{
    /**
     * @param  array<string, int>  $done  when, by the id of the task; for what dries, when it was applied
     * @param  array<string, list<array{at: int, isDry: bool}>>  $touches  by the id of the task at which something was applied
     */
    public function __construct(public int $now, public array $done = [], public array $touches = [])
    {
    }
}
