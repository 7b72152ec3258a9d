<?php

declare(strict_types=1);

namespace Incastro\Units\Sites;

use Incastro\Fit\Box;
use Incastro\Fit\FittedCell;
use Incastro\Fit\FittedRun;
use Incastro\Fit\FittedShelf;
use Incastro\Fit\Terms;
use Incastro\Rules\Materials\Purpose;
use Incastro\Units\Make\Workshop;

/** A cell without a box, in its run's frame, and what makes the pieces that stand in it. */
final readonly class CellSite
{
    /** What stands this near to its end stands there, mm. */
    private const NEAR = 5.0;

    public Workshop $make;

    public function __construct(public FittedRun $run, public FittedCell $cell, public Terms $terms, public string $mark)
    {
        $this->make = new Workshop($cell->tier->id, $mark, $terms->materials, $terms->format);
    }

    /** The same where what is made for a purpose is made of another material. */
    public function madeOf(Purpose $purpose, ?string $material): self
    {
        return new self($this->run, $this->cell, $this->terms->making($purpose, $material), $this->mark);
    }

    /**
     * Its ends at which neither a wall nor a box stands.
     *
     * @param  float  $foot  a box that begins higher does not count, nor one that ends under the head; over the datum, mm
     * @return list<'left'|'right'>
     */
    public function openEnds(float $foot = INF, float $head = -INF): array
    {
        $open = [];
        foreach (['left' => [$this->cell->u, $this->run->left], 'right' => [$this->cell->end(), $this->run->right]] as $end => [$at, $ofRun]) {
            $isAtWall = abs($at - $ofRun) < self::NEAR && ! $this->run->frame->isOpen($end);
            $boxes = array_filter($this->run->boxes, fn (Box $box) => abs(($end === 'left' ? $box->right() : $box->u) - $at) < self::NEAR && $box->z < $foot + 1.0 && $box->highest() > $head - 1.0);
            if (! $isAtWall && $boxes === []) {
                $open[] = $end;
            }
        }

        return $open;
    }

    /** Where what stands in it stands: on the floor where nothing carries its bay, else at its foot; over the datum, mm. */
    public function floor(): float
    {
        $cell = $this->cell;
        foreach ($this->run->cells as $other) {
            if ($other->bayId === $cell->bayId && $other->z < $cell->z - 1e-6) {
                return $cell->z;
            }
        }
        foreach ($this->run->under() as $under) {
            if ($under->u < $cell->end() - 1.0 && $under->end() > $cell->u + 1.0) {
                return $cell->z;
            }
        }

        return 0.0;
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
