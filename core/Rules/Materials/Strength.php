<?php

declare(strict_types=1);

namespace Incastro\Rules\Materials;

/**
 * What a material bears, as guidance for furniture: E in N/mm², along and across its grain; how much more it sags over years,
 * as a part of what it sags at once; and the bending stress that is asked of it at most, N/mm².
 */
final readonly class Strength
{
    public function __construct(
        public float $along,
        public float $across,
        public float $creep,
        public float $bendingAlong,
        public float $bendingAcross,
    ) {
    }
}
