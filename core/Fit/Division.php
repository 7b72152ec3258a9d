<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Fit\Layout\Size;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Working;

/**
 * Divides a length among cells, fixed ones first, the rest by share. A group of one cell stands alone, and its number is its
 * outer size; the cells of a larger group share boards, n + 1 of them, and their numbers are clear openings. Equal shares
 * stay equal: each is rounded down, and `left` is what that leaves over.
 */
final readonly class Division
{
    /** @param list<array<int, Working>> $sizes by group and cell */
    private function __construct(public array $sizes, public Length $left, public Length $over)
    {
    }

    /** @param list<non-empty-array<int, Size>> $groups */
    public static function of(Working $total, array $groups, Length $board, LengthFormat $format): self
    {
        $fixed = Length::zero();
        $boards = $shares = $count = 0;
        foreach ($groups as $group) {
            $boards += count($group) > 1 ? count($group) + 1 : 0;
            foreach ($group as $size) {
                $fixed = $fixed->plus($size->fixed ?? Length::zero());
                $shares += $size->share;
                $count += $size->fixed === null ? 1 : 0;
            }
        }
        $free = $fixed->isPositive() ? $total->minus('what has a size of its own', $fixed) : $total;
        $free = $boards > 0 ? $free->minusTimes('shared boards', $boards, $board) : $free;
        $isOver = $free->result->isNegative() || ($shares > 0 && ! $free->result->isPositive());
        $sizes = array_map(fn (array $group) => array_map(fn (Size $size) => match (true) {
            $size->fixed !== null => Working::start('size as chosen', $size->fixed),
            $isOver => Working::start('nothing is left for it', Length::zero()),
            $count === 1 => $free->roundedDown($format),
            default => $free->share("its share, {$size->share} of $shares", $size->share, $shares)->roundedDown($format),
        }, $group), $groups);
        $used = $board->times($boards);
        foreach ($sizes as $group) {
            foreach ($group as $size) {
                $used = $used->plus($size->result);
            }
        }
        $left = $total->result->minus($used);

        return new self($sizes, $left->isNegative() ? Length::zero() : $left, $isOver ? Length::zero()->minus($free->result) : Length::zero());
    }

    /**
     * A bay that shares its boards with another has its groups between the same heights: each is divided for itself.
     *
     * @param  list<Working>  $outer  sizes of the groups
     * @param  list<non-empty-array<int, Size>>  $groups
     */
    public static function within(array $outer, array $groups, Length $board, LengthFormat $format): self
    {
        $sizes = [];
        [$left, $over] = [Length::zero(), Length::zero()];
        foreach ($groups as $k => $group) {
            $alone = count($group) === 1;
            $part = $alone ? null : self::of($outer[$k], [$group], $board, $format);
            $sizes[] = $part === null ? array_fill_keys(array_keys($group), $outer[$k]) : $part->sizes[0];
            $left = $left->plus($part->left ?? Length::zero());
            $over = $over->plus($part->over ?? Length::zero());
        }

        return new self($sizes, $left, $over);
    }

    /** The outer size of a group: of one cell its own number, of several their openings and boards. */
    public function outer(int $group, Length $board): Working
    {
        $sizes = $this->sizes[$group];
        if (count($sizes) === 1) {
            return $sizes[0];
        }
        $clear = Working::start('clear openings', array_reduce($sizes, fn (Length $sum, Working $size) => $sum->plus($size->result), Length::zero()));

        return $clear->plusTimes('boards between and around them', count($sizes) + 1, $board);
    }
}
