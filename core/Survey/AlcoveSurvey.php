<?php

declare(strict_types=1);

namespace Incastro\Survey;

use Incastro\Geometry\Point;
use Incastro\Geometry\Polyline;

/**
 * Turns the readings of an alcove into the room as found.
 *
 * Unknowns: u of each side wall at three heights and two depths (6 + 6), and where each side wall ends (2). The back
 * wall is the u axis; the left wall at the plan's height is its origin. Widths, depths, diagonals, corner angles and
 * plumb readings observe them. Where no reading splits crookedness between the two walls, an assumption with its own σ
 * does, so that the doubt it leaves is carried on into every size.
 */
final class AlcoveSurvey
{
    private const LEFT = 0;

    private const RIGHT = 6;

    private const END_LEFT = 12;

    private const END_RIGHT = 13;

    private const UNKNOWNS = 14;

    /** σ in mm of what walls do where nobody measured it. */
    private const LEAN = 12.0;

    private const BOW = 6.0;

    private const TWIST = 3.0;

    private const SKEW = 20.0;

    /** No room is as large as this, mm: an adjustment that goes beyond it has not found one. */
    private const LARGEST = 100_000.0;

    private const PLAN_CHECKS = ['diagonal-left', 'diagonal-right', 'corner-left', 'corner-right'];

    /** @var array<string, Reading> by slot */
    private array $readings;

    private AlcoveSheet $sheet;

    /** @var list<Slot> */
    private array $slots;

    /** Whether diagonals and corners agree with widths and depths at least so far that some plan closes. */
    private bool $planCloses = true;

    /** @param list<Take> $takes those that count */
    public function __construct(SheetChoices $choices, array $takes)
    {
        $bySlot = [];
        foreach ($takes as $take) {
            $bySlot[$take->slot][] = $take;
        }
        // Heights and depths come first: they say where the other readings are taken.
        $this->sheet = new AlcoveSheet($choices, $this->readingsOf((new AlcoveSheet($choices))->slots(), $bySlot));
        $this->slots = $this->sheet->slots();
        $this->readings = $this->readingsOf($this->slots, $bySlot);
    }

    public function solve(): Survey
    {
        $missing = array_values(array_filter($this->slots, fn (Slot $slot) => $slot->required && ! isset($this->readings[$slot->id])));
        $adjusted = $this->adjust();
        if ($adjusted === null && $this->has(...self::PLAN_CHECKS)) {
            // Without the diagonals and corners the rest may still make a room, though not a sure one.
            $this->planCloses = false;
            $adjusted = $this->adjust();
            $this->planCloses = $adjusted === null;
        }
        $planIsChecked = $this->checksPlan();
        $room = $adjusted === null ? null : $this->room($adjusted);
        $findings = (new SurveyFindings($this->sheet, $this->slots, $this->readings, $planIsChecked, $this->planCloses, $adjusted, $room))->all();

        return new Survey($this->slots, $this->readings, $room, $missing, $planIsChecked, $findings);
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
            if (isset($bySlot[$slot->id])) {
                $readings[$slot->id] = new Reading($slot, $bySlot[$slot->id]);
            }
        }

