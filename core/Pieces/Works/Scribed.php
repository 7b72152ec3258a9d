<?php

declare(strict_types=1);

namespace Incastro\Pieces\Works;

use Incastro\Fit\Closing\Side;
use Incastro\Measure\LengthFormat;

/**
 * An edge that follows a surface of the house. Where the surface comes nearer behind the face that it is scribed at, the edge
 * is bevelled to it, or its back would touch first.
 */
final readonly class Scribed implements Work
{
    /** Less slope than this is lost in the scribing, rad. */
    private const LEAST = 0.05;

    /** @param float $angle rad from square: how much the surface comes nearer behind the face, less than 0 where it is before it */
    public function __construct(private string $edge, public Side $to, public float $angle = 0.0, public ?Bevel $bevel = null)
    {
    }

    public function edge(): string
    {
        return $this->edge;
    }

    public function words(LengthFormat $format): string
    {
        $to = 'scribed to '.$this->to->surface();
        if (abs($this->angle) < self::LEAST) {
            return $to;
        }
        $degrees = rad2deg(abs($this->angle));

        return $this->to === Side::Top
            ? sprintf('%s, bevelled %.1f° to its slope %s the face', $to, $degrees, $this->angle > 0.0 ? 'behind' : 'before')
            : sprintf('%s, bevelled %.1f° to it %s the face', $to, $degrees, $this->angle > 0.0 ? 'behind' : 'before');
    }
}
