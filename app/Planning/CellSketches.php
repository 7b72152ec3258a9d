<?php

declare(strict_types=1);

namespace App\Planning;

use Incastro\Drawing\RunDrawing;
use Incastro\Drawing\ScreenWriter;
use Incastro\Fit\FittedCell;
use Incastro\Planning\InvalidChoice;
use Incastro\Planning\Job;
use Incastro\Planning\Planner;
use Incastro\Planning\Space;
use Incastro\Planning\SpaceChoices;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\Edit;
use Incastro\Rules\Finding;
use Incastro\Rules\Severity;
use Incastro\Survey\Survey;

/** What a cell would look like with another unit in it or before it: planned in this very space, with what is then found about it. */
final readonly class CellSketches
{
    public function __construct(private Planner $planner)
    {
    }

    /**
     * @param  string  $list  "tiers" for what stands in it, "fronts" for what closes it
     * @param  string  $kind  of unit; "nothing" before it
     * @return array<string, mixed> the drawing and which part of it the cell is, and the verdict; or why no such unit may stand there at all
     */
    public function of(Job $job, string $spaceId, string $tier, string $list, string $kind): array
    {
        $space = $job->space($spaceId);
        $survey = $space->survey($job->format);
        $room = $survey->room;
        $choices = $space->choices;
        try {
            foreach ($this->edits($space, $tier, $list, $kind) as $edit) {
                [$choices] = SpaceChoices::apply($choices, $edit, $job->format, $job->materials->carcass->thickness);
            }
        } catch (InvalidChoice $refused) {
            return ['drawing' => null, 'verdict' => ['state' => 'clash', 'sentence' => $refused->getMessage()]];
        }
        $furnished = $space->laidOut($choices, $job->rules);
        $plan = $this->planner->furnished($job, $furnished, $survey);
        // What closes a cell would hide what is inside it: its picture is of the open one.
        $shown = $list === 'tiers' ? $this->opened($job, $furnished, $survey, $tier) ?? $plan : $plan;
        foreach ($shown->layout->runs ?? [] as $r => $run) {
            $cell = $run->cell($tier);
            if ($cell !== null && $room !== null) {
                return [
                    'drawing' => ScreenWriter::write((new RunDrawing($run, $shown->assemblies[$r], $room, $job->format))->small()),
                    'part' => self::part($cell), 'verdict' => $this->verdict($plan, $cell),
                ];
            }
        }

        return ['drawing' => null, 'verdict' => ['state' => 'clash', 'sentence' => 'This cell is not there any more.']];
    }

    /** The same without what closes the cell; null where nothing does. */
    private function opened(Job $job, Space $space, Survey $survey, string $tier): ?SpacePlan
    {
        $layout = $space->choices['layout'];
        $open = array_values(array_filter($layout['fronts'], fn (array $front) => ! in_array($tier, $front['cells'], true)));
        if (count($open) === count($layout['fronts'])) {
            return null;
        }

        return $this->planner->furnished($job, $space->laidOut(['layout' => ['fronts' => $open] + $layout] + $space->choices, $job->rules), $survey);
    }

    /** @return list<Edit> */
    private function edits(Space $space, string $tier, string $list, string $kind): array
    {
        if ($list === 'tiers') {
            return [new Edit("layout.tiers.$tier.holds", $kind)];
        }
        $before = array_filter($space->choices['layout']['fronts'], fn (array $front) => in_array($tier, $front['cells'], true));
        $edits = array_map(fn (array $front) => new Edit("layout.fronts.{$front['id']}", null), array_values($before));

        return $kind === 'nothing' ? $edits : [...$edits, new Edit('layout.do', ['action' => 'add', 'list' => 'fronts', 'kind' => $kind, 'cells' => [$tier], 'seed' => 'sketched here'])];
    }

    /** @return array{state: string, sentence: string} what is found about the cell or its box: the worst of it, or that it fits */
    private function verdict(SpacePlan $plan, FittedCell $cell): array
    {
        $names = array_filter([$cell->tier->id, $cell->boxId, $cell->tier->front?->id]);
        $about = array_values(array_filter($plan->findings, fn (Finding $finding) => $finding->severity !== Severity::Note && array_intersect([$finding->place, ...$finding->related], $names) !== []));
        foreach ($about as $finding) {
            if ($finding->severity === Severity::Clash) {
                return ['state' => 'clash', 'sentence' => $finding->sentence];
            }
        }

        return $about === [] ? ['state' => 'fits', 'sentence' => 'Fits here.'] : ['state' => 'warning', 'sentence' => $about[0]->sentence];
    }

    /** @return array{x: float, y: float, width: float, height: float} of the drawing: the cell with the boards round it, mm */
    private static function part(FittedCell $cell): array
    {
        $block = $cell->block();
        $more = max(40.0, 0.06 * max($block->u1 - $block->u0, $block->z1 - $block->z0));

        return ['x' => $block->u0 - $more, 'y' => max(0.0, $block->z0 - $more), 'width' => $block->u1 - $block->u0 + 2 * $more, 'height' => $block->z1 - $block->z0 + 2 * $more];
    }
}
