<?php

declare(strict_types=1);

namespace Incastro\Pieces\Works;

use Incastro\Measure\LengthFormat;

/** Ends that are each cut to the wall they meet. */
final readonly class CutToWalls implements Work
{
    public function edge(): string
    {
        return 'ends, short';
    }

    public function words(LengthFormat $format): string
    {
        return 'cut to the walls: four corners of its own';
    }
}
