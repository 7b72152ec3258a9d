<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Bench;

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

    private float $angle;

    private Length $t;

    /** Depth of a support at its foot, and where the face of the panel meets the seat: from the wall, mm. */
    private float $foot;

    public float $face;

    /** @param float $z of the seat */
    public function __construct(private MemberSite $site, private Over $top, private float $z, int $lean, private Length $high)
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
        $frame = $this->site->run->frame;
        $t = $this->t->toDouble();
        $high = $this->high->toDouble();
        $allowance = $this->site->terms->rules->get(Rule::SideAllowance)->toDouble();
        $span = $frame->span(new Path($this->top->v, $this->top->v + $this->face, $this->z, $this->z + $high + $t));
        $from = $this->top->meetsLeft ? max($this->top->u, $span->left + $allowance) : $this->top->u;
        $to = $this->top->meetsRight ? min($this->top->end(), $span->left + $span->width - $allowance) : $this->top->end();
        $length = Working::start('clear over the seat, as high as the back', Length::ofDouble($to - $from))->roundedDown($this->site->terms->format);
        $wide = $length->result->toDouble();
        $count = (int) ceil(($wide - $t) / $this->is(self::APART)->toDouble() - 1e-9) + 1;
        $pitch = ($wide - $t) / ($count - 1);
        $supports = [];
        for ($i = 0; $i < $count; $i++) {
            $supports[] = $this->support($i + 1, $from + $i * $pitch);
        }
        $panel = $this->panel($length, $from);
        $backers = $joints = [];
        for ($i = 0; $i < $count - 1; $i++) {
            foreach (['lower', 'upper'] as $row) {
                $backers[] = $backer = $this->backer($row, $i + 1, $from + $i * $pitch + $t, Working::start('length of the back', $length->result)->minusTimes('supports', $count, $this->t)->dividedBy('fields', $count - 1));
                $joints[] = new Joint($panel->piece->key, $backer->piece->key, JointKind::Glue, 'leaning backs');
            }
        }
        $cap = $this->cap($length, $from);
        foreach ($supports as $support) {
            array_push($joints, new Joint($seat->piece->key, $support->piece->key, JointKind::Screws, 'supports of leaning backs'), new Joint($cap->piece->key, $support->piece->key, JointKind::Screws, 'caps'));
        }

        return new Assembly([...$supports, $panel, ...$backers, $cap], $joints, [], ['Foot of the back, from the wall' => Working::start('support and panel, at '.round(rad2deg($this->angle)).'°', Length::ofDouble($this->face))]);
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

    private function panel(Working $length, float $u): Placed
    {
        $t = $this->t->toDouble();
        $slant = $this->high->toDouble() / cos($this->angle);
        $wide = $slant + $t * tan($this->angle);
        $long = $length->result->toDouble();
        $edge = fn (float $y): array => [new Point(0.0, $y), new Point($long, $y)];
        $bevels = [new Bevel($edge(0.0), tan($this->angle), false), new Bevel($edge($wide), tan($this->angle), true)];
        $width = Working::start('height over the cosine of the lean', Length::ofDouble($slant))->plus('to the long points of the bevels', Length::ofDouble($t * tan($this->angle)))->roundedUp($this->site->terms->format);
        $works = $this->angle > 0.0 ? [new Bevelled('both, long', $this->angle, bevels: $bevels)] : [];
        $piece = $this->site->make->shaped('back-panel', 'Leaning back', $length, $width, Purpose::Carcass, Outline::rectangle(0.0, 0.0, $long, $wide), $works, ['screwed to the boards behind it, from behind'], 'back-panel');
        $at = $this->onRear(-$t * tan($this->angle));

        return new Placed($piece, new Pose(new Vector($u, $at->y, $at->z), Way::Right->vector(), $this->up(), $this->out()), Part::Face, $this->top->id);
    }

    private function backer(string $row, int $number, float $u, Working $length): Placed
    {
        $wide = $this->is(self::BACKER);
        $in = $this->is(self::BACKER_IN)->toDouble() / cos($this->angle);
        $along = $row === 'lower' ? $in : $this->high->toDouble() / cos($this->angle) - $in - $wide->toDouble();
        $piece = $this->site->make->inner("backer-$row-$number", 'Board behind the back', $length, Working::start('width of the board', $wide), Purpose::Carcass, Grain::Length, [], ['flat behind the panel, between the supports']);
        $at = $this->onRear($along)->minus($this->out()->times($this->t->toDouble()));

        return new Placed($piece, new Pose(new Vector($u, $at->y, $at->z), Way::Right->vector(), $this->up(), $this->out()), Part::Body, $this->top->id);
    }

    private function cap(Working $length, float $u): Placed
    {
        $deep = Working::start('depth of a support', $this->is(self::TOP))->plus('panel', Length::ofDouble($this->t->toDouble() / cos($this->angle)))->plus('stands over it', $this->is(self::CAP));
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
