<?php

declare(strict_types=1);

namespace Incastro\Cut;

/**
 * Where one more piece may be put onto a sheet: at the end of a row of its tree, or across some of a row that leave room. The numbers of
 * all places lie in arrays of their own, which is what makes looking through thousands of them quick.
 */
final class Places
{
    private const WHOLE = 0;

    private const AT_ROOT = 1;

    private const IN_ROW = 2;

    private const ACROSS_LOWEST = 3;

    private const ACROSS_ONE = 4;

    /** @var list<int> */
    public array $roomX = [];

    /** @var list<int> */
    public array $roomY = [];

    /** @var list<int> the size across at which no cut is needed that the row does not have */
    public array $reference = [];

    /** @var list<Axis> the row's direction in which the piece is added */
    public array $along = [];

    /** Largest room of all, which rejects a piece at once. */
    public int $mostX = 0;

    public int $mostY = 0;

    /** @var list<array{int, list<int>, int}> how it is put: the way, the path to its row, and how many or which of it */
    private array $how = [];

    public function __construct(private readonly ?Block $root, int $x, int $y, private readonly int $kerf, private readonly int $least)
    {
        if ($root === null) {
            $this->add($x, $y, $y, Axis::X, self::WHOLE, [], 0);

            return;
        }
        if ($root->cut !== Axis::X) {
            $this->add($x - $root->x - $kerf, $y, $root->y, Axis::X, self::AT_ROOT, [], 0);
        }
        if ($root->cut !== Axis::Y) {
            $this->add($x, $y - $root->y - $kerf, $root->x, Axis::Y, self::AT_ROOT, [], 0);
        }
        $this->within($root, $x - $root->x, $y - $root->y, []);
    }

    /** The sheet's tree with a piece put at a place. */
    public function put(int $place, Block $piece): Block
    {
        [$way, $path, $which] = $this->how[$place];
        if ($this->root === null) {
            return $piece;
        }
        if ($way === self::AT_ROOT) {
            return Block::row($this->along[$place], [$this->root, $piece], $this->kerf);
        }

        return $this->changed($this->root, $path, 0, fn (Block $row) => $this->added($row, $way, $which, $piece));
    }

    /** @param list<int> $path */
    private function within(Block $row, int $slackX, int $slackY, array $path): void
    {
        if ($row->cut === null) {
            return;
        }
        $isX = $row->cut === Axis::X;
        if ($isX) {
            $this->add($slackX - $this->kerf, $row->y + $slackY, $row->y, Axis::X, self::IN_ROW, $path, 0);
        } else {
            $this->add($row->x + $slackX, $slackY - $this->kerf, $row->x, Axis::Y, self::IN_ROW, $path, 0);
        }
        $this->acrossLowest($row, $isX, $slackX, $slackY, $path);
        foreach ($row->children as $c => $child) {
            if ($child->cut !== null) {
                $this->within($child, $isX ? $slackX : $row->x - $child->x + $slackX, $isX ? $row->y - $child->y + $slackY : $slackY, [...$path, $c]);
            } elseif ($isX) {
                $this->add($child->x + $slackX, $row->y + $slackY - $child->y - $this->kerf, $child->x, Axis::Y, self::ACROSS_ONE, $path, $c);
            } else {
                $this->add($row->x + $slackX - $child->x - $this->kerf, $child->y + $slackY, $child->y, Axis::X, self::ACROSS_ONE, $path, $c);
            }
        }
    }

    /**
     * Above the two, three … lowest of a row together.
     *
     * @param  list<int>  $path
     */
    private function acrossLowest(Block $row, bool $isX, int $slackX, int $slackY, array $path): void
    {
        $count = count($row->children);
        if ($count < 3) {
            return;
        }
        $length = -$this->kerf;
        foreach (self::lowestFirst($row) as $i => $child) {
            $length += $this->kerf + ($isX ? $child->x : $child->y);
            if ($i === 0 || $i === $count - 1) {
                continue;
            }
            if ($isX) {
                $this->add($length + $slackX, $row->y + $slackY - $child->y - $this->kerf, $length, Axis::Y, self::ACROSS_LOWEST, $path, $i + 1);
            } else {
                $this->add($row->x + $slackX - $child->x - $this->kerf, $length + $slackY, $length, Axis::X, self::ACROSS_LOWEST, $path, $i + 1);
            }
        }
    }

    /** @param list<int> $path */
    private function add(int $roomX, int $roomY, int $reference, Axis $along, int $way, array $path, int $which): void
    {
        if ($roomX < $this->least || $roomY < $this->least) {
            return;
        }
        $this->roomX[] = $roomX;
        $this->roomY[] = $roomY;
        $this->reference[] = $reference;
        $this->along[] = $along;
        $this->how[] = [$way, $path, $which];
        $this->mostX = max($this->mostX, $roomX);
        $this->mostY = max($this->mostY, $roomY);
    }

    /** @return list<Block> */
    private static function lowestFirst(Block $row): array
    {
        $children = $row->children;
        $row->cut === Axis::X ? usort($children, fn (Block $a, Block $b) => $a->y <=> $b->y) : usort($children, fn (Block $a, Block $b) => $a->x <=> $b->x);

        return $children;
    }

    /**
     * @param  list<int>  $path
     * @param  \Closure(Block): Block  $change
     */
    private function changed(Block $block, array $path, int $depth, \Closure $change): Block
    {
        if ($depth === count($path)) {
            return $change($block);
        }
        assert($block->cut !== null);
        $children = $block->children;
        $children[$path[$depth]] = $this->changed($children[$path[$depth]], $path, $depth + 1, $change);

        return Block::row($block->cut, array_values($children), $this->kerf);
    }

    private function added(Block $row, int $way, int $which, Block $piece): Block
    {
        $along = $row->cut ?? Axis::X;
        if ($way === self::IN_ROW) {
            return Block::row($along, [...$row->children, $piece], $this->kerf);
        }
        if ($way === self::ACROSS_ONE) {
            $children = $row->children;
            $children[$which] = Block::row($along->across(), [$children[$which], $piece], $this->kerf);

            return Block::row($along, array_values($children), $this->kerf);
        }
        $children = self::lowestFirst($row);
        $group = Block::row($along, array_slice($children, 0, max(1, $which)) ?: [$piece], $this->kerf);

        return Block::row($along, [...array_slice($children, $which), Block::row($along->across(), [$group, $piece], $this->kerf)], $this->kerf);
    }
}
