<?php

declare(strict_types=1);

namespace App\Editing;

/** A fact came under a number or an id that another fact has: it was not kept, and whoever sent it must know. */
final class FactConflict extends \RuntimeException
{
    /** @param array<string, mixed> $fact */
    public static function at(int $i, array $fact): self
    {
        return new self(sprintf('Fact %d (%s): its id, or the number %d of its device, is another fact’s already. Nothing was kept; send it under an id and a number of its own.', $i + 1, $fact['id'], $fact['sequence']));
    }
}
