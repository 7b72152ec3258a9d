<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\FittedRun;
use Incastro\Fit\Marks;
use Incastro\Fit\Members\FittedMember;
use Incastro\Fit\Terms;
use Incastro\Rules\Parameters\Blueprint;
use Incastro\Units\Shell\BoxBuilder;
use Incastro\Units\Shell\ClosingStrips;
use Incastro\Units\Shell\CutAround;
use Incastro\Units\Shell\FaceFrame;
use Incastro\Units\Shell\Outlets;
use Incastro\Units\Sites\BoxSite;
use Incastro\Units\Sites\CellSite;
use Incastro\Units\Sites\MemberSite;

/** Builds everything of a run: boxes with what is in them and their faces, members, and cells without a box, cut around what stands there. What its joints take comes with `Make\Joinery`. */
final readonly class RunBuilder
{
    /** @param list<string> $openings things for which an opening is cut in what covers them */
    public function __construct(private Terms $terms, private array $openings)
    {
    }

    public function build(FittedRun $run, Marks $marks): Assembly
    {
        $assemblies = [];
        foreach ($run->boxes as $box) {
            $bought = $box->option(BoughtBox::class);
            array_push($assemblies, ...($bought === null
                ? [(new BoxBuilder($box, $this->terms, $run->frame))->build(), (new FaceFrame($run, $box, $this->terms))->build()]
                : [$bought->stand(new BoxSite($run, $box, $this->terms, $box->optionId(BoughtBox::class)))]));
            $assemblies[] = (new ClosingStrips($run, $box, $this->terms))->build();
        }
        array_push($assemblies, ...array_map(fn (FittedMember $member) => $this->member($run, $member), $run->members));
        foreach ($run->cells as $cell) {
            $holds = $cell->tier->holds;
            $mark = Blueprint::of($holds::class)->about->mark;
            // Of what is left free only that has anything to say which bears a mark: a machine stands in its place.
            if ($holds instanceof CellUnit && ($cell->tier->isBuilt() || $mark !== null) && ! $cell->isTooSmall($this->terms)) {
                $assemblies[] = $holds->build(new CellSite($run, $cell, $this->terms, $marks->of($mark ?? 'U', $cell->tier->id)));
            }
        }

        return Assembly::all((new CutAround($run->frame, $this->terms, $this->openings))->all(Assembly::all(...$assemblies)), (new Outlets($run->frame, $this->terms, $this->openings))->behindBoxes($run));
    }

    private function member(FittedRun $run, FittedMember $member): Assembly
    {
        return $member->holds instanceof MemberUnit ? $member->holds->build(new MemberSite($run, $member, $this->terms)) : new Assembly([]);
    }
}
