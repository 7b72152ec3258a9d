<?php

declare(strict_types=1);

namespace Incastro\Fit\Layout;

use Incastro\Fit\Holds\ChangesBox;

/** What a tier's box has besides. */
final readonly class Option
{
    public function __construct(public string $id, public ChangesBox $holds)
    {
    }
}
