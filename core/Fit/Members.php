<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Fit\Layout\Bay;
use Incastro\Fit\Layout\Layout;
use Incastro\Fit\Layout\Member;
use Incastro\Fit\Layout\MemberKind;
use Incastro\Fit\Layout\Run;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\Rule;
use Incastro\Survey\Path;
use Incastro\Survey\Room\RunFrame;

/** Fits what stands beside the cells of a run: plinths under boxes, worktops over tiers, end panels, shelves on cleats. */
final readonly class Members
{
    /** Cells whose tops differ by more do not carry one worktop, mm. */
    private const LEVEL = 1.0;

    /** A worktop or plinth shorter or shallower than this serves bays that have no room themselves, mm. */
    private const LEAST = 60.0;

    /** @var list<Member> that name a cell of this run */
    private array $own;

    public function __construct(private Terms $terms, private RunFrame $frame, Layout $layout, private Run $run)
    {
        $cells = [];
        foreach ($run->bays as $bay) {
            $cells[] = $bay->id;
            foreach ($bay->tiers as $tier) {
                $cells[] = $tier->id;
            }
        }
        $this->own = array_values(array_filter($layout->members, fn (Member $member) => array_intersect($member->cells, $cells) !== []));
    }

    public function hasPlinth(): bool
    {
        return $this->of(MemberKind::Plinth) !== [];
    }

    /** @return list<Member> */
    private function of(MemberKind $kind): array
    {
        return array_values(array_filter($this->own, fn (Member $member) => $member->kind === $kind));
    }

    /** @return array<string, float> thickness in mm of the worktop over a tier */
    public function worktops(): array
    {
        $thick = [];
        foreach ($this->of(MemberKind::Worktop) as $member) {
            foreach ($member->cells as $cell) {
                $thick[$cell] = $this->terms->board();
            }
        }

        return $thick;
    }

    /**
     * @param  list<Box>  $boxes
     * @param  list<FittedCell>  $cells
     * @param  array{float, float}  $ends  u of the run's ends
     */
    public function fitted(array $boxes, array $cells, float $back, float $face, array $ends, Ends $house, Numbering $numbers): FittedMembers
    {
        return new FittedMembers(
            $this->plinths($boxes, $numbers),
            $this->tops($cells, $back, $face, $ends, $house, $numbers),
            $this->panels($boxes, $ends, $house, $numbers),
            (new ShelfFitter($this->terms, $this->frame, $house))->shelves($cells, $ends),
        );
    }

    /**
     * A plinth for every row of boxes that stand side by side on it, no longer than one piece is made: no wider than they, and
     * between the walls where it stands.
     *
     * @param  list<Box>  $boxes
     * @return list<FittedPlinth>
     */
    private function plinths(array $boxes, Numbering $numbers): array
    {
        $plinths = [];
        $height = $this->terms->rules->get(Rule::PlinthHeight);
        foreach ($this->of(MemberKind::Plinth) as $member) {
            $rows = [];
            foreach ($boxes as $box) {
                $stands = abs($box->z - $height->toDouble()) < 1e-6 && array_filter($member->cells, $box->holds(...)) !== [];
                if (! $stands) {
                    continue;
                }
                $row = $rows === [] ? null : $rows[count($rows) - 1];
                $isOne = $row !== null && abs($row[count($row) - 1]->right() - $box->u) < 1.0 && $box->right() - $row[0]->u <= $this->terms->rule(Rule::LongestPiece);
                if ($row !== null && $isOne) {
                    $rows[count($rows) - 1][] = $box;
                } else {
                    $rows[] = [$box];
                }
            }
            foreach ($rows as $i => $row) {
                $length = $this->plinthLength($row);
                if ($length->result->toDouble() >= self::LEAST) {
                    $plinths[] = $this->plinth($i === 0 ? $member->id : $member->id.'/'.$row[0]->id, $row, $length, $numbers);
                }
            }
        }

        return $plinths;
    }

    /** @param non-empty-list<Box> $row */
    private function plinthLength(array $row): Working
    {
        $span = $this->terms->room->span($this->frame, new Path(0.0, $this->frame->mouth(), 0.0, $this->terms->rule(Rule::PlinthHeight)), $this->terms->rules->skirtingStays);
        $wide = count($row) === 1 ? Working::start('width of the box', $row[0]->outerWidth()) : Working::start('boxes side by side', Length::ofDouble($row[count($row) - 1]->right() - $row[0]->u));

        return $wide
            ->atMost('clear span at the floor less allowances and doubt', Length::ofDouble($span->width - $span->doubt)->minus($this->terms->rules->get(Rule::SideAllowance)->times(2)))
            ->roundedDown($this->terms->format);
    }

    /** @param non-empty-list<Box> $row */
    private function plinth(string $id, array $row, Working $length, Numbering $numbers): FittedPlinth
    {
        $last = $row[count($row) - 1];
        $deepest = $row[0];
        foreach ($row as $box) {
            $deepest = $box->outerDepth()->isLessThan($deepest->outerDepth()) ? $box : $deepest;
        }
        $depth = Working::start('depth of the box', $deepest->outerDepth())
            ->minus('set back for toes', $this->terms->rules->get(Rule::PlinthSetback))
            ->atLeast('least that carries a box', Length::ofDouble(self::LEAST))
            ->roundedDown($this->terms->format);

        return new FittedPlinth($id, $numbers->next('P'), $row[0]->u + ($last->right() - $row[0]->u - $length->result->toDouble()) / 2, $deepest->v, $length, $depth, $this->terms->rules->get(Rule::PlinthHeight), $row);
    }

    /**
     * A worktop for every row of cells side by side whose tops are level, no longer than one piece is made.
     *
     * @param  list<FittedCell>  $cells
     * @param  array{float, float}  $ends
     * @return list<FittedWorktop>
     */
    private function tops(array $cells, float $back, float $face, array $ends, Ends $house, Numbering $numbers): array
    {
        $tops = [];
        foreach ($this->of(MemberKind::Worktop) as $member) {
            $rows = [];
            foreach ($cells as $cell) {
                if (! in_array($cell->tier->id, $member->cells, true)) {
                    continue;
                }
                $top = $this->topOf($cell, $cells);
                $row = $rows === [] ? null : $rows[count($rows) - 1];
                $isOne = $row !== null && abs($row[1] - $cell->u) < 2 * $this->terms->board() && abs($row[2] - $top) < self::LEVEL && $cell->end() - $row[0] <= $this->terms->rule(Rule::LongestPiece);
                if ($isOne) {
                    $rows[count($rows) - 1][1] = $cell->end();
                } else {
                    $rows[] = [$cell->u, $cell->end(), $top];
                }
            }
            foreach ($rows as $i => [$from, $to, $z]) {
                if (min($to - $from, $face - $back) < self::LEAST) {
                    continue;
                }
                $meetsLeft = $house->isWall('left') && abs($from - $ends[0]) < $this->terms->board() + 1.0;
                $meetsRight = $house->isWall('right') && abs($to - $ends[1]) < $this->terms->board() + 1.0;
                $overhang = $member->overhang ?? $this->terms->rules->get(Rule::WorktopOverhang);
                $tops[] = new FittedWorktop(
                    $i === 0 ? $member->id : $member->id.'/'.$i,
                    $numbers->next('W'),
                    $from,
                    $back,
                    $z,
                    Working::start('over its bays', Length::ofDouble($to - $from)),
                    Working::start('depth of the run', Length::ofDouble($face - $back))->plus('stands over the face', $overhang),
                    $meetsLeft,
                    $meetsRight,
                );
            }
        }

        return $tops;
    }

    /**
     * Where the furniture under a worktop ends: a box's top, or the cell's own.
     *
     * @param  list<FittedCell>  $cells
     */
    private function topOf(FittedCell $cell, array $cells): float
    {
        $top = $cell->z + min($cell->left, $cell->right);
        $inBox = $cell->boxId !== null && count(array_filter($cells, fn (FittedCell $other) => $other->boxId === $cell->boxId && $other->bayId === $cell->bayId)) > 1;

        return $inBox ? $top + $this->terms->board() : $top;
    }

    /**
     * @param  list<Box>  $boxes
     * @param  array{float, float}  $ends
     * @return list<FittedPanel>
     */
    private function panels(array $boxes, array $ends, Ends $house, Numbering $numbers): array
    {
        $panels = [];
        $first = $this->run->bays[0] ?? null;
        foreach ($this->of(MemberKind::EndPanel) as $member) {
            $isLeft = $first instanceof Bay && in_array($first->id, $member->cells, true) && ! $house->isWall('left');
            $beside = array_values(array_filter($boxes, fn (Box $box) => array_filter($member->cells, $box->holds(...)) !== []));
            if ($beside === [] || (! $isLeft && $house->isWall('right'))) {
                continue;
            }
            $high = max(array_map(fn (Box $box) => $box->highest(), $beside));
            $panels[] = new FittedPanel(
                $member->id,
                $numbers->next('E'),
                $isLeft ? $ends[0] - $this->terms->board() : $ends[1],
                $beside[0]->v,
                0.0,
                Working::start('from the floor to the top of the box', Length::ofDouble($high))->roundedDown($this->terms->format),
                Working::start('depth of the box', $beside[0]->outerDepth()),
            );
        }

        return $panels;
    }
}
