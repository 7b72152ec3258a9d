<?php

declare(strict_types=1);

namespace Incastro\Trial;

use Incastro\Fit\Closing\FittedEdge;
use Incastro\Fit\FittedLayout;
use Incastro\Measure\Angle;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\Code;
use Incastro\Survey\Reading;
use Incastro\Survey\ReadingKind;
use Incastro\Survey\SheetChoices;
use Incastro\Survey\Slot;
use Incastro\Survey\Space\ExtraSlot;
use Incastro\Survey\Space\Sheet;
use Incastro\Survey\SpaceSurvey;
use Incastro\Survey\Survey;
use Incastro\Survey\Take;
use Incastro\Survey\Texture;
use Incastro\Survey\Textures;

/**
 * A simulated person in a true room: takes what the starting sheet asks, one take each, and a share of what it offers besides;
 * then the offsets that the fit asks for; takes again what is named as suspect or asked for to decide a tie. Slips now and then, and does not know when.
 */
final class Person
{
    /** Times that a person takes something again before giving up. */
    private const PATIENCE = 10;

    /** How far a straightedge held plumb is out of plumb, mm a metre (a long level's). */
    private const PLUMB = 0.3;

    /** A straightedge stands off the wall by at least this, mm. */
    private const STANDS_OFF = 10.0;

    /** @var list<Take> */
    public array $takes = [];

    /** @var array<string, Reading> by slot */
    private array $readings = [];

    /** @var list<ExtraSlot> */
    private array $extras = [];

    /** @var array<string, true> takes that slipped */
    public array $slipped = [];

    /** @var array<string, array{float, float}> where each straightedge stands, and how far it is out of plumb a metre */
    private array $straightedges = [];

    /** @var array<string, int> slots named as suspect or in a tie, and how often */
    public array $named = [];

    public int $tooFew = 0;

    public function __construct(
        private readonly TrueRoom $room,
        private readonly Dice $dice,
        private readonly LengthFormat $format,
        private readonly float $slips,
        private readonly float $optional = 0.0,
    ) {
    }

    public function sheet(): Sheet
    {
        return new Sheet($this->room->shape, SheetChoices::defaults($this->format->unit), $this->extras);
    }

    /** The starting sheet, in its order: what it requires, and a diagonal or a corner where the plan needs one. */
    public function measure(): Survey
    {
        foreach (array_filter($this->slots(), fn (Slot $slot) => $slot->required) as $next) {
            // What was read so far says where the next is taken.
            $this->take(array_column($this->slots(), null, 'id')[$next->id] ?? $next);
        }
        // Of the diagonals and corners one is required where the sheet leaves the choice.
        $ofPlan = array_values(array_filter($this->slots(), fn (Slot $slot) => $slot->kind === ReadingKind::Diagonal || $slot->kind === ReadingKind::Corner));
        if (array_filter($ofPlan, fn (Slot $slot) => $slot->required) === [] && $ofPlan !== []) {
            $this->take($ofPlan[0]);
        }
        foreach ($this->optional > 0.0 ? $this->slots() : [] as $slot) {
            if (! $this->has($slot->id) && $this->dice->chance($this->optional)) {
                $this->take(array_column($this->slots(), null, 'id')[$slot->id] ?? $slot);
            }
        }

        return $this->settled($this->solved());
    }

    /** The offsets that the fit asks for, each straightedge once. */
    public function takeOffsets(FittedLayout $layout, Survey $survey): Survey
    {
        $asked = [];
        foreach ($layout->edges() as $edge) {
            $this->ask($edge, $asked);
        }
        if ($asked === []) {
            return $survey;
        }
        array_push($this->extras, ...array_values($asked));
        foreach ($this->slots() as $slot) {
            if (str_starts_with($slot->id, 'x-') && ! $this->has($slot->id)) {
                $this->take($slot);
            }
        }

        return $this->settled($this->solved());
    }

