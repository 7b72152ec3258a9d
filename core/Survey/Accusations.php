<?php

declare(strict_types=1);

namespace Incastro\Survey;

use Incastro\Survey\Network\Adjusted;
use Incastro\Survey\Network\Adjustment;
use Incastro\Survey\Network\Observation;
use Incastro\Survey\Network\Scrutinised;
use Incastro\Survey\Network\Scrutiny;
use Incastro\Survey\Network\Slip;
use Incastro\Survey\Network\Suspect;
use Incastro\Survey\Network\Undetermined;

/**
 * Who stands accused of what in a space. A place that was read twice alike and is off by no more than a wall can be is rough, not wrong;
 * where more than one is off that no slip explains, the whole room is rougher than was said; and nothing that sizes hang on is left out
 * before it was taken again.
 */
final class Accusations
{
    /** Times that places are found to be rougher than the readings suppose. */
    private const ROUGH = 4;

    /** So many accused are more likely the room's fault, if its readings scatter more than so many times as they should. */
    private const SEVERAL = 3;

    private const ROUGHER = 1.25;

    /** A wall is off its plane by no more, mm: what is explained by a slip so small may be the wall as well. */
    private const WAVES = 15.0;

    /** Rougher than this it is no wall, but slips. */
    private const ROUGHEST = 4.0;

    /** No reading is left out on its own that moves what is clear by more, mm; a corner's angle by so much of its wall. */
    private const MOVES = 15.0;

    private const ARM = 1000.0;

    public const WALLS = 'walls';

    public const LEVELS = 'levels';

    /** @var array<string, float> places that are rougher than was supposed, by take: how far off they are */
    public array $rough = [];

    /** @var array<string, float> how many times as much readings of walls and of levels scatter as they should, where that is more */
    public array $scales = [];

    /**
     * @param  array<string, array{Take, Slot}>  $takes  by take
     * @param  array<string, Reading>  $readings  by slot
     */
    public function __construct(private readonly Places $places, private readonly array $takes, private readonly array $readings, private readonly bool $isInch)
    {
    }

    /** Whether nobody is accused. */
    public function isConsistent(Adjusted $adjusted): bool
    {
        return $this->scrutiny($adjusted, [])->of($adjusted->observations)->isConsistent();
    }

    /** @param list<Observation> $candidates */
    public function of(Adjusted $adjusted, array $candidates, string $of): Scrutinised
    {
        $scrutiny = $this->scrutiny($adjusted, $candidates);
        $observations = $adjusted->observations;
        $scrutinised = $scrutiny->of($observations);
        for ($i = 0; $i < self::ROUGH && ($rough = $this->places->confirmed($scrutinised)) !== []; $i++) {
            $this->rough = $rough + $this->rough;
            $observations = $this->widened($observations, $rough);
            $scrutinised = $scrutiny->of($observations);
        }
        $scale = $this->rougher($scrutinised, $observations, $adjusted);
        if ($scale > self::ROUGHER) {
            $this->scales[$of] = $scale;
            try {
                return $scrutiny->of($this->scaled($observations, $of));
            } catch (Undetermined) {
                // Readings so wild that no room comes of them with other weights: they stay accused one by one.
                unset($this->scales[$of]);
            }
        }

        return $scrutinised;
    }

    /**
     * How much more the readings scatter than they should, √(vᵀPv/r), without those whose slip is told. Asked only where several are
     * accused: people slip once or twice in a space, a wall is rough all over.
     *
     * @param  list<Observation>  $observations
     */
    private function rougher(Scrutinised $scrutinised, array $observations, Adjusted $adjusted): float
    {
        if (count($scrutinised->suspects) + count($scrutinised->undecided) < self::SEVERAL) {
            return 1.0;
        }
        $told = array_map(fn (Suspect $suspect) => $suspect->id, array_filter($scrutinised->suspects, fn (Suspect $suspect) => $suspect->slip !== null && abs($suspect->error) > self::WAVES));
        try {
            $rest = Adjustment::solve(array_values(array_filter($observations, fn (Observation $observation) => ! in_array($observation->id, $told, true))), $adjusted->unknowns);
        } catch (Undetermined) {
            return 1.0;
        }

        return $rest->degreesOfFreedom() < 1 ? 1.0 : min(self::ROUGHEST, sqrt($rest->sumOfSquares() / $rest->degreesOfFreedom()));
    }

    /**
     * @param  list<Observation>  $observations
     * @return list<Observation> each with as much more doubt as the readings of its kind scatter more than they should
     */
    private function scaled(array $observations, string $of): array
    {
        $scale = $this->scales[$of] ?? 1.0;

        return $scale === 1.0 ? $observations : array_map(fn (Observation $observation) => $observation->scaled($scale), $observations);
    }

    /**
     * Whether a reading is taken again before it is left out: one that was taken once, that no typical slip explains, and without which
     * what is clear would be another size by more than is left to chance.
     */
    private function waits(string $id, float $error, float $sigma): bool
    {
        $moves = match ($this->takes[$id][1]->kind) {
            // A level is about half as long as its wall is high.
            ReadingKind::Plumb => 2 * abs($error),
            ReadingKind::Corner, ReadingKind::Slope => abs(deg2rad($error)) * self::ARM,
            default => abs($error),
        };

        return $moves > self::MOVES && count($this->places->takesWith($id)) === 1 && ! $this->places->isReadTwice($id) && $this->slip($id, $error, $sigma) === null;
    }

    /** @param list<Observation> $candidates */
    private function scrutiny(Adjusted $adjusted, array $candidates): Scrutiny
    {
        return new Scrutiny(
            fn (array $observations) => $observations === $adjusted->observations ? $adjusted : Adjustment::solve($observations, $adjusted->unknowns),
            $this->slip(...),
            $candidates,
            $this->waits(...),
        );
    }

    /**
     * @param  list<Observation>  $observations
     * @param  array<string, float>  $rough
     * @return list<Observation>
     */
    private function widened(array $observations, array $rough): array
    {
        return array_map(fn (Observation $observation) => isset($rough[$observation->id]) ? $observation->widened($rough[$observation->id]) : $observation, $observations);
    }

    /**
     * The same solved once more with the doubt that the stated textures leave: nobody is accused of what ordinary plaster does, but
     * where walls are said to be smoother, sizes are reckoned so.
     *
     * @param  list<Observation>  $observations
     */
    public function asStated(Scrutinised $accused, array $observations, string $of): Scrutinised
    {
        $kept = array_values(array_filter($this->scaled($this->widened($observations, $this->rough), $of), fn (Observation $observation) => ! $accused->suspects($observation->id)));

        try {
            return new Scrutinised(Adjustment::solve($kept, $accused->adjusted->unknowns), $accused->suspects, $accused->undecided, $accused->tooFew);
        } catch (Undetermined) {
            return $accused;
        }
    }

    private function slip(string $id, float $error, float $sigma): ?Slip
    {
        [$take, $slot] = $this->takes[$id];
        $other = $slot->swap === null ? null : ($this->readings[$slot->swap] ?? null)?->value();

        return Slips::explain($error, $sigma, $take->signed($slot), $take->typed, $slot->tool, $this->isInch, $other);
    }
}
