<?php

declare(strict_types=1);

namespace Incastro\Trial;

use Incastro\Fit\Layout\Layout;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\Job;
use Incastro\Planning\JobChoices;
use Incastro\Planning\JobReader;
use Incastro\Planning\Layout\LayoutReader;
use Incastro\Planning\Layout\StartingLayouts;
use Incastro\Planning\Planner;
use Incastro\Planning\Space;
use Incastro\Planning\SpaceChoices;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\Rule;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Survey\Survey;

/**
 * One made-up room from measuring to fitting: a person measures it, the ordinary planner plans the usual layout of its kind,
 * and shelves from wall to wall where the kind has them, and what was planned is put into the true room.
 */
final readonly class RoomTrial
{
    private Job $job;

    private LengthFormat $format;

    /** @var array<string, mixed>|null shelves from wall to wall, where the kind has such a layout */
    private ?array $shelves;

    public function __construct(private SpaceKind $kind, private float $slips)
    {
        $this->format = LengthFormat::millimetres();
        $shape = SpaceShape::of($kind);
        $this->shelves = (new StartingLayouts($shape, 'trial', $this->format))->named('cleat-shelves');
        $space = ['id' => 'trial', 'takes' => [], 'layout' => (new StartingLayouts($shape, 'trial', $this->format))->usual()] + SpaceChoices::defaults('Trial', $this->format, $kind);
        $this->job = JobReader::read(JobChoices::defaults('Trial', 'mm/1') + ['ways_in' => [], 'spaces' => [$space]]);
    }

    public function run(int $seed): RoomResult
    {
        $shape = SpaceShape::of($this->kind);
        $room = new TrueRoom($shape, $seed, $this->planHeight($shape));
        $person = new Person($room, new Dice($seed + 1_000_003), $this->format, $this->slips);
        $survey = $person->measure();
        $layout = $this->job->spaces[0]->layout;
        // Shelves ask for no offsets: they are planned by what the starting sheet gave.
        $shelves = new ShelfJudge($room, $this->job->materials->carcass->thickness->toDouble());
        foreach ($this->shelves === null ? [] : $this->plan($person, $survey, LayoutReader::read($this->shelves))->layout->runs ?? [] as $run) {
            $shelves->run($run);
        }
        $plan = $this->plan($person, $survey, $layout);
        if ($plan->layout !== null) {
            $survey = $person->takeOffsets($plan->layout, $survey);
            $plan = $this->plan($person, $survey, $layout);
        }
        $judge = new Judge($room, new Dice($seed + 2_000_003));
        foreach ($plan->layout->runs ?? [] as $run) {
            $judge->run($run, $this->job->materials->frame->thickness->toDouble(), $this->job->rules->mm(Rule::PlinthHeight));
        }
        if (($plan->layout->runs ?? []) === []) {
            $judge->jams[] = 'no room could be made of the readings';
        }

        return new RoomResult($seed, $room, $person, $survey, $plan, $judge, $shelves);
    }

    private function plan(Person $person, Survey $survey, Layout $layout): SpacePlan
    {
        $space = $this->job->spaces[0];

        return (new Planner())->furnished($this->job, new Space($space->id, $space->name, $person->sheet(), $person->takes, $layout, [], [], $space->choices), $survey);
    }

    /** Where the sheet takes the plan of an average room of the kind. */
    private function planHeight(SpaceShape $shape): float
    {
        return $this->job->spaces[0]->sheet->places()->planHeight();
    }
}
