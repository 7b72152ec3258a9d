<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Fit\Layout\Tier;
use Incastro\Fit\Layout\UnitKind;
use Incastro\Geometry\Block;
use Incastro\Geometry\Point;
use Incastro\Measure\Working;

/**
 * A tier in its place, seen from the front: u and z of its lower left, mm, its width and its heights at both sides, from
 * back to face. Where it is a box's only cell these are the box's outer sizes, else its clear opening.
 */
final readonly class FittedCell
{
    /** A panel narrower or lower than this is not sawn, mm. */
    private const LEAST_PANEL = 10.0;

    /** A shelf shorter or shallower than this has no room for its cleats, mm. */
    private const LEAST_SHELF = 80.0;

    /** Boards nearer to each other than this are no shelves, mm. */
    private const LEAST_CLEAR = 10.0;

    public function __construct(
        public Tier $tier,
        public string $bayId,
        public ?string $boxId,
        public float $u,
        public float $z,
        public Working $width,
        public Working $height,
        public float $left,
        public float $right,
        public float $back,
        public float $face,
    ) {
    }

    public function end(): float
    {
        return $this->u + $this->width->result->toDouble();
    }

    /** How many shelves on cleats it holds. */
    public function shelves(): int
    {
        return $this->tier->unit === UnitKind::Shelves ? max(1, $this->tier->fixedShelves + $this->tier->adjustableShelves) : 0;
    }

    /** What is clear between its shelves, and under and over them, where all are as far apart, mm; less than nothing where they have no room. */
    public function clearBetween(float $board): float
    {
        return (min($this->left, $this->right) - $this->shelves() * $board) / ($this->shelves() + 1);
    }

    /** Whether what it holds could not be made: a panel or a shelf too small to be sawn, or shelves with nothing between them. */
    public function isTooSmall(float $board): bool
    {
        $wide = $this->width->result->toDouble();

        return match ($this->tier->unit) {
            UnitKind::Filler => $wide < self::LEAST_PANEL || min($this->left, $this->right) < self::LEAST_PANEL,
            UnitKind::Shelves => $wide < self::LEAST_SHELF || $this->face - $this->back < self::LEAST_SHELF || $this->clearBetween($board) < self::LEAST_CLEAR,
            default => false,
        };
    }

    /** @return non-empty-list<Point> */
    public function outline(): array
    {
        return [new Point($this->u, $this->z), new Point($this->end(), $this->z), new Point($this->end(), $this->z + $this->right), new Point($this->u, $this->z + $this->left)];
    }

    public function block(): Block
    {
        return new Block($this->u, $this->end(), $this->back, $this->face, $this->z, $this->z + max($this->left, $this->right));
    }
}
