<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Geometry\Block;

/** Something bought that takes up room in its place, such as a rail: drawn, and nothing else stands in it. In the run's frame. */
final readonly class Fixture
{
    public function __construct(public string $name, public string $tier, public Block $block)
    {
    }
}
