<?php

declare(strict_types=1);

namespace Incastro\Survey;

use Incastro\Survey\Space\Spot;

/**
 * One line of the tape book: what to measure, where, and how.
 *
 * Heights are mm above the floor; `depth` is mm out from the wall that the slot refers to. `from`, `to` and `at` are
 * corners; `wall` is the edge that a plumb, width or offset refers to, `along` mm from its left end as one faces it;
 * `between` are the two walls of a width; `spots` are the places on the plan of a height (one) or a fall (two), `plane` the
 * plane of the ceiling. `ends` names the two answers to "at which end" for a plumb or fall reading. `straightedge` names
 * the straightedge to which an offset belongs, and whether it was held level. `swap` is the slot of the other side, which
 * may have been written here by mistake. A fall that is read `onCeiling` is that of its plane of the ceiling.
 */
final readonly class Slot
{
    /**
     * @param  list<string>  $ends
     * @param  array{int, int}|null  $between
     * @param  list<Spot>  $spots
     * @param  array{float, float}|null  $legs  of a 3-4-5, mm
     */
    public function __construct(
        public string $id,
        public ReadingKind $kind,
        public string $label,
        public string $how,
        public Tool $tool,
        public bool $required,
        public ?float $height = null,
        public ?float $depth = null,
        public ?float $span = null,
        public array $ends = [],
        public ?int $from = null,
        public ?int $to = null,
        public ?int $at = null,
        public ?int $wall = null,
        public ?float $along = null,
        public ?array $between = null,
        public array $spots = [],
        public int $plane = 0,
        public ?array $legs = null,
        public bool $outside = false,
        public ?string $straightedge = null,
        public bool $isLevel = false,
        public ?string $swap = null,
        public string $group = '',
        public bool $onCeiling = false,
    ) {
    }

    /** The interior angle that a corner reads: one held outside reads the masonry. */
    public function interior(float $degrees): float
    {
        return $this->outside && $degrees < 180.0 ? 360.0 - $degrees : $degrees;
    }

    /** The same reading where it was taken. */
    public function at(TakenAt $place): self
    {
        $spots = array_map(fn (Spot $spot, array $at) => new Spot($spot->wall, $at[0], $at[1]), $this->spots, count($place->spots) === count($this->spots) ? $place->spots : array_map(fn (Spot $spot) => [$spot->along, $spot->depth], $this->spots));

        return new self(...[
            'height' => $place->height ?? $this->height, 'depth' => $place->depth ?? $this->depth, 'along' => $place->along ?? $this->along,
            'span' => $place->span ?? $this->span, 'spots' => $spots, 'legs' => $place->legs ?? $this->legs,
        ] + get_object_vars($this));
    }

    public function asOptional(): self
    {
        return new self(...['required' => false] + get_object_vars($this));
    }
}
