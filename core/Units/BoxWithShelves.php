<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\Cell;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Working;
use Incastro\Pieces\EdgeWork;
use Incastro\Pieces\Grain;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\MaterialRole;
use Incastro\Rules\Materials;
use Incastro\Rules\Rule;

/**
 * A box with its sides full height, bottom and top between them, fixed and adjustable shelves at equal clear spacing, a
 * thin laid-on back and solid nailers top and bottom (handbook, "Units and their sums").
 */
final readonly class BoxWithShelves
{
    private const LOWEST_OPENING = 100;

    private const PINS_PER_SHELF = 4;

    private const SCREWS_PER_JOINT = 3;

    private PieceMaker $make;

    public function __construct(
        private Cell $cell,
        private HouseRules $rules,
        private Materials $materials,
        private LengthFormat $format,
    ) {
        $this->make = new PieceMaker($cell->id, $cell->mark(), $materials, $format);
    }

    public function build(): Assembly
    {
        return $this->shell()->with($this->shelves())->with($this->backAndNailers());
    }

    /** Depth of sides, bottom and top: the back is laid on behind, the face frame before them. */
    private function innerDepth(): Working
    {
        return Working::start('depth of the box', $this->cell->outerDepth())
            ->minus('face frame', $this->materials->frame->thickness)
            ->minus('laid-on back', $this->materials->back->thickness);
    }

    private function betweenSides(): Working
    {
        return Working::start('width of the box', $this->cell->outerWidth())
            ->minusTimes('two sides', 2, $this->materials->carcass->thickness);
    }

    private function shell(): Assembly
    {
        $t = $this->materials->carcass->thickness->toDouble();
        $w = $this->cell->outerWidth()->toDouble();
        $h = $this->cell->outerHeight()->toDouble();
        $d = $this->innerDepth()->result->toDouble();
        $v = $this->materials->back->thickness->toDouble();
        ['u' => $u, 'z' => $z] = ['u' => $this->cell->u, 'z' => $this->cell->z];
        $front = [new EdgeWork('front, long', 'covered by the face frame')];
        $side = fn (string $hand) => $this->make->inner("side-$hand", 'Side', Working::start('height of the box', $this->cell->outerHeight()), $this->innerDepth(), MaterialRole::Carcass, Grain::Length, $front, ['bottom, top and fixed shelves butt against it']);
        $between = fn (string $role, string $name) => $this->make->inner($role, $name, $this->betweenSides(), $this->innerDepth(), MaterialRole::Carcass, Grain::Length, $front, ['pocket screws into both sides']);

        return new Assembly([
            new Placed($side('L'), $u, $v, $z, $t, $d, $h),
            new Placed($side('R'), $u + $w - $t, $v, $z, $t, $d, $h),
            new Placed($between('bottom', 'Bottom'), $u + $t, $v, $z, $w - 2 * $t, $d, $t),
            new Placed($between('top', 'Top'), $u + $t, $v, $z + $h - $t, $w - 2 * $t, $d, $t),
        ], [new Hardware('pocket screw, 32 mm', 4 * self::SCREWS_PER_JOINT, 'bottom and top to the sides')]);
    }

    /** clear = (inner height − n·t) / (n + 1); what rounding leaves over goes to the top opening. */
    private function shelves(): Assembly
    {
        $count = $this->cell->fixedShelves + $this->cell->adjustableShelves;
        if ($count === 0) {
            return new Assembly([]);
        }
        $t = $this->materials->carcass->thickness;
        $spacing = Working::start('height of the box', $this->cell->outerHeight())
            ->minusTimes('bottom and top', 2, $t)
            ->minusTimes($count === 1 ? 'one shelf' : "$count shelves", $count, $t)
            ->dividedBy('equal openings', $count + 1)
            ->roundedDown($this->format);
        $findings = $spacing->result->isLessThan(Length::ofMillimetres(self::LOWEST_OPENING))
            ? [Finding::clash('shelves-too-close', sprintf('%d shelves leave openings of %s; %s is the least that a hand gets into. Take some out.', $count, $this->format->write($spacing->result), $this->format->write(Length::ofMillimetres(self::LOWEST_OPENING))), $this->cell->id)]
            : [];
        $placed = [];
        $fixedPlaces = $this->fixedPlaces($count);
        foreach (range(1, $count) as $i) {
            $isFixed = in_array($i, $fixedPlaces, true);
            $z = $this->cell->z + $t->toDouble() + $i * $spacing->result->toDouble() + ($i - 1) * $t->toDouble();
            $length = $isFixed ? $this->betweenSides() : $this->betweenSides()->minus('play, so that it drops in', $this->rules->get(Rule::ShelfPlay));
            $piece = $this->make->inner(
                "shelf-$i",
                $isFixed ? 'Fixed shelf' : 'Adjustable shelf',
                $length,
                $this->innerDepth(),
                MaterialRole::Carcass,
                Grain::Length,
                [new EdgeWork('front, long', 'banded')],
                [$isFixed ? 'pocket screws into both sides' : 'on four pins']
            );
            $aside = ($this->cell->outerWidth()->toDouble() - $piece->length->result->toDouble()) / 2;
            $placed[] = new Placed($piece, $this->cell->u + $aside, $this->materials->back->thickness->toDouble(), $z, $piece->length->result->toDouble(), $this->innerDepth()->result->toDouble(), $t->toDouble());
        }
        $fixed = $this->cell->fixedShelves;
        $hardware = array_values(array_filter([
            new Hardware('pocket screw, 32 mm', 2 * self::SCREWS_PER_JOINT * $fixed, 'fixed shelves to the sides'),
            new Hardware('shelf pin', self::PINS_PER_SHELF * $this->cell->adjustableShelves, 'adjustable shelves'),
        ], fn (Hardware $hardware) => $hardware->quantity > 0));

        return new Assembly($placed, $hardware, ['Clear between shelves' => $spacing], $findings);
    }

    /**
     * Fixed shelves stand as evenly as they can among all of them.
     *
     * @return list<int> from 1
     */
    private function fixedPlaces(int $count): array
    {
        $fixed = $this->cell->fixedShelves;

        return array_map(fn (int $k) => (int) round($k * ($count + 1) / ($fixed + 1)), $fixed === 0 ? [] : range(1, $fixed));
    }

    private function backAndNailers(): Assembly
    {
        $play = $this->rules->get(Rule::BackPlay);
        $back = $this->make->inner(
            'back',
            'Back',
            Working::start('height of the box', $this->cell->outerHeight())->minus('less than the box', $play),
            Working::start('width of the box', $this->cell->outerWidth())->minus('less than the box', $play),
            MaterialRole::Back,
            Grain::Length,
            [],
            ['laid on behind, screwed all round']
        );
        $t = $this->materials->carcass->thickness->toDouble();
        $high = $this->rules->mm(Rule::NailerWidth);
        $nailer = fn (string $at) => $this->make->inner("nailer-$at", 'Nailer', $this->betweenSides(), Working::start('nailer width', $this->rules->get(Rule::NailerWidth)), MaterialRole::Carcass, Grain::Length, [], ['pocket screws into both sides; the box is fixed to studs through it']);
        $u = $this->cell->u + $t;
        $v = $this->materials->back->thickness->toDouble();
        $length = $this->betweenSides()->result->toDouble();
        $half = $play->toDouble() / 2;

        return new Assembly([
            new Placed($back, $this->cell->u + $half, 0.0, $this->cell->z + $half, $back->width->result->toDouble(), $v, $back->length->result->toDouble()),
            new Placed($nailer('top'), $u, $v, $this->cell->z + $this->cell->outerHeight()->toDouble() - $t - $high, $length, $t, $high),
            new Placed($nailer('bottom'), $u, $v, $this->cell->z + $t, $length, $t, $high),
        ], [new Hardware('pocket screw, 32 mm', 8, 'nailers to the sides')]);
    }
}