    /** @param array<string, ExtraSlot> $asked */
    private function ask(FittedEdge $edge, array &$asked): void
    {
        $offsets = $edge->offsets;
        if ($offsets === null) {
            return;
        }
        $id = sprintf('x-%d-%s', count($this->extras) + count($asked), $edge->side->value);
        $key = sprintf('%d/%d/%.0f/%.0f/%.0f', $offsets->wall, (int) $offsets->isLevel, $offsets->along, $offsets->height, $offsets->depth ?? -1.0);
        $asked[$key] ??= $offsets->depth !== null
            ? new ExtraSlot($id, ReadingKind::Fall, wall: $offsets->wall, along: $offsets->along, height: $offsets->height, depth: $offsets->depth)
            : new ExtraSlot($id, ReadingKind::Offset, wall: $offsets->wall, along: $offsets->isLevel ? null : $offsets->along, height: $offsets->isLevel ? $offsets->height : null, isLevel: $offsets->isLevel);
    }

    private function has(string $slot): bool
    {
        return isset($this->readings[$slot]);
    }

    /** @return list<Slot> the sheet's, placed by what is known so far */
    private function slots(): array
    {
        return $this->sheet()->knowing($this->readings)->slots();
    }

    /** What the person sees under a level: as the room is graded. */
    private function texture(): Texture
    {
        return match ($this->room->grade) {
            Grade::Plane => Texture::Plane,
            Grade::Mild => Texture::Smooth,
            Grade::Old => Texture::Old,
        };
    }

    private function solved(): Survey
    {
        return (new SpaceSurvey($this->sheet(), $this->takes, [], $this->format, new Textures($this->texture()->sigma())))->solve();
    }

    private function settled(Survey $survey): Survey
    {
        for ($i = 0; $i < self::PATIENCE && $survey->disagrees(); $i++) {
            $again = $this->askedAgain($survey);
            if ($again === null) {
                $this->tooFew++;
                break;
            }
            $this->named[$again->id] = ($this->named[$again->id] ?? 0) + 1;
            $this->take($again);
            $survey = $this->solved();
        }

        return $survey;
    }

    private function askedAgain(Survey $survey): ?Slot
    {
        $bySlot = array_column($survey->slots, null, 'id');
        $place = null;
        foreach ($survey->findings as $finding) {
            if (in_array($finding->code, [Code::Suspect, Code::Undecided, Code::TakesDiffer, Code::PlanCannotClose], true) && isset($bySlot[$finding->place])) {
                $place = $bySlot[$finding->place];
                break;
            }
        }
        if ($place !== null) {
            return $place;
        }
        // Too few to say which: a reading that is not there yet.
        foreach ($survey->slots as $slot) {
            if (! $this->has($slot->id) && in_array($slot->kind, [ReadingKind::Diagonal, ReadingKind::Corner, ReadingKind::Height], true) && $slot->spots !== [] || ($slot->kind === ReadingKind::Diagonal && ! $this->has($slot->id))) {
                return $slot;
            }
        }

        return null;
    }

    private function take(Slot $slot): void
    {
        $truth = $this->room->truth($slot);
        if ($slot->straightedge !== null) {
            $truth = $this->fromStraightedge($slot, $truth);
        }
        $tape = new Tape($this->dice, $this->format, $this->slips);
        $value = $tape->read($slot, $truth);
        $id = $slot->id.'#'.count($this->takes);
        if ($tape->hasSlipped()) {
            $this->slipped[$id] = true;
        }
        $this->takes[] = $take = new Take($id, $slot->id, $slot->kind->isAngle() ? Angle::ofDegrees($value) : Length::ofDouble(abs($value)), $slot->ends === [] ? null : $slot->ends[$value < 0 ? 1 : 0]);
        $this->readings[$slot->id] = new Reading($slot, [...($this->readings[$slot->id]->takes ?? []), $take]);
    }

    private function fromStraightedge(Slot $slot, float $surface): float
    {
        $name = (string) $slot->straightedge;
        if (! isset($this->straightedges[$name])) {
            $farthest = -INF;
            foreach ($this->slots() as $other) {
                $farthest = $other->straightedge === $name ? max($farthest, $this->room->truth($other)) : $farthest;
            }
            $this->straightedges[$name] = [$farthest + self::STANDS_OFF + $this->dice->between(0.0, 10.0), $this->dice->normal(self::PLUMB)];
        }
        [$at, $tilt] = $this->straightedges[$name];
        $along = $slot->isLevel ? (float) $slot->along : (float) $slot->height - $this->room->planHeight;

        return max(0.0, $at + $tilt * $along / 1000.0 - $surface);
    }
}
