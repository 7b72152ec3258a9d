<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Measure\Working;

/** A bay inside a box: its clear width, how far its left lies from the box's left, mm, and its openings from the bottom. */
final readonly class Column
{
    /** @param non-empty-list<Opening> $openings */
    public function __construct(public string $bayId, public Working $width, public float $x, public array $openings)
    {
    }
}
