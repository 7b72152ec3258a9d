<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Fit\Closing\FittedEdge;
use Incastro\Fit\Closing\Side;
use Incastro\Fit\Members\Over;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Polyline;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Pieces\Works\Scribed;
use Incastro\Pieces\Works\Work;
use Incastro\Rules\Materials\Purpose;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Sites\MemberSite;

/** A board over boxes as it is cut to the wall behind it and to those at its ends. */
final readonly class ScribedTop
{
    /** Times that a corner between two scribed edges is looked for: each brings it ten times nearer and more. */
    private const MEETS = 4;

    /**
     * @param  float  $left  how far it stands out beyond its left end, where that is not scribed, mm
     * @param  float  $right  the same at its right
     */
    public function __construct(private MemberSite $site, private Over $top, private float $left = 0.0, private float $right = 0.0)
    {
    }

    /** The whole of it, screwed from below to what carries it. */
    public function board(string $role, string $name, Finish $front): Placed
    {
        $profile = $this->profile();
        [$u, $v] = $this->corner($profile);
        $piece = $this->site->make->covering($role, $name, $this->length(), $this->depth($this->top->depth), Purpose::Top, $profile->moved(-$u, -$v), [new Finished('front, long', $front), ...$this->works()], ['screwed from below']);

        return new Placed($piece, Pose::at($u, $v, $this->top->z, Way::Right, Way::Out, Way::Up), Part::Worktop, $this->top->id);
    }

    /** Length of its blank: from end to end, and what is scribed at the walls. */
    public function length(): Working
    {
        $length = $this->left + $this->right > 0.0 ? $this->top->length->plus('stands out beyond its end', Length::ofDouble($this->left + $this->right)) : $this->top->length;
        foreach ([Side::Left, Side::Right] as $side) {
            $edge = $this->site->scribed($side);
            $length = $edge?->scribe === null ? $length : $length->plus('overhang to scribe at the '.$side->value, $edge->scribe->blank());
        }

        return $length;
    }

    /** Depth of a blank: so much of it, and what is scribed to the wall behind. */
    public function depth(Working $depth): Working
    {
        $back = $this->site->scribed(Side::Back);

        return $back?->scribe === null ? $depth : $depth->plus('overhang to scribe to the wall behind', $back->scribe->blank());
    }

    /** @return list<Work> its scribed edges */
    public function works(): array
    {
        $works = [];
        foreach ([[Side::Left, ', short'], [Side::Right, ', short'], [Side::Back, ', long']] as [$side, $which]) {
            if ($this->site->scribed($side)?->scribe !== null) {
                $works[] = new Scribed($side->value.$which, $side);
            }
        }

        return $works;
    }

    /**
     * The corner of the blank that a shape is cut from, in u and v: it stands over the finished edges.
     *
     * @return array{float, float}
     */
    public function corner(Outline $profile): array
    {
        [$least, , $foremost] = $profile->bounds();
        $over = fn (Side $side): float => $this->site->scribed($side)?->scribe?->blank()->toDouble() ?? 0.0;

        return [min($least, $this->top->u - $over(Side::Left)), min($foremost, $this->top->v - $over(Side::Back))];
    }

    /** In u and v of the run. */
    public function profile(): Outline
    {
        return new Outline(new Polygon($this->points()));
    }

    /** @return non-empty-list<Point> u and v, from the left back round */
    private function points(): array
    {
        [$site, $worktop] = [$this->site, $this->top];
        $at = fn (?FittedEdge $edge, float $x): float => $edge === null ? 0.0 : (new Polyline($edge->gap->stations))->at($x);
        $back = $site->scribed(Side::Back);
        $left = $site->scribed(Side::Left);
        $right = $site->scribed(Side::Right);
        $leftAt = fn (float $v) => $worktop->u - $this->left - $at($left, $v - $worktop->v);
        $rightAt = fn (float $v) => $worktop->end() + $this->right + $at($right, $v - $worktop->v);
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
        // A strip of a top ends before what its sides were read at farther out.
        $before = fn (Point $station): bool => $worktop->v + $station->x < $worktop->front() - 1.0;
        foreach ($right === null ? [] : array_filter(array_slice($right->gap->stations, 1, -1), $before) as $station) {
            $points[] = new Point($worktop->end() + $station->y, $worktop->v + $station->x);
        }
        array_push($points, new Point($rightAt($worktop->front()), $worktop->front()), new Point($leftAt($worktop->front()), $worktop->front()));
        foreach ($left === null ? [] : array_reverse(array_filter(array_slice($left->gap->stations, 1, -1), $before)) as $station) {
            $points[] = new Point($worktop->u - $station->y, $worktop->v + $station->x);
        }

        return $points;
    }
}
