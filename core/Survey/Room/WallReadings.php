<?php

declare(strict_types=1);

namespace Incastro\Survey\Room;

use Incastro\Survey\Network\Observation;
use Incastro\Survey\Plan\PlanNetwork;
use Incastro\Survey\ReadingKind;
use Incastro\Survey\Slot;

/**
 * What every reading of walls says about their unknowns, each at its own height: a side taken elsewhere is reduced to the
 * plan by the walls' lean.
 */
final readonly class WallReadings
{
    public function __construct(private RoomNetwork $network)
    {
    }

    /** What a reading predicts, with its value and σ. */
    public function observation(string $id, Slot $slot, float $value, float $sigma): ?Observation
    {
        $z = $slot->height ?? $this->network->planHeight;

        return match ($slot->kind) {
            ReadingKind::Side, ReadingKind::Diagonal, ReadingKind::Depth => new Observation(
                $id,
                $value,
                $sigma,
                $this->dependsOfCorners([(int) $slot->from, (int) $slot->to], $z),
                fn (array $x): float => $this->network->corner($x, (int) $slot->from, $z)->distanceTo($this->network->corner($x, (int) $slot->to, $z))
            ),
            ReadingKind::Tie => new Observation(
                $id,
                $value,
                $sigma,
                [...$this->dependsOfCorners([(int) $slot->at], $z), ...$this->network->dependsOfWall((int) $slot->wall, $z)],
                fn (array $x): float => $this->network->corner($x, (int) $slot->at, $z)->distanceTo($this->network->wallPoint($x, (int) $slot->wall, (float) $slot->along, $z))
            ),
            ReadingKind::Width => $this->width($id, $slot, $value, $sigma, $z),
            ReadingKind::Corner => new Observation(
                $id,
                $slot->interior($value),
                $sigma,
                $this->dependsOfCorners([(int) $slot->from, (int) $slot->at, (int) $slot->to], $z),
                fn (array $x): float => rad2deg($this->interior($x, $slot, $z)),
                true
            ),
            ReadingKind::ThreeFourFive => new Observation(
                $id,
                $value,
                $sigma,
                $this->dependsOfCorners([(int) $slot->from, (int) $slot->at, (int) $slot->to], $z),
                fn (array $x): float => sqrt(max(1e-6, ($slot->legs[0] ?? 0.0) ** 2 + ($slot->legs[1] ?? 0.0) ** 2 - 2 * ($slot->legs[0] ?? 0.0) * ($slot->legs[1] ?? 0.0) * cos($this->interior($x, $slot, $z))))
            ),
            ReadingKind::Plumb => $this->plumb($id, $slot, $value, $sigma),
            ReadingKind::Offset => $this->straightedge($id, $slot, $value, $sigma),
            default => null,
        };
    }

    /**
     * Interior angle in radians.
     *
     * @param  array<int, float>  $x
     */
    private function interior(array $x, Slot $slot, float $z): float
    {
        return $this->network->corner($x, (int) $slot->at, $z)->turn($this->network->corner($x, (int) $slot->to, $z), $this->network->corner($x, (int) $slot->from, $z));
    }

    private function width(string $id, Slot $slot, float $value, float $sigma, float $z): ?Observation
    {
        $between = $slot->between;
        if ($between === null) {
            return null;
        }
        [$wall, $depth] = [(int) $slot->wall, (float) $slot->depth];
        $depends = array_unique([...$this->network->dependsOfEdge($wall), ...$this->network->dependsOfEdge($between[0]), ...$this->network->dependsOfEdge($between[1])]);
        sort($depends);
        $apart = function (array $x) use ($between, $z, $wall, $depth): ?float {
            $a = $this->network->meets($x, $between[0], $z, $wall, $depth);
            $b = $this->network->meets($x, $between[1], $z, $wall, $depth);

            return $a === null || $b === null ? null : $b - $a;
        };

        return new Observation($id, $value, $sigma, $depends, fn (array $x): float => abs($apart($x) ?? 0.0), slopes: function (array $x) use ($between, $z, $wall, $depth, $apart): array {
            $width = $apart($x);
            [$from, $to] = $width < 0.0 ? [$between[1], $between[0]] : $between;

            return $width === null ? [] : RoomNetwork::difference($this->network->meetsByField($x, $to, $z, $wall, $depth), $this->network->meetsByField($x, $from, $z, $wall, $depth));
        });
    }

    /** A lean is positive into the room, as the field is: it speaks for the level's own span alone. */
    private function plumb(string $id, Slot $slot, float $value, float $sigma): Observation
    {
        $field = $this->network->fields[(int) $slot->wall];
        $station = $this->network->station((int) $slot->wall, (float) $slot->along);
        $foot = (float) $slot->height;

        return Observation::linear($id, $value, $sigma, RoomNetwork::difference($field->weights($station, $foot + (float) $slot->span), $field->weights($station, $foot)));
    }

    /** An offset is read from the straightedge, a line of its own, to the wall: line less field. */
    private function straightedge(string $id, Slot $slot, float $value, float $sigma): Observation
    {
        $field = $this->network->fields[(int) $slot->wall];
        $station = $this->network->station((int) $slot->wall, (float) $slot->along);
        $weights = RoomNetwork::difference([], $field->weights($station, (float) $slot->height));
        [$first, $isLevel] = $this->network->straightedges[$slot->straightedge ?? ''];
        $weights[$first] = 1.0;
        // A level straightedge may run askew to the wall; a plumb one hangs as its level says.
        $weights[$first + 1] = ($isLevel ? $station : (float) $slot->height - $this->network->planHeight) / 1000.0;

        return Observation::linear($id, $value, $sigma, $weights);
    }

    /**
     * @param  list<int>  $corners
     * @return list<int>
     */
    private function dependsOfCorners(array $corners, float $z): array
    {
        $depends = [];
        foreach ($corners as $corner) {
            $depends = [...$depends, ...PlanNetwork::of($corner)];
            if (abs($z - $this->network->planHeight) >= 1e-6) {
                $depends = [...$depends, ...$this->network->dependsOfWall($this->network->shape->before($corner), $z), ...$this->network->dependsOfWall($corner, $z)];
            }
        }
        $depends = array_unique($depends);
        sort($depends);

        return $depends;
    }
}
