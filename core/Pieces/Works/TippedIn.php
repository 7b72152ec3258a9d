<?php

declare(strict_types=1);

namespace Incastro\Pieces\Works;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;

/** A board that is longer than the way in is wide, and is tipped on its way; or may be, where that is not surely known. */
final readonly class TippedIn implements Work
{
    /** @param float $angle rad @param float $height free height that this needs, mm */
    public function __construct(public float $angle, public float $height, public bool $isLikely = true)
    {
    }

    public function edge(): string
    {
        return 'going in';
    }

    public function words(LengthFormat $format): string
    {
        return sprintf($this->isLikely ? 'tipped %.0f°, which needs %s of free height' : 'straight, or if the way in is too narrow tipped %.0f°, which needs %s of free height', rad2deg($this->angle), $format->write(Length::ofDouble($this->height)));
    }
}
