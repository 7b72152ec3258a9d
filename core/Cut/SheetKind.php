<?php

declare(strict_types=1);

namespace Incastro\Cut;

/** A stock of sheets as the planner sees it: what is usable of one, in steps of the grid, and how many there are. */
final readonly class SheetKind
{
    public function __construct(public Stock $stock, public int $x, public int $y)
    {
    }

    public static function of(Stock $stock, SawSetup $saw, Grid $grid): self
    {
        return new self($stock, $grid->steps($saw->usableLength($stock)->nanometres()), $grid->steps($saw->usableWidth($stock)->nanometres()));
    }

    public function takes(PieceType $type): bool
    {
        foreach ($type->ways as $way) {
            if ($way->x <= $this->x && $way->y <= $this->y) {
                return true;
            }
        }

        return false;
    }
}
