<?php

declare(strict_types=1);

namespace Incastro\Units\Sites;

use Incastro\Fit\Box;
use Incastro\Fit\Column;
use Incastro\Fit\Opening;

/** Counts the pieces of a box by their role, so that no two bear one mark. */
final class Numbers
{
    /** @var array<string, int> */
    private array $given = [];

    /** "B2" where the box has one opening, else "B2.3", counted through it. */
    public static function name(Box $box, Opening $opening): string
    {
        $openings = array_merge(...array_map(fn (Column $column) => $column->openings, $box->columns));

        return count($openings) === 1 ? $box->mark : $box->mark.'.'.(1 + (int) array_search($opening, $openings, true));
    }

    public function next(string $role): int
    {
        return $this->given[$role] = ($this->given[$role] ?? 0) + 1;
    }
}
