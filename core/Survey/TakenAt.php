<?php

declare(strict_types=1);

namespace Incastro\Survey;

/**
 * Where a take was taken, mm, as its slot asked for it then: height above the floor, depth out from the wall, how far along
 * it, the span of the level, the places on the plan (along and out from their wall), and the legs of a 3-4-5. A fact keeps it,
 * whatever is chosen or read later.
 */
final readonly class TakenAt
{
    /**
     * @param  list<array{float, float}>  $spots  along and out
     * @param  array{float, float}|null  $legs
     */
    public function __construct(
        public ?float $height = null,
        public ?float $depth = null,
        public ?float $along = null,
        public ?float $span = null,
        public array $spots = [],
        public ?array $legs = null,
    ) {
    }

    public static function of(Slot $slot): self
    {
        return new self($slot->height, $slot->depth, $slot->along, $slot->span, array_map(fn ($spot) => [$spot->along, $spot->depth], $slot->spots), $slot->legs);
    }

    /** Two takes of a slot at one place repeat each other; this is the same for both. */
    public function key(): string
    {
        return json_encode(get_object_vars($this), JSON_THROW_ON_ERROR);
    }
}
