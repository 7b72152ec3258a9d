<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Geometry\Prism;

/**
 * Something that moves in use: what it is called, the tier that it belongs to, the keys of the pieces that move, and what they
 * sweep on their way, in the run's frame. `travel` is how far something is drawn out for use, mm; 0 for what turns.
 */
final readonly class Movement
{
    /**
     * @param  non-empty-list<string>  $moving
     * @param  non-empty-list<Prism>  $swept
     */
    public function __construct(public string $name, public string $tier, public array $moving, public array $swept, public float $travel)
    {
    }
}
