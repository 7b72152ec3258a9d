<?php

declare(strict_types=1);

namespace Incastro\Pieces\Works;

use Incastro\Measure\LengthFormat;

/**
 * Something that is done to a piece after its blank is sawn. The classes of this folder are all there are; each is a value,
 * and two pieces are alike only where their works are.
 */
interface Work
{
    /** Where on the piece: "front, long". */
    public function edge(): string;

    /** What is done there, as it is told to a person. */
    public function words(LengthFormat $format): string;
}
