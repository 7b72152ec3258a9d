<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Fit\Holds\ClosesWall;
use Incastro\Fit\Layout\Surface;
use Incastro\Measure\Working;
use Incastro\Rules\Finding;
use Incastro\Survey\Room\Face;
use Incastro\Survey\Room\RunFrame;

/**
 * What lies on a wall in its place: its left and its foot in the wall's frame, its clear width and height, and how far out it
 * begins, where the wall comes in most behind it, or before what it lies on, and how far it stands out from there; mm. `host` is
 * what it lies on, where that is not the wall itself.
 */
final readonly class FittedSurface
{
    /** @param list<Finding> $findings */
    public function __construct(
        public Surface $surface,
        public string $mark,
        public RunFrame $frame,
        public float $u,
        public float $z,
        public float $v,
        public Working $width,
        public Working $height,
        public array $findings = [],
        public float $thickness = 0.0,
        public ?self $host = null,
    ) {
    }

    /** Where it ends along the wall, mm. */
    public function end(): float
    {
        return $this->u + $this->width->result->toDouble();
    }

    /** What comes after it meets instead of the wall; null where it does not close that. */
    public function face(): ?Face
    {
        $holds = $this->surface->holds;
        if (! $holds instanceof ClosesWall) {
            return null;
        }
        $high = min($this->height->result->toDouble(), $holds->closes()?->toDouble() ?? INF);

        return new Face($this->frame->wall, $this->u, $this->end(), $this->z, $this->z + $high, $this->front());
    }

    /** Where its own face is, out from the wall, mm. */
    public function front(): float
    {
        return $this->v + $this->thickness;
    }
}
