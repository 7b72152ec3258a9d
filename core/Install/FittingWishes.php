<?php

declare(strict_types=1);

namespace Incastro\Install;

use Incastro\Survey\Room\WallKind;

/** What somebody chose about fitting day: when there is time, the air of the room, what is painted with, and what shall come before what. */
final readonly class FittingWishes
{
    /**
     * @param  list<Session>  $sessions  in their order
     * @param  array<string, int>  $minutes  that tasks take, by their kind, where somebody said so
     * @param  list<array{string, string}>  $before  ids of tasks, the first before the second
     * @param  array<string, float>  $hours  from the tin, by the product
     * @param  array<string, int>  $dates  when licensed people come, seconds of the epoch, by the id of the thing
     * @param  array<string, WallKind>  $walls  by space and wall
     * @param  float  $pace  home’s own: minutes are so many times the usual
     */
    public function __construct(
        public array $sessions = [],
        public Climate $climate = new Climate(),
        public array $minutes = [],
        public array $before = [],
        public array $hours = [],
        public array $dates = [],
        public array $walls = [],
        public ?float $wallboard = null,
        public Product $primer = Product::PrimerWater,
        public Product $paint = Product::PaintCoat,
        public int $coats = 2,
        public float $coldest = 8.0,
        public float $pace = 1.0,
    ) {
    }

    /** The same in the air that was measured, where somebody did. */
    public function in(?Climate $climate): self
    {
        return $climate === null ? $this : new self(...['climate' => $climate] + get_object_vars($this));
    }

    /** Minutes of so many of a kind. */
    public function minutes(TaskKind $kind, float $count = 1.0): float
    {
        return ($this->minutes[$kind->value] ?? $kind->minutes()) * $count * $this->pace;
    }

    public function wall(string $space, int $wall): WallKind
    {
        return $this->walls["$space/$wall"] ?? WallKind::Timber;
    }
}
