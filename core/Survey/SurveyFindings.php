<?php

declare(strict_types=1);

namespace Incastro\Survey;

use Incastro\Geometry\Polygon;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Rules\Words;
use Incastro\Survey\Network\Adjusted;
use Incastro\Survey\Network\Observation;
use Incastro\Survey\Network\Scrutinised;
use Incastro\Survey\Network\Suspect;
use Incastro\Survey\Network\UndecidedSet;
use Incastro\Survey\Plan\MostHelpful;
use Incastro\Survey\Plan\PlanReading;
use Incastro\Survey\Room\Room;
use Incastro\Survey\Room\RoomNetwork;
use Incastro\Survey\Space\Sheet;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Survey\Things\Face;

/** What the readings say about themselves, in sentences: what is missing, which do not agree, and what to take again. */
final readonly class SurveyFindings
{
    /** A reading of which the others check less than this share is checked by nobody. */
    private const UNCHECKED = 0.03;

    /** Most readings named in one sentence. */
    private const NAMED = 4;

    /** Beyond this only metres are said, mm: such a reading is no reading of a room. */
    private const FAR = 100_000.0;

    /** A thing may stand over the end of its face by this much before it is said, mm. */
    private const OVER = 5.0;

    /**
     * @param  list<Slot>  $slots
     * @param  array<string, Reading>  $readings  by slot
     * @param  array<string, array{Take, Slot}>  $takes  by take
     */
    public function __construct(
        private Sheet $sheet,
        private array $slots,
        private array $readings,
        private array $takes,
        private RoomNetwork $network,
        private LengthFormat $format,
    ) {
    }

    /**
     * @param  list<Observation>  $wallCandidates  readings of the sheet not taken yet, by slot
     * @param  list<Observation>  $levelCandidates
     * @return list<Finding>
     */
    public function all(?Room $room, ?Scrutinised $walls, ?Scrutinised $levels, PlanClosing $closing, bool $planIsChecked, array $wallCandidates, array $levelCandidates): array
    {
        $accused = [...$this->accusations($walls), ...$this->accusations($levels)];

        return [
            ...$this->contradictions($closing),
            ...$accused,
            ...($accused === [] ? $this->takesThatDiffer() : []),
            ...$this->crossing($walls?->adjusted),
            ...$this->plan($room, $planIsChecked),
            ...($room === null ? [] : $this->unchecked($room, $walls, $wallCandidates, $levelCandidates)),
            ...$this->notes($room),
        ];
    }

    /**
     * Corners that nothing holds though every required reading is there or cannot be taken, and what would hold them.
     *
     * @param  list<int>  $corners
     * @param  list<Observation>  $candidates  readings of the sheet not taken yet, by slot
     * @return list<Finding>
     */
    public function floating(array $corners, Adjusted $draft, array $candidates): array
    {
        if ($corners === []) {
            return [];
        }
        $names = Words::listed(array_map(SpaceShape::name(...), $corners), 'and');
        $best = MostHelpful::position($draft, array_combine(array_map(fn (Observation $candidate) => $candidate->id, $candidates), $candidates));
        $slot = $this->slot($best);

        return [Finding::warning(Code::PlanFloats, sprintf(
            count($corners) === 1 ? 'Corner %s floats: the readings do not say where it is.%s' : 'Corners %s float: the readings do not say where they are.%s',
            $names,
            $slot === null ? ' Add a diagonal or a corner there.' : sprintf(' “%s” would help most.', $slot->label),
        ), $slot->id ?? '')];
    }

    /**
     * Places that were read more than once alike and are off the others all the same.
     *
     * @param  list<string>  $takes
     * @return list<Finding>
     */
    public function rough(array $takes): array
    {
        if ($takes === []) {
            return [];
        }
        $labels = array_map(fn (string $take) => '“'.$this->takes[$take][1]->label.'”', $takes);
        $named = array_slice($labels, 0, self::NAMED);
        $more = count($labels) - count($named);

        return [Finding::note(Code::RougherThanSupposed, sprintf(
            'This room is rougher than its readings suppose: %s %s read alike more than once and %s off the others. They count less. If its walls are older than you said, say so.',
            Words::listed($more === 0 ? $named : [...$named, "$more more"], 'and'),
            count($labels) === 1 ? 'was' : 'were',
            count($labels) === 1 ? 'is' : 'are',
        ), $this->takes[$takes[0]][1]->id)];
    }

    /** @return list<Finding> where all readings scatter so many times as much as they should */
    public function rougher(float $times): array
    {
        return $times <= 1.0 ? [] : [Finding::note(Code::RougherThanSupposed, sprintf(
            'This room is rougher than its readings suppose: they scatter %.1f times as much as such tools do on such walls. All of them count with that much more doubt, instead of one after another being left out. If its walls are older than you said, say so.',
            $times,
        ), '')];
    }

    /** @return list<Finding> */
    private function accusations(?Scrutinised $scrutinised): array
    {
        $findings = [];
        foreach ($scrutinised->suspects ?? [] as $suspect) {
            [$take, $slot] = $this->takes[$suspect->id];
            if ($this->isRetaken($suspect, $scrutinised->suspects ?? [])) {
                $findings[] = Finding::note(Code::Struck, sprintf('One take of “%s” was %s and does not count; the other agrees with the rest.', $slot->label, $this->error($slot, $suspect->error, $suspect->slip)), $slot->id);
            } else {
                $findings[] = Finding::warning(Code::Suspect, sprintf('“%s” is %s. Take it again.', $slot->label, $this->error($slot, $suspect->error, $suspect->slip)), $slot->id);
            }
        }
        foreach ($scrutinised->undecided ?? [] as $set) {
            $findings[] = $this->undecided($set);
        }
        if ($scrutinised->tooFew ?? false) {
            $findings[] = Finding::warning(Code::TooFew, 'More than one reading is wrong, and there are too few to say which. More readings are needed: a diagonal or a corner that is not there yet, or these again.', '');
        }

        return $findings;
    }

    /** @param list<Suspect> $suspects whether takes that differ from the suspect, and that nobody doubts, stand beside it */
    private function isRetaken(Suspect $suspect, array $suspects): bool
    {
        $doubted = array_map(fn (Suspect $other) => $other->id, $suspects);
        foreach ($this->readings[$this->takes[$suspect->id][1]->id]->agreeing() as $place) {
            if (array_intersect(array_column($place->takes, 'id'), $doubted) === []) {
                return true;
            }
        }

        return false;
    }

    private function undecided(UndecidedSet $set): Finding
    {
        $members = [];
        foreach ($set->ids as $i => $id) {
            $slot = $this->takes[$id][1];
            $members[] = sprintf('“%s” (%s)', $slot->label, $this->error($slot, $set->errors[$i], $set->slips[$i]));
        }
        $again = $this->takes[$set->takeAgain][1];
        if (count($set->ids) === 1) {
            return Finding::warning(Code::Suspect, sprintf('“%s” is %s, and no usual slip does that. Take it again before it is left out: sizes hang on it.', $again->label, $this->error($again, $set->errors[0], null)), $again->id);
        }
        $slots = array_unique(array_map(fn (string $id) => $this->takes[$id][1]->id, $set->ids));
        if (count($slots) === 1) {
            return Finding::warning(Code::TakesDiffer, sprintf('The takes of “%s” differ by more than their tool does. Take it a third time.', $again->label), $again->id);
        }
        $new = $this->slot($set->newReading);

        return Finding::warning(Code::Undecided, sprintf(
            'One of these is wrong, and they cannot be told apart: %s. Take “%s” again%s.',
            Words::listed($members, 'or'),
            $again->label,
            $new === null ? '' : sprintf('; “%s” would decide better', $new->label),
        ), $again->id, array_values($slots));
    }

    /** "25.1 mm too long: one inch". */
    private function error(Slot $slot, float $error, ?string $slip): string
    {
        $size = $slot->kind->isAngle() ? sprintf('%.1f° too %s', abs($error), $error > 0 ? 'wide' : 'narrow') : sprintf('%s too %s', $this->mm(abs($error)), $error > 0 ? 'large' : 'small');

        return $slip === null ? $size : "$size: $slip";
    }

    /** @return list<Finding> */
    private function takesThatDiffer(): array
    {
        $findings = [];
        foreach ($this->readings as $reading) {
            if ($reading->takesDiffer()) {
                $findings[] = Finding::warning(Code::TakesDiffer, sprintf('The two takes of “%s” differ by more than a tape does. Take it a third time.', $reading->slot->label), $reading->slot->id);
            }
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function contradictions(PlanClosing $closing): array
    {
        $findings = [];
        $name = fn (PlanReading $reading) => '“'.$this->takes[$reading->id][1]->label.'”';
        $proven = $closing->provenWrong();
        $slot = $proven === [] ? null : $this->takes[$proven[0]][1];
        if ($slot !== null && count($this->readings[$slot->id]->takes) > 1) {
            return [Finding::note(Code::Struck, sprintf('One take of “%s” cannot be: no plan closes with it. It does not count; the other does.', $slot->label), $slot->id)];
        }
        if ($slot !== null) {
            return [Finding::warning(Code::Suspect, sprintf('“%s” cannot be: no plan closes with it, and without it the others make one. Take it again.', $slot->label), $slot->id)];
        }
        foreach (array_slice($closing->contradictions()->found, 0, 2) as [$long, $way]) {
            $sum = array_sum(array_map(fn (PlanReading $part) => $part->value, $way));
            $findings[] = Finding::warning(Code::PlanCannotClose, sprintf(
                'No plan closes: %s was read as %s, but %s come to %s together. It is at least %s too long, or one of them too short. Take them again.',
                $name($long),
                $this->mm($long->value),
                Words::listed(array_map($name, $way), 'and'),
                $this->mm($sum),
                $this->mm($long->value - $sum),
            ), $this->takes[$long->id][1]->id);
        }

        return $findings;
    }

    /** @return list<Finding> */
    private function crossing(?Adjusted $adjusted): array
    {
        if ($adjusted === null) {
            return [];
        }
        $shape = $this->sheet->shape;
        $crossing = (new Polygon(array_map(fn (int $corner) => $this->network->corner($adjusted->unknowns, $corner, $this->network->planHeight), array_keys($shape->edges))))->crossing();

        return $crossing === null ? [] : [Finding::warning(Code::PlanCrosses, sprintf('The plan crosses itself: %s crosses %s. Check the order of the corners, which go round anticlockwise as seen from above, and the sides there.', $shape->edgeName($crossing[0]), $shape->edgeName($crossing[1])), '')];
    }

    /** @return list<Finding> */
    private function plan(?Room $room, bool $planIsChecked): array
    {
        if ($room === null || $planIsChecked) {
            return [];
        }
        $open = array_values(array_filter($this->slots, fn (Slot $slot) => $slot->kind === ReadingKind::Diagonal && ! isset($this->readings[$slot->id])));

        return [Finding::warning(Code::PlanNotChecked, 'Nothing shows yet whether the space is skewed: widths and depths agree just as well in a slanted plan. Take one diagonal or one corner angle.', $open[0]->id ?? '')];
    }

    /**
     * Readings that nothing checks, and the one that would help most.
     *
     * @param  list<Observation>  $wallCandidates
     * @param  list<Observation>  $levelCandidates
     * @return list<Finding>
     */
    private function unchecked(Room $room, ?Scrutinised $walls, array $wallCandidates, array $levelCandidates): array
    {
        if ($walls === null) {
            return [];
        }
        $ofWalls = self::uncheckedIn($walls->adjusted);
        $ofLevels = self::uncheckedIn($room->levels->adjusted);
        $names = [];
        foreach ([[$walls->adjusted, $ofWalls], [$room->levels->adjusted, $ofLevels]] as [$adjusted, $unchecked]) {
            foreach ($unchecked as $k) {
                $slot = $this->takes[$adjusted->observations[$k]->id][1];
                $names[$slot->id] = "“{$slot->label}”";
            }
        }
        if ($names === []) {
            return [];
        }
        $best = $this->mostHelpful($room, $walls->adjusted, $wallCandidates, $levelCandidates, $ofWalls, $ofLevels);
        $more = count($names) - self::NAMED;

        return [Finding::note(Code::Unchecked, sprintf(
            'Nothing checks %s%s: take them with care, or twice.%s',
            $more > 0 ? implode(', ', array_slice($names, 0, self::NAMED)) : Words::listed(array_values($names), 'and'),
            $more > 0 ? sprintf(' and %d more', $more) : '',
            $best === null ? '' : sprintf(' One reading more would help most: “%s”.', $best->label),
        ), $best->id ?? (string) array_key_first($names))];
    }

    /** @return list<int> observations of which the others check next to nothing */
    private static function uncheckedIn(Adjusted $adjusted): array
    {
        return array_values(array_filter(array_keys($adjusted->observations), fn (int $k) => ! $adjusted->observations[$k]->isAssumption && $adjusted->redundancy($k) < self::UNCHECKED));
    }

    /**
     * The slot not yet taken that would lower the doubt of the clear span most; where only heights are unchecked, the one
     * that would check them best.
     *
     * @param  list<Observation>  $wallCandidates
     * @param  list<Observation>  $levelCandidates
     * @param  list<int>  $uncheckedWalls
     * @param  list<int>  $uncheckedLevels
     */
    private function mostHelpful(Room $room, Adjusted $walls, array $wallCandidates, array $levelCandidates, array $uncheckedWalls, array $uncheckedLevels): ?Slot
    {
        $byId = fn (array $candidates): array => array_combine(array_map(fn (Observation $candidate) => $candidate->id, $candidates), $candidates);
        $frame = $room->frame();
        $best = $uncheckedWalls === []
            ? MostHelpful::check($room->levels->adjusted, $uncheckedLevels, $byId($levelCandidates))
            : MostHelpful::span($walls, [$frame->span($frame->wholePath())->weights], $byId($wallCandidates));

        return $this->slot($best);
    }

    /** @return list<Finding> */
    private function notes(?Room $room): array
    {
        if ($room === null) {
            return [];
        }
        $findings = [];
        if ($this->slot('height-front') !== null && ! isset($this->readings['height-front'])) {
            $findings[] = Finding::note(Code::HeightInFrontMissing, 'The ceiling height in front is not known, so a box is reckoned to be stood up under the space’s own ceiling.', 'height-front');
        }
        foreach ($room->things as $thing) {
            $place = "thing:$thing->id";
            if ($thing->face === Face::Wall && isset($room->shape->edges[$thing->wall])) {
                $length = $room->edgeLength($thing->wall);
                $left = $thing->left($length);
                if ($left < -self::OVER || $left + $thing->width > $length + self::OVER) {
                    $findings[] = Finding::warning(Code::ThingOutside, sprintf('%s lies outside %s: it is %s wide at %s from the %s corner, and the wall is %s long. Check the distance or the corner it is measured from.', $thing->name, $room->shape->wallName($thing->wall), $this->mm($thing->width), $this->mm($thing->along), $thing->fromRight ? 'right' : 'left', $this->mm($length)), $place);
                }
                // Under a slope the wall is as high as it is there.
                $height = $room->frame($thing->wall)->ceilingAt(max(0.0, min($length, $left + $thing->width / 2)), 0.0);
                $foot = $thing->foot($height);
                if ($foot < -self::OVER || $foot + $thing->height > $height + 200.0) {
                    $findings[] = Finding::warning(Code::ThingOutside, sprintf('%s does not lie between floor and ceiling: %s high at %s from the %s, under %s. Check the height or what it is measured from.', $thing->name, $this->mm($thing->height), $this->mm($thing->up), $thing->fromCeiling ? 'ceiling' : 'floor', $this->mm($height)), $place);
                }
            }
            $caution = $thing->kind->caution();
            if ($caution !== null) {
                $findings[] = Finding::note(Code::Caution, $caution, $place);
            }
        }

        return array_values(array_intersect_key($findings, array_unique(array_map(fn (Finding $finding) => $finding->sentence, $findings))));
    }

    private function slot(?string $id): ?Slot
    {
        foreach ($this->slots as $slot) {
            if ($slot->id === $id) {
                return $slot;
            }
        }

        return null;
    }

    private function mm(float $millimetres): string
    {
        return $millimetres > self::FAR ? sprintf('%.0f m', $millimetres / 1000) : $this->format->write(Length::ofDouble($millimetres));
    }
}
