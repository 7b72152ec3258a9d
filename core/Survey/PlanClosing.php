<?php

declare(strict_types=1);

namespace Incastro\Survey;

use Incastro\Geometry\Point;
use Incastro\Survey\Plan\Contradictions;
use Incastro\Survey\Plan\PlanKind;
use Incastro\Survey\Plan\PlanReading;
use Incastro\Survey\Plan\StartingPolygon;
use Incastro\Survey\Room\RoomNetwork;

/**
 * The readings of a space as distances between its corners, near enough to construct a first plan, and to see which of them
 * no plan could hold. A width beside the back wall stands for the back wall's length, one in front for the front's.
 */
final class PlanClosing
{
    /** A width so far off the line of corners may differ from it by this much, as a share of the distance between them. */
    private const NEAR = 120.0;

    /** @var list<PlanReading> */
    private readonly array $readings;

    private readonly Contradictions $contradictions;

    /** The one of several that could explain every contradiction, if the rest of the readings told which. */
    private ?PlanReading $told = null;

    /** @param array<string, Reading> $readings */
    public function __construct(private readonly RoomNetwork $network, array $readings)
    {
        $plan = [];
        foreach ($readings as $reading) {
            foreach ($reading->takes as $take) {
                $slot = $reading->slot;
                $value = $take->signed($slot);
                $at = fn (PlanKind $kind, int $from, int $to, ?int $corner = null, float $read = 0.0) => new PlanReading($take->id, $kind, $from, $to, $corner, $read, '', $slot->tool, $slot->legs, $slot->outside);
                if ($slot->kind->isBetweenCorners()) {
                    $plan[] = $at($slot->kind === ReadingKind::Diagonal ? PlanKind::Diagonal : PlanKind::Side, (int) $slot->from, (int) $slot->to, null, $value);
                } elseif ($slot->kind === ReadingKind::Corner) {
                    $plan[] = $at(PlanKind::Corner, (int) $slot->from, (int) $slot->to, (int) $slot->at, $slot->interior($value));
                } elseif ($slot->kind === ReadingKind::ThreeFourFive) {
                    $plan[] = $at(PlanKind::ThreeFourFive, (int) $slot->from, (int) $slot->to, (int) $slot->at, $value);
                } elseif ($slot->kind === ReadingKind::Width && $slot->between !== null && abs((float) $slot->height - $network->planHeight) < 1.0) {
                    $ends = $this->nearCorners($slot);
                    if ($ends !== null) {
                        $plan[] = $at(PlanKind::Side, $ends[0], $ends[1], null, $value);
                    }
                }
            }
        }
        $this->readings = $plan;
        $this->contradictions = new Contradictions($plan);
    }

    /**
     * The corners between which a width nearly runs.
     *
     * @return array{int, int}|null
     */
    private function nearCorners(Slot $slot): ?array
    {
        $between = $slot->between ?? [0, 0];
        $wall = (int) $slot->wall;
        $shape = $this->network->shape;
        if ((float) $slot->depth <= self::NEAR && in_array($shape->after($wall), $between, true) && in_array($shape->before($wall), $between, true)) {
            return [$wall, $shape->after($wall)];
        }
        // In front: the far corners of the walls on both sides of the reference.
        return $between === [$shape->after($wall), $shape->before($wall)] ? [$shape->after($shape->after($wall)), $shape->before($wall)] : null;
    }

    /** @return list<list<Point>> plans to start from, best first */
    public function guesses(): array
    {
        return array_slice((new StartingPolygon($this->network->shape->corners(), $this->readings))->guesses(), 0, 4);
    }

    public function contradictions(): Contradictions
    {
        return $this->contradictions;
    }

    /**
     * Where several takes could explain every contradiction: leaves each out in turn, to hear which it is.
     *
     * @param  \Closure(list<string>): ?float  $misfit  Σ (residual/σ)² without some takes; null where the rest does not hold, or disagrees
     */
    public function ask(\Closure $misfit): void
    {
        $this->told = $this->contradictions->told($this->readings, fn (PlanReading $reading): ?float => $misfit([$reading->id]));
    }

    /**
     * Takes left out of the adjustment, since no plan holds them together.
     *
     * @return list<string>
     */
    public function excludedTakes(): array
    {
        return array_map(fn (PlanReading $reading) => $reading->id, $this->told === null ? $this->contradictions->toLeaveOut() : [$this->told]);
    }

    /**
     * Takes that alone explain every contradiction.
     *
     * @return list<string>
     */
    public function provenWrong(): array
    {
        $culprits = $this->told === null ? $this->contradictions->culprits() : [$this->told];

        return count($culprits) === 1 ? [$culprits[0]->id] : [];
    }
}
