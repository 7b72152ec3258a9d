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

    public function words(LengthFormat $format): string
    {
        return $this->finish->value;
    }
}
