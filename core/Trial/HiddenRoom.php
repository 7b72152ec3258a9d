<?php

declare(strict_types=1);

namespace Incastro\Trial;

use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Survey\Plan\PlanNetwork;
use Incastro\Survey\ReadingKind;
use Incastro\Survey\Room\LevelNetwork;
use Incastro\Survey\Room\RoomNetwork;
use Incastro\Survey\Room\WallReadings;
use Incastro\Survey\Slot;
use Incastro\Survey\Space\Sheet;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Survey\Space\Spot;

/**
 * A made-up crooked room that nobody sees, the same for the same seed: walls that lean, bow and twist, a floor that falls, a
 * ceiling out of level. It answers what a perfect tape would read for any slot.
 */
final readonly class HiddenRoom
{
    /** The most that a corner stands off its place, a wall leans, bows or twists, and a floor or ceiling slopes: mm, mm a metre. */
    private const OFF = 12.0;

    private const LEAN = 10.0;

    private const BOW = 5.0;

    private const TWIST = 3.0;

    private const SLOPE = 0.004;

    /** Height over which a wall leans and bows, mm. */
    private const HEIGHT = 2400.0;

    /** @var list<Point> */
    public array $corners;

    /** @var array<int, array{float, float, float}> lean, bow and twist of each edge */
    private array $walls;

    /** @var list<float> unknowns of the floor and the planes */
    private array $levels;

    private float $skirtingHeight;

    private float $skirtingThickness;

    private float $heightInFront;

    public function __construct(public SpaceShape $shape, public int $seed)
    {
        $dice = new Dice($seed);
        [$sx, $sy] = [$dice->between(0.85, 1.25), $dice->between(0.9, 1.2)];
        $points = array_map(fn (Point $point) => new Point($point->x * $sx + $dice->between(-self::OFF, self::OFF), $point->y * $sy + $dice->between(-self::OFF, self::OFF)), $shape->nominal);
        $this->corners = Polygon::levelled($points);
        $walls = [];
        foreach (array_keys($shape->edges) as $edge) {
            $walls[$edge] = [$dice->between(-self::LEAN, self::LEAN), $dice->between(-self::BOW, self::BOW), $dice->between(-self::TWIST, self::TWIST)];
        }
        $this->walls = $walls;
        $this->levels = $this->randomLevels($dice);
        $this->skirtingHeight = round($dice->between(70.0, 140.0));
        $this->skirtingThickness = round($dice->between(12.0, 20.0));
        $this->heightInFront = round($dice->between(2350.0, 2500.0));
    }

    /** @return list<float> */
    private function randomLevels(Dice $dice): array
    {
        $levels = [$dice->between(-self::SLOPE, self::SLOPE), $dice->between(-self::SLOPE, self::SLOPE)];
        $width = max([1.0, ...array_map(fn (Point $corner) => $corner->x, $this->corners)]);
        $depth = max([1.0, ...array_map(fn (Point $corner) => $corner->y, $this->corners)]);
        foreach ($this->shape->ceiling->planes() as $name) {
            $across = $dice->between(-self::SLOPE, self::SLOPE);
            // Height over the first corner, which lies right at the back, and the slopes to the left and into the room.
            $high = $dice->between(2100.0, 2300.0);
            array_push($levels, ...match ($name) {
                'rake' => [$high, -($high - $dice->between(450.0, 700.0)) / $width, $across],
                'slope' => [$dice->between(800.0, 1000.0), $across, $dice->between(0.75, 0.95)],
                'back slope' => [$dice->between(1200.0, 1400.0), $across, $dice->between(0.6, 0.8)],
                'front slope' => [$dice->between(1200.0, 1400.0) + 0.7 * $depth, $across, -$dice->between(0.6, 0.8)],
                default => [$dice->between(2300.0, 2480.0), $across, $dice->between(-self::SLOPE, self::SLOPE)],
            });
        }

        return $levels;
    }

    /** How far an edge stands into the room off the line of its corners: lean and twist from the plan's height, and a bow. */
    private function offset(int $edge, float $share, float $z, float $planHeight): float
    {
        [$lean, $bow, $twist] = $this->walls[$edge];
        $bowAt = fn (float $at) => $bow * (1 - (2 * $at / self::HEIGHT - 1) ** 2);

        return ($lean + $twist * (2 * $share - 1)) * ($z - $planHeight) / self::HEIGHT + $bowAt($z) - $bowAt($planHeight);
    }

    /** What is true of a slot of a sheet as it now stands: mm, or degrees; signed as the slot's first end. */
    public function truth(Sheet $sheet, Slot $slot): float
    {
        if ($slot->kind === ReadingKind::Skirting) {
            return $slot->id === 'skirting-height' ? $this->skirtingHeight : $this->skirtingThickness;
        }
        if ($slot->kind === ReadingKind::Rise) {
            return 0.0;
        }
        if ($slot->kind === ReadingKind::Height && $slot->spots === []) {
            return $this->heightInFront;
        }
        if ($slot->kind->isOfLevels()) {
            $place = function (Spot $spot): Point {
                $q = $this->corners[$this->shape->after($spot->wall)];
                $p = $this->corners[$spot->wall];
                $length = $p->distanceTo($q);
                [$dx, $dy] = [($q->x - $p->x) / $length, ($q->y - $p->y) / $length];

                return $q->plus(-$spot->along * $dx - $spot->depth * $dy, -$spot->along * $dy + $spot->depth * $dx);
            };
            $observation = (new LevelNetwork($this->shape, $place))->observation($slot->id, $slot, 0.0, 1.0);

            return $observation === null ? 0.0 : ($observation->predict)($this->levels);
        }
        $network = new RoomNetwork($sheet, $sheet->slots());
        $observation = (new WallReadings($network))->observation($slot->id, $slot, 0.0, 1.0);
        $value = $observation === null ? 0.0 : ($observation->predict)($this->unknowns($network));

        // A gauge held outside reads the masonry.
        return $slot->outside && $slot->kind === ReadingKind::Corner ? 360.0 - $value : $value;
    }

    /** @return list<float> */
    public function unknowns(RoomNetwork $network): array
    {
        $x = array_replace(array_fill(0, $network->unknowns, 0.0), PlanNetwork::unknownsOf($this->corners));
        foreach ($network->fields as $edge => $field) {
            $k = $field->first;
            $length = $field->stations[count($field->stations) - 1];
            foreach ($field->stations as $station) {
                foreach ($field->rows as $z) {
                    $x[$k++] = $this->offset($edge, $station / $length, $z, $network->planHeight);
                }
            }
        }

        return array_values($x);
    }
}
