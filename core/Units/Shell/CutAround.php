<?php

declare(strict_types=1);

namespace Incastro\Units\Shell;

use Incastro\Fit\Terms;
use Incastro\Fit\ThingPlace;
use Incastro\Geometry\Axis;
use Incastro\Geometry\Block;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Works\Cut;
use Incastro\Pieces\Works\CutFor;
use Incastro\Pieces\Works\Work;
use Incastro\Rules\Materials\Purpose;
use Incastro\Survey\Room\RunFrame;
use Incastro\Survey\Things\Thing;
use Incastro\Survey\Things\ThingRule;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\Make\Joinery;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/**
 * Cuts pieces around what stands in their way: slots from the hidden edge for pipes that cannot be threaded in, notches for
 * posts and beams, openings for sockets where the person wants one, and a back split where a pipe runs up behind it. Hole =
 * size + 2 × clearance (handbook, "The scribe line"). What is cut is the piece's present outline, with all that was cut from
 * it before. What cannot be cut stays, and is found by the check of the whole.
 */
final readonly class CutAround
{
    /** What must be left of a board before a notch, mm. */
    private const LEFT = 50.0;

    /** A slot longer than this is no slot: the piece is split through the hole's centre instead, mm. */
    private const LONGEST_SLOT = 200.0;

    /** How far before a thing what lies on its wall, or is framed before that, is opened for it, mm. */
    private const FRAMED = 500.0;

    /** How far under a vent a top is opened for it, mm. */
    private const BEFORE = 100.0;

    /** A hole for the air of a vent keeps so much wood to every edge of a top, mm and inches. */
    private const RIM = [60.0, 2 + 3 / 8];

    /** Beyond every piece, mm. */
    private const FAR = 1e5;

    private ThingPlace $places;

    /** @param list<string> $openings */
    public function __construct(RunFrame $frame, private Terms $terms, private array $openings)
    {
        $this->places = new ThingPlace($terms->room, $frame);
    }

    public function all(Assembly $assembly): Assembly
    {
        $placed = $assembly->placed;
        $became = [];
        foreach ($this->terms->room->things as $thing) {
            $isOpened = in_array($thing->id, $this->openings, true);
            if ($thing->rule === ThingRule::Removed || (! $isOpened && ! $thing->kind->isCutAround())) {
                continue;
            }
            $clearance = $this->places->clearance($thing, $this->terms->rules, $isOpened);
            $block = $this->places->block($thing)->grown($clearance);
            if ($thing->isCeilingVent()) {
                $placed = array_map(fn (Placed $one) => $one->part === Part::Body && $one->isLevel() ? $this->underVent($one, $thing, $block) : $one, $placed);
                continue;
            }
            // What lies on the wall is opened for what is in it, also where it passes before that.
            $before = new Block($block->u0, $block->u1, $block->v0, $block->v1 + ($isOpened ? self::FRAMED : 0.0), $block->z0, $block->z1);
            // A box is slid home past it: what of it comes to stand behind is cut as well.
            $past = new Block($block->u0, $block->u1, -self::FAR, $block->v1, $block->z0, $block->z1);
            $next = [];
            foreach ($placed as $one) {
                $parts = ! $one->piece->isCutFor($thing->id) && $one->bounds->meets(match ($one->part) {
                    Part::Cladding => $before,
                    Part::Nailer, Part::Back => $past,
                    default => $block,
                }, 0.0) ? $this->cut($one, $thing, $block, $clearance) : [$one];
                array_push($next, ...$parts);
                if (count($parts) !== 1 || $parts[0]->piece->key !== $one->piece->key) {
                    $became[$one->piece->key] = array_map(fn (Placed $part) => $part->piece->key, $parts);
                }
            }
            $placed = $next;
        }

        return $assembly->placing($placed, $this->joined($assembly->joints, $placed, $became));
    }

    /**
     * Joints of a piece that was parted are those of its parts that still reach the other; two that are cut for the same thing
     * may part there altogether.
     *
     * @param  list<Joint>  $joints
     * @param  list<Placed>  $placed
     * @param  array<string, list<string>>  $became
     * @return list<Joint>
     */
    private function joined(array $joints, array $placed, array $became): array
    {
        $byKey = $isCut = [];
        foreach ($placed as $one) {
            $byKey[$one->piece->key] = $one;
            $isCut[$one->piece->key] = array_filter($one->piece->works, fn (Work $work) => $work instanceof CutFor) !== [];
        }
        $parts = function (string $key) use (&$parts, $became): array {
            return isset($became[$key]) ? array_merge([], ...array_map($parts, $became[$key])) : [$key];
        };
        $joined = [];
        foreach ($joints as $joint) {
            foreach ($parts($joint->a) as $a) {
                foreach ($parts($joint->b) as $b) {
                    $isWhole = $a === $joint->a && $b === $joint->b && ! (($isCut[$a] ?? false) && ($isCut[$b] ?? false));
                    if ($isWhole || (isset($byKey[$a], $byKey[$b]) && $byKey[$a]->touches($byKey[$b], Joinery::reach($joint->kind, $this->terms->rules, $this->terms->format)))) {
                        $joined[] = new Joint($a, $b, $joint->kind, $joint->use, $joint->shares, $joint->at);
                    }
                }
            }
        }

        return $joined;
    }

    /** @return list<Placed> */
    private function cut(Placed $placed, Thing $thing, Block $block, float $clearance): array
    {
        $form = $this->form($placed, $thing, $block, $clearance);
        [$x0, $x1, $y0, $y1] = $form->bounds();
        [$from, $long, $low, $wide] = $placed->piece->outline->bounds();
        if ($x1 <= $from || $x0 >= $long || $y1 <= $low || $y0 >= $wide) {
            return [$placed];
        }
        if ($placed->part === Part::Cleat || $placed->part === Part::Nailer || ($placed->part === Part::Plinth && $placed->piece->purpose === Purpose::Carcass)) {
            return $this->parted($placed, Polygon::rectangle($x0, -self::FAR, $x1 - $x0, 2 * self::FAR), new CutFor(Cut::Stop, $thing->id, $thing->name)) ?: [];
        }
        $isThrough = $thing->kind->isRound() && ! in_array($thing->runs(), [self::direction($placed->length), self::direction($placed->width)], true);
        if ($placed->part === Part::Back || $placed->part === Part::Cladding) {
            return $this->cutBack($placed, $thing, $form, $isThrough, $clearance);
        }
        if ($placed->width !== Axis::V || $placed->pose->width->y < 0.0 || $y1 > $wide - self::LEFT) {
            return [$placed];
        }
        if ($isThrough && $y0 > self::LONGEST_SLOT) {
            return $this->split($placed, $thing, $form);
        }
        $isSocket = in_array($thing->id, $this->openings, true) && ! $thing->kind->isCutAround();
        if ($isSocket && $y0 > 1.0) {
            return $this->opened($placed, $thing, $form);
        }
        $slot = $form->drawnDown(-self::FAR);
        $parts = $slot === null ? [] : $placed->piece->outline->minus($slot);

        return count($parts) !== 1 ? [$placed]
            : [$placed->withPiece($placed->piece->cutTo($parts[0], new CutFor($isThrough ? Cut::Slot : Cut::Notch, $thing->id, $thing->name, [$y1 - $low])))];
    }

    /**
     * A back: split where a pipe runs up behind it, a hole with a slot to its nearer end where one comes out through it, an
     * opening where a box sits in the wall.
     *
     * @return list<Placed>
     */
    private function cutBack(Placed $placed, Thing $thing, Polygon $form, bool $isThrough, float $clearance): array
    {
        [$x0, $x1, $y0, $y1] = $form->bounds();
        [$from, $long] = $placed->piece->outline->bounds();
        if ($x0 <= $from + 1.0 && $x1 >= $long - 1.0) {
            return $this->parted($placed, Polygon::rectangle(-self::FAR, $y0, 2 * self::FAR, $y1 - $y0), new CutFor(Cut::Stop, $thing->id, $thing->name)) ?: [$placed];
        }
        if ($isThrough) {
            $isFoot = $x1 <= $long - $x0;
            // The slot goes on from the hole to the nearer end, as wide as it.
            $slot = $this->slotAlong($form, $isFoot ? -self::FAR : self::FAR);
            $parts = $placed->piece->outline->minus($slot);
            $work = new CutFor($isFoot ? Cut::SlotUp : Cut::SlotDown, $thing->id, $thing->name, [$isFoot ? $x1 : $long - $x0, $thing->width + 2 * $clearance]);

            return count($parts) === 1 ? [$placed->withPiece($placed->piece->cutTo($parts[0], $work))] : ($this->parted($placed, $slot, $work) ?: [$placed]);
        }

        return $this->opened($placed, $thing, $form);
    }

    /**
     * A top board under a vent in the ceiling: a hole for its air, drawn out to an edge in front or behind that it comes too near to.
     */
    private function underVent(Placed $placed, Thing $thing, Block $hole): Placed
    {
        if (! $placed->bounds->meets(new Block($hole->u0, $hole->u1, $hole->v0, $hole->v1, $hole->z0 - self::BEFORE, $hole->z1), 0.0)) {
            return $placed;
        }
        $rim = $this->terms->rules->either(...self::RIM)->toDouble();
        $from = $hole->v0 - $placed->bounds->v0 < $rim ? $placed->bounds->v0 - 1.0 : $hole->v0;
        $to = $placed->bounds->v1 - $hole->v1 < $rim ? $placed->bounds->v1 + 1.0 : $hole->v1;
        $isBesideASide = $hole->u0 - $placed->bounds->u0 < $rim || $placed->bounds->u1 - $hole->u1 < $rim;
        $parts = $isBesideASide ? [] : $placed->piece->outline->minus($placed->facing(new Block($hole->u0, $hole->u1, $from, $to, $hole->z0, $hole->z1)));

        return count($parts) !== 1 ? $placed
            : $placed->withPiece($placed->piece->cutTo($parts[0], new CutFor(Cut::Opening, $thing->id, $thing->name, [$hole->u1 - $hole->u0, min($to, $placed->bounds->v1) - max($from, $placed->bounds->v0)])));
    }

    private function slotAlong(Polygon $form, float $to): Polygon
    {
        $turned = fn (Polygon $polygon): Polygon => new Polygon(array_map(fn (Point $point) => new Point($point->y, $to < 0.0 ? $point->x : -$point->x), $polygon->points));
        $back = fn (Polygon $polygon): Polygon => new Polygon(array_map(fn (Point $point) => new Point($to < 0.0 ? $point->y : -$point->y, $point->x), $polygon->points));

        return $back($turned($form)->drawnDown(-self::FAR) ?? $turned($form));
    }

    /** @return list<Placed> a piece with a hole, or, where it meets an edge, a notch */
    private function opened(Placed $placed, Thing $thing, Polygon $form): array
    {
        $parts = $placed->piece->outline->minus($form);
        [$x0, $x1, $y0, $y1] = $form->bounds();
        [$from, $long, $low, $wide] = $placed->piece->outline->bounds();
        $work = new CutFor(Cut::Opening, $thing->id, $thing->name, [min($long, $x1) - max($from, $x0), min($wide, $y1) - max($low, $y0)]);

        return count($parts) === 1 ? [$placed->withPiece($placed->piece->cutTo($parts[0], $work))] : ($this->parted($placed, $form, $work) ?: [$placed]);
    }

    /** @return list<Placed> both halves of a piece that is split through the centre of a hole */
    private function split(Placed $placed, Thing $thing, Polygon $hole): array
    {
        [$x0, $x1] = $hole->bounds();
        $work = new CutFor(Cut::Split, $thing->id, $thing->name, [$x1 - $x0]);
        [, $long] = $placed->piece->outline->bounds();
        $middle = ($x0 + $x1) / 2;
        if ($middle < self::LEFT || $middle > $long - self::LEFT) {
            return [$placed];
        }
        $whole = $placed->piece->outline->minus($hole);
        $halves = [];
        foreach ([[-self::FAR, $middle], [$middle, self::FAR]] as [$from, $to]) {
            foreach ($whole as $part) {
                array_push($halves, ...$part->between($from, $to));
            }
        }

        return count($halves) === 2 ? $this->parts($placed, $halves, $work) : [$placed];
    }

    /**
     * The parts on both sides of what is cut out, of those that are worth keeping.
     *
     * @return list<Placed>
     */
    private function parted(Placed $placed, Polygon $away, CutFor $work): array
    {
        $kept = array_values(array_filter($placed->piece->outline->minus($away), function (Outline $part): bool {
            [$x0, $x1, $y0, $y1] = $part->bounds();

            return max($x1 - $x0, $y1 - $y0) >= self::LEFT && min($x1 - $x0, $y1 - $y0) >= 10.0;
        }));

        return count($kept) === 1 && abs($kept[0]->area() - $placed->piece->outline->area()) < 1.0 ? [$placed] : $this->parts($placed, $kept, $work);
    }

    /**
     * Pieces of their own, each with a blank: from the edge of the whole blank where the part has it, else from the cut.
     *
     * @param  list<Outline>  $outlines
     * @return list<Placed>
     */
    private function parts(Placed $placed, array $outlines, CutFor $work): array
    {
        $piece = $placed->piece;
        [$x0, $x1, $y0, $y1] = $piece->outline->bounds();
        $step = $this->terms->format;
        $parts = [];
        foreach ($outlines as $i => $outline) {
            [$a0, $a1, $b0, $b1] = $outline->bounds();
            [$left, $right] = [$a0 - $x0 < 0.01, $x1 - $a1 < 0.01];
            [$foot, $head] = [$b0 - $y0 < 0.01, $y1 - $b1 < 0.01];
            $length = $left && $right ? $piece->length : $this->beside($work, ($right ? $piece->length->result->toDouble() : $a1) - ($left ? 0.0 : $a0))->roundedDown($step);
            $width = $foot && $head ? $piece->width : $this->beside($work, ($head ? $piece->width->result->toDouble() : $b1) - ($foot ? 0.0 : $b0))->roundedDown($step);
            // What rounding takes goes off at the cut.
            $x = $left ? 0.0 : ($right ? $piece->length->result->toDouble() : $a1) - $length->result->toDouble();
            $y = $foot ? 0.0 : ($head ? $piece->width->result->toDouble() : $b1) - $width->result->toDouble();
            $turn = fn (Outline $one) => $one->mapped(fn (Point $point) => new Point($point->y, $point->x));
            $fitted = self::largest($outline->between($x, $x + $length->result->toDouble()), $outline);
            $fitted = $turn(self::largest($turn($fitted)->between($y, $y + $width->result->toDouble()), $turn($fitted)));
            $parts[] = $placed->withPiece($piece->part(chr(ord('a') + $i), $length, $width, $fitted->moved(-$x, -$y), $work), $placed->pose->moved($x, $y));
        }

        return $parts;
    }

    /** @param list<Outline> $parts */
    private static function largest(array $parts, Outline $else): Outline
    {
        usort($parts, fn (Outline $a, Outline $b) => $b->area() <=> $a->area());

        return $parts[0] ?? $else;
    }

    private function beside(CutFor $work, float $long): Working
    {
        return Working::start($work->cut === Cut::Split ? 'to the middle of the hole' : 'beside '.$work->name(), Length::ofDouble($long));
    }

    /** What is cut away for a thing, in the piece's own coordinates: its section where the piece lies across it, else its block. */
    private function form(Placed $placed, Thing $thing, Block $block, float $clearance): Polygon
    {
        $section = $this->places->section($thing);
        if ($section === null || $section[0] === $placed->length || $section[0] === $placed->width) {
            return $placed->facing($block);
        }
        [$axis, $polygon] = $section;

        return new Polygon(array_map(fn (Point $point) => match ($axis) {
            Axis::U => $placed->seen(0.0, $point->x, $point->y),
            Axis::V => $placed->seen($point->x, 0.0, $point->y),
            Axis::Z => $placed->seen($point->x, $point->y, 0.0),
        }, $polygon->grown($clearance)->points));
    }

    private static function direction(Axis $axis): string
    {
        return ['u' => 'along', 'v' => 'out', 'z' => 'up'][$axis->value];
    }
}
