<?php

declare(strict_types=1);

namespace Incastro\Log;

/** A time that somebody worked: from a moment to another, or a duration of a day. Seconds of the epoch, and seconds. */
final readonly class Stretch
{
    private function __construct(public string $id, public string $person, public WorkKind $kind, public int $from, public ?int $to, public int $typed)
    {
    }

    /** @param ?int $to null while it runs */
    public static function between(string $id, string $person, WorkKind $kind, int $from, ?int $to): self
    {
        return new self($id, $person, $kind, $from, $to, 0);
    }

    public static function lasting(string $id, string $person, WorkKind $kind, int $day, int $seconds): self
    {
        return new self($id, $person, $kind, $day, $day, $seconds);
    }
}
