<?php

declare(strict_types=1);

namespace Incastro\Saw;

use Incastro\Cut\Axis;
use Incastro\Cut\PlacedPiece;

/**
 * A part of a sheet as it is to be cut: a piece, or slices along one axis whose order is free, because only their sizes are ever set.
 * Lengths in nm.
 */
final readonly class Slice
{
    private const TURN = 'turn';

    private const REST = 'rest';

    /**
     * @param  int  $x  the least extent along the sheet's length that holds its pieces
     * @param  int  $y  the same along its width
     * @param  ?Axis  $axis  along which its slices lie; null for a piece
     * @param  list<self>  $slices
     * @param  list<PlacedPiece>  $pieces  all within, in the order of the sheet
     * @param  ?self  $otherwise  the same part cut the other way first, where both go right through
     * @param  bool  $takesRest  whether it may be what is left of a row in the end, although a cut would give it its size
     */
    private function __construct(public int $x, public int $y, public ?Axis $axis, public array $slices, public array $pieces, public ?self $otherwise = null, public bool $takesRest = false)
    {
    }

    /**
     * The tree of a sheet, from where its pieces lie: every line that goes right through and meets the inside of no piece with its kerf
     * is a cut, and all of one direction are taken at once.
     *
     * @param  non-empty-list<PlacedPiece>  $pieces
     *
     * @throws NotSawable where the pieces cannot be parted by cuts that go right through
     */
    public static function of(array $pieces, int $kerf): self
    {
        if (count($pieces) === 1) {
            return new self($pieces[0]->at->alongX, $pieces[0]->at->alongY, null, [], $pieces);
        }
        $y = self::along(Axis::Y, $pieces, $kerf);
        $x = self::along(Axis::X, $pieces, $kerf);
        if ($x === null && $y === null) {
            throw new NotSawable($pieces);
        }
        // Strips along the sheet first, unless fewer different sizes are set the other way.
        if ($x === null || $y !== null && count($y->sizes()) <= count($x->sizes())) {
            return $x === null ? $y : new self($y->x, $y->y, $y->axis, $y->slices, $y->pieces, $x);
        }

        return $y === null ? $x : new self($x->x, $x->y, $x->axis, $x->slices, $x->pieces, $y);
    }

    /** @param non-empty-list<PlacedPiece> $pieces */
    private static function along(Axis $axis, array $pieces, int $kerf): ?self
    {
        $isX = $axis === Axis::X;
        usort($pieces, fn (PlacedPiece $a, PlacedPiece $b) => ($isX ? $a->at->x <=> $b->at->x : $a->at->y <=> $b->at->y));
        $groups = [];
        $end = PHP_INT_MIN;
        foreach ($pieces as $piece) {
            $from = $isX ? $piece->at->x : $piece->at->y;
            if ($from >= $end) {
                $groups[] = [];
            }
            $groups[count($groups) - 1][] = $piece;
            $end = max($end, $from + ($isX ? $piece->at->alongX : $piece->at->alongY) + $kerf);
        }
        if (count($groups) < 2) {
            return null;
        }

        return self::beside(array_map(fn (array $group) => self::of($group, $kerf), array_values($groups)), $axis, $pieces, $kerf);
    }

    /**
     * Slices one after another along an axis.
     *
     * @param  list<self>  $slices
     * @param  list<PlacedPiece>  $pieces  of all of them
     */
    private static function beside(array $slices, Axis $axis, array $pieces, int $kerf): self
    {
        $sum = array_sum(array_map(fn (self $slice) => $slice->size($axis), $slices)) + (count($slices) - 1) * $kerf;
        $most = max(0, ...array_map(fn (self $slice) => $slice->size($axis->across()), $slices));

        return $axis === Axis::X ? new self($sum, $most, $axis, $slices, $pieces) : new self($most, $sum, $axis, $slices, $pieces);
    }

    /** A run of its slices as a part of its own. */
    public function some(int $from, int $many, int $kerf): self
    {
        assert($this->axis !== null);
        $slices = array_slice($this->slices, $from, $many);

        return count($slices) === 1 ? $slices[0] : self::beside($slices, $this->axis, array_merge(...array_map(fn (self $slice) => $slice->pieces, $slices)), $kerf);
    }

    public function size(Axis $axis): int
    {
        return $axis === Axis::X ? $this->x : $this->y;
    }

    /** Whether its extent along an axis is the size of a piece, and not of several with what is between them. */
    public function isFinal(Axis $axis): bool
    {
        if ($this->axis === null) {
            return true;
        }
        foreach ($this->axis === $axis ? [] : $this->slices as $slice) {
            if ($slice->size($axis) === $this->size($axis) && $slice->isFinal($axis)) {
                return true;
            }
        }

        return false;
    }

    /** The same tree with a change at one place of `changeable()`. */
    public function changedAt(string $place): self
    {
        [$first, $rest] = explode('.', "$place.", 2);
        if ($first === self::TURN) {
            assert($this->otherwise !== null);

            return new self($this->x, $this->y, $this->otherwise->axis, $this->otherwise->slices, $this->pieces, null, $this->takesRest);
        }
        if ($first === self::REST) {
            return new self($this->x, $this->y, $this->axis, $this->slices, $this->pieces, $this->otherwise, true);
        }
        $slices = $this->slices;
        $slices[(int) $first] = $slices[(int) $first]->changedAt(rtrim($rest, '.'));

        return new self($this->x, $this->y, $this->axis, array_values($slices), $this->pieces, $this->otherwise, $this->takesRest);
    }

    /**
     * Where it may be cut otherwise: the other way first, or a row of pieces left as what remains, so that each of them is cut to size.
     *
     * @return list<string> places in the tree
     */
    public function changeable(): array
    {
        if ($this->axis === null) {
            return [];
        }
        $places = $this->otherwise === null ? [] : [self::TURN];
        foreach ($this->slices as $i => $slice) {
            $rest = $slice->axis !== null && ! $slice->takesRest && $slice->isFinal($this->axis) ? [self::REST] : [];
            array_push($places, ...array_map(fn (string $inner) => "$i.$inner", [...$rest, ...$slice->changeable()]));
        }

        return $places;
    }

    /** @return array<string, true> the sizes that are set within, by axis */
    public function sizes(): array
    {
        $sizes = [];
        foreach ($this->slices as $slice) {
            $sizes[($this->axis === Axis::X ? 'x' : 'y').$slice->size($this->axis ?? Axis::X)] = true;
            $sizes += $slice->sizes();
        }

        return $sizes;
    }
}
