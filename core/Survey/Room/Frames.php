<?php

declare(strict_types=1);

namespace Incastro\Survey\Room;

/** The frames of a room's walls, each made once: what they have found of the walls serves every run and every try. */
final class Frames
{
    /** @var array<int, RunFrame> by wall */
    private array $made = [];

    public function of(Room $room, int $wall): RunFrame
    {
        return $this->made[$wall] ??= new RunFrame($room, $wall);
    }
}
