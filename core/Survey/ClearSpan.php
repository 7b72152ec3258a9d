<?php

declare(strict_types=1);

namespace Incastro\Survey;

/**
 * The width of the widest rigid box that goes along a path between two walls: min u_right − max u_left, and the places
 * that bind. All in mm; `doubt` is U, what must come off for a one-sided 95 % that it really goes; `weights` say how the
 * tightest pair of places depends on the unknowns of the survey.
 */
final readonly class ClearSpan
{
    /** @param array<int, float> $weights */
    public function __construct(
        public float $width,
        public float $doubt,
        public float $left,
        public float $right,
        public float $leftDepth,
        public float $leftHeight,
        public float $rightDepth,
        public float $rightHeight,
        public array $weights = [],
    ) {
    }
}
