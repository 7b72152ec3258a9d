<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Bed;

use Incastro\Geometry\Way;
use Incastro\Measure\Working;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Purpose;
use Incastro\Units\Assembly;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/**
 * The roof over a bed: a board on two ribs and cross supports between them. In one, or in two halves that pass a narrow turn: each then
 * ends in a cross support at the middle, both are bolted face to face, and a plate along each rib joins its halves.
 */
final readonly class CanopyRoof
{
    /** Cross supports no further apart; a plate that joins two halves of a rib, how long; mm and inches. */
    private const APART = [600.0, 24.0];

    private const PLATE = [460.0, 18.0];

    /** Bolts on either side of a plate, in two columns so far apart, mm. */
    private const BOLTS = 4;

    public const COLUMNS = 150.0;

    private CanopyParts $parts;

    /** @param float $under height of the ribs' lower edges, and of the board's lower side, mm */
    public function __construct(private BedSizes $sizes, private Working $outer, private Working $deep, private float $under, private float $high)
    {
        $this->parts = new CanopyParts($sizes);
    }

    /** @return list<Assembly> that are carried one by one: the whole, or its halves; and what joins those */
    public function modules(): array
    {
        if (! $this->sizes->bed->halves) {
            return [$this->module('', $this->outer, $this->sizes->long(), 0.0, 0.0, null)];
        }
        $half = fn (Working $whole): Working => $whole->dividedBy('halves', 2)->roundedDown($this->sizes->site->terms->format);
        [$outer, $between] = [$half($this->outer), $half($this->sizes->long())];
        [$long, $whole] = [$this->sizes->long()->result->toDouble(), $this->outer->result->toDouble()];
        $right = $long - $between->result->toDouble();
        $left = $this->module('-L', $outer, $between, 0.0, 0.0, 'R');
        $module = $this->module('-R', $outer, $between, $whole - $outer->result->toDouble(), $right, 'L');

        return [$left, $module, $this->joined($left, $module, $long / 2)];
    }

    /**
     * @param  float  $board  from where its roof board goes, from the outer side of the left panel
     * @param  float  $from  from where its ribs go
     * @param  'L'|'R'|null  $meets  the end at which it meets the other half
     */
    private function module(string $side, Working $outer, Working $between, float $board, float $from, ?string $meets): Assembly
    {
        $p = $this->parts;
        $t = $this->sizes->site->terms->materials->carcass->thickness;
        $thick = $t->toDouble();
        $rib = Working::start('height of a rib', $this->sizes->bed->rib);
        [$long, $wide] = [$between->result->toDouble(), $this->deep->result->toDouble()];
        $roof = $p->put($p->piece("roof$side", 'Roof, the shelf above', $outer, $this->deep, 'screwed down to ribs and cross supports', Purpose::Top), $board - $thick, 0.0, $this->high, Way::Right, Way::Out, Way::Up, Part::Worktop);
        $ribs = [
            $p->put($p->piece("rib-back$side", 'Rib', $between, $rib, 'glued and screwed to the roof'), $from, 0.0, $this->under, Way::Right, Way::Up, Way::Out),
            $p->put($p->piece("rib-front$side", 'Rib', $between, $rib, 'glued and screwed to the roof'), $from, $wide - $thick, $this->under, Way::Right, Way::Up, Way::Out, Part::Face),
        ];
        $crosses = $joints = [];
        $count = (int) ceil(($long - $thick) / $p->is(self::APART)->toDouble() - 1e-9) + 1;
        for ($i = 0; $i < $count; $i++) {
            $isMiddle = $meets !== null && $i === ($meets === 'L' ? 0 : $count - 1);
            // At the middle the plates lie between it and the ribs.
            $boards = $isMiddle ? 4 : 2;
            $how = match (true) {
                $isMiddle => 'bolted to that of the other half',
                $i === 0 || $i === $count - 1 => 'bolted to the end panel',
                default => 'between the ribs',
            };
            $crosses[] = $cross = $p->put($p->piece("cross$side-".($i + 1), 'Cross support', $this->deep->minusTimes($isMiddle ? 'ribs and plates' : 'ribs', $boards, $t), $rib, $how), $from + $i * ($long - $thick) / ($count - 1), $boards / 2 * $thick, $this->under, Way::Out, Way::Up, Way::Right);
            array_push($joints, ...($isMiddle ? [] : array_map(fn (Placed $one) => new Joint($cross->piece->key, $one->piece->key, JointKind::Pocket, 'roofs of beds'), $ribs)));
        }
        foreach ([...$ribs, ...$crosses] as $one) {
            $joints[] = new Joint($roof->piece->key, $one->piece->key, JointKind::Screws, 'roofs of beds');
        }

        return new Assembly([$roof, ...$ribs, ...$crosses], $joints);
    }

    /** Plates along the ribs, and bolts through them and through the supports that meet. */
    private function joined(Assembly $left, Assembly $right, float $middle): Assembly
    {
        $p = $this->parts;
        $thick = $this->sizes->site->terms->materials->carcass->thickness->toDouble();
        $wide = $this->deep->result->toDouble();
        $long = Working::start('over the joint of a rib', $p->is(self::PLATE));
        $plates = $joints = [];
        foreach (['back' => $thick, 'front' => $wide - 2 * $thick] as $at => $y) {
            $piece = $p->piece("plate-$at", 'Plate over the joint', $long, Working::start('height of a rib', $this->sizes->bed->rib), sprintf('%d bolts on either side, in two columns 150 mm or 6 in apart', self::BOLTS));
            $plates[] = $plate = $p->put($piece, $middle - $long->result->toDouble() / 2, $y, $this->under, Way::Right, Way::Up, Way::Out);
            foreach (['L' => $left, 'R' => $right] as $side => $half) {
                foreach ($half->placed as $placed) {
                    if (str_ends_with($placed->piece->key, ":rib-$at-$side")) {
                        $joints[] = new Joint($plate->piece->key, $placed->piece->key, JointKind::Butt, 'halves of the roof');
                    }
                }
            }
        }

        return new Assembly($plates, $joints, [new Hardware('connecting bolt M6', 4 + 2 * 2 * self::BOLTS, 'halves of the roof of the bed', ArticleKind::Connector)]);
    }

    /** Heaviest of what is carried up as one, kg. */
    public static function heaviest(Assembly ...$modules): float
    {
        return max([0.0, ...array_map(fn (Assembly $module) => array_sum(array_map(fn (Placed $one) => $one->piece->weight(), $module->placed)), $modules)]);
    }
}
