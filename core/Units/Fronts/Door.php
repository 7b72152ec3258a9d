<?php

declare(strict_types=1);

namespace Incastro\Units\Fronts;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\FrontDemand;
use Incastro\Geometry\Convex;
use Incastro\Geometry\Point;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Solid;
use Incastro\Geometry\Vector;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Count;
use Incastro\Rules\Parameters\Made;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\Parameters\Unless;
use Incastro\Rules\Parameters\When;
use Incastro\Rules\Rule;
use Incastro\Rules\Schools\LeafBuild;
use Incastro\Rules\Schools\Mount;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\FrontUnit;
use Incastro\Units\Hand;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\Leaf;
use Incastro\Units\Make\MadeLeaf;
use Incastro\Units\Motion;
use Incastro\Units\Movement;
use Incastro\Units\Pull;
use Incastro\Units\Sites\OpeningSite;
use Incastro\Units\SizeUse;

/**
 * One leaf or two inside the face frame or over it, on concealed hinges, cut to the rake where its opening is. A leaf is as large
 * as its opening less the reveal all round, or with its lap all round; two share what is between them. It is one board, or framed.
 */
#[About('door', 'Door', 'Closes the opening with one leaf or two.', 'Doors', isCommon: true)]
final readonly class Door implements FrontUnit
{
    /** How many hinges by the height of a leaf, mm, and by its weight, kg, where it is up to 600 wide. */
    private const BY_HEIGHT = [2 => 900.0, 3 => 1600.0, 4 => 2000.0, 5 => 2400.0];

    private const BY_WEIGHT = [2 => 6.0, 3 => 12.0, 4 => 17.0, 5 => 22.0];

    private const WIDE = 600.0;

    /** One board that is higher than this seldom stays flat, mm. */
    private const WARPS = 1800.0;

    /** What hinges and a pull weigh, kg. */
    private const FITTINGS = 0.3;

    /** A leaf's edge goes round by steps of 15°. */
    private const STEPS = 6;

    public function __construct(
        #[Count('Leaves', 1, 1, 2)] public int $leaves,
        #[Choice('Hinged at the', Hand::Either)]
        #[When('leaves', 1)]
        public Hand $hand,
        #[Choice('Opened by', Pull::Bar)] public Pull $pull,
        #[Choice('Closes', Mount::Inset)] public Mount $mount,
        #[Size('Laps over the edges', null, 5, 18, 'Usually half an inch over a face frame, and nearly all of a banded board.')]
        #[When('mount', Mount::Overlay)]
        public ?Length $lap = null,
        #[Made('Made of', Purpose::Front)] public ?string $made = null,
        #[Choice('Built as', LeafBuild::Slab)] public LeafBuild $build = LeafBuild::Slab,
        #[Toggle('With a pane of glass', false)]
        #[Unless('build', LeafBuild::Slab)]
        public bool $glazed = false,
    ) {
    }

    public function demand(HouseRules $rules, Catalogue $materials): FrontDemand
    {
        $isInset = $this->mount === Mount::Inset;
        $least = $isInset ? Length::ofDouble(Leaf::LEAST)->plus($rules->get(Rule::DoorReveal)->times(2)) : Length::ofDouble(Leaf::LEAST);

        return new FrontDemand(
            Extent::atLeast($least->times($this->leaves), 'its leaves need %s'),
            Extent::atLeast($least, 'a leaf needs %s'),
            $isInset ? $materials->using(Purpose::Front, $this->made)->for(Purpose::Front)->thickness->plus($rules->get(Rule::BehindFront)) : Length::zero(),
        );
    }

    public function build(OpeningSite $site): Assembly
    {
        $site = $site->madeOf(Purpose::Front, $this->made);
        $leaf = new Leaf($site, $this->mount, $this->build, $this->glazed, $this->lap);
        $width = $leaf->width($this->leaves);
        $wide = $width->result->toDouble();
        $starts = $leaf->starts($this->leaves, $width);
        $heights = array_map(fn (float $x) => [$leaf->high($x), $leaf->high($x + $wide)], $starts);
        $lowest = min(array_merge(...$heights));
        $least = $leaf->least();
        if ($wide < $least || $lowest < $least) {
            return new Assembly([], findings: [$this->tooSmall($site, $wide, $lowest, $least)]);
        }
        $own = $this->hand !== Hand::Either ? $this->hand : ($heights[0][0] >= $heights[0][1] ? Hand::Left : Hand::Right);
        $hands = $this->leaves === 1 ? [$own] : [Hand::Left, Hand::Right];
        $leaves = array_map(fn (Hand $hand, float $x): MadeLeaf => $leaf->made('door-'.($hand === Hand::Left ? 'L' : 'R'), 'Door', $width, $x, ['on concealed hinges']), $hands, $starts);
        $built = Assembly::all(...array_map(fn (MadeLeaf $made, Hand $hand, float $x) => Assembly::all($made->assembly, $this->hung($site, $made, $hand, $x, $leaf->foot())), $leaves, $hands, $starts));

        $found = $this->warps($site, max(array_merge(...$heights)));

        return Assembly::all($built, new Assembly([], findings: $found, uses: $this->mount === Mount::Overlay ? [] : [$this->play($site, $leaves)]));
    }

    /** @return list<Finding> */
    private function warps(OpeningSite $site, float $high): array
    {
        return $this->build->isFramed() || $high <= self::WARPS || $site->opening->front === null ? [] : [
            Finding::warning(Code::DoorWarps, sprintf('A leaf of one board %s high seldom stays flat. A frame with a panel does.', $site->terms->write($high)), $site->opening->tierId)
                ->withWaysOut([new WayOut('Make it with a frame and a panel', Edits::front($site->opening->front->id)->setting(['build' => LeafBuild::Grooved->value]))]),
        ];
    }

    /** @param non-empty-list<MadeLeaf> $leaves */
    private function play(OpeningSite $site, array $leaves): SizeUse
    {
        [$in, $out] = $site->frame();
        $gap = $this->leaves === 1 ? 0.0 : $site->terms->rule(Rule::PairGap);
        $factors = [];
        $tongues = 0.0;
        foreach ($leaves as $made) {
            $factors += array_map(fn (float $factor) => -$factor, $made->across);
            $tongues += $made->tongues;
        }

        return $site->play('gaps beside a door', $factors, 2.0, 2 * $site->terms->rule(Rule::DoorReveal) + 2.0, 'The door binds in its frame, or shows wide gaps.', $tongues - $in - $out - $gap);
    }

    private function hinge(OpeningSite $site): string
    {
        return match (true) {
            $site->terms->frame()->isZero() => $this->mount === Mount::Inset ? 'concealed hinge for an inset leaf' : 'concealed hinge for a leaf over its board',
            default => $this->mount === Mount::Inset ? 'concealed hinge for a face frame' : 'concealed hinge for a leaf over a face frame',
        };
    }

    /** A leaf on its hinges, from a place on: what it hangs by, what is bought for it, and what it sweeps. */
    private function hung(OpeningSite $site, MadeLeaf $made, Hand $hand, float $x, float $z): Assembly
    {
        $terms = $site->terms;
        $wide = $made->wide();
        $front = $site->opening->front;
        $hinges = self::hinges($made);
        $findings = $hinges === null ? [$this->tooHeavy($site)] : [];
        if ($this->leaves === 1 && $wide > self::WIDE && $front !== null) {
            $findings[] = Finding::warning(Code::DoorWide, sprintf('A leaf %s wide sags and stands far out when it is open. Two leaves are lighter.', $terms->write($wide)), $site->opening->tierId)
                ->withWaysOut([new WayOut('Make it two leaves', Edits::front($front->id)->setting(['leaves' => 2]))]);
        }
        $hardware = [
            new Hardware($this->hinge($site), $hinges ?? 5, 'doors', ArticleKind::Hinge),
            ...($this->mount === Mount::Overlay ? [new Hardware('bumper', 2, 'doors', ArticleKind::Bumper)] : []),
            ...$this->pull->bought(1, 'doors'),
        ];
        $leaf = $terms->materials->for(Purpose::Front)->thickness->toDouble();
        [$swept, $lines] = $this->swing($site, $hand, $x, $this->mount === Mount::Inset ? $wide : hypot($wide, $leaf + $site->edges()->bump()), $z, $made->heights, $wide);
        $ways = $this->leaves === 1 && $front !== null ? [new WayOut('Hinge it at the '.$hand->other()->value, Edits::front($front->id)->setting(['hand' => $hand->other()->value]))] : [];
        $movement = new Movement(sprintf('Door of %s', $site->name()), $site->opening->tierId, $made->keys(), $swept, [$lines], $this->opening($site, $hand, $x, $wide, $z), 0.0, $ways);
        $post = $site->posts()[$hand === Hand::Left ? 0 : 1];
        $places = self::places($site->at(0.0, 0.0, $z)->z, $made->height($hand), $hinges ?? 5, $terms->rule(Rule::HingeEnd));

        return new Assembly([], [new Joint($made->edge($hand), $post, JointKind::Hinge, 'doors', at: $places)], $hardware, [], $findings, [$movement]);
    }

    /** Round its hinged edge in the plane of the face, by a right angle. */
    private function opening(OpeningSite $site, Hand $hand, float $x, float $wide, float $z): Motion
    {
        $isLeft = $hand === Hand::Left;

        return Motion::turn($site->at($isLeft ? $x : $x + $wide, $site->face(), $z), ($isLeft ? Way::Right : Way::Left)->vector(), Way::Out->vector(), M_PI / 2);
    }

    /**
     * What a leaf sweeps when it opens by a right angle: round its hinged edge, in wedges that are drawn a little too large, each
     * as high as the leaf is there; and the line of all from above.
     *
     * @param  float  $reaches  from the hinge line to its farthest corner, mm
     * @param  array{float, float}  $heights
     * @return array{non-empty-list<Solid>, list<Point>}
     */
    private function swing(OpeningSite $site, Hand $hand, float $x, float $reaches, float $z, array $heights, float $wide): array
    {
        [$hinge, $way] = $hand === Hand::Left ? [$x, 1.0] : [$x + $wide, -1.0];
        [$inner, $outer] = $hand === Hand::Left ? $heights : array_reverse($heights);
        // Round the arc with a corner between every two of its steps: closed and open it reaches no farther than the leaf.
        $half = M_PI / 4 / self::STEPS;
        $turns = [0.0, ...array_map(fn (int $i): float => (2 * $i + 1) * $half, range(0, self::STEPS - 1)), M_PI / 2];
        $pivot = $site->at($hinge, $site->face(), $z);
        $edge = function (int $i) use ($site, $hinge, $way, $turns, $half, $reaches, $z): Vector {
            $radius = $i === 0 || $i === self::STEPS + 1 ? $reaches : $reaches / cos($half);

            return $site->at($hinge + $way * $radius * cos($turns[$i]), $site->face() + $radius * sin($turns[$i]), $z);
        };
        $swept = [];
        $line = [new Point($pivot->x, $pivot->y), new Point($edge(0)->x, $edge(0)->y)];
        foreach (range(1, self::STEPS + 1) as $i) {
            [$a, $b] = [$edge($i - 1), $edge($i)];
            $line[] = new Point($b->x, $b->y);
            $foot = array_map(fn (Vector $at) => new Point($at->x, $at->y), $way > 0.0 ? [$pivot, $a, $b] : [$pivot, $b, $a]);
            $wedge = Convex::plate($foot, max($inner, $outer), Pose::at(0.0, 0.0, $pivot->z, Way::Right, Way::Out, Way::Up));
            // The upper edge rises from the hinge, or falls: a plane over the three corners.
            $up = fn (Vector $at, float $high) => $at->plus(new Vector(0.0, 0.0, $high));
            $normal = $up($a, $outer)->minus($up($pivot, $inner))->cross($up($b, $outer)->minus($up($pivot, $inner)));
            $normal = $normal->z < 0.0 ? $normal->times(-1.0) : $normal;
            $swept[] = new Solid([$wedge->cut($normal, $normal->dot($up($pivot, $inner))) ?? $wedge]);
        }

        return [$swept, $line];
    }

    /**
     * Where its hinges are: the outer two so far from its ends, others evenly between.
     *
     * @param  float  $foot  of the leaf, in the run
     * @return list<float> heights in the run, mm
     */
    private static function places(float $foot, float $high, int $count, float $end): array
    {
        $end = min($end, $high / 4);

        return array_map(fn (int $i): float => $foot + $end + $i * ($high - 2 * $end) / ($count - 1), range(0, $count - 1));
    }

    /** How many hinges carry a leaf; null where none do. */
    private static function hinges(MadeLeaf $made): ?int
    {
        $weight = ($made->weight() + self::FITTINGS) * max(1.0, $made->wide() / self::WIDE);
        foreach (self::BY_HEIGHT as $count => $high) {
            if ($made->height->result->toDouble() <= $high && $weight <= self::BY_WEIGHT[$count]) {
                return $count;
            }
        }

        return null;
    }

    private function tooHeavy(OpeningSite $site): Finding
    {
        $front = $site->opening->front;

        return Finding::clash(Code::DoorHeavy, 'This leaf is too high or too heavy for five hinges. Divide the bay or the tier, make it two leaves, or make it of something lighter.', $site->opening->tierId)
            ->withWaysOut([...($this->leaves === 1 && $front !== null ? [new WayOut('Make it two leaves', Edits::front($front->id)->setting(['leaves' => 2]))] : []), ...$site->unclosed('Take the door away')]);
    }

    private function tooSmall(OpeningSite $site, float $wide, float $high, float $least): Finding
    {
        return Finding::clash(Code::TooSmall, sprintf('A leaf here would be %s wide and %s high; %s is the least that is made.', $site->terms->write(max(0.0, $wide)), $site->terms->write(max(0.0, $high)), $site->terms->write($least)), $site->opening->tierId)
            ->withWaysOut($site->unclosed('Take the door away'));
    }
}
