<?php

declare(strict_types=1);

namespace Incastro\Pieces\Works;

use Incastro\Measure\LengthFormat;

/** An opening of a piece's own, and how it is cut. */
final readonly class OpenedThrough implements Work
{
    /** @param string $what size and way, as they are told in the job's unit */
    public function __construct(private string $what)
    {
    }

    public function edge(): string
    {
        return 'opening';
    }

    public function words(LengthFormat $format): string
    {
        return $this->what;
    }
}
