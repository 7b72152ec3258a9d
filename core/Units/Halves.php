<?php

declare(strict_types=1);

namespace Incastro\Units;

/** What stands in a cell that is split in two, and does not stand in both as it was. */
interface Halves
{
    /** @return array{array<string, mixed>, array<string, mixed>} what the lower and the upper half are set to */
    public function halved(): array;
}
