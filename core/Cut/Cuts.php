<?php

declare(strict_types=1);

namespace Incastro\Cut;

/**
 * How the tree of a sheet is sawn: the blocks of a row one after another, the last only where something is left beyond it, and then what
 * is above each. What is above a whole row is cut off first, in one piece, where the fence is set to that distance anyway.
 */
final class Cuts
{
    /** @var list<array{int, bool, int, int, int, int}> type, turned, x, y and sizes of each piece */
    private array $pieces = [];

    /** @var list<array{int, int, int, int}> x, y and sizes of what is left */
    private array $offcuts = [];

    /** @var array<string, true> */
    private array $settings;

    public function __construct(LaidSheet $sheet, private readonly int $kerf)
    {
        $this->settings = $sheet->settings();
        if ($sheet->root !== null) {
            $this->cut($sheet->root, 0, 0, $sheet->of->x, $sheet->of->y);
        }
    }

    /** @return array<string, true> what the fence is set to, by axis and distance */
    public static function settings(LaidSheet $sheet): array
    {
        $settings = [];
        if ($sheet->root !== null) {
            self::set($sheet->root, $sheet->of->x, $sheet->of->y, $settings);
        }

        return $settings;
    }

    /** @param array<string, true> $settings */
    private static function set(Block $block, int $x, int $y, array &$settings): void
    {
        if ($block->cut === null) {
            if ($block->x < $x) {
                $settings["x$block->x"] = true;
            }
            if ($block->y < $y) {
                $settings["y$block->y"] = true;
            }

            return;
        }
        $isX = $block->cut === Axis::X;
        $last = $isX && $block->x === $x || ! $isX && $block->y === $y ? count($block->children) - 1 : -1;
        foreach ($block->children as $c => $child) {
            if ($c !== $last) {
                $settings[$isX ? "x$child->x" : "y$child->y"] = true;
            }
            self::set($child, $isX ? $child->x : $x, $isX ? $y : $child->y, $settings);
        }
    }

    /** @return list<array{int, bool, int, int, int, int}> type, turned, place and sizes, in steps from the usable corner */
    public function pieces(): array
    {
        return $this->pieces;
    }

    /** @return list<array{int, int, int, int}> place and sizes, the largest first */
    public function offcuts(): array
    {
        usort($this->offcuts, fn (array $a, array $b) => $b[2] * $b[3] <=> $a[2] * $a[3]);

        return $this->offcuts;
    }

    private function cut(Block $block, int $x, int $y, int $sizeX, int $sizeY): void
    {
        $isX = $block->cut !== Axis::Y;
        if ($isX && ($block->cut === null || isset($this->settings["y$block->y"]))) {
            $this->left($x, $y + $block->y + $this->kerf, $sizeX, $sizeY - $block->y - $this->kerf);
            $sizeY = $block->y;
        } elseif (! $isX && isset($this->settings["x$block->x"])) {
            $this->left($x + $block->x + $this->kerf, $y, $sizeX - $block->x - $this->kerf, $sizeY);
            $sizeX = $block->x;
        }
        if ($isX) {
            $this->left($x + $block->x + $this->kerf, $y, $sizeX - $block->x - $this->kerf, $sizeY);
        } else {
            $this->left($x, $y + $block->y + $this->kerf, $sizeX, $sizeY - $block->y - $this->kerf);
        }
        if ($block->cut === null) {
            $this->pieces[] = [$block->type, $block->turned, $x, $y, $block->x, $block->y];
        }
        foreach ($block->children as $child) {
            $this->cut($child, $x, $y, $isX ? $child->x : $sizeX, $isX ? $sizeY : $child->y);
            if ($isX) {
                $x += $child->x + $this->kerf;
            } else {
                $y += $child->y + $this->kerf;
            }
        }
    }

    private function left(int $x, int $y, int $sizeX, int $sizeY): void
    {
        if ($sizeX > 0 && $sizeY > 0) {
            $this->offcuts[] = [$x, $y, $sizeX, $sizeY];
        }
    }
}
