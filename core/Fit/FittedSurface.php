<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Fit\Layout\Surface;
use Incastro\Measure\Working;
use Incastro\Rules\Finding;
use Incastro\Survey\Room\RunFrame;

/**
 * What lies on a wall in its place: its left and its foot in the wall's frame, its clear width and height, and how far out it
 * begins, where the wall comes in most behind it; mm.
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
    ) {
    }
}
