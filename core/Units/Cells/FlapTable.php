<?php

declare(strict_types=1);

namespace Incastro\Units\Cells;

use Incastro\Fit\Demand\CellDemand;
use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\Standing;
use Incastro\Geometry\Block;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Solid;
use Incastro\Geometry\Vector;
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
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Made;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\CellUnit;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\LevelTurn;
use Incastro\Units\Make\Screws;
use Incastro\Units\Motion;
use Incastro\Units\Movement;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\CellSite;

/**
 * A table that swings down from a wall: its flap stands upright over a ledge, held by catches, and its legs, hinged on its outer face,
 * hang plumb by themselves and reach the floor just as it is level. Legs are cut to the floor where they come down.
 */
#[About('flap-table', 'Table that folds up', 'A flap that stands upright over a ledge, and swings down onto its legs.', 'To work', 'T')]
final readonly class FlapTable implements CellUnit
{
    private const HINGE = [2.0, 1 / 16];

    private const GLIDE = [12.0, 0.5];

    private const LEG = [45.0, 1.75];

    /** The leg frame stands in from both sides of the flap, and from its free edge to its side towards the wall. */
    private const INSET = [50.0, 2.0];

    private const FROM_EDGE = [80.0, 3.0];

    private const CLEAT = [70.0, 2.75];

    /** The lower rail over the feet. */
    private const RAIL = [150.0, 6.0];

    /** Folded, the feet keep so much over the floor, mm. */
    private const CLEARS = 20.0;

    /** Air beside the flap, and over it as it stands, mm. */
    private const BESIDE = 5.0;

    /** A heavier flap has a hook besides its catches, kg. */
    private const HEAVY = 4.0;

    public function __construct(
        #[Size('Height of its surface', ['740', '29'], 650, 1050)] public Length $high,
        #[Size('Flap, from its hinge', ['600', '24'], 300, 750)] public Length $flap,
        #[Size('Depth of the ledge', ['120', '5'], 50, 300)] public Length $ledge,
        #[Made('Made of', Purpose::Top)] public ?string $made = null,
    ) {
    }

    public function standing(): Standing
    {
        return Standing::Built;
    }

    public function demand(HouseRules $rules, Catalogue $materials): CellDemand
    {
        return new CellDemand(
            Extent::between($rules->either(400, 16), $rules->either(1210, 48.5), 'a flap needs %s'),
            Extent::atLeast($this->high->plus($this->flap)->plus($rules->either(10, 3 / 8)), 'its flap stands up to %s'),
            Extent::atLeast($this->ledge->plus($rules->either(60, 2.5)), 'ledge and legs need %s'),
            isFromFloor: true,
        );
    }

    public function build(CellSite $site): Assembly
    {
        $site = $site->madeOf(Purpose::Top, $this->made);
        $terms = $site->terms;
        $is = fn (array $size): Length => $terms->rules->either(...$size);
        $cell = $site->cell;
        $tier = $cell->tier->id;
        [$t, $tt] = [$terms->materials->carcass->thickness, $terms->materials->for(Purpose::Top)->thickness];
        $lt = $terms->materials->for(Purpose::Leg)->thickness->toDouble();
        $under = Working::start('height of its surface', $this->high)->minus('board', $tt);
        $leg = Working::start('underside of the flap', $under->result)->minus('glide', $is(self::GLIDE));
        $hangs = Working::start('leg', $leg->result)->plus('glide', $is(self::GLIDE))->minus('what of it lies on the flap', $this->flap->minus($is(self::FROM_EDGE)));
        $below = $hangs->result->toDouble();
        $gap = new WayOut('Leave an open gap instead', Edits::tier($tier)->emptied());
        $floor = $site->floor();
        if ($floor > 3.0) {
            return new Assembly([], findings: [Finding::clash(Code::FlapLow, 'Its legs stand on the floor. Take the plinth away under it.', $tier)->withWaysOut([$gap])]);
        }
        $ceiling = min(array_map(fn (float $at) => $site->run->frame->ceilingAt($at, $cell->back), [$cell->u, $cell->end()]));
        if ($ceiling < $this->high->toDouble() + $this->flap->toDouble() + self::BESIDE || $this->high->toDouble() - $below < self::CLEARS) {
            return new Assembly([], findings: [Finding::clash(Code::FlapLow, sprintf('Folded, its legs would hang %s below the hinges, and its flap would stand up to %s: there is no room for them.', $terms->write($below), $terms->write($this->high->toDouble() + $this->flap->toDouble())), $tier)->withWaysOut([$gap])]);
        }
        $wide = Working::start('width of its place', $cell->width->result)->minusTimes('air beside it', 2, Length::ofDouble(self::BESIDE))->roundedDown($terms->format);
        $b = $wide->result->toDouble();
        $zu = $under->result->toDouble();
        $u = $cell->u + ($cell->width->result->toDouble() - $b) / 2;
        $put = fn (string $role, string $name, Working $length, Working $across, float $x, float $y, float $z, Way $l, Way $w, Way $d, Purpose $of, Part $part, string $how) => new Placed($site->make->inner($role, $name, $length, $across, $of, Grain::Length, $of === Purpose::Top ? [new Finished('all four', Finish::Banded)] : [], [$how]), Pose::at($u + $x, $cell->back + $y, $z, $l, $w, $d), $part, $tier);
        $dl = $this->ledge->toDouble();
        $ledge = $put('ledge', 'Ledge', $wide, Working::start('depth of the ledge', $this->ledge), 0.0, 0.0, $zu, Way::Right, Way::Out, Way::Up, Purpose::Top, Part::Worktop, 'on the cleat');
        $cleat = $put('cleat', 'Ledge cleat', $wide, Working::start('height of a cleat', $is(self::CLEAT)), 0.0, 0.0, $zu - $is(self::CLEAT)->toDouble(), Way::Right, Way::Up, Way::Out, Purpose::Carcass, Part::Cleat, 'into every stud');
        // Upright: its underside looks out, and the legs lie flat on that.
        $hinge = $this->high->toDouble() + $is(self::HINGE)->toDouble();
        $flap = $put('flap', 'Flap', $wide, Working::start('from its hinge', $this->flap), 0.0, $dl - $tt->toDouble(), $hinge, Way::Right, Way::Up, Way::Out, Purpose::Top, Part::Face, 'free corners rounded; three hinges to the ledge');
        $frame = $wide->minusTimes('set in at both sides', 2, $is(self::INSET));
        $legs = $this->legs($put, $frame, $leg, $is, $dl, $hinge + $this->flap->toDouble() - $is(self::FROM_EDGE)->toDouble());
        $moving = [$flap->piece->key, ...array_map(fn (Placed $one) => $one->piece->key, $legs)];
        $joints = [new Joint($ledge->piece->key, $cleat->piece->key, JointKind::Screws, 'ledges')];
        foreach (array_slice($legs, 2) as $rail) {
            array_push($joints, ...array_map(fn (Placed $stile) => new Joint($rail->piece->key, $stile->piece->key, JointKind::Pocket, 'leg frames'), array_slice($legs, 0, 2)));
        }
        $pivot = new Vector($u, $cell->back + $dl, $this->high->toDouble());
        $far = $this->flap->toDouble();
        $swept = LevelTurn::swept($pivot, $b, hypot($far, $tt->toDouble()), Way::Up, Way::Out);
        $swept[] = Solid::block(new Block($u, $u + $b, $cell->back + $dl + $lt, $cell->back + $dl + $far, 3.0, $zu));
        $weight = $flap->piece->weight();

        return new Assembly([$ledge, $cleat, $flap, ...$legs], $joints, [
            (new Screws($terms->materials, $terms->format))->toWall($cleat->piece, 'cleats to the wall'),
            new Hardware('leaf hinge', 3, 'flaps to their ledge', ArticleKind::ButtHinge),
            new Hardware('butt hinge', 2, 'leg frames', ArticleKind::ButtHinge),
            new Hardware('magnet catch', 2, 'flaps that stand upright', ArticleKind::Magnet),
            new Hardware('glide', 2, 'leg frames', ArticleKind::Bumper),
        ], ['Folded, the feet hang below the hinges by' => $hangs], $weight <= self::HEAVY ? [] : [
            Finding::note(Code::FlapFalls, sprintf('This flap weighs %.1f kg: besides its catches it wants a hook or a turn-button that a child does not reach, and a stop behind each leg, so that a knock does not fold it.', $weight), $tier),
        ], [new Movement('Flap', $tier, $moving, $swept, [Polygon::rectangle($u, $cell->back + $dl, $b, $far)->points], Motion::turn($pivot, Way::Up->vector(), Way::Out->vector(), M_PI / 2))]);
    }

    /**
     * Two legs and two rails, hanging before the flap from its hinges on them.
     *
     * @param  \Closure(string, string, Working, Working, float, float, float, Way, Way, Way, Purpose, Part, string): Placed  $put
     * @param  \Closure(array{float, float}): Length  $is
     * @return list<Placed>
     */
    private function legs(\Closure $put, Working $frame, Working $leg, \Closure $is, float $y, float $head): array
    {
        $wide = Working::start('section of a leg', $is(self::LEG));
        $in = $is(self::INSET)->toDouble();
        $across = $frame->result->toDouble() - $is(self::LEG)->toDouble();
        $between = Working::start('width of the leg frame', $frame->result)->minusTimes('legs', 2, $is(self::LEG));
        $legs = [
            $put('leg-L', 'Leg', $leg, $wide, $in, $y, $head - $leg->result->toDouble(), Way::Up, Way::Right, Way::Out, Purpose::Leg, Part::Loose, 'its head bears on the underside; the foot takes a glide'),
            $put('leg-R', 'Leg', $leg, $wide, $in + $across, $y, $head - $leg->result->toDouble(), Way::Up, Way::Right, Way::Out, Purpose::Leg, Part::Loose, 'its head bears on the underside; the foot takes a glide'),
        ];
        $foot = $legs[0]->bounds->z0;
        $top = $legs[0]->bounds->z1 - $is(self::LEG)->toDouble();
        foreach (['leg-rail' => $top, 'leg-rail-low' => $foot + $is(self::RAIL)->toDouble()] as $role => $z) {
            $legs[] = $put($role, 'Rail of the leg frame', $between, $wide, $in + $is(self::LEG)->toDouble(), $y, $z, Way::Right, Way::Up, Way::Out, Purpose::Leg, Part::Loose, 'between the legs');
        }

        return $legs;
    }
}
