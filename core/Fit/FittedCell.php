<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Holds\HoldsCell;
use Incastro\Fit\Holds\RestsOnWalls;
use Incastro\Fit\Layout\Tier;
use Incastro\Geometry\Block;
use Incastro\Geometry\Point;
use Incastro\Measure\Working;
use Incastro\Rules\Parameters\Blueprint;

/**
 * A tier in its place, seen from the front: u and z of its lower left, mm, its width and its heights at both sides, from
 * back to face. Where it is a box's only cell these are the box's outer sizes, else its clear opening.
 */
final readonly class FittedCell
{
    /** A size that is short by no more than this is not, mm. */
    private const TOUCH = 1e-6;

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

    /** What it holds is called. */
    public function label(): string
    {
        return Blueprint::of($this->tier->holds::class)->about->label;
    }

    /** How many boards lie in it from wall to wall. */
    public function boards(): int
    {
        return $this->tier->holds instanceof RestsOnWalls ? $this->tier->holds->boards() : 0;
    }

    /** What is clear between its boards, and under and over them, where all are as far apart, mm; less than nothing where they have no room. */
    public function clearBetween(float $board): float
    {
        return (min($this->left, $this->right) - $this->boards() * $board) / ($this->boards() + 1);
    }

    /** Who needs more than it gives: ": its cleats need 80 mm"; nothing where it is only too large. */
    public function why(Terms $terms): string
    {
        foreach ($this->lacks($terms) as [$extent, $has]) {
            if ($extent->short($has) > self::TOUCH && $extent->why !== '') {
                return ': '.sprintf($extent->why, $terms->format->write($extent->least));
            }
        }

        return '';
    }

    /**
     * What stands in it needs more, or less, than it gives.
     *
     * @return array<'width'|'height'|'depth', array{Extent, float}> what is asked, and what there is, mm
     */
    public function lacks(Terms $terms): array
    {
        if (! $this->tier->holds instanceof HoldsCell) {
            return [];
        }
        $demand = $this->tier->holds->demand($terms->rules, $terms->materials);
        $high = min($this->left, $this->right) + ($demand->isFromFloor ? $this->z : 0.0);

        return array_filter(
            ['width' => [$demand->width, $this->width->result->toDouble()], 'height' => [$demand->height, $high], 'depth' => [$demand->depth, $this->face - $this->back]],
            fn (array $one) => max($one[0]->short($one[1]), $one[0]->over($one[1])) > self::TOUCH,
        );
    }

    /** Whether what it holds is built, and could not be made here. */
    public function isTooSmall(Terms $terms): bool
    {
        return $this->tier->isBuilt() && $this->lacks($terms) !== [];
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
