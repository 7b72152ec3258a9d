<?php

declare(strict_types=1);

namespace Incastro\Measure;

/** A computed length that no house holds: the sum behind it has gone wrong. */
final class LengthOutOfRange extends \RangeException
{
    public static function ofDouble(float $millimetres): self
    {
        return new self(sprintf('A computed length of %s mm is out of range: ± 1 km is the most.', $millimetres));
    }
}
