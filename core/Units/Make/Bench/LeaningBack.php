<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Bench;

use Incastro\Fit\Closing\Side;
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
use Incastro\Pieces\Works\Bevel;
use Incastro\Pieces\Works\Bevelled;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Pieces\Works\Sawn;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Rule;
use Incastro\Survey\Path;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\MemberSite;

/**
 * A back to lean on, over a seat: a panel so many degrees from plumb on shaped supports that stand on the seat before the wall, boards
 * behind it between them, and a cap. The panel's lower and upper edges are bevelled alike, so that both lie level; its ends go straight
 * between the walls, as far apart as they are there.
 */
final readonly class LeaningBack
{
    /** Depth of a support at its top, and how far the cap stands over the panel; mm and inches. */
    private const TOP = [60.0, 2.5];

    private const CAP = [10.0, 3 / 8];

    /** Supports are no further apart. */
    private const APART = [600.0, 24.0];

    /** Boards behind the panel: how wide, and how far over the seat and under the top. */
    private const BACKER = [90.0, 3.5];

    private const BACKER_IN = [20.0, 3 / 4];

    /** A seat that ends this near to where its run does ends with it, mm. */
    private const ENDS = 1.0;

    /** A screw nearer to the edge of a seat splits it, mm. */
    private const EDGE = 15.0;

    private float $angle;

    private Length $t;

    /** Depth of a support at its foot, and where the face of the panel meets the seat: from the wall, mm. */
    private float $foot;

    public float $face;

    /**
     * @param  float  $z  of the seat
     * @param  bool  $round  whether it goes on over the bench that this one stops at, up to the back there
     */
    public function __construct(private MemberSite $site, private Over $top, private float $z, int $lean, private Length $high, private bool $round = false)
    {
        $this->angle = deg2rad($lean);
        $this->t = $site->terms->materials->carcass->thickness;
        $this->foot = $this->is(self::TOP)->toDouble() + $high->toDouble() * tan($this->angle);
        $this->face = $this->foot + $this->t->toDouble() / cos($this->angle);
    }

    /** Where its cap ends, over the datum, mm. */
    public function upTo(): float
    {
        return $this->z + $this->high->toDouble() + $this->t->toDouble();
    }

    /** The least lean, whole degrees, with which so much of the depth is left for the seat; null where none leaves it. */
    public function lessLean(float $seat): ?int
    {
        for ($lean = (int) round(rad2deg($this->angle)) - 1; $lean >= 0; $lean--) {
            $other = new self($this->site, $this->top, $this->z, $lean, $this->high);
            if ($this->top->depth->result->toDouble() - $other->face >= $seat) {
                return $lean;
            }
        }

        return null;
    }

    /** @param Placed $seat what its supports stand on */
    public function build(Placed $seat): Assembly
    {
        $t = $this->t->toDouble();
        [$from, $to] = $this->between($this->face, $this->top->v + $this->foot);
        $cuts = array_map(fn (Side $side) => $this->corner($side)?->cut($this->angle, $t, $this->face, $this->top->v + $this->face), [Side::Left, Side::Right]);
        $wide = $this->slant() + $t * tan($this->angle);
        $length = Working::start('clear over the seat, as high as the back', Length::ofDouble(($cuts[1]?->at($wide) ?? $to) - ($cuts[0]?->at($wide) ?? $from)))->roundedDown($this->site->terms->format);
        if ($cuts === [null, null]) {
            $to = $from + $length->result->toDouble();
        }
        $count = (int) ceil(($to - $from - $t) / $this->is(self::APART)->toDouble() - 1e-9) + 1;
        $pitch = ($to - $from - $t) / ($count - 1);
        $supports = [];
        for ($i = 0; $i < $count; $i++) {
            $supports[] = $this->support($i + 1, $from + $i * $pitch);
        }
        // What rounding leaves over is left at the end that is square.
        $panel = $this->panel($length, $cuts[0]?->at($wide) ?? ($cuts[1] === null ? $from : $cuts[1]->at($wide) - $length->result->toDouble()), array_values(array_filter($cuts)));
        $backers = $joints = [];
        for ($i = 0; $i < $count - 1; $i++) {
            foreach (['lower', 'upper'] as $row) {
                $backers[] = $backer = $this->backer($row, $i + 1, $from + $i * $pitch + $t, Working::start('over its supports', Length::ofDouble($to - $from))->minusTimes('supports', $count, $this->t)->dividedBy('fields', $count - 1));
                $joints[] = new Joint($panel->piece->key, $backer->piece->key, JointKind::Glue, 'leaning backs');
            }
        }
        $cap = $this->cap($length);
        foreach ($supports as $support) {
            $joints[] = new Joint($cap->piece->key, $support->piece->key, JointKind::Screws, 'caps');
            if ($this->isOn($seat, $support)) {
                $joints[] = new Joint($seat->piece->key, $support->piece->key, JointKind::Screws, 'supports of leaning backs');
            }
        }

        return new Assembly([...$supports, $panel, ...$backers, $cap], $joints, [], ['Foot of the back, from the wall' => Working::start('support and panel, at '.round(rad2deg($this->angle)).'°', Length::ofDouble($this->face))]);
    }

    /**
     * From where to where it goes over the seat: clear of the walls as far as it is high, and of what stands so deep round a corner.
     *
     * @return array{float, float} u, mm
     */
    private function between(float $deep, float $to): array
    {
        $allowance = $this->site->terms->rules->get(Rule::SideAllowance)->toDouble();
        $span = $this->site->run->frame->span(new Path($this->top->v, $this->top->v + $this->face, $this->z, $this->upTo()));
        $left = $this->top->meetsLeft ? max($this->top->u, $span->left + $allowance) : $this->top->u;
        $right = $this->top->meetsRight ? min($this->top->end(), $span->left + $span->width - $allowance) : $this->top->end();

        return [$this->corner(Side::Left)?->clear($deep, $this->top->v, $to) ?? $left, $this->corner(Side::Right)?->clear($deep, $this->top->v, $to) ?? $right];
    }

    /** Whether a support stands on the seat far enough from its end in a corner to be screwed to it; others are held by panel and cap. */
    private function isOn(Placed $seat, Placed $support): bool
    {
        return ($this->corner(Side::Left) === null || $support->bounds->u0 > $seat->bounds->u0 + self::EDGE)
            && ($this->corner(Side::Right) === null || $support->bounds->u1 < $seat->bounds->u1 - self::EDGE);
    }

    /** The corner at an end that it goes round; null where that end is not the run's, or no other run is there. */
    private function corner(Side $side): ?RoundCorner
    {
        $run = $this->site->run;
        $isEnd = $side === Side::Left ? abs($this->top->u - $run->left) < self::ENDS : abs($this->top->end() - $run->right) < self::ENDS;

        return $this->round && $isEnd ? RoundCorner::of($this->site, $run->ends, $side) : null;
    }

    /** Along its face from the seat to the cap, mm. */
    private function slant(): float
    {
        return $this->high->toDouble() / cos($this->angle);
    }

    /** Its front edge leans; two lie head to foot in one blank. */
    private function support(int $number, float $u): Placed
    {
        $format = $this->site->terms->format;
        [$high, $top] = [$this->high->toDouble(), $this->is(self::TOP)->toDouble()];
        $outline = new Outline(new Polygon([new Point(0.0, 0.0), new Point($high, 0.0), new Point($high, $top), new Point(0.0, $this->foot)]));
        $width = Working::start('depth at its top', $this->is(self::TOP))->plus('height × the tangent of the lean', Length::ofDouble($this->foot - $top))->roundedUp($format);
        $piece = $this->site->make->shaped("support-$number", 'Side support of the back', Working::start('height of the back', $this->high), $width, Purpose::Carcass, $outline, [new Sawn('front', $this->angle, ' from plumb')], ['screwed up through the seat'], "support-$number");

        return new Placed($piece, Pose::at($u, $this->top->v, $this->z, Way::Up, Way::Out, Way::Right), Part::Body, $this->top->id);
    }

    /** @param list<CornerCut> $cuts of the ends that meet another back */
    private function panel(Working $length, float $u, array $cuts): Placed
    {
        $t = $this->t->toDouble();
        $slant = $this->slant();
        $wide = $slant + $t * tan($this->angle);
        $long = $length->result->toDouble();
        $edge = fn (float $y): array => [new Point(0.0, $y), new Point($long, $y)];
        $bevels = [new Bevel($edge(0.0), tan($this->angle), false), new Bevel($edge($wide), tan($this->angle), true)];
        $width = Working::start('height over the cosine of the lean', Length::ofDouble($slant))->plus('to the long points of the bevels', Length::ofDouble($t * tan($this->angle)))->roundedUp($this->site->terms->format);
        $works = $this->angle > 0.0 ? [new Bevelled('both, long', $this->angle, bevels: $bevels)] : [];
        [$left, $right] = [[0.0, 0.0], [$long, $long]];
        foreach ($cuts as $cut) {
            array_push($works, new Sawn('end in the corner', $cut->angle(), ' off square'), new Bevelled('end in the corner', $cut->bevelled(), ', longest on the face', [$cut->bevel($u, $wide)]));
            $at = [$cut->at(0.0) - $u, $cut->at($wide) - $u];
            $cut->isLeft() ? $left = $at : $right = $at;
        }
        $outline = new Outline(new Polygon([new Point($left[0], 0.0), new Point($right[0], 0.0), new Point($right[1], $wide), new Point($left[1], $wide)]));
        $piece = $this->site->make->shaped('back-panel', 'Leaning back', $length, $width, Purpose::Carcass, $outline, $works, ['screwed to the boards behind it, from behind'], 'back-panel');
        $at = $this->onRear(-$t * tan($this->angle));

        return new Placed($piece, new Pose(new Vector($u, $at->y, $at->z), Way::Right->vector(), $this->up(), $this->out()), Part::Face, $this->top->id);
    }

    private function backer(string $row, int $number, float $u, Working $length): Placed
    {
        $wide = $this->is(self::BACKER);
        $in = $this->is(self::BACKER_IN)->toDouble() / cos($this->angle);
        $along = $row === 'lower' ? $in : $this->slant() - $in - $wide->toDouble();
        $piece = $this->site->make->inner("backer-$row-$number", 'Board behind the back', $length, Working::start('width of the board', $wide), Purpose::Carcass, Grain::Length, [], ['flat behind the panel, between the supports']);
        $at = $this->onRear($along)->minus($this->out()->times($this->t->toDouble()));

        return new Placed($piece, new Pose(new Vector($u, $at->y, $at->z), Way::Right->vector(), $this->up(), $this->out()), Part::Body, $this->top->id);
    }

    private function cap(Working $length): Placed
    {
        $deep = Working::start('depth of a support', $this->is(self::TOP))->plus('panel', Length::ofDouble($this->t->toDouble() / cos($this->angle)))->plus('stands over it', $this->is(self::CAP));
        [$u, $to] = $this->between($deep->result->toDouble(), $this->top->v + $deep->result->toDouble());
        // As long as the panel where that is cut square.
        $length = $this->corner(Side::Left) === null && $this->corner(Side::Right) === null ? $length : Working::start('up to the cap round the corner', Length::ofDouble($to - $u))->roundedDown($this->site->terms->format);
        $piece = $this->site->make->inner('back-cap', 'Cap over the back', $length, $deep, Purpose::Carcass, Grain::Length, [new Finished('front, long', Finish::Banded)], ['screwed down into the supports']);

        return new Placed($piece, Pose::at($u, $this->top->v, $this->z + $this->high->toDouble(), Way::Right, Way::Out, Way::Up), Part::Face, $this->top->id);
    }

    /** A place of the plane of the panel's rear face, so far up along it. */
    private function onRear(float $along): Vector
    {
        return (new Vector(0.0, $this->top->v + $this->foot, $this->z))->plus($this->up()->times($along));
    }

    private function up(): Vector
    {
        return new Vector(0.0, -sin($this->angle), cos($this->angle));
    }

    private function out(): Vector
    {
        return new Vector(0.0, cos($this->angle), sin($this->angle));
    }

    /** @param array{float, float} $size mm and inches */
    private function is(array $size): Length
    {
        return $this->site->terms->rules->either(...$size);
    }
}
