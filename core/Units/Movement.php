<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Geometry\Block;

/**
 * Something that moves in use: what it is called, the tier that it belongs to, the keys of the pieces that move, and the blocks
 * that they sweep on their way, in the run's frame. `travel` is how far it goes for use, mm.
 */
final readonly class Movement
{
    /**
     * @param  non-empty-list<string>  $moving
     * @param  non-empty-list<Block>  $swept
     */
    public function __construct(public string $name, public string $tier, public array $moving, public array $swept, public float $travel)
    {
    }
}
