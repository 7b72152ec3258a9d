<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Geometry\Point;
use Incastro\Geometry\Solid;
use Incastro\Rules\WayOut;

/**
 * Something that moves in use: what it is called, the tier that it belongs to, the keys of the pieces that move, and what they
 * sweep on their way, and how they move, in the run's frame. `travel` is how far something is drawn out for use, mm; 0 for what turns.
 */
final readonly class Movement
{
    /**
     * @param  non-empty-list<string>  $moving
     * @param  non-empty-list<Solid>  $swept
     * @param  list<list<Point>>  $above  lines of that as one sees them from above, in u and v
     * @param  list<WayOut>  $waysOut  other ways in which it may move
     * @param  ?PullReach  $pull  where the pull of what turns is when it is open by a right angle
     */
    public function __construct(public string $name, public string $tier, public array $moving, public array $swept, public array $above, public Motion $motion, public float $travel = 0.0, public array $waysOut = [], public ?PullReach $pull = null)
    {
    }
}
