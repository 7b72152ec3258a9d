<?php

declare(strict_types=1);

namespace Incastro\Units\Fronts;

use Incastro\Fit\Demand\Extent;
use Incastro\Fit\Demand\FrontDemand;
use Incastro\Fit\Holds\SpansOpenings;
use Incastro\Geometry\Block;
use Incastro\Geometry\Point;
use Incastro\Geometry\Vector;
use Incastro\Measure\Length;
use Incastro\Pieces\Marks\MarkKind;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
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
use Incastro\Units\HingeKind;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\DoorFittings;
use Incastro\Units\Make\HingeMarks;
use Incastro\Units\Make\HungLeaf;
use Incastro\Units\Make\Leaf;
use Incastro\Units\Make\MadeLeaf;
use Incastro\Units\Make\PullPlace;
use Incastro\Units\Movement;
use Incastro\Units\Placed;
use Incastro\Units\Pull;
use Incastro\Units\PullReach;
use Incastro\Units\Sites\FaceEdges;
use Incastro\Units\Sites\OpeningSite;
use Incastro\Units\SizeUse;

/**
 * One leaf or two inside the face frame or over it, cut to the rake where its opening is. A leaf is as large
 * as its opening less the reveal all round, or with its lap all round; two share what is between them. It is one board, or framed.
 */
