<?php

declare(strict_types=1);

namespace Incastro\Fit\Members;

use Incastro\Fit\Box;
use Incastro\Fit\Demand\MemberDemand;
use Incastro\Fit\Demand\MemberForm;
use Incastro\Fit\Ends;
use Incastro\Fit\FittedCell;
use Incastro\Fit\Headroom;
use Incastro\Fit\Holds\OpensBoxes;
use Incastro\Fit\Layout\Layout;
use Incastro\Fit\Layout\Member;
use Incastro\Fit\Layout\Run;
use Incastro\Fit\Marks;
use Incastro\Fit\ShelfFitter;
use Incastro\Fit\Terms;
use Incastro\Survey\Room\RunFrame;

/** Fits what spans cells of a run, each form by a class of its own, and the boards that lie in cells from wall to wall. */
final readonly class MemberFitter
{
    /** @var list<Member> that name a cell of this run */
    private array $own;

    /** @var array<string, Member> those beside the run, by the end that they stand at */
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
        $this->atEnds = $this->besideTheEnds();
    }

    /**
     * What stands beside a run is at an end of the run where no wall is: at the left of the first bay, or the right of the last.
     *
     * @return array<string, Member>
     */
    private function besideTheEnds(): array
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

    /** What stands beside an end takes of the run, mm. */
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
        $sides = new BesideFitter($this->terms);
        $beside = $sides->atEnds($this->atEnds, $boxes, $ends, $marks);
        [$over, $findings] = (new OverFitter($this->terms, $this->frame, $this->house))->rows($this->of(MemberForm::Over), $boxes, $cells, $beside, $headroom, $back, $face, $ends, $marks);
        $under = (new UnderFitter($this->terms, $this->frame))->rows($this->of(MemberForm::Under), $boxes, $marks);
        $around = (new AroundFitter($this->terms, $this->frame, $this->house))->rows($this->of(MemberForm::Around), $boxes, $beside, $ends, $marks);
        $shelves = new ShelfFitter($this->terms, $this->frame, $this->house);
        $fitted = $shelves->shelves($cells, $ends);

        return new FittedMembers([...$under, ...$over, ...$beside, ...$around], $fitted, [...$findings, ...$sides->nowhere($this->of(MemberForm::Beside), $beside), ...$shelves->findings]);
    }
}
