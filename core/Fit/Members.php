<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Fit\Demand\MemberDemand;
use Incastro\Fit\Demand\MemberForm;
use Incastro\Fit\Holds\OpensBoxes;
use Incastro\Fit\Holds\SpansCells;
use Incastro\Fit\Layout\Layout;
use Incastro\Fit\Layout\Member;
use Incastro\Fit\Layout\Run;
use Incastro\Geometry\Point;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
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

    /** @var array<string, Member> end panels by the end of the run that they stand at */
    private array $atEnds;

    public function __construct(private Terms $terms, private RunFrame $frame, Layout $layout, private Run $run, private Ends $house)
    {
        $cells = [];
        foreach ($run->bays as $bay) {
            $cells[] = $bay->id;
            foreach ($bay->tiers as $tier) {
                $cells[] = $tier->id;
            }
        }
        $this->own = array_values(array_filter($layout->members, fn (Member $member) => array_intersect($member->cells, $cells) !== []));
        $this->atEnds = $this->endPanels();
    }

    /**
     * An end panel stands at an end of the run where no wall is: at the left of the first bay, or the right of the last.
     *
     * @return array<string, Member>
     */
    private function endPanels(): array
    {
        $last = count($this->run->bays) - 1;
        $atEnds = [];
        foreach ($this->of(MemberForm::Beside) as $member) {
            foreach (['left' => 0, 'right' => $last] as $end => $b) {
                if (! isset($atEnds[$end]) && $last >= 0 && in_array($this->run->bays[$b]->id, $member->cells, true) && ! $this->house->isWall($end)) {
                    $atEnds[$end] = $member;
                    break;
                }
            }
        }

        return $atEnds;
    }

    /** What the end panel at an end takes of the run, mm. */
    public function panelAt(string $end): float
    {
        return isset($this->atEnds[$end]) ? $this->demand($this->atEnds[$end])->thickness->toDouble() : 0.0;
    }

    public function hasPlinth(): bool
    {
        return $this->of(MemberForm::Under) !== [];
    }

    /** @return list<Member> */
    private function of(MemberForm $form): array
    {
        return array_values(array_filter($this->own, fn (Member $member) => $member->holds->form() === $form));
    }

    private function demand(Member $member): MemberDemand
    {
        return $member->holds->demand($this->terms->rules, $this->terms->materials);
    }

    /** @return array<string, float> thickness in mm of the worktop over a tier */
    public function worktops(): array
    {
        $thick = [];
        foreach ($this->of(MemberForm::Over) as $member) {
            foreach ($member->cells as $cell) {
                $thick[$cell] = $this->demand($member)->thickness->toDouble();
            }
        }

        return $thick;
    }

    /** @return list<string> tiers whose boxes have no top of their own */
    public function opened(): array
    {
        return array_merge([], ...array_map(fn (Member $member) => $member->holds instanceof OpensBoxes ? $member->cells : [], $this->of(MemberForm::Over)));
    }

    /**
     * @param  list<Box>  $boxes
     * @param  list<FittedCell>  $cells
     * @param  array{float, float}  $ends  u of the run's ends
     */
    public function fitted(array $boxes, array $cells, Headroom $headroom, float $back, float $face, array $ends, Marks $marks): FittedMembers
    {
        $panels = $this->panels($boxes, $ends, $marks);
        [$worktops, $findings] = $this->tops($boxes, $cells, $panels, $headroom, $back, $face, $ends, $marks);

        $shelves = new ShelfFitter($this->terms, $this->frame, $this->house);
        $fitted = $shelves->shelves($cells, $ends);

        return new FittedMembers(
            $this->plinths($boxes, $marks),
            $worktops,
            $panels,
            $fitted,
            [...$findings, ...$this->findings($panels), ...$shelves->findings],
        );
    }

    /**
     * A plinth for every row of boxes that stand side by side on it, no longer than one piece is made: no wider than they, and
     * between the walls where it stands.
     *
     * @param  list<Box>  $boxes
     * @return list<FittedPlinth>
     */
    private function plinths(array $boxes, Marks $marks): array
    {
        $plinths = [];
        $height = $this->terms->rules->get(Rule::PlinthHeight);
        foreach ($this->of(MemberForm::Under) as $member) {
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
                    $id = $i === 0 ? $member->id : $member->id.'/'.$row[0]->id;
                    $plinths[] = $this->plinth($member->holds, $id, $marks->ofRow('P', $member->id, $i, $id), $row, $length);
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
    private function plinth(SpansCells $holds, string $id, string $mark, array $row, Working $length): FittedPlinth
    {
        $last = $row[count($row) - 1];
        $shallowest = $foremost = $row[0];
        foreach ($row as $box) {
            $shallowest = $box->face() < $shallowest->face() ? $box : $shallowest;
            $foremost = $box->v > $foremost->v ? $box : $foremost;
        }
        $depth = Working::start(count($row) === 1 ? 'depth of the box' : 'depth over which all its boxes stand', Length::ofDouble($shallowest->face() - $foremost->v))
            ->minus('set back for toes', $this->terms->rules->get(Rule::PlinthSetback))
            ->atLeast('least that carries a box', Length::ofDouble(self::LEAST))
            ->roundedDown($this->terms->format);

        return new FittedPlinth($holds, $id, $mark, $row[0]->u + ($last->right() - $row[0]->u - $length->result->toDouble()) / 2, $foremost->v, $length, $depth, $this->terms->rules->get(Rule::PlinthHeight), $row);
    }

    /**
     * A worktop for every row of cells side by side whose tops are level, no longer than one piece is made. Under a slope it
     * begins where the ceiling leaves it room.
     *
     * @param  list<Box>  $boxes
     * @param  list<FittedCell>  $cells
     * @param  list<FittedPanel>  $panels
     * @param  array{float, float}  $ends
     * @return array{list<FittedWorktop>, list<Finding>}
     */
    private function tops(array $boxes, array $cells, array $panels, Headroom $headroom, float $back, float $face, array $ends, Marks $marks): array
    {
        $tops = $findings = [];
        foreach ($this->of(MemberForm::Over) as $member) {
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
                if ($row !== null && abs($row[1] - $from) < 2 * $this->terms->board() && abs($row[2] - $top) < self::LEVEL && $to - $row[0] <= $this->terms->rule(Rule::LongestPiece)) {
                    $rows[count($rows) - 1] = [$row[0], $to, $top, [...$row[3], ...self::carriers($box)]];
                } else {
                    $rows[] = [$from, $to, $top, self::carriers($box)];
                }
            }
            foreach ($rows as $i => [$from, $to, $z, $carriers]) {
                if (min($to - $from, $face - $back) < self::LEAST) {
                    continue;
                }
                foreach ($panels as $panel) {
                    // It lies over an end panel that ends under it.
                    $isUnder = $panel->z + $panel->height->result->toDouble() <= $z + self::LEVEL;
                    $from = $isUnder && abs($panel->u + $this->terms->board() - $from) < self::LEVEL ? $panel->u : $from;
                    $to = $isUnder && abs($panel->u - $to) < self::LEVEL ? $to + $this->terms->board() : $to;
                }
                $meetsLeft = $this->house->isWall('left') && abs($from - $ends[0]) < self::LEVEL;
                $meetsRight = $this->house->isWall('right') && abs($to - $ends[1]) < self::LEVEL;
                // It is scribed up to the walls, where a rake may be lower than over its box.
                $stands = max($back, $headroom->clears($meetsLeft ? min($from, $this->frame->leftAt($face, $z)) : $from, $meetsRight ? max($to, $this->frame->rightAt($face, $z)) : $to, $this->demand($member)->thickness->toDouble(), $z));
                if ($stands > $face - self::LEAST) {
                    $findings[] = $this->noRoom($member);

                    continue;
                }
                $depth = Working::start('depth of the run', Length::ofDouble($face - $back));
                $depth = $stands > $back + 1e-6 ? $depth->minus('the slope behind takes', Length::ofDouble($stands - $back)) : $depth;
                $tops[] = new FittedWorktop(
                    $member->holds,
                    $id = $i === 0 ? $member->id : $member->id.'/'.$i,
                    $marks->ofRow('W', $member->id, $i, $id),
                    $from,
                    $stands,
                    $z,
                    Working::start('over its bays', Length::ofDouble($to - $from)),
                    $depth->plus('stands over the face', $this->demand($member)->overhang),
                    $meetsLeft,
                    $meetsRight,
                    $stands < $back + 1e-6,
                    $carriers,
                );
            }
        }

        return [$tops, $findings];
    }

    private function noRoom(Member $member): Finding
    {
        return Finding::clash(Code::MemberNoRoom, 'The ceiling leaves a worktop no room there. Lower what is under it, or take the worktop away.', $member->id)
            ->withWaysOut([new WayOut('Take the worktop away', Edits::withoutMember($member->id))]);
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

    /**
     * @param  list<Box>  $boxes
     * @param  array{float, float}  $ends
     * @return list<FittedPanel>
     */
    private function panels(array $boxes, array $ends, Marks $marks): array
    {
        $panels = [];
        foreach ($this->atEnds as $end => $member) {
            $beside = array_values(array_filter($boxes, fn (Box $box) => abs(($end === 'left' ? $box->u : $box->right()) - ($end === 'left' ? $ends[0] : $ends[1])) < self::LEVEL));
            if ($beside === []) {
                continue;
            }
            $highest = $beside[0];
            foreach ($beside as $box) {
                $highest = $box->highest() > $highest->highest() ? $box : $highest;
            }
            $u = $end === 'left' ? $highest->u : $highest->right();
            $top = $highest->topAt($u, $highest->face());
            $panels[] = new FittedPanel(
                $member->holds,
                $member->id,
                $marks->of('E', $member->id),
                $end === 'left' ? $ends[0] - $this->terms->board() : $ends[1],
                $highest->v,
                0.0,
                Working::start('from the floor to the top of the box', Length::ofDouble($top))->roundedDown($this->terms->format),
                Working::start('depth of the box', $highest->outerDepth()),
                $highest->id.($end === 'left' ? ':side-L' : ':side-R'),
                $highest->top->isSloped() ? [new Point($highest->v, $highest->z + $highest->top->back), new Point($highest->v + $highest->top->breaks, $highest->highest())] : [],
                $highest->top->isSloped() ? $highest->top->angle(1.0) : 0.0,
            );
        }

        return $panels;
    }

    /**
     * End panels that stand nowhere.
     *
     * @param  list<FittedPanel>  $panels
     * @return list<Finding>
     */
    private function findings(array $panels): array
    {
        $standing = array_map(fn (FittedPanel $panel) => $panel->id, $panels);
        $findings = [];
        foreach ($this->of(MemberForm::Beside) as $member) {
            if (! in_array($member->id, $standing, true)) {
                $findings[] = Finding::clash(Code::EndPanelNowhere, 'An end panel stands at an end of the run that no wall closes, beside a box. This one has no such place.', $member->id)
                    ->withWaysOut([new WayOut('Take the end panel away', Edits::withoutMember($member->id))]);
            }
        }

        return $findings;
    }
}
