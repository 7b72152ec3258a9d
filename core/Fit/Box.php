<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Fit\Holds\ChangesBox;
use Incastro\Fit\Holds\KeepsFootRail;
use Incastro\Fit\Holds\LeavesBottomOut;
use Incastro\Fit\Holds\LeavesTopOut;
use Incastro\Fit\Holds\WantsFlushRails;
use Incastro\Fit\Layout\Option;
use Incastro\Geometry\Axis;
use Incastro\Geometry\Block;
use Incastro\Geometry\Point;
use Incastro\Geometry\Prism;
use Incastro\Measure\Length;
use Incastro\Measure\Working;

/**
 * A box in its run: outer sizes as decided, with their workings, and where it stands in the run's frame (u from the left, v of
 * its back, z above the datum). It holds a column for every bay and an opening for every tier that share its boards. Its
 * height is that of its highest side. Its mark is what is written on the wood: "B2". One that is open has no top of its own.
 */
final readonly class Box
{
    /** @param non-empty-list<Column> $columns */
    public function __construct(
        public string $id,
        public string $mark,
        public float $u,
        public float $v,
        public float $z,
        public Working $width,
        public Working $height,
        public Working $depth,
        public BoxTop $top,
        public array $columns,
        public bool $isOpen = false,
    ) {
    }

    /** Whether its outer sizes are those of its only cell. */
    public function hasOneCell(): bool
    {
        return count($this->columns) === 1 && count($this->columns[0]->openings) === 1;
    }

    /**
     * The same as a front sees it that spans so many openings of a column from one on: they are one, as high as all of them and the
     * boards between.
     *
     * @param  Length  $board  thickness of these
     */
    public function spanned(int $column, int $from, int $count, Length $board): self
    {
        $columns = $this->columns;
        $openings = $columns[$column]->openings;
        $first = $openings[$from];
        $height = $first->height;
        foreach (array_slice($openings, $from + 1, $count - 1) as $next) {
            $height = $height->plus('the board over it', $board)->plus('the opening over that', $next->height->result);
        }
        $one = new Opening($first->tierId, $height, $first->z, $first->holds, $first->front, $first->options);
        array_splice($openings, $from, $count, [$one]);
        $columns[$column] = new Column($columns[$column]->bayId, $columns[$column]->width, $columns[$column]->x, $openings);

        return new self(...['columns' => $columns] + get_object_vars($this));
    }

    public function outerWidth(): Length
    {
        return $this->width->result;
    }

    public function outerHeight(): Length
    {
        return $this->height->result;
    }

    public function outerDepth(): Length
    {
        return $this->depth->result;
    }

    public function right(): float
    {
        return $this->u + $this->width->result->toDouble();
    }

    /** The plane of its face: v, mm. */
    public function face(): float
    {
        return $this->v + $this->depth->result->toDouble();
    }

    public function highest(): float
    {
        return $this->z + $this->height->result->toDouble();
    }

    /** Height of its top above the datum at a place of the run, mm. */
    public function topAt(float $u, float $v): float
    {
        return $this->z + $this->top->at(($u - $this->u) / max(1e-9, $this->width->result->toDouble()), $v - $this->v);
    }

    public function block(): Block
    {
        return new Block($this->u, $this->right(), $this->v, $this->face(), $this->z, $this->highest());
    }

    /** The rigid body that is carried in: without the face frame, which goes on afterwards. */
    public function body(float $frame): Prism
    {
        $front = $this->face() - $frame;
        if ($this->top->isSloped()) {
            $points = [new Point($this->v, $this->z), new Point($front, $this->z), new Point($front, $this->topAt($this->u, $front))];
            if ($this->v + $this->top->breaks < $front - 1e-6) {
                $points[] = new Point($this->v + $this->top->breaks, $this->highest());
            }

            return new Prism(Axis::U, [...$points, new Point($this->v, $this->z + $this->top->back)], $this->u, $this->right());
        }

        return new Prism(Axis::V, [
            new Point($this->u, $this->z), new Point($this->right(), $this->z),
            new Point($this->right(), $this->z + $this->top->right), new Point($this->u, $this->z + $this->top->left),
        ], $this->v, $front);
    }

    /**
     * Whether one of its options is of a kind.
     *
     * @param  class-string<ChangesBox>  $kind
     */
    public function has(string $kind): bool
    {
        return $this->option($kind) !== null;
    }

    /**
     * The first of its options that is of a kind.
     *
     * @template T of ChangesBox
     *
     * @param  class-string<T>  $kind
     * @return T|null
     */
    public function option(string $kind): ?ChangesBox
    {
        foreach ($this->options() as $option) {
            if ($option->holds instanceof $kind) {
                return $option->holds;
            }
        }

        return null;
    }

    /**
     * The id of the first of its options that is of a kind; empty where none is.
     *
     * @param  class-string<ChangesBox>  $kind
     */
    public function optionId(string $kind): string
    {
        foreach ($this->options() as $option) {
            if ($option->holds instanceof $kind) {
                return $option->id;
            }
        }

        return '';
    }

    /** @return list<Option> of all its openings */
    private function options(): array
    {
        return array_merge(...array_map(fn (Column $column) => array_merge(...array_map(fn (Opening $opening) => $opening->options, $column->openings)), $this->columns));
    }

    /** Whether it has no bottom of its own. */
    public function isBottomless(): bool
    {
        foreach ($this->columns as $column) {
            foreach ($column->openings[0]->options as $option) {
                if ($option->holds instanceof LeavesBottomOut) {
                    return true;
                }
            }
        }

        return false;
    }

    /** Whether its face ends in a rail below. */
    public function hasFootRail(): bool
    {
        return ! $this->isBottomless() || $this->option(KeepsFootRail::class)?->hasFootRail() === true;
    }

    /** Whether a stretcher stands for its top. */
    public function hasStretcher(): bool
    {
        return $this->has(LeavesTopOut::class) && ! $this->isOpen && ! $this->top->isRaked() && ! $this->top->isSloped();
    }

    /** Whether the front of an opening below closes the one of a tier too. */
    public function isSpanned(string $tier): bool
    {
        foreach ($this->columns as $column) {
            foreach ($column->openings as $opening) {
                if ($opening->tierId === $tier) {
                    return $opening->isSpanned;
                }
            }
        }

        return false;
    }

    /** Whether the rails of its face frame are no higher than its boards. */
    public function hasFlushRails(): bool
    {
        foreach ($this->columns as $column) {
            foreach ($column->openings as $opening) {
                if ($opening->front?->holds instanceof WantsFlushRails && $opening->front->holds->hasFlushRails()) {
                    return true;
                }
            }
        }

        return false;
    }

    public function holds(string $cell): bool
    {
        foreach ($this->columns as $column) {
            if ($column->bayId === $cell) {
                return true;
            }
            foreach ($column->openings as $opening) {
                if ($opening->tierId === $cell) {
                    return true;
                }
            }
        }

        return false;
    }
}
