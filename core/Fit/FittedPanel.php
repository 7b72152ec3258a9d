<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Measure\Working;

/** An end panel beside the last box of a run, from v out to the face: its back edge is scribed to the run's wall. */
final readonly class FittedPanel
{
    public function __construct(
        public string $id,
        public int $number,
        public float $u,
        public float $v,
        public float $z,
        public Working $height,
        public Working $depth,
    ) {
    }
}
