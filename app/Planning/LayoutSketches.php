<?php

declare(strict_types=1);

namespace App\Planning;

use Illuminate\Support\Facades\Cache;
use Incastro\Drawing\Drawing;
use Incastro\Drawing\FurniturePlan;
use Incastro\Drawing\RunDrawing;
use Incastro\Drawing\ScreenWriter;
use Incastro\Planning\Job;
use Incastro\Planning\JobReader;
use Incastro\Planning\Planner;
use Incastro\Planning\Recipes\StartingLayouts;
use Incastro\Planning\SpacePlan;
use Incastro\Survey\Room\Room;

/** The layouts that a space can be begun with, each planned in this very space: drawing, verdict, pieces, sheets and price. */
final readonly class LayoutSketches
{
    /** Whoever goes back to the empty space finds them as they were; not for long, since a newer version may work them out otherwise. Minutes. */
    private const KEPT = 15;

    public function __construct(private Planner $planner)
    {
    }

    /**
     * @param  array<string, mixed>  $document  as JobDocument puts it together
     * @return list<array<string, mixed>>
     */
    public function of(array $document, string $spaceId): array
    {
        $place = 'starting-layouts:'.hash('sha256', serialize([$document, $spaceId]));

        return Cache::remember($place, now()->addMinutes(self::KEPT), fn (): array => $this->planned(JobReader::read($document), $spaceId));
    }

    /** @return list<array<string, mixed>> */
    private function planned(Job $job, string $spaceId): array
    {
        $space = $job->space($spaceId);
        $shape = $space->sheet->shape;
        $survey = $space->survey($job->format);
        $starting = new StartingLayouts($shape, 'sketch', $job->format);
        $room = $survey->room;
        if ($room === null) {
            return [];
        }
        $sketches = [];
        foreach (StartingLayouts::recipes($shape->kind) as $name => [$label, $purpose]) {
            $document = $starting->named($name);
            if ($document === null) {
                continue;
            }
            $plan = $this->planner->furnished($job, $space->laidOut(['layout' => $document] + $space->choices, $job->rules), $survey);
            $cut = $this->planner->cut($job, $plan->pieces(), true);
            $sketches[] = [
                'name' => $name, 'label' => $label, 'purpose' => $purpose->label(),
                'verdict' => ['state' => $plan->verdict->state, 'sentence' => $plan->verdict->sentence],
                'pieces' => count($plan->pieces()), 'sheets' => count($cut->sheets->sheets), 'price' => round($cut->price(), 2), 'currency' => $job->currency,
                'drawings' => array_map(ScreenWriter::write(...), $this->drawings($job, $plan, $room)),
            ];
        }

        return $sketches;
    }

    /** @return list<Drawing> its first run, and where it has more than one all of them from above */
    private function drawings(Job $job, SpacePlan $plan, Room $room): array
    {
        $runs = $plan->layout->runs ?? [];
        $run = $runs[0] ?? null;
        if ($plan->layout === null || $run === null) {
            return [];
        }
        $elevation = (new RunDrawing($run, $plan->assemblies[0], $room, $job->format, $plan->beside(0)))->small();

        return count($runs) === 1 ? [$elevation] : [$elevation, (new FurniturePlan($plan->layout, $room, $job->format))->small()];
    }
}
