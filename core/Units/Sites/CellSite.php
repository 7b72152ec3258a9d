<?php

declare(strict_types=1);

namespace Incastro\Units\Sites;

use Incastro\Fit\FittedCell;
use Incastro\Fit\FittedRun;
use Incastro\Fit\FittedShelf;
use Incastro\Fit\Terms;
use Incastro\Units\Make\Workshop;

/** A cell without a box, in its run's frame, and what makes the pieces that stand in it. */
final readonly class CellSite
{
    public Workshop $make;

    public function __construct(public FittedRun $run, public FittedCell $cell, public Terms $terms, public string $mark)
    {
        $this->make = new Workshop($cell->tier->id, $mark, $terms->materials, $terms->format);
    }

    /** The owner of what is built here. */
    public function owner(): string
    {
        return $this->cell->tier->id;
    }

    /** @return list<FittedShelf> the boards that lie in it from wall to wall */
    public function boards(): array
    {
        return array_values(array_filter($this->run->shelves, fn (FittedShelf $shelf) => $shelf->tierId === $this->cell->tier->id));
    }
}