#[About('door', 'Door', 'Closes the opening with one leaf or two.', 'Doors', isCommon: true)]
final readonly class Door implements FrontUnit, SpansOpenings
{
    /** From the free edge of a leaf to the middle of the stop behind it, mm. */
    private const STOPPED = 15.0;

    /** What a pull is round its holes, mm. */
    private const HALF_PULL = 10.0;

    /** One board that is higher than this seldom stays flat, mm. */
    private const WARPS = 1800.0;

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
        #[Choice('Hung on', HingeKind::Concealed)] public HingeKind $hinges = HingeKind::Concealed,
        #[Count('Cells that it closes, upwards', 1, 1, 6, 'Those over its own that have no front.')] public int $spans = 1,
    ) {
    }

    public function spans(): int
    {
        return $this->spans;
    }

    public function demand(HouseRules $rules, Catalogue $materials): FrontDemand
    {
        $least = $this->mount === Mount::Inset ? Length::ofDouble(Leaf::LEAST)->plus($rules->get(Rule::DoorReveal)->times(2)) : Length::ofDouble(Leaf::LEAST);

        return new FrontDemand(
            Extent::atLeast($least->times($this->leaves), 'its leaves need %s'),
            Extent::atLeast($least, 'a leaf needs %s'),
            $this->behind($rules, $materials),
            ...array_map(fn (Hand $hand): ?Length => $this->leaves === 1 && $this->hand === $hand->other() ? null : $this->past($rules, $materials), [Hand::Left, Hand::Right]),
        );
    }

    /** What it keeps free behind the face: its thickness and air, or its stops; over the edges what a push needs. */
    private function behind(HouseRules $rules, Catalogue $materials): Length
    {
        $thick = $materials->using(Purpose::Front, $this->made)->for(Purpose::Front)->thickness;
        $air = $rules->get(Rule::BehindFront);

        return match ($this->mount) {
            Mount::Inset => $thick->plus($this->isStopped() ? $materials->carcass->thickness->plus($rules->either(1, 1 / 32)) : $air),
            Mount::Lipped => $thick->dividedBy(2)->plus($air),
            Mount::Overlay => $this->pull === Pull::None ? $rules->either(...FaceEdges::PUSH) : Length::zero(),
        };
    }

    /** How far inside the edge it hangs at its leaf stands when it is open by a right angle, with air for what slides out past it. */
    private function past(HouseRules $rules, Catalogue $materials): Length
    {
        $thick = $materials->using(Purpose::Front, $this->made)->for(Purpose::Front)->thickness->plus($rules->either(3, 1 / 8));
        $past = match ($this->mount) {
            Mount::Inset => $thick->plus($rules->get(Rule::DoorReveal)),
            Mount::Lipped => $thick->minus($rules->get(Rule::LipLap)),
            Mount::Overlay => $thick->minus($this->lap ?? FaceEdges::usualLap($rules, $materials)),
        };

        return $past->isNegative() ? Length::zero() : $past;
    }

    /** Whether nothing but stops keeps it from swinging in. */
    private function isStopped(): bool
    {
        return $this->mount === Mount::Inset && $this->hinges !== HingeKind::Concealed && $this->pull !== Pull::None;
    }

    public function build(OpeningSite $site): Assembly
    {
        $site = $site->madeOf(Purpose::Front, $this->made);
        $leaf = new Leaf($site, $this->mount, $this->build, $this->glazed, $this->lap, $this->pull === Pull::None);
        $width = $leaf->width($this->leaves);
        $wide = $width->result->toDouble();
        $starts = $leaf->starts($this->leaves, $width);
        $heights = array_map(fn (float $x) => [$leaf->high($x), $leaf->high($x + $wide)], $starts);
        $lowest = min(array_merge(...$heights));
        $least = $leaf->least();
        if ($wide < $least || $lowest < $least) {
            return new Assembly([], findings: [$this->tooSmall($site, $wide, $lowest, $least)]);
        }
        $refused = $this->refused($site, $heights);
        if ($refused !== null) {
            return new Assembly([], findings: [$refused]);
        }
        $own = $this->hand !== Hand::Either ? $this->hand : ($heights[0][0] >= $heights[0][1] ? Hand::Left : Hand::Right);
        $hands = $this->leaves === 1 ? [$own] : [Hand::Left, Hand::Right];
        $leaves = array_map(fn (Hand $hand, float $x): MadeLeaf => $leaf->made('door-'.($hand === Hand::Left ? 'L' : 'R'), 'Door', $width, $x, [$this->hinges->words()], $this->leaves === 2 ? $hand->other() : null), $hands, $starts);
        $built = Assembly::all(...array_map(fn (MadeLeaf $made, Hand $hand, float $x) => $this->hung($site, $made, $hand, $x, $leaf), $leaves, $hands, $starts));
        $fittings = new DoorFittings($site, $this->mount, $this->hinges, $this->pull);
        $built = $this->isStopped() ? Assembly::all($built, $fittings->stops(array_map(fn (Hand $hand, float $x): float => $hand === Hand::Left ? $x + $wide - self::STOPPED : $x + self::STOPPED, $hands, $starts), $leaf->back())) : $built;

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

    /** A leaf on its hinges, from a place on: what it hangs by, what is bought for it, and what it sweeps. */
    private function hung(OpeningSite $site, MadeLeaf $made, Hand $hand, float $x, Leaf $leaf): Assembly
    {
        $terms = $site->terms;
        $wide = $made->wide();
        $front = $site->opening->front;
        $pivot = $site->at($hand === Hand::Left ? $x : $x + $wide, $site->face(), $leaf->foot());
        $hung = new HungLeaf($pivot, $hand, $wide, $hand === Hand::Left ? $made->heights : [$made->heights[1], $made->heights[0]]);
        $hinges = $hung->hinges($made->weight());
        $findings = $hinges === null ? [$this->tooHeavy($site)] : [];
        if ($this->leaves === 1 && $hung->isWide() && $front !== null) {
            $findings[] = Finding::warning(Code::DoorWide, sprintf('A leaf %s wide sags and stands far out when it is open. Two leaves are lighter.', $terms->write($wide)), $site->opening->tierId)
                ->withWaysOut([new WayOut('Make it two leaves', Edits::front($front->id)->setting(['leaves' => 2]))]);
        }
        $fittings = new DoorFittings($site, $this->mount, $this->hinges, $this->pull);
        $lap = $leaf->laps()[$hand === Hand::Left ? 0 : 1];
        if ($fittings->short($lap->toDouble()) > 1e-6) {
            $findings[] = Finding::warning(Code::HingeMisfit, sprintf('No plate brings a concealed hinge nearer to this lap than %s; its screws reach %s. Choose another lap, or look for the maker’s own hinge.', $terms->write($fittings->short($lap->toDouble()) + 2.0), $terms->write(2.0)), $site->opening->tierId);
        }
        [$swept, $lines] = $hung->swept($leaf->before() > 0.0 ? hypot($wide, $leaf->before()) : $wide);
        $ways = $this->leaves === 1 && $front !== null ? [new WayOut('Hinge it at the '.$hand->other()->value, Edits::front($front->id)->setting(['hand' => $hand->other()->value]))] : [];
        $bored = $this->bored($site, $made, $hand);
        $movement = new Movement(sprintf('Door of %s', $site->name()), $site->opening->tierId, $made->keys(), $swept, [$lines], $hung->motion(), 0.0, $ways, $this->reach($site, $bored, $made, $hand, $pivot, $ways));
        $post = $site->posts()[$hand === Hand::Left ? 0 : 1];
        $end = $this->hinges === HingeKind::Butt ? 1.5 * HingeMarks::butt($made->height($hand), $terms->rules)->toDouble() : $terms->rule(Rule::HingeEnd);
        $joints = $this->hinges === HingeKind::Piano ? [] : [new Joint($made->edge($hand), $post, $this->hinges === HingeKind::Butt ? JointKind::Butt : JointKind::Hinge, 'doors', at: $hung->places($hinges ?? 5, $end))];

        return Assembly::all($bored, new Assembly([], $joints, $fittings->hardware($made, $hand, $hinges ?? 5, $lap), [], $findings, [$movement]));
    }

    /**
     * Where its pull is when it is open: so far out as it stands from the hinges, beyond them by its projection.
     *
     * @param  list<WayOut>  $ways
     */
    private function reach(OpeningSite $site, Assembly $bored, MadeLeaf $made, Hand $hand, Vector $pivot, array $ways): ?PullReach
    {
        $out = $site->terms->rule(Rule::PullProjection);
        foreach ($bored->placed as $one) {
            foreach ($one->piece->marks as $mark) {
                if ($mark->kind !== MarkKind::Hole || $this->pull === Pull::Hole || $this->pull === Pull::None || $out <= 0.0) {
                    continue;
                }
                $places = array_map(fn (Point $at): Vector => $one->pose->place($at, 0.0), $mark->at);
                $far = array_map(fn (Vector $at): float => abs($at->x - $pivot->x), $places);
                $up = array_map(fn (Vector $at): float => $at->z, $places);
                [$from, $to] = $hand === Hand::Left ? [$pivot->x - $out, $pivot->x] : [$pivot->x, $pivot->x + $out];
                $front = $site->opening->front;
                $push = $front === null ? [] : [new WayOut('Open it by a push, without a pull', Edits::front($front->id)->setting(['pull' => Pull::None->value]))];

                return new PullReach(new Block($from, $to, $pivot->y + min($far) - self::HALF_PULL, $pivot->y + max($far) + self::HALF_PULL, min($up) - self::HALF_PULL, max($up) + self::HALF_PULL), max($far), $out, [...$ways, ...$push]);
            }
        }

        return null;
    }

    /** A leaf bored for its pull. */
    private function bored(OpeningSite $site, MadeLeaf $made, Hand $hand): Assembly
    {
        $free = $hand->other();
        $place = new PullPlace($site->terms, $this->pull);
        $bored = fn (Placed $one): Placed => $one->piece->key === $made->edge($free) ? $place->onDoor($one, $free, $made->height($free), $this->build->isFramed()) : $one;

        return $made->assembly->placing(array_map($bored, $made->assembly->placed), $made->assembly->joints);
    }

    /**
     * What cannot be made so here.
     *
     * @param  list<array{float, float}>  $heights  of its leaves
     */
    private function refused(OpeningSite $site, array $heights): ?Finding
    {
        $front = $site->opening->front;
        $ways = fn (string $label, string $field, string $value): array => $front === null ? [] : [new WayOut($label, Edits::front($front->id)->setting([$field => $value]))];
        if ($this->mount === Mount::Lipped && abs($heights[0][0] - $heights[0][1]) > 1e-6) {
            return Finding::clash(Code::HingeMisfit, 'A lip along a rake is not cut here: close it inside the opening, or over its edges.', $site->opening->tierId)
                ->withWaysOut([...$ways('Close it inside the opening', 'mount', Mount::Inset->value), ...$site->unclosed('Take the door away')]);
        }

        return $this->hinges !== HingeKind::Butt || $this->mount !== Mount::Overlay ? null
            : Finding::clash(Code::HingeMisfit, 'Butt hinges are let into the edge of a leaf that stands between its stiles; this one lies over them.', $site->opening->tierId)
                ->withWaysOut([...$ways('Hang it on concealed hinges', 'hinges', HingeKind::Concealed->value), ...$ways('Close it inside the opening', 'mount', Mount::Inset->value), ...$site->unclosed('Take the door away')]);
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
