<?php

declare(strict_types=1);

namespace Incastro\Pieces\Works;

use Incastro\Measure\LengthFormat;

/** An edge that is left as it is sawn, covered or banded. */
final readonly class Finished implements Work
{
    public function __construct(private string $edge, public Finish $finish)
    {
    }

    public function edge(): string
    {
        return $this->edge;
    }

    /** How long the edges are that are banded, of a piece so long and so wide, mm. */
    public function banded(float $long, float $wide): float
    {
        return $this->finish !== Finish::Banded ? 0.0 : match (true) {
            $this->edge === 'all four' => 2 * ($long + $wide),
            $this->edge === 'both long' => 2 * $long,
            str_ends_with($this->edge, 'short') => $wide,
            default => $long,
        };
    }

    public function words(LengthFormat $format): string
    {
        return $this->finish->value;
    }
}
