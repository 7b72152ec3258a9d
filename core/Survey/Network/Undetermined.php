<?php

declare(strict_types=1);

namespace Incastro\Survey\Network;

/** The readings leave something floating: no number of them says where it is. */
final class Undetermined extends \RuntimeException
{
    public function __construct(public readonly int $unknown)
    {
        parent::__construct(sprintf('The readings do not determine unknown %d.', $unknown));
    }
}
