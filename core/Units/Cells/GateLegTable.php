<?php

declare(strict_types=1);

namespace Incastro\Units\Cells;

use Incastro\Fit\Demand\CellDemand;
use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\Standing;
use Incastro\Geometry\Convex;
use Incastro\Geometry\Point;
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
 * A table whose leaf hangs before a narrow ledge and is carried, lifted, by two gates that swing out from under it. The leaf stands no
 * more than half as far again beyond the gates, and hangs clear of the floor.
 */
#[About('gate-leg-table', 'Folding table', 'A leaf that hangs before a ledge, carried by two gates.', 'To work', 'T')]
final readonly class GateLegTable implements CellUnit
{
    private const LEDGE_PLAY = [5.0, 3 / 16];

    /** A surface nearer than this to the ceiling is none, mm. */
    private const UNDER_CEILING = 10.0;

    /** Width of a gate's stiles and rails; they are as thick as what they are made of. */
    private const GATE = [45.0, 1.75];

    /** Air before and behind a closed gate; a hinge's knuckle; between closed gates; over a gate. */
    private const AIR = [6.0, 1 / 4];

    private const KNUCKLE = [2.0, 1 / 16];

    private const BETWEEN = [4.0, 3 / 16];

    private const OVER = [2.0, 1 / 16];

    /** The leaf clear of the floor, beyond a gate at least, and from its hinge line. */
    private const FLOOR = [60.0, 2.5];

    private const BEYOND = [40.0, 1.5];

    private const HINGE = [2.0, 1 / 16];

    private const GLIDE = [12.0, 0.5];

    private const CLEAT = [70.0, 2.75];

    /** The lower rail over the feet. */
    private const RAIL = [150.0, 6.0];

    public function __construct(
        #[Size('Height of its surface', ['740', '29'], 650, 1050)] public Length $high,
        #[Size('Depth of the ledge', ['150', '6'], 60, 300)] public Length $ledge,
        #[Size('Leaf, from its hinge', null, 300, 750, 'Usually as long as the gates carry.')] public ?Length $leaf = null,
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
            Extent::between($rules->either(510, 20.5), $rules->either(1600, 64), 'two gates need %s'),
            Extent::atLeast($this->high, 'its surface is at %s'),
            Extent::atLeast($this->ledge, 'its ledge needs %s'),
            isFromFloor: true,
        );
    }

    public function build(CellSite $site): Assembly
    {
        $site = $site->madeOf(Purpose::Top, $this->made);
        $terms = $site->terms;
        $is = fn (array $size): Length => $terms->rules->either(...$size);
        $format = $terms->format;
        $cell = $site->cell;
        $tier = $cell->tier->id;
        $findings = $this->refused($site);
        if ($findings !== []) {
            return new Assembly([], findings: $findings);
        }
        [$t, $tt] = [$terms->materials->carcass->thickness, $terms->materials->for(Purpose::Top)->thickness];
        $wide = Working::start('width of its place', $cell->width->result)->minusTimes('play', 2, $is(self::LEDGE_PLAY))->roundedDown($format);
        $under = Working::start('height of its surface', $this->high)->minus('board', $tt);
        $gate = Working::start('half of the width between the gables', $wide->result->minus($t->times(2))->dividedBy(2))->minus('knuckle', $is(self::KNUCKLE))->minus('between the gates', $is(self::BETWEEN))
            ->atMost('a leaf that hangs clear of the floor', $under->result->minus($is(self::FLOOR))->minus($is(self::BEYOND))->plus($is(self::AIR))->plus($is(self::OVER)))->roundedDown($format);
        $reach = Working::start('width of a gate', $gate->result)->minus('air behind it', $is(self::AIR))->minus('play', $is(self::OVER));
        $most = Working::start('half as far again as the gates reach', $reach->result->times(3)->dividedBy(2))->atMost('clear of the floor', $under->result->minus($is(self::FLOOR)))->roundedDown($format);
        $leaf = $this->leaf === null ? $most : Working::start('as chosen', $this->leaf);
        if ($leaf->result->isGreaterThan($most->result)) {
            return new Assembly([], findings: [Finding::clash(Code::GateShort, sprintf('The gates reach %s under a leaf of %s: it may be %s, half as far again, and must hang clear of the floor.', $format->write($reach->result), $format->write($leaf->result), $format->write($most->result)), $tier)
                ->withWaysOut([new WayOut('As long as the gates carry', Edits::tier($tier)->setting(['leaf' => null]))])]);
        }
        [$b, $zu, $dl, $thick] = [$wide->result->toDouble(), $under->result->toDouble(), $this->ledge->toDouble(), $t->toDouble()];
        $u = $cell->u + ($cell->width->result->toDouble() - $b) / 2;
        $put = fn (string $role, string $name, Working $length, Working $across, float $x, float $y, float $z, Way $l, Way $w, Way $d, Purpose $of, Part $part = Part::Body, string $how = '') => new Placed($site->make->inner($role, $name, $length, $across, $of, Grain::Length, $of === Purpose::Top ? [new Finished('all four', Finish::Banded)] : [], $how === '' ? [] : [$how]), Pose::at($u + $x, $cell->back + $y, $z, $l, $w, $d), $part, $tier);
        $ledge = $put('ledge', 'Ledge', $wide, Working::start('depth of the ledge', $this->ledge), 0.0, 0.0, $zu, Way::Right, Way::Out, Way::Up, Purpose::Top, Part::Worktop, 'on cleat and gables');
        $deep = Working::start('depth of the ledge', $this->ledge)->minus('air', $is(self::AIR));
        $gables = [
            $put('gable-L', 'Ledge gable', $under, $deep, 0.0, 0.0, 0.0, Way::Up, Way::Out, Way::Right, Purpose::Carcass),
            $put('gable-R', 'Ledge gable', $under, $deep, $b - $thick, 0.0, 0.0, Way::Up, Way::Out, Way::Right, Purpose::Carcass),
        ];
        $cleat = $put('cleat', 'Ledge cleat', $wide->minusTimes('gables', 2, $t), Working::start('height of a cleat', $is(self::CLEAT)), $thick, 0.0, $zu - $is(self::CLEAT)->toDouble(), Way::Right, Way::Up, Way::Out, Purpose::Carcass, Part::Cleat, 'into every stud');
        $hangs = $put('leaf', 'Leaf', $wide, $leaf, 0.0, $dl + $is(self::HINGE)->toDouble(), $zu - $leaf->result->toDouble(), Way::Right, Way::Up, Way::Out, Purpose::Top, Part::Face, 'hinged under the ledge; tapered stop blocks over the gates');
        $gates = $this->gates($site, $put, $gate, $under->minus('glide', $is(self::GLIDE))->minus('play over it', $is(self::OVER)), $b, $thick);
        $joints = [];
        foreach ($gables as $gable) {
            array_push($joints, new Joint($ledge->piece->key, $gable->piece->key, JointKind::Screws, 'ledges'), new Joint($cleat->piece->key, $gable->piece->key, JointKind::Pocket, 'ledges'));
        }
        $joints[] = new Joint($ledge->piece->key, $cleat->piece->key, JointKind::Screws, 'ledges');
        $pivot = new Vector($u, $cell->back + $dl, $zu);
        $far = $leaf->result->toDouble();

        return Assembly::all($gates, new Assembly([$ledge, ...$gables, $cleat, $hangs], $joints, [
            (new Screws($terms->materials, $format))->toWall($cleat->piece, 'cleats to the wall'),
            new Hardware('leaf hinge', 3, 'folding tables', ArticleKind::ButtHinge),
            new Hardware('butt hinge', 4, 'gates of folding tables', ArticleKind::ButtHinge),
            new Hardware('magnet catch', 2, 'gates of folding tables', ArticleKind::Magnet),
            new Hardware('glide', 2, 'gates of folding tables', ArticleKind::Bumper),
        ], ['Leaf of the folding table' => $leaf, 'Reach of a gate under the leaf' => $reach], [], [
            new Movement('Leaf', $tier, [$hangs->piece->key], LevelTurn::swept($pivot, $b, $far + $tt->toDouble(), Way::Down, Way::Out), [Polygon::rectangle($u, $cell->back + $dl, $b, $far)->points], Motion::turn($pivot, Way::Down->vector(), Way::Out->vector(), M_PI / 2)),
        ]));
    }

    /** @return list<Finding> what keeps it from being made */
    private function refused(CellSite $site): array
    {
        $tier = $site->cell->tier->id;
        $write = $site->terms->format->write(...);
        $least = $site->terms->materials->for(Purpose::Leg)->thickness->plus($site->terms->rules->either(...self::AIR)->times(2))->plus($site->terms->rules->either(12, 0.5));
        if ($site->floor() > 3.0) {
            return [Finding::clash(Code::TooSmall, 'A folding table stands on the floor. Take the plinth away under it.', $tier)->withWaysOut([new WayOut('Leave an open gap instead', Edits::tier($tier)->emptied())])];
        }
        $cell = $site->cell;
        $over = min(array_map(fn (float $u) => $site->run->frame->ceilingAt($u, $cell->back), [$cell->u, $cell->end()]));
        if ($over < $this->high->toDouble() + self::UNDER_CEILING) {
            return [Finding::clash(Code::TooSmall, sprintf('At the wall the ceiling is %s high: a surface at %s has no room.', $site->terms->write(max(0.0, $over)), $write($this->high)), $tier)->withWaysOut([new WayOut('Leave an open gap instead', Edits::tier($tier)->emptied())])];
        }

        return $this->ledge->isLessThan($least) ? [Finding::clash(Code::LedgeShallow, sprintf('Gates and leaf do not hang plumb under a ledge of %s; it takes %s.', $write($this->ledge), $write($least)), $tier)
            ->withWaysOut([new WayOut(sprintf('A ledge of %s', $write($least)), Edits::tier($tier)->measuring('with.ledge', $least))])] : [];
    }

    /**
     * Both gates as they hang closed, end to end under the ledge.
     *
     * @param  \Closure(string, string, Working, Working, float, float, float, Way, Way, Way, Purpose, Part=, string=): Placed  $put
     */
    private function gates(CellSite $site, \Closure $put, Working $gate, Working $high, float $b, float $thick): Assembly
    {
        $is = fn (array $size): Length => $site->terms->rules->either(...$size);
        [$gs, $gt] = [$site->terms->materials->for(Purpose::Leg)->thickness, $is(self::GATE)];
        $glide = $is(self::GLIDE)->toDouble();
        $wide = Working::start('section of a gate', $gt);
        $between = Working::start('width of a gate', $gate->result)->minusTimes('stiles', 2, $gt);
        $long = $gate->result->toDouble();
        $y = $this->ledge->toDouble() - $is(self::AIR)->toDouble() - $gs->toDouble();
        $knuckle = $thick + $is(self::KNUCKLE)->toDouble();
        $parts = [];
        foreach (['L' => $knuckle, 'R' => $b - $knuckle - $long] as $hand => $x) {
            $hung = $hand === 'L' ? $x : $x + $long - $gt->toDouble();
            $free = $hand === 'L' ? $x + $long - $gt->toDouble() : $x;
            $stiles = [
                $put("gate-$hand-hung", 'Gate stile, hung', $high, $wide, $hung, $y, $glide, Way::Up, Way::Right, Way::Out, Purpose::Leg, Part::Loose),
                $put("gate-$hand-free", 'Gate stile, free', $high, $wide, $free, $y, $glide, Way::Up, Way::Right, Way::Out, Purpose::Leg, Part::Loose),
            ];
            $top = $glide + $stiles[0]->piece->length->result->toDouble();
            $rails = [
                $put("gate-$hand-rail", 'Gate rail', $between, $wide, $x + $gt->toDouble(), $y, $top - $gt->toDouble(), Way::Right, Way::Up, Way::Out, Purpose::Leg, Part::Loose),
                $put("gate-$hand-rail-low", 'Gate rail', $between, $wide, $x + $gt->toDouble(), $y, $glide + $is(self::RAIL)->toDouble(), Way::Right, Way::Up, Way::Out, Purpose::Leg, Part::Loose),
            ];
            $joints = [];
            foreach ($rails as $rail) {
                array_push($joints, ...array_map(fn (Placed $stile) => new Joint($rail->piece->key, $stile->piece->key, JointKind::Pocket, 'gates of folding tables'), $stiles));
            }
            $parts[] = new Assembly([...$stiles, ...$rails], $joints, movements: [$this->swing($site, [...$stiles, ...$rails], $hand, $long)]);
        }

        return Assembly::all(...$parts);
    }

    /**
     * At floor level, below the leaf: over that the leaf is lifted first.
     *
     * @param  non-empty-list<Placed>  $gate
     */
    private function swing(CellSite $site, array $gate, string $hand, float $long): Movement
    {
        $b = $gate[0]->bounds;
        $sign = $hand === 'L' ? 1.0 : -1.0;
        $pivot = new Vector($hand === 'L' ? $b->u0 : $b->u1, $b->v1, $b->z0);
        $steps = 6;
        $radius = $long / cos(M_PI / 4 / $steps);
        $at = fn (int $step): Point => new Point($pivot->x + $sign * $radius * cos(M_PI / 2 * $step / $steps), $pivot->y + $radius * sin(M_PI / 2 * $step / $steps));
        $swept = $above = [];
        for ($i = 1; $i <= $steps; $i++) {
            $corners = [new Point($pivot->x, $pivot->y), $at($i - 1), $at($i)];
            $above[] = $corners;
            $swept[] = new Solid([Convex::plate($sign > 0.0 ? $corners : array_reverse($corners), $site->terms->rules->either(...self::FLOOR)->toDouble() - $b->z0 - 1.0, new Pose(new Vector(0.0, 0.0, $b->z0), Way::Right->vector(), Way::Out->vector(), Way::Up->vector()))]);
        }

        return new Movement($hand === 'L' ? 'Left gate' : 'Right gate', $site->cell->tier->id, array_map(fn (Placed $one) => $one->piece->key, $gate), $swept, $above, Motion::turn($pivot, ($hand === 'L' ? Way::Right : Way::Left)->vector(), Way::Out->vector(), M_PI / 2));
    }
}
