<?php

declare(strict_types=1);

namespace Incastro\Units\Surfaces;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\SurfaceDemand;
use Incastro\Fit\Holds\ComesOff;
use Incastro\Geometry\Block;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Vector;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Pieces\Works\Sawn;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\Parameters\When;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\Hand;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\HungLeaf;
use Incastro\Units\Make\MitredStrip;
use Incastro\Units\Make\PullPlace;
use Incastro\Units\Make\Screws;
use Incastro\Units\Movement;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Pull;
use Incastro\Units\Sites\SurfaceSite;
use Incastro\Units\SurfaceUnit;

/**
 * A hole in a wall to the place behind it: the cut is lined with boards as deep as the wall, a leaf laps over the lining, and a
 * mitred casing covers the edge of the cut. What it lies on is the rough opening.
 */
#[About('hatch', 'Hatch', 'A lined opening in a wall to the place behind it, with a leaf.', 'On a wall', 'H')]
final readonly class Hatch implements SurfaceUnit, ComesOff
{
    /** A stud farther from the hinge side than this holds no hinges, mm. */
    private const STUD = 60.0;

    /** A casing stands so far off the leaf all round, mm and inches. */
    private const OFF = [3.0, 1 / 8];

    private const CASING_LAPS = 6.0;

    /** Screws in each side of the lining, through shims. */
    private const SCREWS = 4;

    public function __construct(
        #[Size('Thickness of the wall', ['100', '4 1/2'], 60, 400, 'With the boards on both its faces.')] public Length $wall,
        #[Size('Shims round the lining', ['5', '3/16'], 0, 20)] public Length $shim,
        #[Size('Leaf laps over the lining', ['12.7', '1/2'], 5, 19, 'As far as a straight-armed hinge reaches.')] public Length $lap,
        #[Toggle('With a casing round the leaf', true)] public bool $casing,
        #[Size('Width of the casing', ['57', '2 1/4'], 30, 120)]
        #[When('casing', true)]
        public Length $cover,
        #[Choice('Hinged at the', Hand::Either)] public Hand $hand,
        #[Choice('Opened by', Pull::Knob)] public Pull $pull,
        #[Toggle('Somebody who knows looked at the wall', false)] public bool $confirmed,
    ) {
    }

    public function demand(HouseRules $rules, Catalogue $materials): SurfaceDemand
    {
        return new SurfaceDemand(
            Extent::between($rules->either(200, 8), $rules->either(700, 28), 'an arm through a hatch needs %s'),
            Extent::between($rules->either(200, 8), $rules->either(1800, 71), 'an arm through a hatch needs %s'),
            $materials->for(Purpose::Front)->thickness->plus($rules->either(2, 1 / 16)),
            $this->casing ? $this->cover->plus($rules->either(...self::OFF)) : $this->lap,
            $this->wall,
        );
    }

    public function build(SurfaceSite $site): Assembly
    {
        $terms = $site->terms;
        $t = $terms->materials->carcass->thickness;
        $high = $site->place->height->minusTimes('shims', 2, $this->shim)->roundedDown($terms->format);
        $across = $site->place->width->minusTimes('shims', 2, $this->shim)->minusTimes('sides of the lining', 2, $t)->roundedDown($terms->format);
        $up = $site->place->height->minusTimes('shims', 2, $this->shim)->minusTimes('head and sill', 2, $t);
        $lining = $this->lining($site, $high, $across);
        $length = $up->plusTimes('laps over the lining', 2, $this->lap);
        $width = Working::start('clear width of the lining', $across->result)->plusTimes('laps over the lining', 2, $this->lap);
        $leaf = $site->make->moving('leaf', 'Hatch', $length, $width->roundedDown($terms->format), Purpose::Front, Grain::Length, [new Finished('all four', Finish::Banded)], ['on concealed hinges']);
        $wide = $leaf->width->result->toDouble();
        $tall = $leaf->length->result->toDouble();
        $bump = $terms->rules->either(2, 1 / 16)->toDouble();
        [$x, $z] = [($site->place->width->result->toDouble() - $wide) / 2, ($site->place->height->result->toDouble() - $tall) / 2];
        $hand = $this->hand === Hand::Either ? Hand::Left : $this->hand;
        $placed = (new PullPlace($terms, $this->pull))->onDoor($site->placed($leaf, $x, $bump, $z, Way::Up, Way::Right, Part::Face), $hand->other(), $tall, false);
        $post = $lining[$hand === Hand::Left ? 0 : 1];
        $hung = new HungLeaf(new Vector($site->place->u + $x + ($hand === Hand::Left ? 0.0 : $wide), $site->place->v, $site->place->z + $z), $hand, $wide, [$tall, $tall]);
        $hinges = $hung->hinges($leaf->weight()) ?? 5;
        [$swept, $above] = $hung->swept(hypot($wide, $bump + $leaf->thickness->toDouble()));
        $movement = new Movement('Hatch '.$site->place->mark, $site->place->surface->id, [$leaf->key], $swept, [$above], $hung->motion(), 0.0, [new WayOut('Hinge it at the '.$hand->other()->value, Edits::surface($site->place->surface->id)->setting(['hand' => $hand->other()->value]))]);
        $hardware = [
            new Hardware('concealed hinge for a leaf over its board, straight', $hinges, 'hatches', ArticleKind::Hinge),
            ...$this->pull->bought(1, 'hatches'),
            new Hardware('magnet catch', 1, 'hatches', ArticleKind::Magnet),
            (new Screws($terms->materials, $terms->format))->toWall($lining[0]->piece, 'lining of hatches')->times(2 * self::SCREWS),
        ];
        $joints = [new Joint($leaf->key, $post->piece->key, JointKind::Hinge, 'hatches', at: $hung->places($hinges, $terms->rule(Rule::HingeEnd)))];
        foreach (array_slice($lining, 2) as $level) {
            foreach (array_slice($lining, 0, 2) as $side) {
                $joints[] = new Joint($level->piece->key, $side->piece->key, JointKind::Pocket, 'lining of hatches');
            }
        }

        return new Assembly([...$lining, $placed, ...($this->casing ? $this->casings($site, $leaf) : [])], $joints, $hardware, [], $this->findings($site, $hand), [$movement]);
    }

    /**
     * Sides, head and sill in the thickness of the wall, flush with its face.
     *
     * @return non-empty-list<Placed>
     */
    private function lining(SurfaceSite $site, Working $high, Working $across): array
    {
        $t = $site->terms->board();
        $shim = $this->shim->toDouble();
        [$wide, $tall] = [$site->place->width->result->toDouble(), $site->place->height->result->toDouble()];
        $deep = Working::start('thickness of the wall', $this->wall);
        $make = fn (string $role, string $name, Working $length): Piece => $site->make->inner($role, $name, $length, $deep, Purpose::Carcass, Grain::Length, [new Finished('front, long', Finish::Banded)], ['screwed to the studs through shims']);
        $at = fn (Piece $piece, float $x, float $z, Way $length, Way $thick): Placed => new Placed($piece, Pose::at($site->place->u + $x, $site->place->v - $piece->width->result->toDouble(), $site->place->z + $z, $length, Way::Out, $thick), Part::Lining, $site->place->surface->id);
        $left = $make('liner-L', 'Side of the lining', $high);
        $right = $make('liner-R', 'Side of the lining', $high);
        $sill = $make('liner-sill', 'Sill of the lining', $across);
        $head = $make('liner-head', 'Head of the lining', $across);
        $foot = $shim + ($tall - 2 * $shim - $high->result->toDouble()) / 2;
        $x = ($wide - $across->result->toDouble()) / 2 - $t;

        return [
            $at($left, $x, $foot, Way::Up, Way::Right),
            $at($right, $wide - $x - $t, $foot, Way::Up, Way::Right),
            $at($sill, $x + $t, $foot, Way::Right, Way::Up),
            $at($head, $x + $t, $tall - $foot - $t, Way::Right, Way::Up),
        ];
    }

    /**
     * Four strips round the leaf, mitred at their corners.
     *
     * @return list<Placed>
     */
    private function casings(SurfaceSite $site, Piece $leaf): array
    {
        $terms = $site->terms;
        $off = $terms->rules->either(...self::OFF);
        [$wide, $tall] = [$leaf->width->result->toDouble(), $leaf->length->result->toDouble()];
        [$x, $z] = [($site->place->width->result->toDouble() - $wide) / 2 - $off->toDouble(), ($site->place->height->result->toDouble() - $tall) / 2 - $off->toDouble()];
        $width = Working::start('width of the casing', $this->cover);
        $round = fn (string $label, Working $size): Working => Working::start($label, $size->result)->plusTimes('off the leaf', 2, $off)->plusTimes('both mitres', 2, $this->cover)->roundedDown($terms->format->fine());
        $leg = $round('height of the leaf', $leaf->length);
        $head = $round('width of the leaf', $leaf->width);
        $w = $this->cover->toDouble();
        $strip = function (string $role, string $name, Working $length, bool $isInnerFirst) use ($site, $width, $w): Piece {
            $long = $length->result->toDouble();
            // Its longer edge lies away from the leaf.
            $outline = MitredStrip::outline($long, $w, $isInnerFirst);

            return $site->make->shaped($role, $name, $length, $width, Purpose::Frame, $outline, [new Sawn('both ends', M_PI / 4, ', a mitre')], ['glued at the mitres, nailed to the lining and the wall'], $role);
        };
        [$wideAll, $tallAll] = [$wide + 2 * $off->toDouble(), $tall + 2 * $off->toDouble()];

        return [
            $site->placed($strip('casing-L', 'Casing leg', $leg, false), $x - $w, 0.0, $z - $w, Way::Up, Way::Right, Part::Face),
            $site->placed($strip('casing-R', 'Casing leg', $leg, true), $x + $wideAll, 0.0, $z - $w, Way::Up, Way::Right, Part::Face),
            $site->placed($strip('casing-head', 'Casing head', $head, true), $x - $w, 0.0, $z + $tallAll, Way::Right, Way::Up, Part::Face),
            $site->placed($strip('casing-foot', 'Casing foot', $head, false), $x - $w, 0.0, $z - $w, Way::Right, Way::Up, Part::Face),
        ];
    }

    /** @return list<Finding> */
    private function findings(SurfaceSite $site, Hand $hand): array
    {
        $terms = $site->terms;
        $id = $site->place->surface->id;
        $findings = $this->confirmed ? [] : [
            Finding::warning(Code::WallMayBear, 'Have the wall looked at before it is cut: it may carry the house, and hide cables and pipes. Local rules and a licensed person decide.', $id)
                ->withWaysOut([new WayOut('Somebody who knows looked at it', Edits::surface($id)->setting(['confirmed' => true]))]),
        ];
        $covered = $terms->board() + $this->shim->toDouble() + self::CASING_LAPS;
        if (! $this->casing && $this->lap->toDouble() < $covered) {
            $findings[] = Finding::clash(Code::LapShort, sprintf('The leaf laps %s; without a casing the cut shows up to %s from the opening.', $terms->format->finest()->write($this->lap), $terms->format->finest()->write($terms->materials->carcass->thickness->plus($this->shim))), $id)
                ->withWaysOut([new WayOut('Put a casing round it', Edits::surface($id)->setting(['casing' => true]))]);
        }

        return [...$findings, ...$this->studs($site, $hand)];
    }

    /** @return list<Finding> whether the hinge side finds something to hold it */
    private function studs(SurfaceSite $site, Hand $hand): array
    {
        $edge = $site->place->u + ($hand === Hand::Left ? 0.0 : $site->place->width->result->toDouble());
        $off = array_map(fn (Block $stud): float => max(0.0, $stud->u0 - $edge, $edge - $stud->u1), $site->studs());
        $id = $site->place->surface->id;

        $nearest = $off === [] ? null : min($off);

        return match (true) {
            $nearest === null => [Finding::note(Code::NoStud, 'Find the studs first: the hinge side is screwed to one, or to a trimmer that is put in.', $id)],
            $nearest <= self::STUD => [],
            default => [Finding::clash(Code::NoStud, sprintf('The nearest stud is %s from the hinge side, which finds nothing to hold it. Move its edge to the stud, or put a trimmer in and note it as a stud.', $site->terms->write($nearest)), $id)
                ->withWaysOut([new WayOut('Hinge it at the '.$hand->other()->value, Edits::surface($id)->setting(['hand' => $hand->other()->value])), new WayOut('Take it away', Edits::withoutSurface($id))])],
        };
    }
}
