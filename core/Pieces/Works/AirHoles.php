<?php

declare(strict_types=1);

namespace Incastro\Pieces\Works;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;

/** Holes on a grid through which what lies on a board breathes. They are bored where nothing lies under it, and take nothing of its sizes. */
final readonly class AirHoles implements Work
{
    public function __construct(private Length $diameter, private Length $apart)
    {
    }

    public function edge(): string
    {
        return 'air holes';
    }

    public function words(LengthFormat $format): string
    {
        return sprintf('Ø %s every %s both ways, none over a board below', $format->write($this->diameter), $format->write($this->apart));
    }
}
