<?php

declare(strict_types=1);

namespace Incastro\Units\Members;

use Incastro\Fit\Box;
use Incastro\Fit\Demand\MemberDemand;
use Incastro\Fit\Demand\MemberForm;
use Incastro\Fit\Holds\OpensBoxes;
use Incastro\Fit\Members\Over;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Vector;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Unit;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Count;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\Parameters\When;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Strength\Deck;
use Incastro\Strength\Loads;
use Incastro\Units\Assembly;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\Bench\Cushions;
use Incastro\Units\Make\Bench\LeaningBack;
use Incastro\Units\Make\Bench\SeatRoom;
use Incastro\Units\Make\BoxJoints;
use Incastro\Units\Make\LevelTurn;
use Incastro\Units\Make\ScribedTop;
use Incastro\Units\MemberUnit;
use Incastro\Units\Motion;
use Incastro\Units\Movement;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\MemberSite;

/**
 * Lids over chests, one for each box, hinged on a fixed strip behind them that is scribed to the walls; a bearer under the hinge
 * line carries both. The boxes under it have no top. Lids are never scribed: they swing clear of everything.
 */
#[About('bench-lid', 'Bench lid', 'A lid over each box under it, with a fixed strip behind.', 'Boards', 'W')]
final readonly class BenchLid implements MemberUnit, OpensBoxes
{
    /** Between a lid and the strip at the hinge, mm and inches. */
    private const HINGE_GAP = [2.0, 1 / 16];

    /** Between lids, and at the ends that meet a wall: under 5 mm, so that no finger goes in; mm and inches. */
    private const GAP = [3.0, 1 / 8];

    /** Between a lid and the foot of a leaning back: room for a finger. */
    private const FINGER = [12.0, 0.5];

    /** Heavier than this a lid is a burden, kg; and a chest of more than this, in all three directions more than that, holds a child: litres, mm. */
    private const HEAVY = 8.0;

    private const LITRES = 30.0;

    private const CHILD = 150.0;

    /** A lid shallower than this is none, mm. */
    private const LEAST = 100.0;

    public function __construct(
        #[Size('Fixed strip behind the lids', ['90', '3 1/2'], 60, 350)] public Length $strip,
        #[Size('Stands over the face', ['15', '1/2'], 0, 40)] public Length $overhang,
        #[Size('Bearer under the hinge line', Rule::NailerWidth, 60, 140)] public Length $bearer,
        #[Size('Cushion, thickness', ['50', '2'], 0, 120, 'None where it is 0.')] public Length $cushion,
        #[Toggle('Leaning back', false, 'It stands on the fixed strip, which is then as deep as it needs.')] public bool $back,
        #[Count('Lean of the back, degrees', 12, 0, 20)]
        #[When('back', true)]
        public int $lean,
        #[Size('Height of the back over the seat', ['450', '18'], 250, 700)]
        #[When('back', true)]
        public Length $high,
    ) {
    }

    public function form(): MemberForm
    {
        return MemberForm::Over;
    }

    public function demand(HouseRules $rules, Catalogue $materials): MemberDemand
    {
        return new MemberDemand($materials->for(Purpose::Top)->thickness, $this->overhang);
    }

    public function build(MemberSite $site): Assembly
    {
        $top = $site->place;
        if (! $top instanceof Over) {
            return new Assembly([]);
        }
        $z = $top->z + $site->terms->materials->for(Purpose::Top)->thickness->toDouble();
        $back = $this->back ? new LeaningBack($site, $top, $z, $this->lean, $this->high) : null;
        $room = new SeatRoom($site, $top, $z);
        $eaten = $back === null ? [] : $room->eaten($back);
        $back = $eaten === [] ? $back : null;
        $behind = $back === null ? $this->strip : Length::ofDouble($back->face)->plus($this->gap($site, self::FINGER))->roundedUp($site->terms->format->step);
        $deep = Working::start('from the wall behind to its front', $top->depth->result)
            ->minus('fixed strip', $behind)
            ->minus('gap at the hinge', $this->gap($site, self::HINGE_GAP))
            ->roundedDown($site->terms->format);
        if ($deep->result->toDouble() < self::LEAST) {
            return new Assembly([], findings: [Finding::clash(Code::TooSmall, sprintf('Its lids would be %s deep; %s is the least that is made.', $site->terms->write(max(0.0, $deep->result->toDouble())), $site->terms->write(self::LEAST)), $top->id)->withWaysOut([$this->away($top)])]);
        }
        $strip = $this->strip($site, $top, $behind);
        $built = [new Assembly([$strip], findings: [...$eaten, ...$room->findings($this->cushion)]), ...($back === null ? [] : [$back->build($strip)])];
        $boxes = array_values(array_filter($site->run->boxes, fn (Box $box) => $box->isOpen && in_array($box->id.':top', $top->carriers, true)));
        foreach ($boxes as $i => $box) {
            $built[] = $this->lid($site, $top, $box, $i, count($boxes), $deep, $strip, $behind);
        }

        $built[] = (new Cushions($site, $top))->build($this->cushion, $z, $back === null ? $room->taken() : $back->face, max(1, count($boxes)));

        return Assembly::all(...$built);
    }

    /** @param array{float, float} $of mm, and inches */
    private function gap(MemberSite $site, array $of): Length
    {
        return $site->terms->rules->either(...$of);
    }

    private function away(Over $top): WayOut
    {
        return new WayOut('Take the lids away', Edits::withoutMember($top->memberId()));
    }

    private function strip(MemberSite $site, Over $top, Length $behind): Placed
    {
        $scribed = new ScribedTop($site, $top);
        $front = $top->v + $behind->toDouble();
        $profile = $scribed->profile()->minus(Polygon::rectangle($top->u - 1e4, $front, 3e4, 1e4))[0] ?? $scribed->profile();
        [$u, $v] = $scribed->corner($profile);
        $piece = $site->make->covering('strip', 'Fixed strip', $scribed->length(), $scribed->depth(Working::start('fixed strip', $behind)), Purpose::Top, $profile->moved(-$u, -$v), [new Finished('front, long', Finish::Banded), ...$scribed->works()], ['screwed down to the boxes; the lids are hinged to it']);

        return new Placed($piece, Pose::at($u, $v, $top->z, Way::Right, Way::Out, Way::Up), Part::Worktop, $top->id);
    }

    /** The lid over a box, and the bearers under its hinge line, one in each of its bays. */
    private function lid(MemberSite $site, Over $top, Box $box, int $i, int $count, Working $deep, Placed $strip, Length $behind): Assembly
    {
        $gap = $this->gap($site, self::GAP);
        $number = $count === 1 ? '' : '-'.($i + 1);
        // Half a gap at a neighbour, a whole one where it ends the row.
        $halves = ($i === 0 ? 2 : 1) + ($i === $count - 1 ? 2 : 1);
        $width = Working::start('width of the box', $box->outerWidth())->minus('gaps at both sides', Length::ofNanometres(intdiv($gap->nanometres() * $halves, 2)))->roundedDown($site->terms->format->fine());
        $piece = $site->make->moving("lid$number", 'Lid', $width, $deep, Purpose::Top, Grain::Length, [new Finished('all four', Finish::Banded)], ['hinged to the fixed strip']);
        $back = $top->v + $behind->toDouble() + $this->gap($site, self::HINGE_GAP)->toDouble();
        $u = $box->u + ($i === 0 ? 1.0 : 0.5) * $gap->toDouble();
        $lid = new Placed($piece, Pose::at($u, $back, $top->z, Way::Right, Way::Out, Way::Up), Part::Loose, $top->id);
        $bearers = $this->bearers($site, $top, $box, $number, $back);
        $joints = array_map(fn (Placed $bearer) => new Joint($strip->piece->key, $bearer->piece->key, JointKind::Glue, 'fixed strips to bearers'), $bearers);
        foreach ($bearers as $c => $bearer) {
            $last = count($box->columns) - 1;
            foreach ([$c === 0 ? 'side-L' : "divider-$c", $c === $last ? 'side-R' : 'divider-'.($c + 1)] as $side) {
                $joints[] = (BoxJoints::of($site->terms, $box))->butt($bearer->piece->key, $box->id.':'.$side, 'bearers to the boxes');
            }
        }

        return new Assembly([$lid, ...$bearers], $joints, $this->hardware($site, $lid), [], [...$this->findings($top, $box, $lid, $i === 0), ...$this->bends($site, $lid, $top)], [$this->swing($top, $box, $lid, $number)]);
    }

    /** @return list<Placed> on edge between the boards of each bay, its middle under the gap of the hinge */
    private function bearers(MemberSite $site, Over $top, Box $box, string $number, float $back): array
    {
        $t = $site->terms->board();
        $middle = $back - $this->gap($site, self::HINGE_GAP)->toDouble() / 2;
        $placed = [];
        foreach ($box->columns as $c => $column) {
            $role = "bearer$number".($c === 0 ? '' : '-'.chr(ord('a') + $c));
            $piece = $site->make->inner($role, 'Bearer', Working::start('clear width of the bay', $column->width->result), Working::start('height of the bearer', $this->bearer), Purpose::Carcass, Grain::Length, [], ['under the hinge line, held by the boards beside it']);
            $high = $piece->width->result->toDouble();
            $placed[] = new Placed($piece, Pose::at($box->u + $column->x, $middle - $t / 2, $top->z - $high, Way::Right, Way::Up, Way::Out), Part::Cleat, $top->id);
        }

        return $placed;
    }

    /** @return list<Hardware> */
    private function hardware(MemberSite $site, Placed $lid): array
    {
        $wide = $lid->piece->length->result->toDouble();
        $isInch = $site->terms->rules->unit === Unit::Inch;
        $hinge = Length::ofDouble(max(0.0, $wide - ($isInch ? 38.1 : 40.0)))->roundedDown($site->terms->format->step);

        return [
            new Hardware('piano hinge '.$site->terms->format->write($hinge), 1, 'lids', ArticleKind::PianoHinge, $hinge),
            new Hardware('lid stay that holds at every angle', $wide > 600.0 ? 2 : 1, 'lids', ArticleKind::LidStay),
            new Hardware('felt bumper', 2, 'lids', ArticleKind::Felt),
        ];
    }

    /** Round its hinge line, the upper edge of its back, from level to upright. */
    private function swing(Over $top, Box $box, Placed $lid, string $number): Movement
    {
        $b = $lid->bounds;
        $radius = hypot($b->v1 - $b->v0, $b->z1 - $b->z0);
        $swept = LevelTurn::swept(new Vector($b->u0, $b->v0, $b->z1), $b->u1 - $b->u0, $radius, Way::Out, Way::Up);

        return new Movement(trim("Lid $top->mark$number"), $box->columns[0]->openings[0]->tierId, [$lid->piece->key], $swept, [Polygon::rectangle($b->u0, $b->v0, $b->u1 - $b->u0, $radius)->points], Motion::turn(new Vector($b->u0, $b->v0, $b->z1), Way::Out->vector(), Way::Up->vector(), M_PI / 2), 0.0, [$this->away($top)]);
    }

    /**
     * @param  bool  $isFirst  what is said of all of them is said once
     * @return list<Finding>
     */
    private function findings(Over $top, Box $box, Placed $lid, bool $isFirst): array
    {
        $findings = [];
        if ($lid->piece->weight() > self::HEAVY) {
            $findings[] = Finding::warning(Code::LidHeavy, sprintf('%s weighs %.1f kg. Divide the bay under it, or make it of something thinner.', $lid->piece->mark, $lid->piece->weight()), $top->id);
        }
        $sizes = [$box->outerWidth()->toDouble(), $box->outerHeight()->toDouble(), $box->outerDepth()->toDouble()];
        if ($isFirst && array_product($sizes) / 1e6 > self::LITRES && min($sizes) > self::CHILD) {
            $findings[] = Finding::note(Code::LidSafety, 'A child fits into a chest like this. Fit no latch, a stay on every lid that holds it at any angle, and two vent holes of 30 mm or 1 1/4 in that neither wall nor floor covers; a lid must open from inside at a light push. Local rules go first.', $top->id);
        }

        return $findings;
    }

    /**
     * A person on its middle: it spans from the bearer to what closes the box in front, across its grain.
     *
     * @return list<Finding>
     */
    private function bends(MemberSite $site, Placed $lid, Over $top): array
    {
        $wood = $lid->piece->material->wood?->strength();
        if ($wood === null) {
            return [];
        }
        $b = $lid->bounds;
        $deck = new Deck($b->u1 - $b->u0, $lid->piece->thickness->toDouble(), $b->v1 - $b->v0, $wood->across, $wood->bendingAcross, Loads::newtons(Loads::SEAT));

        $fine = fn (float $mm): string => $site->terms->format->finest()->write(Length::ofDouble($mm));

        return $deck->holds() ? [] : [Finding::warning(Code::LidBends, sprintf('Under one person %s bends %s; %s is the most over %s. Put a thicker board in, or a batten under it. Guidance for furniture, not for the house.', $lid->piece->mark, $fine($deck->sag()), $fine($deck->limit()), $site->terms->write($b->v1 - $b->v0)), $top->id)];
    }
}
