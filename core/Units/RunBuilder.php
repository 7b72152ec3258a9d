<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\FittedRun;
use Incastro\Fit\Layout\UnitKind;
use Incastro\Fit\Marks;
use Incastro\Fit\Terms;

/** Builds everything of a run: boxes with their faces, plinths, worktops, panels and shelves, cut around what stands there. */
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
            $assemblies[] = (new BoxWithShelves($box, $this->terms))->build();
            $assemblies[] = (new FaceFrame($run, $box, $this->terms))->build();
            $assemblies[] = (new ClosingStrips($run, $box, $this->terms))->build();
        }
        foreach ($run->plinths as $plinth) {
            $assemblies[] = (new Plinth($run, $plinth, $this->terms))->build();
        }
        $boards = new Boards($run, $this->terms);
        array_push($assemblies, ...array_map($boards->worktop(...), $run->worktops), ...array_map($boards->endPanel(...), $run->panels));
        foreach ($run->cells as $cell) {
            if ($cell->tier->unit === UnitKind::Filler && ! $cell->isTooSmall($this->terms->board())) {
                $assemblies[] = $boards->filler($cell, $marks->of('F', $cell->tier->id));
            }
        }
        foreach ($run->shelves as $shelf) {
            $assemblies[] = (new CleatShelves($shelf, $marks->of('S', $shelf->tierId), $this->terms))->build();
        }

        return (new Joinery($this->terms->format))->bought((new CutAround($run, $this->terms, $this->openings))->all(Assembly::all(...$assemblies)));
    }
}
