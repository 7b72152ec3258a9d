<?php

declare(strict_types=1);

namespace Incastro\Survey;

use Incastro\Geometry\Point;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Survey\Network\Adjusted;
use Incastro\Survey\Network\Adjustment;
use Incastro\Survey\Network\Observation;
use Incastro\Survey\Network\Scrutinised;
use Incastro\Survey\Network\Suspect;
use Incastro\Survey\Network\Undetermined;
use Incastro\Survey\Plan\PlanNetwork;
use Incastro\Survey\Room\LevelNetwork;
use Incastro\Survey\Room\Levels;
use Incastro\Survey\Room\Plausible;
use Incastro\Survey\Room\Room;
use Incastro\Survey\Room\RoomNetwork;
use Incastro\Survey\Room\RoomSolver;
use Incastro\Survey\Room\ToolsAlone;
use Incastro\Survey\Room\WallAssumptions;
use Incastro\Survey\Room\WallReadings;
use Incastro\Survey\Space\Sheet;
use Incastro\Survey\Space\Spot;

/**
 * Turns the readings of a space into the room as found, and says how sure it is and which reading to take again.
 *
 * The walls are one adjustment, floor and ceiling another. Every place is one observation, however often it was read: a second
 * take of it checks the tape and the eye, not the plaster. Where no reading splits crookedness between two walls, an assumption
 * with its own σ does.
 */
final class SpaceSurvey
{
    /** @var list<Slot> */
    private array $slots;

    /** @var array<string, Reading> by slot */
    private array $readings;

    private Sheet $sheet;

    private RoomNetwork $network;

    private WallReadings $wallReadings;

    private PlanClosing $closing;

    /** @var \Closure(Textures): WallAssumptions */
    private \Closure $assumptions;

    private RoomSolver $solver;

    /** @var array<string, array{Take, Slot}> by take */
    private array $takes = [];

    private Places $places;

    private Accusations $accusations;


    /**
     * @param  Sheet  $sheet  of the space, with nothing known
     * @param  list<Take>  $given  takes that nobody withdrew
     * @param  list<Things\Thing>  $things
     */
    public function __construct(Sheet $sheet, private readonly array $given, private readonly array $things, private readonly LengthFormat $format, private readonly Textures $textures = new Textures())
    {
        $bySlot = [];
        foreach ($given as $take) {
            $bySlot[$take->slot][] = $take;
        }
        // Heights and lengths come first: they say where the other readings are taken.
        $this->sheet = $sheet->knowing($this->readingsOf($sheet->slots(), $bySlot));
        $this->slots = $this->sheet->slots();
        foreach (array_diff_key($bySlot, array_column($this->slots, null, 'id')) as $id => $takes) {
            $slot = $takes[0]->place === null ? null : $this->sheet->slot((string) $id);
            $this->slots = $slot === null ? $this->slots : [...$this->slots, $slot];
        }
        $this->readings = $this->readingsOf($this->slots, $bySlot);
        foreach ($this->readings as $reading) {
            foreach ($reading->takes as $take) {
                $this->takes[$take->id] = [$take, $reading->slot];
            }
        }
        $this->places = new Places($this->readings);
        $this->accusations = new Accusations($this->places, $this->takes, $this->readings, $format->unit === Unit::Inch);
        $taken = array_values(array_map(fn (Reading $reading) => $reading->slot, $this->readings));
        $this->network = new RoomNetwork($this->sheet, $taken);
        $this->wallReadings = new WallReadings($this->network);
        $this->closing = new PlanClosing($this->network, $this->readings);
        $this->assumptions = fn (Textures $textures) => new WallAssumptions($this->network, $taken, $textures);
        $this->solver = new RoomSolver($this->network, $this->closing);
    }

    /** @return list<Slot> the sheet's, where they are asked for now that these takes are known */
    public function slots(): array
    {
        return $this->slots;
    }

