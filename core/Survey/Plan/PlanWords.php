<?php

declare(strict_types=1);

namespace Incastro\Survey\Plan;

use Incastro\Rules\Words;
use Incastro\Survey\Network\Scrutinised;
use Incastro\Survey\Reading;

/** Says in sentences what the readings of a plan make of each other. */
final readonly class PlanWords
{
    /** @param list<string> $names of the corners */
    public function __construct(private array $names)
    {
    }

    /** "side A–B", "corner at C". */
    public function name(PlanReading $reading): string
    {
        $ends = $this->names[$reading->from].'–'.$this->names[$reading->to];

        return match ($reading->kind) {
            PlanKind::Corner => 'corner at '.$this->names[(int) $reading->at],
            PlanKind::ThreeFourFive => '3-4-5 at '.$this->names[(int) $reading->at],
            PlanKind::Offset => sprintf('offset of %s from %s', $this->names[(int) $reading->at], $ends),
            default => $reading->kind->value.' '.$ends,
        };
    }

    /** @return list<string> */
    public function contradictions(Contradictions $contradictions): array
    {
        $sentences = [];
        foreach (array_slice($contradictions->found, 0, 3) as [$long, $way]) {
            $sum = array_sum(array_map(fn (PlanReading $reading) => $reading->value, $way));
            $sentences[] = sprintf('No plan closes: %s was read as %.1f mm, but %s come to %.1f mm together, so it is at least %.1f mm too long, or one of them too short. Take them again.', $this->name($long), $long->value, $this->listed($way, 'and'), $sum, $long->value - $sum);
        }

        return $sentences;
    }

    /**
     * @param  array{int, int}|null  $crossing
     * @return list<string>
     */
    public function crossing(?array $crossing): array
    {
        if ($crossing === null) {
            return [];
        }
        $side = fn (int $corner) => $this->names[$corner].'–'.$this->names[($corner + 1) % count($this->names)];

        return [sprintf('The plan crosses itself: side %s crosses side %s. Check the order of the corners, which go round the space anticlockwise as seen from above.', $side($crossing[0]), $side($crossing[1]))];
    }

    /**
     * @param  list<PlanReading>  $readings
     * @return list<string>
     */
    public function takes(array $readings): array
    {
        $sentences = [];
        foreach ($readings as $i => $reading) {
            $takes = array_values(array_filter($readings, $reading->isTakeOf(...)));
            if ($takes[0] === $reading && count($takes) === 2 && abs($takes[0]->value - $takes[1]->value) > Reading::TAKES_DIFFER * $reading->sigma()) {
                $sentences[] = sprintf('The two takes of %s differ by %.1f. Take it a third time.', $this->name($reading), abs($takes[0]->value - $takes[1]->value));
            }
        }

        return $sentences;
    }

    /**
     * @param  array<string, PlanReading>  $readings
     * @return list<string>
     */
    public function accusations(Scrutinised $scrutinised, array $readings, PlanNetwork $network): array
    {
        $sentences = [];
        foreach ($scrutinised->suspects as $suspect) {
            $sentences[] = sprintf('%s is %s too %s%s. Take it again.', ucfirst($this->name($readings[$suspect->id])), self::size($readings[$suspect->id], $suspect->error), self::direction($readings[$suspect->id], $suspect->error), $suspect->slip === null ? '' : " ($suspect->slip)");
        }
        foreach ($scrutinised->undecided as $set) {
            $members = array_map(fn (string $id) => $readings[$id], $set->ids);
            $new = $set->newReading === null ? null : $network->candidates(array_values($readings))[$set->newReading][0];
            $sentences[] = sprintf('One of these is wrong, and they cannot be told apart: %s. %s', $this->listed($members, 'or'), $new === null
                ? sprintf('Take %s again.', $this->name($readings[$set->takeAgain]))
                : sprintf('Take %s again; the %s would decide better.', $this->name($readings[$set->takeAgain]), $this->name($new)));
        }
        if ($scrutinised->isThin() && ! $scrutinised->tooFew) {
            $sentences[] = 'More readings are needed to be sure of that: with so few to spare, two wrong ones can look like one. Take it again, and one more diagonal or corner.';
        }
        if ($scrutinised->tooFew) {
            $sentences[] = 'More than one reading is wrong, and there are too few to say which. More readings are needed: take a diagonal or a corner that is not there yet, or these again.';
        }

        return $sentences;
    }

    /**
     * @param  list<PlanReading>  $readings
     * @return list<string>
     */
    public function unchecked(array $readings, ?PlanReading $best): array
    {
        return [sprintf('Nothing checks %s.%s', $this->listed($readings, 'and'), $best === null ? '' : sprintf(' One more reading would help most: the %s.', $this->name($best)))];
    }

    /**
     * @param  list<int>  $corners
     * @param  list<PlanReading>  $asked
     * @return list<string>
     */
    public function floating(array $corners, array $asked): array
    {
        $names = array_map(fn (int $corner) => $this->names[$corner], $corners);
        $fix = $asked === [] ? '' : sprintf(' %s would fix %s.', ucfirst($this->listed($asked, 'and')), count($corners) === 1 ? 'it' : 'them');

        return [count($names) === 1
            ? sprintf('Corner %s floats: the readings do not say where it is.%s', $names[0], $fix)
            : sprintf('Corners %s float: the readings do not say where they are.%s', implode(', ', $names), $fix)];
    }

    /** @param list<PlanReading> $readings */
    private function listed(array $readings, string $joint): string
    {
        return Words::listed(array_map($this->name(...), $readings), $joint);
    }

    private static function direction(PlanReading $reading, float $error): string
    {
        return match (true) {
            $reading->kind === PlanKind::Corner => $error > 0 ? 'wide' : 'narrow',
            default => $error > 0 ? 'long' : 'short',
        };
    }

    private static function size(PlanReading $reading, float $error): string
    {
        return $reading->kind === PlanKind::Corner ? sprintf('%.1f degrees', abs($error)) : sprintf('%.1f mm', abs($error));
    }
}
