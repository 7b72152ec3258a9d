<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Geometry\Axis;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Vector;
use Incastro\Measure\Unit;
use Incastro\Pieces\Marks\Mark;
use Incastro\Pieces\Marks\MarkKind;
use Incastro\Pieces\Piece;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Rule;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Placed;

/**
 * What a joint marks on both its pieces, from the area in which they meet. Spacing, diameters and depths are those of common
 * practice for plywood furniture: pockets 50 mm from the ends of a joint and no more than 150 apart, screws 40 and 200, pilots
 * of 2.5 mm, cups of 35 mm with their centres 22.5 from the hinge edge.
 */
final readonly class Marking
{
    /** A pocket is bored at 15°: its centre lies so many thicknesses from the end, and its slot is so wide, mm. */
    private const POCKET_BACK = 1.866;

    private const POCKET_SLOT = 9.5;

    private const CLEARANCE = 4.5;

    private const PILOT = 2.5;

    /** Faces that meet over more than this, mm, are held by a row along each edge. */
    private const TWO_ROWS = 150.0;

    /** A dado or a groove is wider than what it takes by this, mm. */
    private const EASE = 0.2;

    /** Left between a hole and what is cut away, mm. */
    private const CLEAR = 8.0;

    /** How far along its line a screw goes out of the way of what is bored already, mm. */
    private const ASIDE = [0.0, 12.0, -12.0, 24.0, -24.0, 36.0, -36.0];

    /** A board thinner than this is a back or a panel, mm. */
    private const THIN = 9.0;

    /** What a shelf touches no longer than this is a strip, mm. */
    private const STRIP = 70.0;

    /** What is left of a board behind a pin's hole, mm. */
    private const BEHIND_PIN = 4.0;

    /** Half of what is left of a board between two holes that are bored from both its faces, mm. */
    private const HALF_MIDDLE = 1.0;

    public function __construct(private HouseRules $rules)
    {
    }

    /**
     * @param  Contact|null  $contact  where they meet, of two that stand square
     * @param  list<Mark>  $taken  what other joints bore in the one that this is bored in: screws and pins keep clear of it
     * @return array{list<Mark>, list<Mark>} on the first of the joint, and on the second
     */
    public function of(Joint $joint, Placed $a, Placed $b, ?Contact $contact, array $taken = []): array
    {
        if ($joint->kind === JointKind::Hinge || $joint->kind === JointKind::Butt) {
            return HingeMarks::of($joint, $a, $b, $this->rules);
        }
        if ($joint->kind === JointKind::Slide) {
            return $this->slide($joint, $a, $b);
        }
        if ($joint->kind === JointKind::Rabbet) {
            return [[], self::rabbet($joint, $a, $b)];
        }
        $marks = $contact === null ? [[], []] : match ($joint->kind) {
            JointKind::Pocket => $this->pocket($contact, $a, $b),
            JointKind::Screws => $this->screws($contact, $a, $b, $taken),
            JointKind::Dado => [[], $this->band(MarkKind::Dado, $contact, $a, $b, $joint->shares)],
            JointKind::Glue => [[], $joint->shares > 0.0 ? $this->band(MarkKind::Groove, $contact, $a, $b, $joint->shares) : []],
            JointKind::Pins => [[], $this->pins($contact, $a, $b, $taken)],
            JointKind::Nails => [[], []],
        };

        return [self::inWood($marks[0], $a->piece), self::inWood($marks[1], $b->piece)];
    }

    /**
     * Without holes where the piece is cut away: beyond its outline, or beside what is cut out of it.
     *
     * @param  list<Mark>  $marks
     * @return list<Mark>
     */
    private static function inWood(array $marks, Piece $piece): array
    {
        if ($piece->outline->isRectangle()) {
            return $marks;
        }
        $around = array_map(fn (Polygon $hole) => $hole->grown(self::CLEAR), $piece->outline->holes);
        $isWood = fn (Point $point): bool => $piece->outline->outer->contains($point) && array_filter($around, fn (Polygon $hole) => $hole->contains($point)) === [];
        $kept = [];
        foreach ($marks as $mark) {
            $at = $mark->kind->isHole() && $mark->kind !== MarkKind::Pilot ? array_values(array_filter($mark->at, $isWood)) : $mark->at;
            if ($at !== []) {
                $kept[] = new Mark($mark->kind, $at, $mark->isUp, $mark->partner, $mark->across, $mark->depth);
            }
        }

        return $kept;
    }

    /**
     * Places of pocket screws along a joint: one in the middle of a short one, else evenly from end to end.
     *
     * @return non-empty-list<float> from its beginning, mm
     */
    public static function pockets(float $long, Unit $unit): array
    {
        return $unit->isMetric() ? self::spaced($long, 50.0, 150.0) : self::spaced($long, 50.8, 152.4);
    }

    /**
     * Places of screws through a face along a joint, alike.
     *
     * @return non-empty-list<float>
     */
    public static function screwPlaces(float $long, Unit $unit): array
    {
        return $unit->isMetric() ? self::spaced($long, 40.0, 200.0) : self::spaced($long, 38.1, 203.2);
    }

    /**
     * Where rows of screws lie across a joint, from its lower edge: faces that meet over much are held along both edges.
     *
     * @return non-empty-list<float>
     */
    public static function rows(float $wide, Unit $unit): array
    {
        $edge = $unit->isMetric() ? 40.0 : 38.1;

        return $wide <= self::TWO_ROWS ? [$wide / 2] : [$edge, $wide - $edge];
    }

    /** @return non-empty-list<float> */
    private static function spaced(float $long, float $end, float $apart): array
    {
        if ($long <= 1.5 * $end) {
            return [$long / 2];
        }
        $end = min($end, $long / 4);
        $count = 1 + max(1, (int) ceil(($long - 2 * $end) / $apart - 1e-9));

        return array_map(fn (int $i): float => $end + $i * ($long - 2 * $end) / ($count - 1), range(0, $count - 1));
    }

    /** @return array{list<Mark>, list<Mark>} holes beside the end of the first, and the line on which it stands on the other */
    private function pocket(Contact $contact, Placed $a, Placed $b): array
    {
        $thick = Pose::axis($a->pose->thickness);
        if ($contact->isFaceOf($a)) {
            return [[], []];
        }
        $line = $contact->beside($thick);
        [$from, $to] = $contact->along($line);
        $t = $a->piece->thickness->toDouble();
        $middle = $contact->middle($thick);
        $holes = array_map(fn (float $along) => $a->pose->seen($contact->place($line, $from + $along, $middle, self::POCKET_BACK * $t)), self::pockets($to - $from, $this->rules->unit));
        // Where nobody looks: under a board, over the one that ends what it meets, behind what stands upright.
        $isHead = $thick === Axis::Z && abs($b->along(Axis::Z)[1] - $a->along(Axis::Z)[1]) < $t;
        $pocket = new Mark(MarkKind::Pocket, $holes, $a->showsUp($thick, $isHead ? 1 : -1), $b->piece->mark, self::POCKET_SLOT);

        return [[$pocket], $contact->isFaceOf($b) ? [self::line($contact, $line, $from, $to, $middle, $a, $b)] : []];
    }

    /**
     * @param  list<Mark>  $taken
     * @return array{list<Mark>, list<Mark>} holes through the face of the first, and pilots in the other's edge
     */
    private function screws(Contact $contact, Placed $a, Placed $b, array $taken): array
    {
        if (! $contact->isFaceOf($a)) {
            return [[], []];
        }
        $line = $contact->line();
        $beside = $contact->beside($line);
        [$from, $to] = $contact->along($line);
        $low = $contact->along($beside)[0];
        $points = [];
        foreach (self::rows($contact->long($beside), $this->rules->unit) as $across) {
            foreach (self::screwPlaces($to - $from, $this->rules->unit) as $along) {
                $points[] = self::clear(fn (float $aside) => $contact->place($line, max($from, min($to, $from + $along + $aside)), $low + $across), $a, $taken);
            }
        }
        $through = new Mark(MarkKind::Screw, array_map($a->pose->seen(...), $points), $a->showsUp($contact->through, -$contact->toward), $b->piece->mark, self::CLEARANCE);

        // Into an edge from a thin back nobody bores beforehand.
        return [[$through], $contact->isFaceOf($b) || $a->piece->thickness->toDouble() < self::THIN ? [] : [new Mark(MarkKind::Pilot, array_map($b->pose->seen(...), $points), true, $a->piece->mark, self::PILOT)]];
    }

    /**
     * The place of a screw, moved along its line where another joint has bored already.
     *
     * @param  \Closure(float): Vector  $place  so far beside where it would be
     * @param  list<Mark>  $taken
     */
    private static function clear(\Closure $place, Placed $a, array $taken): Vector
    {
        foreach (self::ASIDE as $aside) {
            $at = $place($aside);
            $hole = $a->pose->seen($at);
            foreach ($taken as $mark) {
                if ($mark->isNear($hole, self::CLEARANCE)) {
                    continue 2;
                }
            }

            return $at;
        }

        return $place(0.0);
    }

    private static function line(Contact $contact, Axis $line, float $from, float $to, float $middle, Placed $a, Placed $b): Mark
    {
        return new Mark(MarkKind::Line, [$b->pose->seen($contact->place($line, $from, $middle)), $b->pose->seen($contact->place($line, $to, $middle))], $b->showsUp($contact->through, -$contact->toward), $a->piece->mark);
    }

    /** @return list<Mark> what is cut into the face of the second for the first to stand in */
    private function band(MarkKind $kind, Contact $contact, Placed $a, Placed $b, float $deep): array
    {
        $thick = Pose::axis($a->pose->thickness);
        if ($contact->isFaceOf($a) || ! $contact->isFaceOf($b)) {
            return [];
        }
        $line = $contact->beside($thick);
        [$from, $to] = $contact->along($line);
        $middle = $contact->middle($thick);

        return [new Mark($kind, [$b->pose->seen($contact->place($line, $from, $middle)), $b->pose->seen($contact->place($line, $to, $middle))], $b->showsUp($contact->through, -$contact->toward), $a->piece->mark, $a->piece->thickness->toDouble() + self::EASE, $deep)];
    }

    /** @return list<Mark> what is cut along the rear edge of a side for a back to lie in */
    private static function rabbet(Joint $joint, Placed $back, Placed $side): array
    {
        [$from, $to] = $back->along(Axis::Z);
        [$rear, $front] = $back->along(Axis::V);
        $inward = array_sum($back->along(Axis::U)) > array_sum($side->along(Axis::U)) ? 1 : -1;

        return [new Mark(MarkKind::Rabbet, array_map(fn (float $z) => self::seen($side, ($rear + $front) / 2, $z), [$from, $to]), $side->showsUp(Axis::U, $inward), $back->piece->mark, $front - $rear, $joint->shares)];
    }

    /**
     * Five holes about each end of a shelf's two edges, its own in the middle: those of them that no other hole is in the way of.
     *
     * @param  list<Mark>  $taken
     * @return list<Mark>
     */
    private function pins(Contact $contact, Placed $a, Placed $b, array $taken): array
    {
        $own = $this->ownPins($contact, $a, $b);
        if ($own === null) {
            return [];
        }
        [$low, $high] = $b->along(Axis::Z);
        $points = [];
        $thick = $b->piece->thickness->toDouble();
        $isFromBoth = array_filter($taken, fn (Mark $mark) => $mark->kind === MarkKind::PinRow && $mark->isUp !== $own->isUp) !== [];
        // A divider that is bored from both its faces keeps wood in its middle.
        $own = $isFromBoth ? new Mark($own->kind, $own->at, $own->isUp, $own->partner, $own->across, min($own->depth ?? $thick, $thick / 2 - self::HALF_MIDDLE)) : $own;
        foreach ($own->at as $point) {
            foreach (range(-2, 2) as $step) {
                $rise = $step * $this->rules->mm(Rule::PinPitch);
                $z = $a->along(Axis::Z)[0] - $own->across / 2 + $rise;
                // Up is along the length of some boards and across others.
                $hole = $point->plus($rise * $b->pose->length->z, $rise * $b->pose->width->z);
                $isInWood = $z > $low + 2 * $own->across && $z < $high - 2 * $own->across;
                if ($step === 0 || ($isInWood && ! self::isTaken($hole, $own, $taken, $thick))) {
                    $points[] = $hole;
                }
            }
        }

        return $points === [] ? [] : [new Mark(MarkKind::PinRow, $points, $own->isUp, $own->partner, $own->across, $own->depth)];
    }

    /** Whether a shelf lies on one pin there: on a strip rather than a board. */
    public static function isStrip(Contact $contact): bool
    {
        [$from, $to] = $contact->along($contact->beside(Axis::Z));

        return $to - $from <= self::STRIP;
    }

    /** The holes on which a shelf lies, in the board beside it; null where it lies on none. */
    public function ownPins(?Contact $contact, Placed $shelf, Placed $board): ?Mark
    {
        if ($contact === null || ! $contact->isFaceOf($board) || Pose::axis($shelf->pose->thickness) !== Axis::Z) {
            return null;
        }
        $line = $contact->beside(Axis::Z);
        [$from, $to] = $contact->along($line);
        $across = $this->rules->mm(Rule::PinDiameter);
        // In a strip no wider than this one pin is in its middle.
        $row = self::isStrip($contact) ? ($to - $from) / 2 : min($this->rules->mm(Rule::PinRow), ($to - $from) / 4);
        $z = $shelf->along(Axis::Z)[0] - $across / 2;
        [$low, $high] = $board->along(Axis::Z);
        if ($z < $low || $z > $high) {
            return null;
        }
        $points = array_map(fn (float $along) => $board->pose->seen($contact->place($line, $along, $z)), self::isStrip($contact) ? [$from + $row] : [$from + $row, $to - $row]);
        $deep = min($this->rules->mm(Rule::PinDepth), $board->piece->thickness->toDouble() - self::BEHIND_PIN);

        return new Mark(MarkKind::PinRow, $points, $board->showsUp($contact->through, -$contact->toward), $shelf->piece->mark, $across, $deep);
    }

    /** @param list<Mark> $taken */
    private static function isTaken(Point $hole, Mark $own, array $taken, float $thick): bool
    {
        foreach ($taken as $mark) {
            if ($mark->partner !== $own->partner && ! $mark->passes($own, $thick) && $mark->isNear($hole, $own->across)) {
                return true;
            }
        }

        return false;
    }

    /** @return array{list<Mark>, list<Mark>} the middle of a slide on the drawer's side and on what carries it */
    private function slide(Joint $joint, Placed $drawer, Placed $post): array
    {
        [$from, $to] = $drawer->along(Axis::V);
        $u = array_sum($post->along(Axis::U)) / 2;
        $toward = $u > array_sum($drawer->along(Axis::U)) / 2 ? 1 : -1;
        $on = fn (Placed $piece, int $sign, Placed $partner): array => array_map(fn (float $z) => new Mark(MarkKind::SlideLine, [self::seen($piece, $from, $z), self::seen($piece, $to, $z)], $piece->showsUp(Axis::U, $sign), $partner->piece->mark), $joint->at);

        return [$on($drawer, $toward, $post), $on($post, -$toward, $drawer)];
    }

    private static function seen(Placed $piece, float $v, float $z): Point
    {
        return $piece->seen($piece->along(Axis::U)[0], $v, $z);
    }
}