    public function solve(): Survey
    {
        $missing = array_values(array_filter($this->slots, fn (Slot $slot) => $slot->required && ! isset($this->readings[$slot->id])));
        $accusing = $this->textures->accusing();
        $this->closing->ask(fn (array $without): ?float => $this->misfit($this->ofWalls($accusing, $without)));
        $observations = $this->ofWalls($accusing);
        $planIsChecked = true;
        $adjusted = $this->solver->solved($observations);
        if ($adjusted === null) {
            $planIsChecked = false;
            $observations = [...$observations, ...($this->assumptions)($accusing)->square()];
            $adjusted = $this->solver->solved($observations);
        }
        $isDraft = $adjusted === null || ! $this->sheet->places()->rowsRise();
        $wallCandidates = $this->wallCandidates();
        $walls = $isDraft || $adjusted === null ? null : $this->accusations->of($adjusted, $wallCandidates, Accusations::WALLS);
        if ($walls !== null && $accusing != $this->textures) {
            $walls = $this->accusations->asStated($walls, $this->ofPlan($this->textures, $planIsChecked), Accusations::WALLS);
        }
        $adjusted = $walls->adjusted ?? $this->solver->draft($observations);
        $network = new LevelNetwork($this->sheet->shape, fn (Spot $spot): Point => $this->network->spot($adjusted->unknowns, $spot->wall, $spot->along, $spot->depth));
        $levelCandidates = $this->levelCandidates($network);
        $levels = $this->levels($network, $levelCandidates);
        $plane = new Textures();
        $tools = new ToolsAlone($walls === null || $this->textures == $plane ? null : fn (): Adjusted => $this->accusations->asStated($walls, $this->ofPlan($plane, $planIsChecked), Accusations::WALLS)->adjusted);
        $room = $this->room($adjusted, $levels?->adjusted, $tools);
        if ($room === null || ! Plausible::isOne($room)) {
            $isDraft = true;
        }
        $suspects = [...($walls->suspects ?? []), ...($levels->suspects ?? [])];
        $struck = array_merge($this->closing->provenWrong(), ...array_map(fn (Suspect $suspect) => $this->places->takesWith($suspect->id), $suspects));
        $lines = new StraightLines($this->readings, $struck, $this->format, $this->textures->accusing());
        $findings = new SurveyFindings($this->sheet, $this->slots, $this->readings, $this->takes, $this->network, $this->format);
        $isFit = ! $isDraft && $this->hasHeights() && $room !== null;

        return new Survey(
            $this->sheet,
            $this->slots,
            $this->readings,
            $isFit ? $room : null,
            $room,
            $missing,
            $planIsChecked,
            $struck,
            [
                ...($walls === null && $missing === [] ? $findings->floating($this->solver->floatingCorners($adjusted), $adjusted, $wallCandidates) : []),
                ...$lines->findings(),
                ...$findings->rough(array_keys($this->accusations->rough)),
                ...$findings->rougher(max([1.0, ...$this->accusations->scales])),
                ...($this->textures->isStated || $this->readings === [] ? [] : [Finding::note(Code::TextureNotStated, 'How even the walls are is not said: they are reckoned as ordinary plaster. Lay a level on them and say what shows under it.', '')]),
                ...$findings->all($isFit ? $room : null, $walls, $levels, $this->closing, $planIsChecked, $wallCandidates, $levelCandidates),
            ],
            array_values(array_filter(array_map(fn (Suspect $suspect) => $suspect->slip, $suspects))),
        );
    }

    /**
     * @param  list<Slot>  $slots
     * @param  array<string, non-empty-list<Take>>  $bySlot
     * @return array<string, Reading>
     */
    private function readingsOf(array $slots, array $bySlot): array
    {
        $readings = [];
        foreach ($slots as $slot) {
            // Takes at one place repeat each other; one that was taken elsewhere is a reading of its own.
            $places = [];
            foreach ($bySlot[$slot->id] ?? [] as $take) {
                $places[$take->place?->key() ?? ''][] = $take;
            }
            foreach (array_reverse(array_values($places)) as $k => $takes) {
                $readings[$k === 0 ? $slot->id : "$slot->id@$k"] = new Reading($takes[0]->place === null ? $slot : $slot->at($takes[0]->place), $takes);
            }
        }

        return $readings;
    }

    /**
     * One observation a place, of those that say something: it goes by the last of its takes.
     *
     * @param  \Closure(string, Slot, float, float): ?Observation  $observe
     * @param  list<string>  $excluded
     * @return list<Observation>
     */
    private function observations(\Closure $observe, Textures $textures, array $excluded = []): array
    {
        $observations = [];
        foreach ($this->places->all as $place) {
            $id = $place->takes[count($place->takes) - 1]->id;
            $sigma = hypot($place->sigma(), $textures->sigma($place->slot, $this->sheet->shape));
            $observation = array_intersect($excluded, array_map(fn (Take $take) => $take->id, $place->takes)) === [] ? $observe($id, $place->slot, $place->value(), $sigma) : null;
            if ($observation !== null) {
                $observations[] = $observation;
            }
        }

        return $observations;
    }

