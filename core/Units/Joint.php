<?php

declare(strict_types=1);

namespace Incastro\Units;

/**
 * Two pieces that meet, by their keys, and how they are held together: `a` is the one that the screws go through, or that
 * rests on the other. `shares` is how deep the two may stand in each other, mm: nothing where one butts against the other.
 * `at` are the heights of hinges or slides in the run, mm.
 */
final readonly class Joint
{
    /** @param list<float> $at */
    public function __construct(public string $a, public string $b, public JointKind $kind, public string $use, public float $shares = 0.0, public array $at = [])
    {
    }
}
