<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Survey\Room\RunFrame;

/**
 * How the upper edge of a piece in the face is worked where it meets the ceiling. It is scribed at its face; where the ceiling
 * falls towards the wall, its back would touch first, so the edge is bevelled to the slope.
 */
final class CeilingWork
{
    /** Less slope than this is lost in the scribing, rad. */
    private const LEAST = 0.05;

    /** @param float $v of its face, mm */
    public static function of(RunFrame $frame, float $u, float $v, float $thickness): string
    {
        $angle = atan2($frame->ceilingAt($u, $v) - $frame->ceilingAt($u, $v - $thickness), $thickness);

        return abs($angle) < self::LEAST ? 'scribed to the ceiling' : sprintf('scribed to the ceiling, bevelled %.1f° to its slope %s the face', rad2deg(abs($angle)), $angle > 0.0 ? 'behind' : 'before');
    }
}
