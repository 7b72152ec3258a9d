<?php

declare(strict_types=1);

namespace Incastro\Fit\Members;

use Incastro\Fit\Box;
use Incastro\Fit\Ends;
use Incastro\Fit\Holds\RunsAround;
use Incastro\Fit\Layout\Member;
use Incastro\Fit\Marks;
use Incastro\Fit\Terms;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\Rule;
use Incastro\Survey\Path;
use Incastro\Survey\Room\RunFrame;

/** Places what runs round boxes: a row for all that stand side by side with their faces and the edges it runs along in line. */
final readonly class AroundFitter
{
    /** Boxes this near to each other, and faces, feet and heads this nearly in line, make one row, mm. */
    private const IN_LINE = 1.0;

    public function __construct(private Terms $terms, private RunFrame $frame, private Ends $house)
    {
    }

    /**
     * @param  list<Member>  $members
     * @param  list<Box>  $boxes
     * @param  list<Beside>  $panels
     * @param  array{float, float}  $ends  u of the run's ends
     * @return list<Around>
     */
    public function rows(array $members, array $boxes, array $panels, array $ends, Marks $marks): array
    {
        usort($boxes, fn (Box $one, Box $other) => $one->u <=> $other->u);
        $placed = [];
        foreach ($members as $member) {
            $rows = $lasts = [];
            $isAtHead = $member->holds instanceof RunsAround && $member->holds->isAtHead();
            foreach (array_filter($boxes, fn (Box $box) => ! ($isAtHead && $box->top->isRaked()) && array_filter($member->cells, $box->holds(...)) !== [] && self::isOuter($box, $boxes, $isAtHead)) as $box) {
                $on = array_keys(array_filter($lasts, fn (Box $last) => self::goesOn($last, $box, $isAtHead)))[0] ?? count($lasts);
                $rows[$on][] = $lasts[$on] = $box;
            }
            foreach ($rows as $i => $row) {
                $id = $i === 0 ? $member->id : $member->id.'/'.$row[0]->id;
                $placed[] = $this->place($member, $id, $marks->ofRow($member->letter(), $member->id, $i, $id), $row, $boxes, $panels, $ends);
            }
        }

        return $placed;
    }

    /**
     * Whether no other box of its bays is under it, or over it.
     *
     * @param  list<Box>  $boxes
     */
    private static function isOuter(Box $box, array $boxes, bool $isAtHead): bool
    {
        $bays = fn (Box $one): array => array_column($one->columns, 'bayId');

        return array_filter($boxes, fn (Box $other) => array_intersect($bays($box), $bays($other)) !== [] && ($isAtHead ? $other->z > $box->z : $other->z < $box->z)) === [];
    }

    private static function goesOn(Box $last, Box $box, bool $isAtHead): bool
    {
        return max(abs($last->right() - $box->u), abs($last->face() - $box->face()), $isAtHead ? abs($last->highest() - $box->highest()) : abs($last->z - $box->z)) < self::IN_LINE;
    }

    /**
     * @param  non-empty-list<Box>  $row
     * @param  list<Box>  $boxes  all of the run
     * @param  list<Beside>  $panels
     * @param  array{float, float}  $ends
     */
    private function place(Member $member, string $id, string $mark, array $row, array $boxes, array $panels, array $ends): Around
    {
        $thick = $member->holds->demand($this->terms->rules, $this->terms->materials)->thickness->toDouble();
        [$u, $end] = [$row[0]->u, $row[count($row) - 1]->right()];
        [$v, $face, $foot, $head] = [$row[0]->v, $row[0]->face(), $row[0]->z, $row[0]->highest()];
        $span = $this->terms->room->span($this->frame, new Path($v, $face + $thick, 0.0, $head), $this->terms->rules->skirtingStays);
        $at = $member->holds instanceof RunsAround && $member->holds->isAtHead() ? $head - self::IN_LINE : $foot + self::IN_LINE;
        $others = array_filter($boxes, fn (Box $box) => ! in_array($box, $row, true) && $box->z < $at && $box->highest() > $at);
        $beside = fn (float $at, \Closure $edge): array => array_values(array_filter($others, fn (Box $box) => abs($edge($box) - $at) < $thick));
        $left = $this->behind('left', $u, $u - $span->left, $u < $ends[0] + self::IN_LINE, $beside($u, fn (Box $box) => $box->right()), $face, $head);
        $right = $this->behind('right', $end, $span->right - $end, $end > $ends[1] - self::IN_LINE, $beside($end, fn (Box $box) => $box->u), $face, $head);
        foreach ($panels as $panel) {
            $board = $this->terms->board();
            $u = abs($panel->u + $board - $u) < self::IN_LINE ? $panel->u : $u;
            $end = abs($panel->u - $end) < self::IN_LINE ? $end + $board : $end;
        }
        // At a wall it goes on over what closes the gap there.
        $u = $left === null && $this->house->isWall('left') && $u < $ends[0] + self::IN_LINE ? $span->left + $span->doubt / 2 : $u;
        $end = $right === null && $this->house->isWall('right') && $end > $ends[1] - self::IN_LINE ? $span->right - $span->doubt / 2 : $end;

        $length = Working::start('along the faces of its boxes', Length::ofDouble($end - $u));

        return new Around($member->holds, $id, $mark, $u, $length, $face, $left, $right, $foot, $head);
    }

    /**
     * How far out it ends behind at an end: the wall, or the face of a shallower box there; null where it ends at something.
     *
     * @param  float  $gap  to the wall beside it
     * @param  list<Box>  $beside
     */
    private function behind(string $side, float $at, float $gap, bool $isLast, array $beside, float $face, float $head): ?float
    {
        if ($beside !== []) {
            $deepest = max(array_map(fn (Box $box) => $box->face(), $beside));

            return $deepest < $face - self::IN_LINE ? $deepest : null;
        }
        $isFree = $this->house->isWall($side) ? $gap > $this->terms->rule(Rule::LeastDepth) : ! $isLast || $this->frame->isOpen($side);

        return $isFree ? max(0.0, $this->frame->backBulge($at - 1.0, $at + 1.0, 0.0, $head)) : null;
    }
}
