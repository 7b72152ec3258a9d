<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Bed;

use Incastro\Geometry\Block;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Solid;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Strength\Rolling;
use Incastro\Units\Assembly;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Motion;
use Incastro\Units\Movement;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\CellSite;

/**
 * A drawer on the floor between posts or walls, where the floor may fall: sides on a bottom on castors, and a front inset between them.
 * More play than in a box: 10 mm or 3/8 in at each side, 15 or 5/8 over its sides.
 */
final readonly class CastorDrawer
{
    private const SIDE = [10.0, 3 / 8];

    private const OVER = [15.0, 5 / 8];

    private const BEHIND = [10.0, 3 / 8];

    private const CASTOR = [45.0, 1.75];

    /** From the floor to its front. */
    private const FOOT = [12.0, 0.5];

    /** Lower than this its sides hold nothing, mm. */
    private const LEAST = 60.0;

    /** A wider drawer, or one with more in it, has six castors; mm, kg. */
    private const WIDE = 900.0;

    private const HEAVY = 100.0;

    /** Bedding, kg a litre. */
    private const BEDDING = 0.10;

    /** Castors that are sold, kg. */
    private const CASTORS = [25.0, 40.0, 60.0];

    public function __construct(private CellSite $site, private int $number, private Working $width, private Working $height, private Working $depth)
    {
    }

    /** In an opening so wide, high and deep, its left foot behind at a place of the run, mm. */
    public function build(float $u, float $v, float $skirting): Assembly
    {
        $terms = $this->site->terms;
        $is = fn (array $size): Length => $terms->rules->either(...$size);
        [$t, $tb, $tf] = array_map(fn (Purpose $purpose) => $terms->materials->for($purpose)->thickness, [Purpose::Carcass, Purpose::Drawer, Purpose::Front]);
        $reveal = $terms->rules->get(Rule::DoorReveal);
        $wide = $this->width->minusTimes('play at each side', 2, $is(self::SIDE))->roundedDown($terms->format);
        $deep = $this->depth->minus('front', $tf)->minus('air behind', $is(self::BEHIND));
        $deep = ($skirting > 0.0 ? $deep->minus('skirting behind', Length::ofDouble($skirting)) : $deep)->roundedDown($terms->format);
        $high = $this->height->minus('play over the sides', $is(self::OVER))->minus('castors', $is(self::CASTOR))->minus('bottom', $tb)->roundedDown($terms->format);
        $tier = $this->site->cell->tier->id;
        if ($high->result->toDouble() < self::LEAST || min($wide->result->toDouble(), $deep->result->toDouble()) < 3 * self::LEAST) {
            return new Assembly([], findings: [Finding::clash(Code::TooSmall, sprintf('A drawer under the bed would have sides of %s; %s is the least.', $terms->write(max(0.0, $high->result->toDouble())), $terms->write(self::LEAST)), $tier)->withWaysOut([new WayOut('No drawers below', Edits::tier($tier)->setting(['drawers' => false]))])]);
        }
        [$w, $d, $h, $thick] = [$wide->result->toDouble(), $deep->result->toDouble(), $high->result->toDouble(), $t->toDouble()];
        $x = $u + $is(self::SIDE)->toDouble();
        $y = $v + $is(self::BEHIND)->toDouble() + $skirting;
        $foot = $is(self::CASTOR)->toDouble();
        $put = fn (string $role, string $name, Working $length, Working $across, float $dx, float $dy, float $z, Way $l, Way $b, Way $n, Purpose $of = Purpose::Carcass) => new Placed($this->site->make->inner("drawer-$this->number-$role", $name, $length, $across, $of, Grain::Length, $of === Purpose::Front ? [new Finished('all four', Finish::Banded)] : [], ['on castors, on the floor']), Pose::at($x + $dx, $y + $dy, $z, $l, $b, $n), $of === Purpose::Front ? Part::Face : Part::Loose, $tier);
        $between = $wide->minusTimes('two sides', 2, $t);
        $sides = [$put('side-L', 'Drawer side', $deep, $high, 0.0, 0.0, $foot + $tb->toDouble(), Way::Out, Way::Up, Way::Right), $put('side-R', 'Drawer side', $deep, $high, $w - $thick, 0.0, $foot + $tb->toDouble(), Way::Out, Way::Up, Way::Right)];
        $ends = [$put('back', 'Drawer back', $between, $high, $thick, 0.0, $foot + $tb->toDouble(), Way::Right, Way::Up, Way::Out), $put('inner-front', 'Inner front', $between, $high, $thick, $d - $thick, $foot + $tb->toDouble(), Way::Right, Way::Up, Way::Out)];
        $bottom = $put('bottom', 'Drawer bottom', $wide, $deep, 0.0, 0.0, $foot, Way::Right, Way::Out, Way::Up, Purpose::Drawer);
        $front = $put('front', 'Drawer front', $this->width->minusTimes('reveals', 2, $reveal), $this->height->minus('over the floor', $is(self::FOOT))->minus('reveal', $reveal), $u + $reveal->toDouble() - $x, $this->depth->result->toDouble() - $tf->toDouble() + $v - $y, $is(self::FOOT)->toDouble(), Way::Right, Way::Up, Way::Out, Purpose::Front);
        $placed = [...$sides, ...$ends, $bottom, $front];
        $joints = [new Joint($front->piece->key, $ends[1]->piece->key, JointKind::Screws, 'drawer fronts')];
        foreach ($sides as $side) {
            array_push($joints, new Joint($bottom->piece->key, $side->piece->key, JointKind::Screws, 'drawers on castors'), ...array_map(fn (Placed $end) => new Joint($end->piece->key, $side->piece->key, JointKind::Pocket, 'drawers on castors'), $ends));
        }
        $own = array_sum(array_map(fn (Placed $one) => $one->piece->weight(), $placed));
        $load = $own + Rolling::contents(($w - 2 * $thick) * ($d - 2 * $thick) * $h, self::BEDDING);
        $castors = $w > self::WIDE || $load > self::HEAVY ? 6 : 4;
        $class = array_values(array_filter(self::CASTORS, fn (float $kg) => $kg >= Rolling::aCastor($load, $castors)))[0] ?? max(self::CASTORS);

        return new Assembly($placed, $joints, [
            new Hardware(sprintf('castor %s high, %.0f kg', $terms->format->write($is(self::CASTOR)), $class), $castors, 'drawers on castors', ArticleKind::Castor),
            new Hardware('bar pull', $this->width->result->toDouble() > 600.0 ? 2 : 1, 'drawers on castors', ArticleKind::BarPull),
        ], [], [], [$this->movement($placed, $front, $u, $v, $d)]);
    }

    /** @param non-empty-list<Placed> $placed */
    private function movement(array $placed, Placed $front, float $u, float $v, float $travel): Movement
    {
        $from = $v + $this->depth->result->toDouble();
        $b = $front->bounds;
        $swept = new Block($b->u0, $b->u1, $from, $from + $travel, $b->z0, $b->z1);

        return new Movement("Drawer $this->number", $this->site->cell->tier->id, array_map(fn (Placed $one) => $one->piece->key, $placed), [Solid::block($swept)], [$swept->footprint()], Motion::slide(Way::Out->vector(), $travel), $travel);
    }
}