        return $readings;
    }

    /** Null while heights, a depth or every width is missing: nothing to draw yet. */
    private function adjust(): ?Adjusted
    {
        $widths = $this->of(ReadingKind::Width);
        if ($widths === [] || ! $this->has('height-left', 'height-right') || ! $this->has('depth-left', 'depth-right') || ! $this->rowsRise()) {
            return null;
        }
        $width = array_sum(array_map(fn (Reading $reading) => $reading->value(), $widths)) / count($widths);
        $start = [...array_fill(0, 6, 0.0), ...array_fill(0, 6, $width), $this->depth('left'), $this->depth('right')];
        try {
            $adjusted = Adjustment::solve(array_values([...$this->widths(), ...$this->plan(), ...$this->plumbs(), ...$this->assumptions()]), $start);
        } catch (Undetermined) {
            return null;
        }
        foreach ($adjusted->unknowns as $unknown) {
            if (! (abs($unknown) < self::LARGEST)) {
                return null;
            }
        }

        return $this->isPlausible($this->room($adjusted)) ? $adjusted : null;
    }

    /** Whether the walls, carried on to the ends of the room, stay within what a room can be. */
    private function isPlausible(Room $room): bool
    {
        $top = $room->ceiling->lowest();
        if ($room->mouth() <= 0.0 || $top <= 0.0 || ! (abs($room->ceiling->left) + abs($room->ceiling->right) + $room->floor->fall() < self::LARGEST)) {
            return false;
        }
        foreach ([0.0, $room->mouth()] as $v) {
            foreach ([0.0, $top, 2 * $top] as $z) {
                if (! (abs($room->left->at($v, $z)) + abs($room->right->at($v, $z)) < self::LARGEST)) {
                    return false;
                }
            }
        }

        return true;
    }

    private function checksPlan(): bool
    {
        return $this->planCloses && $this->has(...self::PLAN_CHECKS);
    }

    private function has(string ...$oneOf): bool
    {
        return array_intersect($oneOf, array_keys($this->readings)) !== [];
    }

    private function rowsRise(): bool
    {
        return $this->sheet->heightOf('low') + 1 < $this->sheet->heightOf('middle')
            && $this->sheet->heightOf('middle') + 1 < $this->sheet->heightOf('high')
            && $this->sheet->depthOf('back') + 1 < $this->sheet->depthOf('front');
    }

    /** @return list<Reading> */
    private function of(ReadingKind $kind): array
    {
        return array_values(array_filter($this->readings, fn (Reading $reading) => $reading->slot->kind === $kind));
    }

    private function depth(string $side): float
    {
        $other = $side === 'left' ? 'right' : 'left';

        return ($this->readings["depth-$side"] ?? $this->readings["depth-$other"])->value();
    }

    /** Σ weight·unknown is u of a wall. @return array<int, float> */
    private function wallAt(int $wall, float $v, float $z): array
    {
        return WallSurface::weights($this->depths(), $this->rows(), $wall, $v, $z);
    }

    /** @return array{float, float} */
    private function depths(): array
    {
        return [$this->sheet->depthOf('back'), $this->sheet->depthOf('front')];
    }

    private function rows(): Polyline
    {
        return new Polyline(array_map(
            fn (string $row) => new Point($this->sheet->heightOf($row), 0.0),
            AlcoveSheet::ROWS,
        ));
    }

    /** @return list<Observation> */
    private function widths(): array
    {
        $observations = [];
        foreach ($this->of(ReadingKind::Width) as $reading) {
            $v = (float) $reading->slot->depth;
            $z = (float) $reading->slot->height;
            $observations[] = Observation::linear(
                $reading->slot->id,
                $reading->value(),
                $reading->sigma(),
                self::difference($this->wallAt(self::RIGHT, $v, $z), $this->wallAt(self::LEFT, $v, $z))
            );
        }

        return $observations;
    }

    /** Depths, diagonals and corner angles, all at the plan's height. @return list<Observation> */
    private function plan(): array
    {
        $z = $this->sheet->planHeight();
        $depends = range(0, self::UNKNOWNS - 1);
        $wall = function (array $x, int $wall, float $v) use ($z): float {
            $u = 0.0;
            foreach ($this->wallAt($wall, $v, $z) as $i => $weight) {
                $u += $weight * $x[$i];
            }

            return $u;
        };
        $back = ['left' => fn (array $x) => $wall($x, self::LEFT, 0.0), 'right' => fn (array $x) => $wall($x, self::RIGHT, 0.0)];
        $front = [
            'left' => fn (array $x) => $wall($x, self::LEFT, $x[self::END_LEFT]),
            'right' => fn (array $x) => $wall($x, self::RIGHT, $x[self::END_RIGHT]),
        ];
        $end = ['left' => self::END_LEFT, 'right' => self::END_RIGHT];
        $observations = [];
        foreach (['left' => 'right', 'right' => 'left'] as $side => $other) {
            $predictions = [
                "depth-$side" => fn (array $x) => hypot($front[$side]($x) - $back[$side]($x), $x[$end[$side]]),
                "diagonal-$side" => fn (array $x) => hypot($front[$other]($x) - $back[$side]($x), $x[$end[$other]]),
                // The interior angle opens from the back wall to the side wall.
                "corner-$side" => fn (array $x) => rad2deg(atan2($x[$end[$side]], ($side === 'left' ? 1 : -1) * ($front[$side]($x) - $back[$side]($x)))),
            ];
            foreach ($predictions as $slot => $predict) {
                if (isset($this->readings[$slot]) && ($this->planCloses || ! in_array($slot, self::PLAN_CHECKS, true))) {
                    $observations[] = new Observation($slot, $this->readings[$slot]->value(), $this->readings[$slot]->sigma(), $depends, $predict);
                }
            }
        }
        foreach (['left' => 'right', 'right' => 'left'] as $side => $other) {
            if (! isset($this->readings["depth-$side"])) {
                $observations[] = Observation::linear("alike-depth-$side", $this->depth($other), self::SKEW, [$end[$side] => 1.0], true);
            }
        }

        return $observations;
    }

    /** @return list<Observation> */
    private function plumbs(): array
    {
        $observations = [];
        foreach ($this->of(ReadingKind::Plumb) as $reading) {
            $slot = $reading->slot;
            $foot = (float) $slot->height;
            $v = (float) $slot->depth;
            $isLeft = str_contains($slot->id, '-left-');
            $wall = $isLeft ? self::LEFT : self::RIGHT;
            $head = $this->wallAt($wall, $v, $foot + (float) $slot->span);
            $weights = self::difference($head, $this->wallAt($wall, $v, $foot));
            // A lean is positive into the room: to the right on the left wall, to the left on the right wall.
            $observations[] = Observation::linear($slot->id, $reading->value(), $reading->sigma(), $isLeft ? $weights : self::difference([], $weights));
        }

        return $observations;
    }

    /** @return list<Observation> */
    private function assumptions(): array
    {
        [$back, $front] = $this->depths();
        [$low, $middle, $high] = array_map($this->sheet->heightOf(...), AlcoveSheet::ROWS);
        $mid = $this->sheet->middleDepth();
        $observations = [Observation::linear('origin', 0.0, 1e-2, $this->wallAt(self::LEFT, 0.0, $middle), true)];
        foreach (['left' => self::LEFT, 'right' => self::RIGHT] as $side => $wall) {
            $plumbs = count(array_intersect(["plumb-$side-low", "plumb-$side-high"], array_keys($this->readings)));
            $bow = fn (float $v) => self::difference($this->wallAt($wall, $v, $middle), self::scaled(
                [[($high - $middle) / ($high - $low), $this->wallAt($wall, $v, $low)], [($middle - $low) / ($high - $low), $this->wallAt($wall, $v, $high)]],
            ));
            $lean = fn (float $v) => self::difference($this->wallAt($wall, $v, $high), $this->wallAt($wall, $v, $low));
            if ($plumbs < 2) {
                $observations[] = Observation::linear("straight-$side", 0.0, self::BOW, $bow($mid), true);
            }
            if ($plumbs < 1) {
                $observations[] = Observation::linear("plumb-$side", 0.0, self::LEAN, $lean($mid), true);
            }
            $observations[] = Observation::linear("twist-$side", 0.0, self::TWIST, self::difference($lean($front), $lean($back)), true);
            $observations[] = Observation::linear("bow-alike-$side", 0.0, self::TWIST, self::difference($bow($front), $bow($back)), true);
            if (! $this->checksPlan()) {
                $observations[] = Observation::linear("square-$side", 0.0, self::SKEW, self::difference($this->wallAt($wall, $front, $middle), $this->wallAt($wall, $back, $middle)), true);
            }
        }
        foreach (AlcoveSheet::COLUMNS as $column) {
            foreach (AlcoveSheet::ROWS as $row) {
                if (! isset($this->readings["width-$row-$column"])) {
                    $observations[] = $this->missingWidth($row, $column);
                }
            }
        }

        return $observations;
    }

    /** A width not taken yet is like the mean of those taken, within a lean and a bow. */
    private function missingWidth(string $row, string $column): Observation
    {
        $widths = $this->of(ReadingKind::Width);
        $mean = array_sum(array_map(fn (Reading $reading) => $reading->value(), $widths)) / max(1, count($widths));
        $v = $this->sheet->depthOf($column);
        $z = $this->sheet->heightOf($row);

        return Observation::linear("alike-$row-$column", $mean, self::SKEW, self::difference($this->wallAt(self::RIGHT, $v, $z), $this->wallAt(self::LEFT, $v, $z)), true);
    }

    /**
     * @param  array<int, float>  $a
     * @param  array<int, float>  $b
     * @return array<int, float> a − b
     */
    private static function difference(array $a, array $b): array
    {
        return self::scaled([[1.0, $a], [-1.0, $b]]);
    }

    /**
     * @param  list<array{float, array<int, float>}>  $parts
     * @return array<int, float>
     */
    private static function scaled(array $parts): array
    {
        $sum = [];
        foreach ($parts as [$factor, $weights]) {
            foreach ($weights as $i => $weight) {
                $sum[$i] = ($sum[$i] ?? 0.0) + $factor * $weight;
            }
        }

        return $sum;
    }

    private function room(Adjusted $adjusted): Room
    {
        $rows = array_map($this->sheet->heightOf(...), AlcoveSheet::ROWS);
        $left = new WallSurface($this->depths(), $rows, $adjusted, self::LEFT);
        $right = new WallSurface($this->depths(), $rows, $adjusted, self::RIGHT);
        $mid = $this->sheet->middleDepth();
        $width = $right->at($mid, $rows[1]) - $left->at($mid, $rows[1]);
        $depth = min($adjusted->unknowns[self::END_LEFT], $adjusted->unknowns[self::END_RIGHT]);
        $value = fn (string $slot) => isset($this->readings[$slot]) ? $this->readings[$slot]->value() : 0.0;
        // A fall read across is positive when the right end is lower, one in depth when the front is.
        $floor = new LevelPlane(-$value('fall-across') / $width, -$value('fall-depth') / $depth, $width, $depth, Tool::Level1200->sigma(1000.0));
        $heightOn = fn (string $side) => $this->readings["height-$side"] ?? $this->readings['height-'.($side === 'left' ? 'right' : 'left')];
        $ceiling = new CeilingLine(
            $heightOn('left')->value() + $floor->at(0.0, $mid),
            $heightOn('right')->value() + $floor->at($width, $mid),
            $width,
            hypot(max($heightOn('left')->sigma(), $heightOn('right')->sigma()), $floor->sigma),
        );
        $inFront = $this->readings['height-front'] ?? null;

        return new Room(
            $left,
            $right,
            $adjusted->unknowns[self::END_LEFT],
            $adjusted->unknowns[self::END_RIGHT],
            $adjusted->sigmaOf([($adjusted->unknowns[self::END_LEFT] < $adjusted->unknowns[self::END_RIGHT] ? self::END_LEFT : self::END_RIGHT) => 1.0]),
            $floor,
            $ceiling,
            $inFront?->value(),
            $inFront?->sigma() ?? 0.0,
            $value('skirting-height'),
            $value('skirting-thickness'),
            $adjusted,
        );
    }
}
