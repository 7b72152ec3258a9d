<?php

declare(strict_types=1);

namespace Incastro\Units\Members;

use Incastro\Fit\Closing\FittedEdge;
use Incastro\Fit\Closing\Side;
use Incastro\Fit\Demand\MemberDemand;
use Incastro\Fit\Demand\MemberForm;
use Incastro\Fit\FittedWorktop;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Polyline;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Pieces\Works\Scribed;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Rule;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\MemberUnit;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\MemberSite;

/** A board over boxes and knee spaces, scribed to the wall behind it and to those at its ends; its front edge is straight. */
#[About('worktop', 'Worktop', 'A board over what stands under it, cut to the walls.', 'Boards', 'W')]
final readonly class Worktop implements MemberUnit
{
    /** Times that a corner between two scribed edges is looked for: each brings it ten times nearer and more. */
    private const MEETS = 4;

    public function __construct(
        #[Size('Stands over the face', Rule::WorktopOverhang, 0, 400)] public Length $overhang,
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
        $worktop = $site->place;
        if (! $worktop instanceof FittedWorktop) {
            return new Assembly([]);
        }
        $length = $worktop->length;
        $depth = $worktop->depth;
        $works = [new Finished('front, long', Finish::Straight)];
        $left = 0.0;
        foreach ([Side::Left, Side::Right] as $side) {
            $edge = $site->scribed($side);
            if ($edge?->scribe !== null) {
                $length = $length->plus('overhang to scribe at the '.$side->value, $edge->scribe->blank());
                $works[] = new Scribed($side->value.', short', $side);
                $left = $side === Side::Left ? $edge->scribe->blank()->toDouble() : $left;
            }
        }
        $back = $site->scribed(Side::Back);
        if ($back?->scribe !== null) {
            $depth = $depth->plus('overhang to scribe to the wall behind', $back->scribe->blank());
            $works[] = new Scribed('back, long', Side::Back);
        }
        // The corner of the blank: what it is cut from stands over the finished edges.
        $profile = new Outline(new Polygon(self::outline($site, $worktop)));
        [$least, , $foremost] = $profile->bounds();
        [$u, $v] = [min($least, $worktop->u - $left), min($foremost, $worktop->v - ($back?->scribe?->blank()->toDouble() ?? 0.0))];
        $piece = $site->make->covering('top', 'Worktop', $length, $depth, Purpose::Top, $profile->moved(-$u, -$v), $works, ['screwed from below']);
        $placed = new Placed($piece, Pose::at($u, $v, $worktop->z, Way::Right, Way::Out, Way::Up), Part::Worktop, $worktop->id);

        return new Assembly([$placed], array_map(fn (string $top) => new Joint($top, $piece->key, JointKind::Screws, 'worktop from below'), $worktop->carriers));
    }

    /** @return non-empty-list<Point> u and v, from the left back round */
    private static function outline(MemberSite $site, FittedWorktop $worktop): array
    {
        $at = fn (?FittedEdge $edge, float $x): float => $edge === null ? 0.0 : (new Polyline($edge->gap->stations))->at($x);
        $back = $site->scribed(Side::Back);
        $left = $site->scribed(Side::Left);
        $right = $site->scribed(Side::Right);
        $leftAt = fn (float $v) => $worktop->u - $at($left, $v - $worktop->v);
        $rightAt = fn (float $v) => $worktop->end() + $at($right, $v - $worktop->v);
        // Both back corners lie where a side meets the wall behind: beside an oblique wall that is not where the box ends.
        [$from, $to] = [$leftAt($worktop->v), $rightAt($worktop->v)];
        for ($k = 0; $k < self::MEETS; $k++) {
            $from = $leftAt($worktop->v - $at($back, $from - $worktop->u));
            $to = $rightAt($worktop->v - $at($back, $to - $worktop->u));
        }
        $points = [new Point($from, $worktop->v - $at($back, $from - $worktop->u))];
        foreach ($back === null ? [] : $back->gap->stations as $station) {
            $u = $worktop->u + $station->x;
            if ($u > $from + 1.0 && $u < $to - 1.0) {
                $points[] = new Point($u, $worktop->v - $station->y);
            }
        }
        $points[] = new Point($to, $worktop->v - $at($back, $to - $worktop->u));
        foreach ($right === null ? [] : array_slice($right->gap->stations, 1, -1) as $station) {
            $points[] = new Point($worktop->end() + $station->y, $worktop->v + $station->x);
        }
        array_push($points, new Point($rightAt($worktop->front()), $worktop->front()), new Point($leftAt($worktop->front()), $worktop->front()));
        foreach ($left === null ? [] : array_reverse(array_slice($left->gap->stations, 1, -1)) as $station) {
            $points[] = new Point($worktop->u - $station->y, $worktop->v + $station->x);
        }

        return $points;
    }
}
