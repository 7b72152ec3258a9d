<?php

declare(strict_types=1);

namespace Incastro\Pieces\Works;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;

/** A round hole through a piece, and what for. */
final readonly class Bored implements Work
{
    public function __construct(public Length $diameter, private string $for)
    {
    }

    public function edge(): string
    {
        return 'hole';
    }

    public function words(LengthFormat $format): string
    {
        return sprintf('Ø %s for %s', $format->finest()->write($this->diameter), $this->for);
    }
}
