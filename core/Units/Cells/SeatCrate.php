<?php

declare(strict_types=1);

namespace Incastro\Units\Cells;

use Incastro\Fit\Demand\CellDemand;
use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\Standing;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\WayOut;
use Incastro\Strength\Deck;
use Incastro\Strength\Loads;
use Incastro\Units\Assembly;
use Incastro\Units\CellUnit;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\BoxJoints;
use Incastro\Units\Make\Slots;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\CellSite;

/**
 * A light base of a seat: front, back and ends, and between them boards both ways that are slotted half through and drop into each other.
 * Of long boards ⌈(D − t)/(c + t)⌉ − 1, of cross boards ⌈(W − t)/(c + t)⌉ − 1, so that no cell is wider than c.
 */
#[About('seat-crate', 'Crate under a seat', 'A light grid of half-lapped boards that carries a seat.', 'To sit', 'G')]
final readonly class SeatCrate implements CellUnit
{
    /** A slot is so much wider than its board and deeper than half of it, mm and inches. */
    private const PLAY = [0.5, 1 / 64];

    /** Widest cells that are tried where a seat bends, mm and inches. */
    private const NARROWER = [[500.0, 20.0], [450.0, 18.0], [400.0, 16.0], [350.0, 14.0], [300.0, 12.0], [250.0, 10.0]];

    public function __construct(
        #[Size('Widest cell', ['450', '18'], 250, 600)] public Length $cell,
    ) {
    }

    public function standing(): Standing
    {
        return Standing::Built;
    }

    public function demand(HouseRules $rules, Catalogue $materials): CellDemand
    {
        return new CellDemand(
            Extent::between($rules->either(400, 16), $rules->either(3000, 118), 'a crate needs %s'),
            Extent::between($rules->either(100, 4), $rules->either(500, 20), 'under a seat a crate is %s high'),
            Extent::between($rules->either(350, 14), $rules->either(900, 35), 'a crate is %s deep'),
            isFromFloor: true,
        );
    }

    public function build(CellSite $site): Assembly
    {
        $terms = $site->terms;
        $cell = $site->cell;
        $foot = $site->floor();
        $board = $terms->materials->carcass->thickness;
        $t = $board->toDouble();
        $joining = new BoxJoints($terms);
        $dado = $joining->deep()->toDouble();
        $high = Working::start('from where it stands to the seat', Length::ofDouble($cell->z + min($cell->left, $cell->right) - $foot))->roundedDown($terms->format);
        $long = Working::start('width of its place', $cell->width->result)->roundedDown($terms->format);
        $deep = Working::start('depth of its place', Length::ofDouble($cell->face - $cell->back))->roundedDown($terms->format);
        [$w, $d] = [$long->result->toDouble(), $deep->result->toDouble()];
        $along = self::boards($w, $t, $this->cell->toDouble());
        $across = self::boards($d, $t, $this->cell->toDouble());
        $cx = $long->minusTimes('two ends', 2, $board)->minusTimes('cross boards', $along, $board)->dividedBy('cells', $along + 1);
        $cy = $deep->minusTimes('front and back', 2, $board)->minusTimes('long boards', $across, $board)->dividedBy('cells', $across + 1);
        $eased = [new Finished('foot, long', Finish::Eased)];
        $make = fn (string $role, string $name, Working $length, string $how, ?Slots $slots = null) => $site->make->inner($role, $name, $length, $high, Purpose::Carcass, Grain::Length, $slots === null ? $eased : [], [$how], $slots?->outline());
        $put = fn ($piece, float $x, float $y, Way $length, Way $thickness, Part $part = Part::Body) => new Placed($piece, Pose::at($cell->u + $x, $cell->back + $y, $foot, $length, Way::Up, $thickness), $part, $cell->tier->id);
        $front = $put($make('front', 'Crate front', $long, 'over the ends; pocket screws every 200 mm or 8 in from its cells up into the seat'), 0.0, $d - $t, Way::Right, Way::Out, Part::Face);
        $back = $put($make('back', 'Crate back', $long, 'over the ends; screwed to the studs'), 0.0, 0.0, Way::Right, Way::Out);
        $between = $deep->minusTimes('front and back', 2, $board);
        $ends = $crosses = $longs = $joints = [];
        foreach (['left' => 0.0, 'right' => $w - $t] as $end => $x) {
            $ends[] = $put($make("end-$end", 'Crate end', $joining->between($between), $joining->words()), $x, $t - $dado, Way::Out, Way::Right);
        }
        for ($i = 1; $i <= $along; $i++) {
            $piece = $make("cross-$i", 'Cross board', $joining->between($between), 'half-lapped, slotted from below; '.$joining->words(), $this->slotted($terms->rules, $joining->between($between)->roundedDown($terms->format), $high, $across, $cy, $t, $dado, false));
            $crosses[] = $put($piece, $t + $i * $cx->result->toDouble() + ($i - 1) * $t, $t - $dado, Way::Out, Way::Right);
        }
        $inner = $long->minusTimes('two ends', 2, $board);
        for ($j = 1; $j <= $across; $j++) {
            $piece = $make("long-$j", 'Long board', $joining->between($inner), 'half-lapped, slotted from above; '.$joining->words(), $this->slotted($terms->rules, $joining->between($inner)->roundedDown($terms->format), $high, $along, $cx, $t, $dado, true));
            $longs[] = $put($piece, $t - $dado, $t + $j * $cy->result->toDouble() + ($j - 1) * $t, Way::Right, Way::Out);
        }
        foreach ([...$ends, ...$crosses] as $one) {
            foreach ([$front, $back] as $upright) {
                $joints[] = $joining->joint($one->piece->key, $upright->piece->key, 'crates');
            }
        }
        foreach ($longs as $one) {
            array_push($joints, ...array_map(fn (Placed $end) => $joining->joint($one->piece->key, $end->piece->key, 'crates'), $ends), ...array_map(fn (Placed $cross) => new Joint($one->piece->key, $cross->piece->key, JointKind::Glue, 'crates'), $crosses));
        }

        return new Assembly([$front, $back, ...$ends, ...$longs, ...$crosses], $joints, [], ['Cell of the crate, along' => $cx, 'Cell of the crate, across' => $cy], $this->bends($site, $w, $d));
    }

    /** How many boards stand between the two outer ones of a length, so that no cell is wider than the most. */
    private static function boards(float $length, float $t, float $most): int
    {
        return max(0, (int) ceil(($length - $t) / ($most + $t) - 1e-9) - 1);
    }

    /** A slot for each board that crosses it, half its height and the play deep. */
    private function slotted(HouseRules $rules, Working $length, Working $high, int $crossing, Working $cell, float $t, float $dado, bool $isFromAbove): Slots
    {
        $play = $rules->either(...self::PLAY)->toDouble();
        $slots = new Slots($length->result->toDouble(), $high->result->toDouble());
        for ($i = 1; $i <= $crossing; $i++) {
            $from = $dado + $i * $cell->result->toDouble() + ($i - 1) * $t - $play / 2;
            $deep = $high->result->toDouble() / 2 + $play;
            $isFromAbove ? $slots->far($from, $from + $t + $play, $deep) : $slots->near($from, $from + $t + $play, $deep);
        }

        return $slots;
    }

    /** A seat of the usual sheet over a cell of a crate so long and deep, mm: it spans the shorter way; its grain runs along the bench. */
    private function seat(CellSite $site, float $wide, float $deep, float $most): ?Deck
    {
        $sheet = $site->terms->materials->for(Purpose::Top);
        $wood = $sheet->wood?->strength();
        $t = $site->terms->board();
        [$along, $across] = array_map(fn (float $length) => ($length - (2 + self::boards($length, $t, $most)) * $t) / (1 + self::boards($length, $t, $most)), [$wide, $deep]);
        $isAcross = $across < $along;

        return $wood === null ? null : new Deck(max($along, $across), $sheet->thickness->toDouble(), min($along, $across), $isAcross ? $wood->across : $wood->along, $isAcross ? $wood->bendingAcross : $wood->bendingAlong, Loads::newtons(Loads::SEAT), Loads::SITS_ON);
    }

    /** @return list<Finding> where it bends over a cell under one person */
    private function bends(CellSite $site, float $wide, float $deep): array
    {
        $seat = $this->seat($site, $wide, $deep, $this->cell->toDouble());
        if ($seat === null || $seat->holds()) {
            return [];
        }
        $terms = $site->terms;
        $tried = array_map(fn (array $size) => $terms->rules->either(...$size), self::NARROWER);
        $holding = array_values(array_filter($tried, fn (Length $most) => $most->isLessThan($this->cell) && $this->seat($site, $wide, $deep, $most->toDouble())?->holds() === true));
        $ways = $holding === [] ? [] : [new WayOut(sprintf('Cells of %s', $terms->format->write($holding[0])), Edits::tier($site->cell->tier->id)->measuring('with.cell', $holding[0]))];
        $fine = fn (float $mm): string => $terms->format->finest()->write(Length::ofDouble($mm));

        return [Finding::warning(Code::SeatBends, sprintf('Over its cells a seat of %s bends %s under one person; %s is the most. Guidance for furniture, not for the house.', $terms->format->write($terms->materials->for(Purpose::Top)->thickness), $fine($seat->sag()), $fine($seat->limit())), $site->cell->tier->id)->withWaysOut($ways)];
    }
}