    /**
     * @param  list<string>|null  $without  takes that are left out; null: those that no plan could hold
     * @return list<Observation> what readings and walls say of where these stand, with the doubt that textures leave
     */
    private function ofWalls(Textures $textures, ?array $without = null): array
    {
        return [...$this->observations($this->wallReadings->observation(...), $textures, $without ?? $this->closing->excludedTakes()), ...($this->assumptions)($textures)->all()];
    }

    /** @return list<Observation> the same, and that the plan is square where no reading checks it */
    private function ofPlan(Textures $textures, bool $isChecked): array
    {
        return [...$this->ofWalls($textures), ...($isChecked ? [] : ($this->assumptions)($textures)->square())];
    }

    /**
     * How much observations disagree; null where they do not make a room, or one of them is accused.
     *
     * @param  list<Observation>  $observations
     */
    private function misfit(array $observations): ?float
    {
        $adjusted = $this->solver->solved($observations);

        return $adjusted !== null && $this->accusations->isConsistent($adjusted) ? $adjusted->sumOfSquares() : null;
    }

    /**
     * Readings of the sheet that are not taken yet.
     *
     * @return list<Observation>
     */
    private function wallCandidates(): array
    {
        $candidates = [];
        foreach ($this->slots as $slot) {
            if (! isset($this->readings[$slot->id]) && ($slot->kind !== ReadingKind::Plumb || isset($this->network->fields[(int) $slot->wall])) && $slot->kind !== ReadingKind::Offset) {
                $candidate = $this->wallReadings->observation($slot->id, $slot, 0.0, $slot->tool->sigma($slot->span ?? 2000.0));
                if ($candidate !== null) {
                    $candidates[] = $candidate;
                }
            }
        }

        return $candidates;
    }

    /** @param list<Observation> $candidates */
    private function levels(LevelNetwork $network, array $candidates): ?Scrutinised
    {
        $observations = $this->observations($network->observation(...), $this->textures->accusing());
        try {
            $accused = $this->accusations->of(Adjustment::solve([...$observations, ...$network->assumptions($this->readings)], $network->start()), $candidates, Accusations::LEVELS);

            return $this->textures->accusing() == $this->textures ? $accused : $this->accusations->asStated($accused, [...$this->observations($network->observation(...), $this->textures), ...$network->assumptions($this->readings)], Accusations::LEVELS);
        } catch (Undetermined) {
            return null;
        }
    }

    /**
     * Heights of the sheet that are not taken yet.
     *
     * @return list<Observation>
     */
    private function levelCandidates(LevelNetwork $network): array
    {
        $candidates = [];
        foreach ($this->slots as $slot) {
            $candidate = isset($this->readings[$slot->id]) ? null : $network->observation($slot->id, $slot, 0.0, $slot->tool->sigma(2400.0));
            if ($candidate !== null) {
                $candidates[] = $candidate;
            }
        }

        return $candidates;
    }

    /** Whether every plane of the ceiling was read: one without a height is missing, however the others lie. */
    private function hasHeights(): bool
    {
        $read = [];
        foreach ($this->readings as $reading) {
            if ($reading->slot->kind === ReadingKind::Height && $reading->slot->spots !== []) {
                $read[$reading->slot->plane] = true;
            }
        }

        return count($read) === count($this->sheet->shape->ceiling->planes());
    }

    private function room(Adjusted $walls, ?Adjusted $levels, ToolsAlone $tools): ?Room
    {
        if ($levels === null) {
            return null;
        }
        $value = fn (string $slot) => isset($this->readings[$slot]) ? $this->readings[$slot]->value() : 0.0;
        $inFront = $this->readings['height-front'] ?? null;
        $corners = array_map(fn (int $corner) => PlanNetwork::at($walls->unknowns, $corner), array_keys($this->sheet->shape->edges));

        return new Room(
            $this->sheet->shape,
            $this->network,
            $walls,
            new Levels($levels, count($this->sheet->shape->ceiling->planes()), $corners, $this->textures->ofCeiling(), $value('floor-rise')),
            $inFront?->value(),
            $inFront === null ? 0.0 : hypot($inFront->sigma(), $this->textures->sigma($inFront->slot, $this->sheet->shape)),
            $value('skirting-height'),
            $value('skirting-thickness'),
            $this->things,
            array_values(array_map(fn (Reading $reading) => $reading->slot, array_filter($this->readings, fn (Reading $reading) => $reading->slot->kind === ReadingKind::Offset || $reading->slot->onCeiling))),
            textures: $this->textures,
            tools: $tools,
        );
    }
}
