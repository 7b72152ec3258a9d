<?php

declare(strict_types=1);

namespace Incastro\Install;

/** A time in which somebody is there to work; moments are seconds of the epoch, so that no change of the clock matters. */
final readonly class Session
{
    public const SET_UP = 600;

    public const CLEAR = 900;

    public function __construct(public string $id, public int $start, public int $end, public int $people = 1, public int $setUp = self::SET_UP, public int $clear = self::CLEAR)
    {
    }

    /** When work can begin. */
    public function opens(): int
    {
        return $this->start + $this->setUp;
    }

    /** When work must be over. */
    public function closes(): int
    {
        return $this->end - $this->clear;
    }

    /** What is left of it from a moment on, set up already. */
    public function from(int $now): self
    {
        return new self($this->id, $now, $this->end, $this->people, 0, $this->clear);
    }

    public function with(int $people): self
    {
        return new self($this->id, $this->start, $this->end, $people, $this->setUp, $this->clear);
    }
}
