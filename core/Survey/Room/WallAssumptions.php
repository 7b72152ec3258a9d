<?php

declare(strict_types=1);

namespace Incastro\Survey\Room;

use Incastro\Survey\Network\Observation;
use Incastro\Survey\ReadingKind;
use Incastro\Survey\Slot;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Textures;
use Incastro\Survey\Tool;

/**
 * What walls do where nobody measured it, each with a σ of its own, so that the doubt it leaves is carried on into every
 * size. An assumption is never accused.
 */
final readonly class WallAssumptions
{
    /** σ in mm of a wall's lean and bow over its height, and of how much the lean of each step differs along it. */
    private const LEAN = 12.0;

    private const BOW = 6.0;

    /** Walls at least this high lean and bow as much as walls do, mm. */
    private const FULL_HEIGHT = 2000.0;

    private const TWIST = 3.0;

    /** The step of rows over which a wall twists so much, mm; over more it adds up as chance does. */
    private const TWIST_OVER = 1200.0;

    /** σ of a skew over this depth, mm, where no reading tells the plan from a slanted one. */
    private const SKEW = 20.0;

    private const SKEW_OVER = 600.0;

    /** The line between a wall's corners goes through them, mm. */
    private const THROUGH = 1e-2;

    /** Rows nearer than this to each other are stations of a straightedge, mm. */
    private const BESIDE = 600.0;

    /** How far a plumb straightedge is out of plumb, mm a metre, and where it may stand, mm. */
    private const PLUMB = 0.5;

    private const ANYWHERE = 1000.0;

    /** A place of a straight line between two others stands off it by so many σ of the surface, and one step's lean off the next's. */
    private const OF_THREE = 0.6;

    private const OF_FOUR = 0.8;

    /** @param list<Slot> $taken @param Textures $textures of the walls: what plaster does besides */
    public function __construct(private RoomNetwork $network, private array $taken, private Textures $textures = new Textures())
    {
    }

    /** @return list<Observation> */
    public function all(): array
    {
        $all = [];
        foreach ($this->network->fields as $wall => $field) {
            array_push($all, ...$this->ofWall($wall, $field));
        }
        foreach ($this->network->straightedges as $name => [$first, $isLevel]) {
            $all[] = Observation::linear("at-$name", 0.0, self::ANYWHERE, [$first => 1.0], true);
            $all[] = Observation::linear("true-$name", 0.0, $isLevel ? self::ANYWHERE : self::PLUMB, [$first + 1 => 1.0], true);
        }

        return $all;
    }

    /** @return list<Observation> */
    private function ofWall(int $wall, WallField $field): array
    {
        $plan = $this->network->planHeight;
        $end = $field->stations[count($field->stations) - 1];
        $all = [];
        foreach ([0.0, $end] as $i => $station) {
            $all[] = Observation::linear("through-$wall-$i", 0.0, self::THROUGH, $field->weights($station, $plan), true);
        }
        $rough = self::OF_THREE * $this->textures->of($wall);
        $rows = $field->rows;
        $low = $rows[0];
        $high = $rows[count($rows) - 1];
        // A knee wall has less height to lean and bow over.
        $part = min(1.0, ($high - $low) / self::FULL_HEIGHT);
        $plumbs = count(array_filter($this->taken, fn (Slot $slot) => $slot->kind === ReadingKind::Plumb && $slot->wall === $wall));
        if ($plumbs < 1) {
            $all[] = Observation::linear("plumb-$wall", 0.0, self::LEAN * $part, RoomNetwork::difference($field->weights($end / 2, $high), $field->weights($end / 2, $low)), true);
        }
        foreach (array_slice($rows, 1, -1) as $j => $middle) {
            if ($plumbs < 2 || count($rows) > 3) {
                $all[] = Observation::linear("straight-$wall-$j", 0.0, hypot(self::BOW * $part, $rough), RoomNetwork::difference($field->weights($end / 2, $middle), self::chord($field, $end / 2, $low, $high, $middle)), true);
            }
            // Between two stations of a straightedge it bends by no more than its share of the bow: where the plan is taken, too.
            [$below, $above] = [$rows[$j], $rows[$j + 2]];
            if ($above - $below < self::BESIDE) {
                $all[] = Observation::linear("smooth-$wall-$j", 0.0, hypot(self::BOW * ($above - $below) / ($high - $low), $rough), RoomNetwork::difference($field->weights($end / 2, $middle), self::chord($field, $end / 2, $below, $above, $middle)), true);
            }
        }
        foreach (array_slice($field->stations, 1, -1) as $j => $station) {
            $chord = [];
            foreach ([[0.0, 1 - $station / $end], [$end, $station / $end]] as [$at, $share]) {
                foreach ($field->weights($at, $plan) as $i => $weight) {
                    $chord[$i] = ($chord[$i] ?? 0.0) + $share * $weight;
                }
            }
            $all[] = Observation::linear("even-$wall-$j", 0.0, hypot(self::BOW, $rough), RoomNetwork::difference($field->weights($station, $plan), $chord), true);
        }

        return [...$all, ...$this->twists($wall, $field)];
    }

    /**
     * The lean of each step of rows is the same from station to station.
     *
     * @return list<Observation>
     */
    private function twists(int $wall, WallField $field): array
    {
        $all = [];
        $rough = self::OF_FOUR * $this->textures->of($wall);
        for ($i = 1; $i < count($field->stations); $i++) {
            for ($j = 1; $j < count($field->rows); $j++) {
                $lean = fn (int $k) => RoomNetwork::difference($field->weights($field->stations[$k], $field->rows[$j]), $field->weights($field->stations[$k], $field->rows[$j - 1]));
                $all[] = Observation::linear("twist-$wall-$i-$j", 0.0, hypot(self::TWIST * sqrt(($field->rows[$j] - $field->rows[$j - 1]) / self::TWIST_OVER), $rough), RoomNetwork::difference($lean($i), $lean($i - 1)), true);
            }
        }

        return $all;
    }

    /**
     * The straight line from one height to another, at a third.
     *
     * @return array<int, float>
     */
    private static function chord(WallField $field, float $station, float $low, float $high, float $at): array
    {
        $share = ($at - $low) / ($high - $low);
        $sum = [];
        foreach ([[$low, 1 - $share], [$high, $share]] as [$z, $part]) {
            foreach ($field->weights($station, $z) as $i => $weight) {
                $sum[$i] = ($sum[$i] ?? 0.0) + $part * $weight;
            }
        }

        return $sum;
    }

    /**
     * Corners as square as the usual plan of the kind has them: only where the readings leave the plan to skew.
     *
     * @return list<Observation>
     */
    public function square(): array
    {
        $shape = $this->network->shape;
        $all = [];
        for ($corner = 0; $corner < $shape->corners(); $corner++) {
            $angle = $shape->nominalAngle($corner);
            if ($shape->kind !== SpaceKind::Other && abs($angle / 90.0 - round($angle / 90.0)) < 1e-6) {
                $slot = new Slot("square-$corner", ReadingKind::Corner, '', '', Tool::Gauge, false, from: $shape->before($corner), to: $shape->after($corner), at: $corner);
                $observation = (new WallReadings($this->network))->observation($slot->id, $slot, $angle, rad2deg(atan(self::SKEW / self::SKEW_OVER)));
                if ($observation !== null) {
                    $all[] = $observation->asAssumption();
                }
            }
        }

        return $all;
    }
}
