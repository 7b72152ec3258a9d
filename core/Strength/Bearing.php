<?php

declare(strict_types=1);

namespace Incastro\Strength;

use Incastro\Rules\Edits;
use Incastro\Rules\Materials\Strength;
use Incastro\Rules\WayOut;

/** A board of a plan between two supports, what lies on it, and what of its unit can be set otherwise so that it sags less. */
final readonly class Bearing
{
    /**
     * @param  string  $place  the tier or member that the board belongs to
     * @param  string  $load  what lies on it, in words
     * @param  Edits  $unit  what addresses its unit
     * @param  string|null  $made  the parameter of the unit by which it is made of something else
     * @param  WayOut|null  $middle  puts something under its middle
     * @param  array{float, Strength}|null  $strip  thickness in mm and wood of a strip that can be put under its front edge
     * @param  array<string, mixed>  $stripped  how the unit is set for that, but for the height of the strip
     */
    public function __construct(
        public string $mark,
        public string $place,
        public Board $board,
        public string $load,
        public Edits $unit,
        public ?string $made = null,
        public ?WayOut $middle = null,
        public ?array $strip = null,
        public array $stripped = [],
    ) {
    }
}
