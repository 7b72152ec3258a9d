<?php

declare(strict_types=1);

namespace Incastro\Units\Options;

use Incastro\Fit\Holds\AsksOfRoom;
use Incastro\Geometry\Point;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Pieces\Works\Bevel;
use Incastro\Pieces\Works\Bevelled;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Count;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\Parameters\Unless;
use Incastro\Rules\Parameters\When;
use Incastro\Strength\Studs;
use Incastro\Survey\Things\Asked;
use Incastro\Units\Assembly;
use Incastro\Units\Contents;
use Incastro\Units\Hardware;
use Incastro\Units\HungBox;
use Incastro\Units\HungBy;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\Joinery;
use Incastro\Units\Make\Screws;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\OpeningSite;

/**
 * The box hangs on its wall: by screws through its strips, or by two cleats that are ripped from one board at 45° and hook together
 * behind its back, which is let in for them. What that must carry is looked at by `Check\Hung`.
 */
#[About('wall-hung', 'Hung on the wall', 'Off the floor, by screws into studs or by hooking cleats.', 'On the wall')]
final readonly class WallHung implements HungBox, AsksOfRoom
{
    /** A cleat on the wall is so much shorter than its box is wide inside, for setting it; mm and inches. */
    private const SHORTER = [20.0, 3 / 4];

    /** Height of the strip at the foot that keeps the box off the wall there, mm and inches. */
    private const SPACER = [60.0, 2.375];

    /** A ledge is so much shorter than its box is wide, and so high; mm and inches. */
    private const LEDGE = [40.0, 1.5];

    private const LEDGE_HIGH = [38.0, 1.5];

    /** Books on a metre of shelf, kg; other things as they weigh beside books. */
    private const A_METRE = 35.0;

    /** The box's half ends so far under the top of the box, mm. */
    private const UNDER_TOP = 1.0;

    public function __construct(
        #[Choice('Hangs by', HungBy::Nailer)] public HungBy $by,
        #[Choice('Filled with', Contents::Books)] public Contents $use,
        #[Size('Long face of the cleats', ['80', '3 1/8'], 50, 150)]
        #[When('by', HungBy::Cleat)]
        public Length $cleat,
        #[Count('Screws in each stud at its head', 2, 2, 4)]
        #[Unless('by', HungBy::Anchors)]
        public int $screws,
        #[Toggle('A ledge under it carries it while one screws', false, 'It may stay, behind a light rail.')]
        #[Unless('by', HungBy::Anchors)]
        public bool $ledge,
    ) {
    }

    public function asks(): Asked
    {
        return Asked::Walls;
    }

    public function letsIn(Catalogue $materials): Length
    {
        return $this->by === HungBy::Cleat ? $materials->carcass->thickness : Length::zero();
    }

    public function by(): HungBy
    {
        return $this->by;
    }

    public function aMetre(): float
    {
        return self::A_METRE * $this->use->density() / Contents::Books->density();
    }

    public function underTop(float $strip, float $board): float
    {
        return $this->by === HungBy::Cleat ? self::UNDER_TOP + 1.5 * $this->cleat->toDouble() - $board : $board + $strip / 2;
    }

    public function screws(): int
    {
        return $this->screws;
    }

    public function ledge(HouseRules $rules): Length
    {
        return $this->ledge && $this->by !== HungBy::Anchors ? $rules->either(...self::LEDGE_HIGH) : Length::zero();
    }

    public function change(OpeningSite $site, Assembly $box, string $id): Assembly
    {
        $high = $this->ledge($site->terms->rules);
        $box = $high->isZero() ? $box : Assembly::all($box, $this->strip($site, $high));
        if ($this->by === HungBy::Nailer) {
            return $box->bought([$this->throughStrips($site)]);
        }
        if ($this->by !== HungBy::Cleat || $site->box->top->isRaked() || $site->box->top->isSloped()) {
            return $box;
        }
        $terms = $site->terms;
        $whole = $site->box;
        $t = $terms->board();
        $inner = Working::start('width of the box', $whole->outerWidth())->minusTimes('two sides', 2, $terms->materials->carcass->thickness);
        $long = Working::start('long face', $this->cleat);
        $make = $site->make->of($whole->id);
        $wall = $this->bevelled($site, 'cleat-wall', 'Cleat on the wall', $inner->minus('room to set it', $terms->rules->either(...self::SHORTER)), $long, false);
        $own = $this->bevelled($site, 'cleat-box', 'Cleat on the box', $inner, $long, true);
        $spacer = $make->inner('spacer', 'Spacer', $inner, Working::start('height of a spacer', $terms->rules->either(...self::SPACER)), Purpose::Carcass, Grain::Length, [], ['screwed to the back at its foot']);
        // Hooked together they share the bevel: what the long face of one has more the other has less.
        $top = $whole->highest() - self::UNDER_TOP;
        $foot = $top - $own->width->result->toDouble();
        $at = fn (Piece $piece, float $z): Placed => new Placed($piece, Pose::at($whole->u + ($whole->outerWidth()->toDouble() - $piece->length->result->toDouble()) / 2, $whole->v, $z, Way::Right, Way::Up, Way::Out), Part::Cleat, $whole->id);
        $placed = [$at($wall, $foot - $wall->width->result->toDouble() + $t), $at($own, $foot), $at($spacer, $whole->z)];
        $backs = array_filter($box->placed, fn (Placed $one) => $one->part === Part::Back);
        $strips = array_filter($box->placed, fn (Placed $one) => $one->part === Part::Nailer);
        $joints = [];
        foreach ($backs === [] ? $strips : $backs as $behind) {
            foreach (array_filter(array_slice($placed, 1), fn (Placed $one) => $one->touches($behind, Joinery::TOUCH)) as $one) {
                $joints[] = new Joint($one->piece->key, $behind->piece->key, JointKind::Glue, 'hanging cleats');
            }
        }
        $screws = new Screws($terms->materials, $terms->format);
        $through = 2 * $t + ($backs === [] ? 0.0 : $terms->materials->back->thickness->toDouble());

        return Assembly::all($box, new Assembly($placed, $joints, [$screws->structuralPast($t, $this->studs($site) * $this->screws, 'cleats to studs'), $screws->throughBack($own, $through, 'hanging cleats'), $screws->throughBack($spacer, $through, 'hanging cleats')]));
    }

    /** Through its strips: those at its head, and one in each stud at its foot. */
    private function throughStrips(OpeningSite $site): Hardware
    {
        $terms = $site->terms;
        $before = $terms->board() + $terms->materials->back->thickness->toDouble();

        return (new Screws($terms->materials, $terms->format))->structuralPast($before, $this->studs($site) * ($this->screws + 1), 'hung boxes to studs');
    }

    /** Studs behind it where nobody looked for them. */
    private function studs(OpeningSite $site): int
    {
        return max(1, Studs::surely($site->box->outerWidth()->toDouble(), Studs::APART));
    }

    /** A strip under its lower edge, level, a screw in each stud. */
    private function strip(OpeningSite $site, Length $high): Assembly
    {
        $terms = $site->terms;
        $rail = $terms->materials->for(Purpose::Rail)->thickness;
        $length = Working::start('width of the box', $site->box->outerWidth())->minus('shorter than the box', $terms->rules->either(...self::LEDGE));
        $piece = $site->make->of($site->box->id)->inner('ledge', 'Ledge', $length, Working::start('height of a ledge', $high), Purpose::Rail, Grain::Length, [], ['level, a screw in every stud; carries the box while it is screwed']);
        $u = $site->box->u + ($site->box->outerWidth()->toDouble() - $piece->length->result->toDouble()) / 2;
        $placed = new Placed($piece, Pose::at($u, $site->box->v, $site->box->z - $piece->width->result->toDouble(), Way::Right, Way::Up, Way::Out), Part::Cleat, $site->box->id);

        return new Assembly([$placed], hardware: [(new Screws($terms->materials, $terms->format))->structuralPast($rail->toDouble(), $this->studs($site), 'ledges under hung boxes')]);
    }

    /** Half of a cleat, its length along the wall: the box's half bevelled at its foot, that on the wall at its head. */
    private function bevelled(OpeningSite $site, string $role, string $name, Working $length, Working $width, bool $isOnBox): Piece
    {
        $long = $length->roundedDown($site->terms->format)->result->toDouble();
        $edge = $isOnBox ? 0.0 : $width->roundedDown($site->terms->format)->result->toDouble();
        $bevel = new Bevel([new Point(0.0, $edge), new Point($long, $edge)], 1.0, $isOnBox);

        return $site->make->of($site->box->id)->inner($role, $name, $length, $width, Purpose::Carcass, Grain::Length, [new Bevelled($isOnBox ? 'foot, long' : 'head, long', M_PI / 4, bevels: [$bevel])], [$isOnBox ? 'screwed to the back and the strip behind it' : 'screwed to every stud']);
    }
}
