<?php

declare(strict_types=1);

namespace Incastro\Install;

/** Tasks that wait for each other in a circle. */
final class Circle extends \DomainException
{
    /** @param non-empty-list<string> $ids from the first round to the first again */
    public function __construct(public readonly array $ids)
    {
        parent::__construct('These wait for each other: '.implode(' after ', $ids).'.');
    }
}
