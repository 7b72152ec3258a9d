<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\FittedRun;
use Incastro\Fit\Layout\UnitKind;
use Incastro\Fit\Numbering;
use Incastro\Fit\Terms;

/** Builds everything of a run: boxes with their faces, plinths, worktops, panels and shelves, cut around what stands there. */
final readonly class RunBuilder
{
    /** @param list<string> $openings things for which an opening is cut in what covers them */
    public function __construct(private Terms $terms, private array $openings)
    {
    }

    public function build(FittedRun $run, Numbering $numbers): Assembly
    {
        $assembly = new Assembly([]);
        foreach ($run->boxes as $box) {
            $assembly = $assembly
                ->with((new BoxWithShelves($box, $this->terms))->build())
                ->with((new FaceFrame($run, $box, $this->terms))->build())
                ->with((new ClosingStrips($run, $box, $this->terms))->build());
        }
        foreach ($run->plinths as $plinth) {
            $assembly = $assembly->with((new Plinth($run, $plinth, $this->terms))->build());
        }
        $boards = new Boards($run, $this->terms);
        foreach ($run->worktops as $worktop) {
            $assembly = $assembly->with($boards->worktop($worktop));
        }
        foreach ($run->panels as $panel) {
            $assembly = $assembly->with($boards->endPanel($panel));
        }
        foreach ($run->cells as $cell) {
            $isMade = $cell->tier->unit === UnitKind::Filler && ! $cell->isTooSmall($this->terms->board());
            $assembly = $isMade ? $assembly->with($boards->filler($cell, $numbers->next('F'))) : $assembly;
        }
        $marks = [];
        foreach ($run->shelves as $shelf) {
            $marks[$shelf->tierId] ??= $numbers->next('S');
            $assembly = $assembly->with($boards->shelf($shelf, $marks[$shelf->tierId]));
        }

        return (new CutAround($run, $this->terms, $this->openings))->all($assembly);
    }
}
