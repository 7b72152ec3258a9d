<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Check\Cautions;
use Incastro\Check\Verdict;
use Incastro\Cut\CutPiece;
use Incastro\Cut\SheetPlan;
use Incastro\Cut\SheetPlanner;
use Incastro\Fit\FittedRun;
use Incastro\Fit\Layout;
use Incastro\Fit\NoRoom;
use Incastro\Fit\RunFitter;
use Incastro\Pieces\Piece;
use Incastro\Rules\Finding;
use Incastro\Rules\WayOut;
use Incastro\Survey\Room\Room;
use Incastro\Survey\SpaceSurvey;
use Incastro\Units\Assembly;
use Incastro\Units\BoxWithShelves;
use Incastro\Units\FaceFrame;
use Incastro\Units\Plinth;

/**
 * The one way through: survey → fit → units → check → cut, each a function of its own inputs. Web, command line and
 * tests use the same door. A plan is always given, with findings.
 *
 * Only the sheet plan is worth remembering: the other stages take a few milliseconds, less than fetching them would.
 */
final readonly class Planner
{
    /** Part of every remembered stage's key; raised when a stage computes something else from the same inputs. */
    public const VERSION = '2';

    public function __construct(private StageMemory $memory = new NoMemory())
    {
    }

    public function plan(Job $job): Plan
    {
        $spaces = array_map(fn (Space $space, int $i) => $this->space($job, $space, $i + 1), $job->spaces, array_keys($job->spaces));
        $pieces = array_merge([], ...array_map(fn (SpacePlan $space) => $space->assembly?->pieces() ?? [], $spaces));

        return new Plan($job, $spaces, $this->sheets($job, $pieces));
    }

    private function space(Job $job, Space $space, int $number): SpacePlan
    {
        $survey = (new SpaceSurvey($space->sheet, $space->takes, $space->things, $job->format))->solve();
        // What would make the survey surer is said where one measures.
        $findings = array_values(array_filter($survey->findings, fn (Finding $finding) => ! in_array($finding->code, ['unchecked', 'struck'], true)));
        $run = $assembly = null;
        if ($survey->room !== null) {
            try {
                $run = $this->fit($job, $survey->room, $space->layout, $number);
                $assembly = $this->build($job, $run);
                $findings = [
                    ...$findings,
                    ...$this->withCheckedWaysOut($job, $survey->room, $space->layout, $run->findings),
                    ...$assembly->findings,
                    ...Cautions::of($run, $assembly, $job->rules, $job->materials),
                ];
            } catch (NoRoom $noRoom) {
                $findings[] = Finding::clash('no-room', $noRoom->getMessage(), $space->layout->boxId);
            }
        }

        return new SpacePlan($space, $survey, $run, $assembly, $findings, Verdict::of($survey, $run, $findings));
    }

    /** @throws NoRoom */
    private function fit(Job $job, Room $room, Layout $layout, int $number): FittedRun
    {
        return (new RunFitter($room, $layout, $job->rules, $job->materials, $job->format, $number))->fit();
    }

    private function build(Job $job, FittedRun $run): Assembly
    {
        return (new BoxWithShelves($run->cell, $job->rules, $job->materials, $job->format))->build()
            ->with((new FaceFrame($run, $job->rules, $job->materials, $job->format))->build())
            ->with((new Plinth($run, $job->rules, $job->materials, $job->format))->build());
    }

    /**
     * Keeps only the ways out that, planned with, remove their finding.
     *
     * @param  list<Finding>  $findings
     * @return list<Finding>
     */
    private function withCheckedWaysOut(Job $job, Room $room, Layout $layout, array $findings): array
    {
        return array_map(fn (Finding $finding) => $finding->withWaysOut(array_values(array_filter(
            $finding->waysOut,
            fn (WayOut $way) => $this->removes($job, $room, $layout, $way, $finding->code),
        ))), $findings);
    }

    private function removes(Job $job, Room $room, Layout $layout, WayOut $way, string $code): bool
    {
        try {
            $codes = array_map(fn (Finding $finding) => $finding->code, $this->fit($job, $room, $layout->without($way->edit->path), 1)->findings);
        } catch (NoRoom) {
            return false;
        }

        return ! in_array($code, $codes, true);
    }

    /** @param list<Piece> $pieces */
    private function sheets(Job $job, array $pieces): SheetPlan
    {
        $cut = array_map(fn (Piece $piece) => new CutPiece(
            $piece->mark,
            1,
            $piece->length->result,
            $piece->width->result,
            $piece->thickness,
            $piece->material->value,
            $piece->grain,
        ), $pieces);
        $hash = hash('sha256', self::VERSION.serialize([$cut, $job->stock, $job->saw(), $job->format]));

        return $this->memory->remember('cut', $hash, fn () => (new SheetPlanner($job->saw(), $job->format))->plan($cut, $job->stock));
    }
}
