<?php

declare(strict_types=1);

namespace Incastro\Fit;

/** Nothing that deserves the name of a box goes into this space as chosen. */
final class NoRoom extends \RuntimeException
{
    public static function forBox(string $dimension, string $size, string $least): self
    {
        return new self(sprintf('No box goes in: its %s would be %s, and a box needs at least %s. Check the readings and the allowances.', $dimension, $size, $least));
    }
}
