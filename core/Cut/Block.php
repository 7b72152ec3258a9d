<?php

declare(strict_types=1);

namespace Incastro\Cut;

/**
 * A node of a slicing tree: a piece, or blocks side by side (along x) or above each other (along y), a kerf apart. Its sizes are the
 * least that hold it: free space is not stored, because every block may grow as far as those round it leave room. A tree that is inside
 * a sheet is a plan that can be sawn right through, and is itself the sequence of its cuts.
 */
final readonly class Block
{
    /** @param list<self> $children */
    private function __construct(public int $x, public int $y, public ?Axis $cut, public array $children, public int $type, public bool $turned)
    {
    }

    public static function piece(int $type, Way $way): self
    {
        return new self($way->x, $way->y, null, [], $type, $way->turned);
    }

    /**
     * Blocks in a row along an axis; those that are such rows themselves are taken apart.
     *
     * @param  non-empty-list<self>  $blocks
     */
    public static function row(Axis $along, array $blocks, int $kerf): self
    {
        if (count($blocks) === 1) {
            return $blocks[0];
        }
        $children = [];
        $length = -$kerf;
        $greatest = 0;
        foreach ($blocks as $block) {
            if ($block->cut === $along) {
                array_push($children, ...$block->children);
            } else {
                $children[] = $block;
            }
            $length += $kerf + ($along === Axis::X ? $block->x : $block->y);
            $greatest = max($greatest, $along === Axis::X ? $block->y : $block->x);
        }

        return $along === Axis::X ? new self($length, $greatest, $along, $children, -1, false) : new self($greatest, $length, $along, $children, -1, false);
    }

    /** @return list<int> the types of its pieces, in the tree's order */
    public function types(): array
    {
        return $this->cut === null ? [$this->type] : array_merge(...array_map(fn (self $child) => $child->types(), $this->children));
    }

    /**
     * What is left without some of its pieces, which are counted in the tree's order.
     *
     * @param  array<int, true>  $taken
     * @param  int  $at  the number of its first piece; afterwards of the first behind it
     */
    public function without(array $taken, int $kerf, int &$at = 0): ?self
    {
        if ($this->cut === null) {
            return isset($taken[$at++]) ? null : $this;
        }
        $left = [];
        $isSame = true;
        foreach ($this->children as $child) {
            $kept = $child->without($taken, $kerf, $at);
            $isSame = $isSame && $kept === $child;
            if ($kept !== null) {
                $left[] = $kept;
            }
        }

        return match (true) {
            $isSame => $this,
            $left === [] => null,
            default => self::row($this->cut, $left, $kerf),
        };
    }
}
