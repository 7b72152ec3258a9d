<?php

declare(strict_types=1);

namespace Incastro\Fit\Members;

use Incastro\Fit\Box;
use Incastro\Fit\Demand\MemberDemand;
use Incastro\Fit\Ends;
use Incastro\Fit\FittedCell;
use Incastro\Fit\Headroom;
use Incastro\Fit\Holds\OpensBoxes;
use Incastro\Fit\Layout\Member;
use Incastro\Fit\Marks;
use Incastro\Fit\Terms;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Survey\Path;
use Incastro\Survey\Room\RunFrame;

/** Places what lies over tiers whose tops are level. */
final readonly class OverFitter
{
    /** Cells whose tops differ by more do not carry one board, mm. */
    private const LEVEL = 1.0;

    /** A shorter or shallower one serves cells that have no room themselves, mm. */
    private const LEAST = 60.0;

    /** What reaches to the walls goes past its bays where it gains so much by it, mm. */
    private const WORTH = 5.0;

    public function __construct(private Terms $terms, private RunFrame $frame, private Ends $house)
    {
    }

    /**
     * A worktop for every row of cells side by side whose tops are level, no longer than one piece is made. Under a slope it
     * begins where the ceiling leaves it room.
     *
     * @param  list<Member>  $members
     * @param  list<Box>  $boxes
     * @param  list<FittedCell>  $cells
     * @param  list<Beside>  $panels
     * @param  array{float, float}  $ends
     * @return array{list<Over>, list<Finding>}
     */
    public function rows(array $members, array $boxes, array $cells, array $panels, Headroom $headroom, float $back, float $face, array $ends, Marks $marks): array
    {
        $tops = $findings = [];
        foreach ($members as $member) {
            $demand = $member->holds->demand($this->terms->rules, $this->terms->materials);
            $rows = [];
            foreach ($cells as $cell) {
                if (! in_array($cell->tier->id, $member->cells, true)) {
                    continue;
                }
                $box = self::around($cell, $boxes);
                if ($box === null && $member->holds instanceof OpensBoxes) {
                    continue;
                }
                $top = $box?->highest() ?? $cell->z + min($cell->left, $cell->right);
                [$from, $to] = self::across($cell, $box, $this->terms->board());
                $row = $rows === [] ? null : $rows[count($rows) - 1];
                $isBeside = $row !== null && abs($row[1] - $from) < 2 * $this->terms->board();
                $goesOn = $row !== null && $from > $row[1] && $from - $row[1] <= ($demand->bridges?->toDouble() ?? 0.0);
                if ($row !== null && ($isBeside || $goesOn) && abs($row[2] - $top) < self::LEVEL && ($demand->isInParts || $to - $row[0] <= $this->terms->rule(Rule::LongestPiece))) {
                    $rows[count($rows) - 1] = [$row[0], $to, $top, [...$row[3], ...self::carriers($box)], $isBeside ? $row[4] : [...$row[4], [$row[1], $from, [...array_slice($row[3], -1), ...self::carriers($box)]]]];
                } else {
                    $rows[] = [$from, $to, $top, self::carriers($box), []];
                }
            }
            foreach ($rows as $i => [$from, $to, $z, $carriers, $gaps]) {
                if (min($to - $from, $face - $back) < self::LEAST) {
                    continue;
                }
                foreach ($panels as $panel) {
                    // It lies over an end panel that ends under it.
                    $isUnder = $panel->z + $panel->height->result->toDouble() <= $z + self::LEVEL;
                    $from = $isUnder && abs($panel->u + $this->terms->board() - $from) < self::LEVEL ? $panel->u : $from;
                    $to = $isUnder && abs($panel->u - $to) < self::LEVEL ? $to + $this->terms->board() : $to;
                }
                [$from, $to, $long] = ($demand->reachesWalls ? $this->toWalls($from, $to, $ends, $z, $demand) : null) ?? [$from, $to, Working::start('over its bays', Length::ofDouble($to - $from))];
                $meetsLeft = $this->house->isWall('left') && $from < $ends[0] + self::LEVEL;
                $meetsRight = $this->house->isWall('right') && $to > $ends[1] - self::LEVEL;
                // It is scribed up to the walls, where a rake may be lower than over its box.
                $stands = max($back, $headroom->clears($meetsLeft ? min($from, $this->frame->leftAt($face, $z)) : $from, $meetsRight ? max($to, $this->frame->rightAt($face, $z)) : $to, $demand->thickness->toDouble(), $z));
                if ($stands > $face - self::LEAST) {
                    $findings[] = $this->noRoom($member);

                    continue;
                }
                $depth = Working::start('depth of the run', Length::ofDouble($face - $back));
                $depth = $stands > $back + 1e-6 ? $depth->minus('the slope behind takes', Length::ofDouble($stands - $back)) : $depth;
                $tops[] = new Over(
                    $member->holds,
                    $id = $i === 0 ? $member->id : $member->id.'/'.$i,
                    $marks->ofRow($member->letter(), $member->id, $i, $id),
                    $from,
                    $stands,
                    $z,
                    $z + $demand->thickness->toDouble(),
                    $long,
                    $depth->plus('stands over the face', $demand->overhang),
                    $meetsLeft,
                    $meetsRight,
                    $stands < $back + 1e-6,
                    $carriers,
                    $gaps,
                );
            }
        }

        return [$tops, $findings];
    }

    /**
     * At ends of the run where walls are, up to them at its own height, less allowance and doubt, past what closes the gap below it.
     *
     * @param  array{float, float}  $ends
     * @return array{float, float, Working}|null  null where it gains nothing by it
     */
    private function toWalls(float $from, float $to, array $ends, float $z, MemberDemand $demand): ?array
    {
        $span = $this->terms->room->span($this->frame, new Path(0.0, $this->frame->mouth(), $z, $z + $demand->thickness->toDouble()), $this->terms->rules->skirtingStays);
        $less = $this->terms->rule(Rule::SideAllowance) + $span->doubt / 2;
        $left = $this->house->isWall('left') && abs($from - $ends[0]) < self::LEVEL ? min($from, $span->left + $less) : $from;
        $right = $this->house->isWall('right') && abs($to - $ends[1]) < self::LEVEL ? max($to, $span->right - $less) : $to;
        if ($right - $left < $to - $from + self::WORTH) {
            return null;
        }
        $long = Working::start('to the walls at its height, less allowances and doubt', Length::ofDouble($right - $left))->roundedDown($this->terms->format);

        return [$left, $left + $long->result->toDouble(), $long];
    }

    private function noRoom(Member $member): Finding
    {
        return Finding::clash(Code::MemberNoRoom, sprintf('The ceiling leaves the %1$s no room there. Lower what is under it, or take the %1$s away.', $member->name()), $member->id)
            ->withWaysOut([new WayOut("Take the {$member->name()} away", Edits::withoutMember($member->id))]);
    }

    /** @param list<Box> $boxes */
    private static function around(FittedCell $cell, array $boxes): ?Box
    {
        foreach ($boxes as $box) {
            if ($box->id === $cell->boxId) {
                return $box;
            }
        }

        return null;
    }

    /**
     * From where to where a worktop over a cell lies: to the outer sides of the box, of which the cell may be one bay.
     *
     * @return array{float, float}
     */
    private static function across(FittedCell $cell, ?Box $box, float $board): array
    {
        if ($box === null || count($box->columns) === 1) {
            return [$cell->u, $cell->end()];
        }

        return [
            $box->columns[0]->bayId === $cell->bayId ? $box->u : $cell->u - $board / 2,
            $box->columns[count($box->columns) - 1]->bayId === $cell->bayId ? $box->right() : $cell->end() + $board / 2,
        ];
    }

    /** @return list<string> keys of the pieces that carry a worktop */
    private static function carriers(?Box $box): array
    {
        return $box === null || $box->top->isRaked() || $box->top->isSloped() ? [] : [$box->id.':top'];
    }
}
