<?php

declare(strict_types=1);

namespace Incastro\Units\Members;

use Incastro\Fit\Demand\MemberDemand;
use Incastro\Fit\Demand\MemberForm;
use Incastro\Fit\Members\Over;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Pose;
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
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\When;
use Incastro\Rules\WayOut;
use Incastro\Strength\Bearing;
use Incastro\Strength\Board;
use Incastro\Strength\Loads;
use Incastro\Survey\Network\Normal;
use Incastro\Units\Assembly;
use Incastro\Units\InfillForm;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\Joinery;
use Incastro\Units\Make\Screws;
use Incastro\Units\Make\SlopeNiche;
use Incastro\Units\MemberUnit;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\MemberSite;

/**
 * What closes the space between the tops of cabinets and the ceiling, level or raked: a fascia in the plane of the faces, scribed to the
 * ceiling, on a cleat on the boxes and one under the ceiling, which is left out where both would meet.
 */
#[About('top-bridge', 'Closing to the ceiling', 'A fascia over cabinets, up to the ceiling or the slope above them.', 'Boards', 'Z')]
final readonly class TopBridge implements MemberUnit
{
    /** The least height that it closes, mm and inches: a trim closes less. */
    private const LEAST = [20.0, 0.75];

    /** Between both cleats, mm. */
    private const APART = 5.0;

    /** It goes on over a gap between two boxes that is no wider, mm and inches. */
    private const WIDEST_GAP = [1800.0, 72.0];

    /** A flatter ceiling is no slope, degrees. */
    private const FLATTEST = 15.0;

    /** A place of the ceiling is taken so often along it, mm. */
    private const STATION = 200.0;

    public function __construct(
        #[Size('Cleats', ['30', '1 1/4'], 20, 45)] public Length $cleat,
        #[Size('Cleats short of the ends', ['20', '3/4'], 0, 60)] public Length $short,
        #[Size('Left on at the ceiling to scribe', ['9', '3/8'], 0, 40)] public Length $scribe,
        #[Size('A deck over a gap lies on each box by', ['60', '2 1/2'], 40, 200)] public Length $bearing,
        #[Choice('Closed', InfillForm::Panel)] public InfillForm $form,
        #[Size('Allowance under the slope', ['3', '1/8'], 0, 10)]
        #[When('form', InfillForm::Niche)]
        public Length $allowance,
        #[Size('Parts of its back meet, from the low end', null, 100, 2000, 'Over a stud or a rafter. As wide as they go, where nothing is given.')]
        #[When('form', InfillForm::Niche)]
        public ?Length $joint,
    ) {
    }

    public function form(): MemberForm
    {
        return MemberForm::Over;
    }

    public function demand(HouseRules $rules, Catalogue $materials): MemberDemand
    {
        return new MemberDemand(Length::ofMillimetres(1), Length::zero(), bridges: $rules->either(...self::WIDEST_GAP));
    }

    public function build(MemberSite $site): Assembly
    {
        $over = $site->place;
        if (! $over instanceof Over) {
            return new Assembly([]);
        }
        $terms = $site->terms;
        $thick = $terms->materials->for(Purpose::Frame)->thickness->toDouble();
        $gaps = $this->gaps($site, $over, [$over->front(), $over->front() - $thick]);
        $high = array_map(fn (Point $one) => $one->y, $gaps);
        $least = $terms->rules->either(...self::LEAST);
        if ($this->form === InfillForm::Panel && min($high) < $least->toDouble()) {
            return new Assembly([], findings: [Finding::clash(Code::MemberNoRoom, sprintf('Over %s the ceiling leaves %s; it closes %s at least: a trim closes less.', $over->mark, $terms->write(max(0.0, min($high))), $terms->format->write($least)), $over->memberId())
                ->withWaysOut([new WayOut('Take it away', Edits::withoutMember($over->memberId()))])]);
        }
        if ($this->form === InfillForm::Niche) {
            return $this->niche($site, $over);
        }
        $fascia = $this->fascia($site, $over, $gaps, $thick);
        $cleats = $this->cleats($site, $over, $gaps, $thick);
        $joints = array_map(fn (string $carrier) => new Joint($cleats[0]->piece->key, $carrier, JointKind::Screws, 'closing to the ceiling'), $over->carriers);
        foreach (array_filter($cleats, fn (Placed $cleat) => $cleat->touches($fascia, Joinery::TOUCH)) as $cleat) {
            $joints[] = new Joint($fascia->piece->key, $cleat->piece->key, JointKind::Nails, 'closing to the ceiling');
        }
        $screws = new Screws($terms->materials, $terms->format);
        $decks = $bearings = [];
        foreach ($over->gaps as $i => $gap) {
            $decks[] = $deck = $this->deck($site, $over, $thick, $gap, $i);
            array_push($joints, ...array_map(fn (string $top) => new Joint($deck->piece->key, $top, JointKind::Screws, 'decks over gaps'), $gap[2]));
            array_push($bearings, ...$this->bears($site, $over, $deck, $gap[1] - $gap[0]));
        }

        return new Assembly([...$cleats, $fascia, ...$decks], $joints, array_map(fn (Placed $cleat) => $screws->toStuds($cleat->piece, 'cleats to the joists'), array_slice($cleats, 1)), [], [
            Finding::note(Code::Caution, sprintf('Find the joists first: the upper cleat of %s is screwed to each that it crosses. A vent or a hatch above stays open.', $over->mark), $over->memberId()),
        ], bearings: $bearings);
    }

    /**
     * A board over a gap between two boxes, behind the fascia, on both of their tops.
     *
     * @param  array{float, float, list<string>}  $gap
     */
    private function deck(MemberSite $site, Over $over, float $thick, array $gap, int $number): Placed
    {
        $long = Working::start('gap between the boxes', Length::ofDouble($gap[1] - $gap[0]))->plusTimes('on each of them', 2, $this->bearing);
        $deep = $over->depth->minus('fascia', Length::ofDouble($thick))->minus('cleat', $this->cleat);
        $piece = $site->make->inner('deck'.($number === 0 ? '' : '-'.($number + 1)), 'Deck over a gap', $long, $deep, Purpose::Carcass, Grain::Length, [], ['screwed down into both tops']);

        return new Placed($piece, Pose::at($gap[0] - $this->bearing->toDouble(), $over->v, $over->z, Way::Right, Way::Out, Way::Up), Part::Body, $over->id);
    }

    /** @return list<Bearing> */
    private function bears(MemberSite $site, Over $over, Placed $deck, float $clear): array
    {
        $of = $site->terms->materials->carcass;
        if ($of->wood === null) {
            return [];
        }
        $board = new Board($of->wood->strength(), $of->density, $deck->piece->width->result->toDouble(), $of->thickness->toDouble(), max(1.0, $clear), Loads::ROOF);

        return [new Bearing($deck->piece->mark, $over->memberId(), $board, sprintf('light things, %.0f kg on a metre', Loads::ROOF), Edits::member($over->memberId()))];
    }

    /** Left open under a slope. */
    private function niche(MemberSite $site, Over $over): Assembly
    {
        $gaps = $this->gaps($site, $over, [$over->v, $over->front()]);
        [$first, $last] = [$gaps[0], $gaps[count($gaps) - 1]];
        $slope = ($last->y - $first->y) / max(1.0, $last->x - $first->x);
        // A straight lid stays under all of it, less the allowance and what the ceiling is in doubt.
        $under = max(array_map(fn (Point $one) => $first->y + $slope * $one->x - $one->y, $gaps)) + $this->allowance->toDouble() + Normal::ONE_SIDED_95 * $site->run->frame->ceilingSigmaAt($over->u, $over->front());
        $low = min($first->y, $last->y) - $under;
        if (abs($slope) < tan(deg2rad(self::FLATTEST))) {
            return new Assembly([], findings: [Finding::clash(Code::NoSlope, sprintf('A niche over %s needs a slope of %.0f° at least; the ceiling rises by %.0f°. A panel closes it.', $over->mark, self::FLATTEST, rad2deg(atan(abs($slope)))), $over->memberId())
                ->withWaysOut([new WayOut('Close it by a panel', Edits::member($over->memberId())->setting(['form' => InfillForm::Panel->value])), new WayOut('Take it away', Edits::withoutMember($over->memberId()))])]);
        }

        return (new SlopeNiche($low, abs($slope), $over->length, $site->terms->board(), $this->cleat, $this->joint))->build($site, $over, $slope > 0.0);
    }

    /**
     * How high the ceiling is over its foot, from its left end: at both ends, where the ceiling bends, and between.
     *
     * @param  non-empty-list<float>  $depths  out from the wall: the lowest counts
     * @return non-empty-list<Point> mm
     */
    private function gaps(MemberSite $site, Over $over, array $depths): array
    {
        $long = $over->length->result->toDouble();
        $frame = $site->run->frame;
        $us = $frame->ceilingBreaks($over->u, $over->u + $long, $over->front());
        for ($i = 1; $i * self::STATION < $long; $i++) {
            $us[] = $over->u + $i * self::STATION;
        }
        sort($us);
        $points = [];
        foreach ($us as $u) {
            if ($points === [] || $u - $over->u - $points[count($points) - 1]->x > 1.0) {
                $points[] = new Point($u - $over->u, min(array_map(fn (float $v): float => $frame->ceilingAt($u, $v), $depths)) - $over->z);
            }
        }

        return $points;
    }

    /** @param non-empty-list<Point> $gaps */
    private function fascia(MemberSite $site, Over $over, array $gaps, float $thick): Placed
    {
        $most = Length::ofDouble(max(array_map(fn (Point $one) => $one->y, $gaps)));
        $long = $over->length->result->toDouble();
        $width = Working::start('from the boxes to the ceiling, at most', $most)->plus('left on to scribe', $this->scribe);
        $top = array_reverse($gaps);
        $outline = new Outline(new Polygon([new Point(0.0, 0.0), new Point($long, 0.0), new Point($long, $top[0]->y), ...array_slice($top, 1, -1), new Point(0.0, $gaps[0]->y)]));
        $piece = $site->make->covering('fascia', 'Fascia', $over->length, $width, Purpose::Frame, $outline, [new Finished('upper, long', Finish::TouchesHouse)], ['nailed from the front into its cleats, or screwed and plugged']);

        return new Placed($piece, Pose::at($over->u, $over->front(), $over->z, Way::Right, Way::Up, Way::In), Part::Face, $over->id);
    }

    /**
     * The one on the boxes, and the one under the ceiling, along its slope.
     *
     * @param  non-empty-list<Point>  $gaps
     * @return non-empty-list<Placed>
     */
    private function cleats(MemberSite $site, Over $over, array $gaps, float $thick): array
    {
        $b = $this->cleat->toDouble();
        $v = $over->front() - $thick;
        $width = Working::start('width of the cleat', $this->cleat);
        $length = $over->length->minusTimes('short of the ends', 2, $this->short);
        $foot = $site->make->inner('cleat-foot', 'Foot cleat', $length, $width, Purpose::Framing, Grain::Length, [], ['screwed to the boxes']);
        $placed = [new Placed($foot, Pose::at($over->u + $this->short->toDouble(), $v, $over->z, Way::Right, Way::In, Way::Up), Part::Cleat, $over->id)];
        $t = $foot->thickness->toDouble();
        // Under a level ceiling it lies along it; under a rake along the line between the ends, from where it clears the foot cleat.
        $clear = $t + $b + self::APART;
        [$first, $last] = [$gaps[0], $gaps[count($gaps) - 1]];
        $slope = ($last->y - $first->y) / max(1.0, $last->x - $first->x);
        $sag = max(array_map(fn (Point $one) => $first->y + $slope * $one->x - $one->y, $gaps));
        $at = fn (float $x): float => $first->y + $slope * $x - max(0.0, $sag);
        [$from, $to] = [$this->short->toDouble(), $over->length->result->toDouble() - $this->short->toDouble()];
        if (abs($slope) > 1e-3) {
            $reaches = ($clear - $at(0.0)) / $slope;
            [$from, $to] = $slope > 0.0 ? [max($from, $reaches), $to] : [$from, min($to, $reaches)];
        } elseif ($at($from) < $clear) {
            return $placed;
        }
        $run = ($to - $from) * hypot(1.0, $slope);
        // Square ends turn past the plumb ones by as much as the cleat is high.
        $run -= $b * abs($slope);
        if ($run < 4 * $b) {
            return $placed;
        }
        $angle = atan($slope);
        $piece = $site->make->inner('cleat-ceiling', abs($slope) > 1e-3 ? 'Slope cleat' : 'Ceiling cleat', Working::start('along the ceiling, short of the ends', Length::ofDouble($run)), $width, Purpose::Framing, Grain::Length, abs($slope) > 0.02 ? [new Sawn('none', $angle, ', its ends square to the slope')] : [], ['screwed to the joists, shimmed']);
        $way = new Vector(cos($angle), 0.0, sin($angle));
        $down = new Vector(sin($angle), 0.0, -cos($angle));
        $start = new Vector($over->u + $from + ($slope < 0.0 ? $b * sin(-$angle) : 0.0), $v, $over->z + $at($from + ($slope < 0.0 ? $b * sin(-$angle) : 0.0)));

        return [...$placed, new Placed($piece, new Pose($start, $way, $down, Way::In->vector()), Part::Cleat, $over->id)];
    }
}
