<?php

declare(strict_types=1);

namespace Incastro\Survey\Room;

use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Survey\Network\Adjusted;
use Incastro\Survey\Network\Adjustment;
use Incastro\Survey\Network\Observation;
use Incastro\Survey\Network\Undetermined;
use Incastro\Survey\Plan\PlanNetwork;
use Incastro\Survey\PlanClosing;

/** Finds the room that disagrees least with its readings: from the usual plan, and where that leads astray from others. */
final readonly class RoomSolver
{
    /** σ of a corner beyond which nothing really holds it, mm. */
    private const FLOATS = 50.0;

    /** Corners of a constructed plan as near as this lie where the adjustment's do, mm. */
    private const CONFIRMS = 100.0;

    /** σ of a corner of the usual plan, mm, until readings say better: for drawing alone. */
    private const USUAL = 300.0;

    public function __construct(private RoomNetwork $network, private PlanClosing $closing)
    {
    }

    /**
     * The adjustment of observations that hold every corner; null where they do not.
     *
     * @param  list<Observation>  $observations
     */
    public function solved(array $observations): ?Adjusted
    {
        // Most often the usual plan is near enough to start from.
        $best = $this->from(array_replace(array_fill(0, $this->network->unknowns, 0.0), PlanNetwork::unknownsOf($this->network->shape->nominal)), $observations);
        if ($best !== null && ($this->isGood($best) || $this->isConfirmed($best))) {
            return $this->floats($best) ? null : $best;
        }
        $draft = $this->draft($observations);
        if ($this->floats($draft)) {
            return null;
        }
        $best = null;
        foreach ($this->starts($draft) as $start) {
            $adjusted = $this->from($start, $observations);
            if ($adjusted === null) {
                // What floats from one start floats from every other.
                return null;
            }
            if ($best === null || $this->badness($adjusted) < $this->badness($best)) {
                $best = $adjusted;
            }
            if ($this->isGood($best)) {
                break;
            }
        }

        return $best === null || $this->floats($best) ? null : $best;
    }

    /**
     * @param  array<int, float>  $start
     * @param  list<Observation>  $observations
     */
    private function from(array $start, array $observations): ?Adjusted
    {
        try {
            return Adjustment::solve($observations, array_values($start));
        } catch (Undetermined) {
            return null;
        }
    }

    private function isGood(Adjusted $adjusted): bool
    {
        return $this->badness($adjusted) < 1e4 && $adjusted->sumOfSquares() <= 9.0 * max(1, $adjusted->degreesOfFreedom());
    }

    /**
     * Whether a plan that is constructed from the readings alone lies where the adjustment does: then readings disagree, and
     * no other start would do better.
     */
    private function isConfirmed(Adjusted $adjusted): bool
    {
        if ($this->badness($adjusted) >= 1e6) {
            return false;
        }
        $corners = $this->polygon($adjusted)->points;
        foreach ($this->closing->guesses() as $guess) {
            $off = max(0.0, ...array_map(fn (Point $corner, Point $guessed) => $corner->distanceTo($guessed), $corners, $guess));
            if ($off < self::CONFIRMS) {
                return true;
            }
        }

        return false;
    }

    private function floats(Adjusted $adjusted): bool
    {
        return $this->floatingCorners($adjusted) !== [];
    }

    /**
     * Corners that are so little held by the readings that they may as well stand elsewhere.
     *
     * @return list<int>
     */
    public function floatingCorners(Adjusted $adjusted): array
    {
        $variance = fn (int $corner): float => array_sum(array_map(fn (int $i) => $adjusted->covariance[$i][$i], PlanNetwork::of($corner)));

        return array_values(array_filter(array_keys($this->network->shape->edges), fn (int $corner) => $variance($corner) > self::FLOATS ** 2));
    }

    /**
     * First the usual plan pulled into the readings' shape, then polygons constructed from the readings alone.
     *
     * @return \Generator<list<float>>
     */
    private function starts(Adjusted $draft): \Generator
    {
        $zeros = array_fill(0, $this->network->unknowns, 0.0);
        yield $draft->unknowns;
        foreach ($this->closing->guesses() as $guess) {
            yield array_replace($zeros, PlanNetwork::unknownsOf($guess));
        }
    }

    private function badness(Adjusted $adjusted): float
    {
        $polygon = $this->polygon($adjusted);

        return $adjusted->sumOfSquares() + ($polygon->isSimple() ? 0.0 : 1e6) + ($polygon->signedArea() > 0 ? 0.0 : 1e6);
    }

    private function polygon(Adjusted $adjusted): Polygon
    {
        return new Polygon(array_map(fn (int $corner) => PlanNetwork::at($adjusted->unknowns, $corner), array_keys($this->network->shape->edges)));
    }

    /**
     * The usual plan of the space as the readings so far bend it: always there, for the drawing.
     *
     * @param  list<Observation>  $observations
     */
    public function draft(array $observations): Adjusted
    {
        $start = array_replace(array_fill(0, $this->network->unknowns, 0.0), PlanNetwork::unknownsOf($this->network->shape->nominal));

        try {
            return Adjustment::solve($observations, $start, self::USUAL);
        } catch (Undetermined) {
            // Places that contradict each other: the usual plan as it is.
            return Adjustment::solve([], $start, self::USUAL);
        }
    }
}
