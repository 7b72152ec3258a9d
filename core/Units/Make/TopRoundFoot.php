<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Fit\Box;
use Incastro\Fit\Members\Over;
use Incastro\Fit\ThingPlace;
use Incastro\Geometry\Block;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Cut;
use Incastro\Pieces\Works\CutFor;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Survey\Things\Thing;
use Incastro\Survey\Things\ThingKind;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\MemberSite;
use Incastro\Units\TopSplit;

/**
 * A top round the foot of a basin. Its hole is Rh = R + c, up. In one, a slot as wide goes on to the wall: slid in from the front. Split
 * through the foot, each half is drawn on from its side, held Δ = R ± (us − uc) − √(Rh² − vc²) + 5 off to pass; split behind it, the back
 * strip comes in from a free end.
 */
final readonly class TopRoundFoot
{
    /** Round ceramics that are seen, mm and inches. */
    private const CLEARANCE = [5.0, 0.1875];

    /** A back strip is at least so deep, and so much wood is left before the foot, mm and inches. */
    private const STRIP = [60.0, 2.5];

    /** Width of a joiner, and how long the shortest is, mm and inches. */
    private const JOINER = [80.0, 3.0];

    private const SHORTEST = [50.0, 2.0];

    /** Between a joiner and the hole, mm and inches. */
    private const OFF = [10.0, 0.375];

    /** A hole is drawn with so many corners. */
    private const ROUND = 96;

    public function __construct(private MemberSite $site, private Over $top, private TopSplit $split)
    {
    }

    /** The board in its parts; null where no foot passes through it. */
    public function parts(Placed $board): ?Assembly
    {
        $places = new ThingPlace($this->site->terms->room, $this->site->run->frame);
        foreach ($this->site->terms->room->things as $thing) {
            $foot = $places->block($thing);
            $middle = [($foot->u0 + $foot->u1) / 2, ($foot->v0 + $foot->v1) / 2];
            if ($thing->kind === ThingKind::Pedestal && $foot->z0 < $board->bounds->z0 && $foot->z1 > $board->bounds->z1 && $middle[0] > $board->bounds->u0 && $middle[0] < $board->bounds->u1 && $middle[1] > $board->bounds->v0 && $middle[1] < $board->bounds->v1) {
                return $this->round($board, $thing, $foot, $places);
            }
        }

        return null;
    }

    private function round(Placed $board, Thing $thing, Block $foot, ThingPlace $places): Assembly
    {
        $terms = $this->site->terms;
        [$uc, $vc, $radius] = [($foot->u0 + $foot->u1) / 2, ($foot->v0 + $foot->v1) / 2, $thing->width / 2];
        $clear = $thing->clearance > 0.0 ? Length::ofDouble($thing->clearance) : $terms->rules->either(...self::CLEARANCE);
        $hole = Working::start('radius of '.lcfirst($thing->name), Length::ofDouble($radius))->plus('clearance where it is seen', $clear)->roundedUp($terms->format);
        $rh = $hole->result->toDouble();
        $middle = Working::start('middle of '.lcfirst($thing->name).' from its left, to the nearest', Length::ofDouble($uc - $this->top->u)->rounded($terms->format->step));
        $us = $this->top->u + $middle->result->toDouble();
        $over = $board->seen($this->top->u, $vc, $board->bounds->z0)->x;
        $at = $over > 1e-6 ? $middle->plus('over its left end', Length::ofDouble($over)) : $middle;
        $behind = Length::ofDouble($vc - $radius)->minus($clear)->roundedDown($terms->format->step)->toDouble();
        $half = $radius - sqrt(max(0.0, $rh ** 2 - $vc ** 2)) + $clear->toDouble();
        $short = $this->short($board, ['left' => $half + $us - $uc, 'right' => $half - $us + $uc], $behind);
        $passes = fn (TopSplit $way): bool => ($short[$way->value] ?? []) === [];
        $split = $this->split === TopSplit::Auto ? match (true) {
            $this->isHidden($places, $uc, $vc, $rh, $radius) => TopSplit::None,
            $passes(TopSplit::Across) => TopSplit::Across,
            $passes(TopSplit::Along) => TopSplit::Along,
            default => TopSplit::None,
        } : $this->split;
        $others = array_map(fn (TopSplit $way) => new WayOut('Make it '.$way->label(), Edits::member($this->top->memberId())->setting(['split' => $way->value])), array_values(array_filter([TopSplit::Along, TopSplit::None], fn (TopSplit $way) => $way !== $split && $passes($way))));
        $findings = array_map(fn (string $why) => Finding::clash(Code::HalfCannotPass, sprintf($why, $this->top->mark, lcfirst($thing->name)), $this->top->id)->withWaysOut($others), array_slice($short[$split->value] ?? [], 0, 1));
        $left = $board->bounds->v1 - $vc - $rh;
        $least = $terms->rules->either(...self::STRIP);
        if ($left < $least->toDouble()) {
            $findings[] = Finding::clash(Code::ThinBridge, sprintf('Only %s of %s would be left in front of %s; %s is the least.', $terms->write(max(0.0, $left)), $this->top->mark, lcfirst($thing->name), $terms->format->write($least)), $this->top->id);
        }
        $circle = Polygon::oval($board->seen($uc, $vc, $board->bounds->z0), 2 * $rh, 2 * $rh, self::ROUND);
        $work = new CutFor($split === TopSplit::None ? Cut::Slot : Cut::Split, $thing->id, $thing->name, [$split === TopSplit::None ? $vc + $rh - $board->bounds->v0 : 2 * $rh]);
        $parts = match ($split) {
            TopSplit::Across => $this->across($board, $circle, $at, $work),
            TopSplit::Along => $this->along($board, $circle, Working::start('behind the foot', Length::ofDouble($board->seen($uc, $behind, $board->bounds->z0)->y))->roundedDown($terms->format), $work),
            default => [$board->withPiece($board->piece->cutTo($board->piece->outline->minus($circle->drawnDown(-$board->bounds->v1) ?? $circle)[0], $work))],
        };
        $joiners = $split === TopSplit::Across ? $this->joiner($us, $vc + $rh) : [];

        return new Assembly([...$parts, ...$joiners], [...$this->joined($parts, $joiners), ...$this->carried($parts)], decisions: ['Radius of the hole, '.$this->top->mark => $hole], findings: $findings);
    }

    /**
     * Why it cannot be brought on in parts, by the way of splitting it: sentences about the top and the foot.
     *
     * @param  array{left: float, right: float}  $off  how far each half is held off to pass
     * @param  float  $behind  where a strip behind the foot ends, v, mm
     * @return array<string, list<string>>
     */
    private function short(Placed $board, array $off, float $behind): array
    {
        $terms = $this->site->terms;
        $frame = $this->site->run->frame;
        [$front, $z] = [$this->top->front(), $this->top->z];
        $free = ['left' => $board->bounds->u0 - $frame->leftAt($front, $z), 'right' => $frame->rightAt($front, $z) - $board->bounds->u1];
        $short = [TopSplit::Across->value => [], TopSplit::Along->value => []];
        foreach ($free as $side => $room) {
            if ($room < $off[$side]) {
                $short[TopSplit::Across->value][] = "The $side half of %s must be held {$terms->format->write(Length::ofDouble($off[$side])->roundedUp($terms->format->step))} off to pass %s; there are {$terms->write(max(0.0, $room))}.";
            }
        }
        if ($behind - $board->bounds->v0 < $terms->rules->either(...self::STRIP)->toDouble() || max($free) < $board->bounds->u1 - $board->bounds->u0) {
            $short[TopSplit::Along->value][] = "The strip of %s behind %s comes in from an end: it must be {$terms->format->write($terms->rules->either(...self::STRIP))} deep at least, and an end free over all its length.";
        }

        return $short;
    }

    /** Whether the rim of a basin lies over what stays open behind its foot, or the foot stands so near to the wall that nothing does. */
    private function isHidden(ThingPlace $places, float $uc, float $vc, float $rh, float $radius): bool
    {
        $covers = $rh + $this->site->terms->rules->either(...self::CLEARANCE)->toDouble();
        foreach ($this->site->terms->room->things as $thing) {
            $rim = $places->block($thing);
            if ($thing->kind === ThingKind::Basin && $rim->u0 <= $uc - $covers && $rim->u1 >= $uc + $covers && $rim->v1 >= $vc) {
                return true;
            }
        }

        return $vc <= $radius / 3;
    }

    /** @return non-empty-list<Placed> to the left and the right of the split */
    private function across(Placed $board, Polygon $circle, Working $at, CutFor $work): array
    {
        $piece = $board->piece;
        $left = $at->result->toDouble();
        $right = Working::start('length of the whole', $piece->length->result)->minus('left part', $at->result);
        $part = fn (string $suffix, Working $length, float $from, float $to): Placed => $board->withPiece(
            $piece->part($suffix, $length, $piece->width, self::largest($piece->outline->minus($circle), fn (Outline $one) => $one->between($from, $to))->moved(-$from, 0.0), $work),
            $board->pose->moved($from, 0.0),
        );

        return [$part('L', $at, 0.0, $left), $part('R', $right, $left, $piece->length->result->toDouble())];
    }

    /** @return non-empty-list<Placed> before and behind the split */
    private function along(Placed $board, Polygon $circle, Working $behind, CutFor $work): array
    {
        $piece = $board->piece;
        $deep = $behind->result->toDouble();
        $turn = fn (Outline $one): Outline => $one->mapped(fn (Point $point) => new Point($point->y, $point->x));
        $cut = fn (float $from, float $to): \Closure => fn (Outline $one): array => array_map($turn, $turn($one)->between($from, $to));
        $slot = $piece->outline->minus($circle->drawnDown(-$deep) ?? $circle);
        $front = Working::start('depth of the whole', $piece->width->result)->minus('back part', $behind->result);
        $all = $piece->width->result->toDouble();

        return [
            $board->withPiece($piece->part('front', $piece->length, $front, self::largest($slot, $cut($deep, $all))->moved(0.0, -$deep), $work), $board->pose->moved(0.0, $deep)),
            $board->withPiece($piece->part('back', $piece->length, $behind, self::largest([$piece->outline], $cut(0.0, $deep)), $work)),
        ];
    }

    /**
     * The largest of what is left of outlines.
     *
     * @param  list<Outline>  $outlines
     * @param  \Closure(Outline): list<Outline>  $cut
     */
    private static function largest(array $outlines, \Closure $cut): Outline
    {
        $parts = array_merge([], ...array_map($cut, $outlines));
        usort($parts, fn (Outline $a, Outline $b) => $b->area() <=> $a->area());

        return $parts[0] ?? $outlines[0];
    }

    /**
     * A strip under the split in front of the hole, where no board of a box lies under it.
     *
     * @return list<Placed>
     */
    private function joiner(float $us, float $from): array
    {
        $terms = $this->site->terms;
        $under = array_values(array_filter($this->site->run->boxes, fn (Box $box) => $box->hasStretcher() && $box->u < $us && $box->right() > $us && abs($box->highest() - $this->top->z) < 1.0))[0] ?? null;
        if ($under === null) {
            return [];
        }
        $off = $terms->rules->either(...self::OFF);
        $to = $this->stretcher($under);
        $length = Working::start('from the hole to the stretcher', Length::ofDouble($to - $from))->minus('off the hole', $off);
        if ($length->result->isLessThan($terms->rules->either(...self::SHORTEST))) {
            return [];
        }
        $wide = $terms->rules->either(...self::JOINER);
        $piece = $this->site->make->inner('joiner', 'Joiner under the split', $length, Working::start('width of a joiner', $wide), Purpose::Carcass, Grain::Any, [], ['screwed up into both parts, glued to one alone']);

        return [new Placed($piece, Pose::at($us - $wide->toDouble() / 2, $to - $piece->length->result->toDouble(), $this->top->z - $piece->thickness->toDouble(), Way::Out, Way::Right, Way::Up), Part::Cleat, $this->top->id)];
    }

    /**
     * @param  non-empty-list<Placed>  $parts
     * @param  list<Placed>  $joiners
     * @return list<Joint>
     */
    private function joined(array $parts, array $joiners): array
    {
        return array_merge([], ...array_map(fn (Placed $joiner) => array_map(fn (Placed $part) => new Joint($joiner->piece->key, $part->piece->key, JointKind::Screws, 'parts of tops'), $parts), $joiners));
    }

    /** Where the stretcher of a box begins behind, v, mm. */
    private function stretcher(Box $box): float
    {
        return $box->face() - $this->site->terms->frame()->toDouble() - $this->site->terms->rule(Rule::NailerWidth);
    }

    /**
     * @param  non-empty-list<Placed>  $parts
     * @return list<Joint> to the boxes below
     */
    private function carried(array $parts): array
    {
        $joints = [];
        foreach ($parts as $part) {
            foreach (array_filter($this->site->run->boxes, fn (Box $box) => in_array($box->id.':top', $this->top->carriers, true)) as $box) {
                $from = $box->hasStretcher() ? $this->stretcher($box) : $box->v;
                if ($part->bounds->meets(new Block($box->u, $box->right(), $from, $box->face(), $this->top->z - 1.0, $this->top->z + 1.0), 0.0)) {
                    $joints[] = new Joint($box->id.':top', $part->piece->key, JointKind::Screws, 'worktop from below');
                }
            }
        }

        return $joints;
    }
}
