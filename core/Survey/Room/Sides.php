<?php

declare(strict_types=1);

namespace Incastro\Survey\Room;

use Incastro\Survey\Network\Adjustment;
use Incastro\Survey\Network\Observation;
use Incastro\Survey\Plan\PlanNetwork;

/** The walls beside a run, or what lies on them: where they stand at a depth and a height, and how that depends on the unknowns of the plan. */
final class Sides
{
    /** A wall may be carried on past its corners by this much and still be met, mm: corners move with the height. */
    private const PAST_CORNERS = 5.0;

    /** @var array<string, array{float, ?int}> where a side stands at a place, and the wall that stands there */
    private array $met = [];

    /** @var array<string, array<int, float>> how that depends on the unknowns */
    private array $weighed = [];

    /** @var array{left: list<int>, right: list<int>} walls that may stand on either side */
    public readonly array $walls;

    public function __construct(private readonly Room $room, private readonly RunFrame $frame, private readonly Faces $faces)
    {
        $sides = ['left' => [], 'right' => []];
        $middle = $frame->length() / 2;
        foreach ($room->shape->walls() as $other) {
            // A wall that runs along in front is no side.
            if ($other !== $frame->wall && $frame->turnsOff($other)) {
                $at = ($frame->place($room->corners[$other])[0] + $frame->place($room->corners[$room->shape->after($other)])[0]) / 2;
                $sides[$at < $middle ? 'left' : 'right'][] = $other;
            }
        }
        $this->walls = $sides;
    }

    /**
     * Where the nearest wall on a side stands at a place, and which it is.
     *
     * @return array{float, ?int}
     */
    public function at(string $side, float $v, float $z): array
    {
        return $this->met["$side $v $z"] ??= $this->nearest($side, $v, $z);
    }

    /** @return array{float, ?int} */
    private function nearest(string $side, float $v, float $z): array
    {
        $x = $this->room->adjusted->unknowns;
        $sign = $side === 'left' ? 1 : -1;
        $best = null;
        foreach ($this->reaching($side, $v) as $wall) {
            $u = $this->faces->met($this->frame, $wall, $this->room->network->meets($x, $wall, $z, $this->frame->wall, $v), $sign, $v, $z);
            if ($u !== null && ($best === null || $sign * $u > $sign * $best[0])) {
                $best = [$u, $wall];
            }
        }

        // An open side ends where the wall does.
        return $best ?? [$side === 'left' ? 0.0 : $this->frame->length(), null];
    }

    /** @return array<int, float> how the place of a side depends on the unknowns */
    public function weights(string $side, float $v, float $z): array
    {
        return $this->weighed["$side $v $z"] ??= $this->weigh($side, $v, $z);
    }

    /** @return array<int, float> */
    private function weigh(string $side, float $v, float $z): array
    {
        $x = $this->room->adjusted->unknowns;
        $wall = $this->at($side, $v, $z)[1];
        if ($wall !== null) {
            return Adjustment::row($this->room->network->meeting($wall, $z, $this->frame->wall, $v), $x);
        }
        $own = [...PlanNetwork::of($this->frame->wall), ...PlanNetwork::of($this->room->shape->after($this->frame->wall))];
        $corner = new Observation('end', 0.0, 1.0, $side === 'left' ? [] : $own, fn (array $x): float => PlanNetwork::at($x, $this->frame->wall)->distanceTo(PlanNetwork::at($x, $this->room->shape->after($this->frame->wall))));

        return $side === 'left' ? [] : Adjustment::row($corner, $x);
    }

    /**
     * The walls on a side that reach this depth; where none does, the one beside the run's own wall, carried on.
     *
     * @return list<int>
     */
    public function reaching(string $side, float $v): array
    {
        $shape = $this->room->shape;
        $reaching = array_values(array_filter($this->walls[$side], function (int $wall) use ($v, $shape): bool {
            $ends = [$this->frame->place($this->room->corners[$wall])[1], $this->frame->place($this->room->corners[$shape->after($wall)])[1]];

            return $v > min($ends) - self::PAST_CORNERS && $v < max($ends) + self::PAST_CORNERS;
        }));
        $beside = $side === 'left' ? $shape->after($this->frame->wall) : $shape->before($this->frame->wall);

        return $reaching === [] && in_array($beside, $this->walls[$side], true) ? [$beside] : $reaching;
    }
}
