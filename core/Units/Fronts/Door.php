<?php

declare(strict_types=1);

namespace Incastro\Units\Fronts;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\FrontDemand;
use Incastro\Geometry\Convex;
use Incastro\Geometry\Outline;
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
use Incastro\Rules\Parameters\Count;
use Incastro\Rules\Parameters\Made;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\When;
use Incastro\Rules\Rule;
use Incastro\Rules\Schools\Mount;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\FrontUnit;
use Incastro\Units\Hand;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Motion;
use Incastro\Units\Movement;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Pull;
use Incastro\Units\Sites\OpeningSite;

/**
 * One leaf or two inside the face frame or over it, on concealed hinges, cut to the rake where its opening is. A leaf is as large
 * as its opening less the reveal all round, or with its lap all round; two share what is between them.
 */
#[About('door', 'Door', 'Closes the opening with one leaf or two.', 'Doors')]
final readonly class Door implements FrontUnit
{
    /** How many hinges by the height of a leaf, mm, and by its weight, kg, where it is up to 600 wide. */
    private const BY_HEIGHT = [2 => 900.0, 3 => 1600.0, 4 => 2000.0, 5 => 2400.0];

    private const BY_WEIGHT = [2 => 6.0, 3 => 12.0, 4 => 17.0, 5 => 22.0];

    private const WIDE = 600.0;

    /** A leaf smaller than this is none, mm. */
    private const LEAST = 60.0;

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
    ) {
    }

    public function demand(HouseRules $rules, Catalogue $materials): FrontDemand
    {
        $isInset = $this->mount === Mount::Inset;
        $least = $isInset ? Length::ofDouble(self::LEAST)->plus($rules->get(Rule::DoorReveal)->times(2)) : Length::ofDouble(self::LEAST);

        return new FrontDemand(
            Extent::atLeast($least->times($this->leaves), 'its leaves need %s'),
            Extent::atLeast($least, 'a leaf needs %s'),
            $isInset ? $materials->using(Purpose::Front, $this->made)->for(Purpose::Front)->thickness->plus($rules->get(Rule::BehindFront)) : Length::zero(),
        );
    }

    public function build(OpeningSite $site): Assembly
    {
        $site = $site->madeOf(Purpose::Front, $this->made);
        $rules = $site->terms->rules;
        $laps = $site->laps($this->mount, $this->lap);
        $between = $site->over($site->between(), $this->mount, $laps[0], $laps[1], 'left and right');
        $width = ($this->leaves === 1 ? $between : $between->minus('gap between the leaves', $rules->get(Rule::PairGap))->dividedBy('two leaves', 2))->roundedDown($site->terms->format->fine());
        $wide = $width->result->toDouble();
        [$left, , $foot] = $site->frame();
        [$atLeft, $atRight, $below] = array_map(fn (Length $lap) => $lap->toDouble(), $laps);
        $starts = $this->leaves === 1 ? [$left - $atLeft] : [$left - $atLeft, $left + $site->between()->result->toDouble() + $atRight - $wide];
        $heights = array_map(fn (float $x) => [$this->high($site, $x), $this->high($site, $x + $wide)], $starts);
        if ($wide < self::LEAST || min(array_merge(...$heights)) < self::LEAST) {
            return new Assembly([], findings: [$this->tooSmall($site, $wide, min(array_merge(...$heights)))]);
        }
        $own = $this->hand !== Hand::Either ? $this->hand : ($heights[0][0] >= $heights[0][1] ? Hand::Left : Hand::Right);
        $hands = $this->leaves === 1 ? [$own] : [Hand::Left, Hand::Right];

        $built = Assembly::all(...array_map(fn (Hand $hand, float $x) => $this->leaf($site, $hand, $width, [$this->high($site, $x), $this->high($site, $x + $wide)], $x, $foot - $below), $hands, $starts));
        if ($this->mount === Mount::Overlay) {
            return $built;
        }
        [$in, $out] = $site->frame();
        $factors = array_fill_keys(array_map(fn (Placed $leaf) => $leaf->piece->key.'.width', $built->placed), -1.0);
        $gap = $this->leaves === 1 ? 0.0 : $site->terms->rule(Rule::PairGap);
        $use = $site->play('gaps beside a door', $factors, 2.0, 2 * $site->terms->rule(Rule::DoorReveal) + 2.0, 'The door binds in its frame, or shows wide gaps.', -$in - $out - $gap);

        return Assembly::all($built, new Assembly([], uses: [$use]));
    }

    private function hinge(OpeningSite $site): string
    {
        return match (true) {
            $site->terms->frame()->isZero() => $this->mount === Mount::Inset ? 'concealed hinge for an inset leaf' : 'concealed hinge for a leaf over its board',
            default => $this->mount === Mount::Inset ? 'concealed hinge for a face frame' : 'concealed hinge for a leaf over a face frame',
        };
    }

    /** How high a leaf is at a place: what the face opening leaves, less a gap at the foot and one square to its upper edge; mm. */
    private function high(OpeningSite $site, float $x): float
    {
        [, , $foot] = $site->frame();
        [, , $below, $above] = array_map(fn (Length $lap) => $lap->toDouble(), $site->laps($this->mount, $this->lap));

        return $site->upper($x) - $foot + $below + $above * hypot(1.0, $site->upper($x + 1.0) - $site->upper($x));
    }

    /** @param array{float, float} $heights at its left and its right */
    private function leaf(OpeningSite $site, Hand $hand, Working $width, array $heights, float $x, float $z): Assembly
    {
        $terms = $site->terms;
        $leaf = $terms->materials->for(Purpose::Front)->thickness->toDouble();
        $fine = $terms->format->fine();
        $wide = $width->result->toDouble();
        // One height is decided, the lower one: the other follows, so that the angle is kept.
        [, , $below, $above] = $site->laps($this->mount, $this->lap);
        $opening = Working::start('height of the face opening', Length::ofDouble(min($heights) - $below->toDouble() - $above->toDouble()));
        $low = $site->over($opening, $this->mount, $below, $above, 'over and under')->roundedDown($fine);
        $rise = abs($heights[1] - $heights[0]);
        $high = $rise > 1e-6 ? $low->plus('higher at its high side', Length::ofDouble($rise)) : $low;
        $role = 'door-'.($hand === Hand::Left ? 'L' : 'R');
        $works = [new Finished('all four', Finish::Banded)];
        $outline = null;
        if ($rise > 1e-6) {
            $works[] = new Sawn('top, short', atan2($rise, $wide), ' to the rake');
            [$a, $b] = $heights[0] < $heights[1] ? [$low->result->toDouble(), $high->result->toDouble()] : [$high->result->toDouble(), $low->result->toDouble()];
            $outline = new Outline(new Polygon([new Point(0.0, 0.0), new Point($a, 0.0), new Point($b, $wide), new Point(0.0, $wide)]));
        }
        $piece = $outline === null
            ? $site->make->moving($role, 'Door', $low, $width, Purpose::Front, Grain::Length, $works, ['on concealed hinges'], $site->mark($role))
            : $site->make->shaped($role, 'Door', $high, $width, Purpose::Front, $outline, $works, ['on concealed hinges'], $site->mark($role));
        $placed = $site->placed($piece, $x, $site->frontAt($this->mount, $leaf), $z, Way::Up, Way::Right, Way::Out, Part::Face);
        $hinges = $this->hinges($placed, $wide);
        $findings = $hinges === null ? [$this->tooHeavy($site)] : [];
        if ($this->leaves === 1 && $wide > self::WIDE && $site->opening->front !== null) {
            $findings[] = Finding::warning(Code::DoorWide, sprintf('A leaf %s wide sags and stands far out when it is open. Two leaves are lighter.', $terms->write($wide)), $site->opening->tierId)
                ->withWaysOut([new WayOut('Make it two leaves', Edits::front($site->opening->front->id)->setting(['leaves' => 2]))]);
        }
        $hardware = [
            new Hardware($this->hinge($site), $hinges ?? 5, 'doors', ArticleKind::Hinge),
            ...($this->mount === Mount::Overlay ? [new Hardware('bumper', 2, 'doors', ArticleKind::Bumper)] : []),
            ...$this->pull->bought(1, 'doors'),
        ];
        [$swept, $lines] = $this->swing($site, $hand, $x, $this->mount === Mount::Inset ? $wide : hypot($wide, $leaf + $site->bump()), $z, $heights, $wide);
        $ways = $this->leaves === 1 && $site->opening->front !== null ? [new WayOut('Hinge it at the '.$hand->other()->value, Edits::front($site->opening->front->id)->setting(['hand' => $hand->other()->value]))] : [];
        $movement = new Movement(sprintf('Door of %s', $site->name()), $site->opening->tierId, [$piece->key], $swept, [$lines], $this->opening($site, $hand, $x, $wide, $z), 0.0, $ways);

        $post = $site->posts()[$hand === Hand::Left ? 0 : 1];

        return new Assembly([$placed], [new Joint($piece->key, $post, JointKind::Hinge, 'doors', at: self::hung($site->at(0.0, 0.0, $z)->z, $heights[$hand === Hand::Left ? 0 : 1], $hinges ?? 5, $terms->rule(Rule::HingeEnd)))], $hardware, [], $findings, [$movement]);
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
    private static function hung(float $foot, float $high, int $count, float $end): array
    {
        $end = min($end, $high / 4);

        return array_map(fn (int $i): float => $foot + $end + $i * ($high - 2 * $end) / ($count - 1), range(0, $count - 1));
    }

    /** How many hinges carry a leaf; null where none do. */
    private function hinges(Placed $placed, float $wide): ?int
    {
        $piece = $placed->piece;
        $weight = ($piece->weight() + self::FITTINGS) * max(1.0, $wide / self::WIDE);
        foreach (self::BY_HEIGHT as $count => $high) {
            if ($piece->length->result->toDouble() <= $high && $weight <= self::BY_WEIGHT[$count]) {
                return $count;
            }
        }

        return null;
    }

    private function tooHeavy(OpeningSite $site): Finding
    {
        $front = $site->opening->front;

        return Finding::clash(Code::DoorHeavy, 'This leaf is too high or too heavy for five hinges. Divide the bay or the tier, make it two leaves, or make it of something lighter.', $site->opening->tierId)
            ->withWaysOut([...($this->leaves === 1 && $front !== null ? [new WayOut('Make it two leaves', Edits::front($front->id)->setting(['leaves' => 2]))] : []), ...($front === null ? [] : [new WayOut('Take the door away', Edits::withoutFront($front->id))])]);
    }

    private function tooSmall(OpeningSite $site, float $wide, float $high): Finding
    {
        return Finding::clash(Code::TooSmall, sprintf('A leaf here would be %s wide and %s high; %s is the least that is made.', $site->terms->write(max(0.0, $wide)), $site->terms->write(max(0.0, $high)), $site->terms->write(self::LEAST)), $site->opening->tierId)
            ->withWaysOut($site->opening->front === null ? [] : [new WayOut('Take the door away', Edits::withoutFront($site->opening->front->id))]);
    }
}
