<?php

declare(strict_types=1);

namespace Incastro\Fit\Layout;

use Incastro\Fit\Holds\ClosesOpenings;

/** What closes the opening of a tier. */
final readonly class Front
{
    public function __construct(public string $id, public ClosesOpenings $holds)
    {
    }
}
