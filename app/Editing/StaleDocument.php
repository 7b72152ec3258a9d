<?php

declare(strict_types=1);

namespace App\Editing;

/** A choice was written against a version that is no longer the newest; nothing was changed. */
final class StaleDocument extends \RuntimeException
{
    /** @param list<string> $changed what was changed since */
    public function __construct(public readonly int $version, public readonly array $changed)
    {
        parent::__construct($changed === []
            ? 'This was changed elsewhere meanwhile. Look at it again, then change it.'
            : sprintf('Meanwhile changed elsewhere: %s. Look at it again, then change it.', implode(', ', $changed)));
    }
}
