<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\Box;
use Incastro\Fit\Closing\Closing;
use Incastro\Fit\Closing\FittedEdge;
use Incastro\Fit\Closing\Side;
use Incastro\Fit\FittedRun;
use Incastro\Fit\Terms;
use Incastro\Geometry\Axis;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Polyline;
use Incastro\Geometry\Prism;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\EdgeWork;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Rules\MaterialRole;
use Incastro\Rules\Rule;

/**
 * The face frame of a box: stiles full height, the outer ones wider where they are scribed, rails between them, and a stile or
 * a rail before every board that its bays and tiers share. Under a rake the upper rail follows it.
 */
final readonly class FaceFrame
{
    private PieceMaker $make;

    private float $thickness;

    private float $v;

    private float $stile;

    public function __construct(private FittedRun $run, private Box $box, private Terms $terms)
    {
        $this->make = new PieceMaker($box->id, $box->mark(), $terms->materials, $terms->format);
        $this->thickness = $terms->materials->frame->thickness->toDouble();
        $this->v = $box->face() - $this->thickness;
        $this->stile = $terms->rule(Rule::StileWidth);
    }

    public function build(): Assembly
    {
        return new Assembly([
            $this->outer(Side::Left), $this->outer(Side::Right), $this->bottomRail(), $this->topRail(), ...$this->middles(),
        ]);
    }

    private function scribed(Side $side): ?FittedEdge
    {
        $edge = $this->run->edge($side, $this->box->id);

        return $edge !== null && $edge->closing === Closing::Scribe ? $edge : null;
    }

    /** What the frame stands over the box at the top, to be scribed to the ceiling. */
    private function overTop(): ?Working
    {
        return $this->scribed(Side::Top)?->scribe?->overhang;
    }

    /** Height of the box's top over its foot at a place of the run, mm. */
    private function high(float $u): float
    {
        return $this->box->topAt($u, $this->box->face()) - $this->box->z;
    }

    private function outer(Side $side): Placed
    {
        $isLeft = $side === Side::Left;
        $edge = $this->scribed($side);
        $outer = $isLeft ? $this->box->u : $this->box->right();
        $inner = $isLeft ? $outer + $this->stile : $outer - $this->stile;
        $highest = max($this->high($outer), $this->high($inner));
        $length = abs($highest - $this->box->outerHeight()->toDouble()) < 1e-6
            ? Working::start('height of the box', $this->box->outerHeight())
            : Working::start('height of the box there', Length::ofDouble($highest));
        $length = $this->overTop() === null ? $length : $length->plus('overhang to scribe to the ceiling', $this->overTop()->result);
        $rise = $this->rise($outer, $outer + ($isLeft ? -1.0 : 1.0) * ($edge?->scribe?->blank()->toDouble() ?? 0.0));
        $length = $rise > 1e-6 ? $length->plus('to its outer corner, which is higher', Length::ofDouble($rise)) : $length;
        $width = Working::start('stile over the box', $this->terms->rules->get(Rule::StileWidth));
        $works = [new EdgeWork('inner, long', 'straight')];
        if ($edge?->scribe !== null) {
            $width = $width->plus('overhang to scribe', $edge->scribe->blank());
            $works[] = new EdgeWork('outer, long', 'scribed to '.$side->surface());
        }
        if ($this->overTop() !== null) {
            $works[] = new EdgeWork('top, short', CeilingWork::of($this->run->frame, $outer, $this->box->face(), $this->thickness));
        } elseif ($this->box->top->isRaked()) {
            $works[] = new EdgeWork('top, short', sprintf('cut at %.1f° to the rake', rad2deg($this->box->top->angle($this->box->outerWidth()->toDouble()))));
        }
        // Going up the outer edge, x up the stile and y from its inner edge out.
        $line = $edge === null
            ? [new Point(0.0, $this->stile), new Point($this->high($outer), $this->stile)]
            : ScribedOutline::line($edge->gap, $this->stile, 0.0, $this->high($outer));
        $outline = new Polygon([new Point(0.0, 0.0), ...$this->overThe($line, $outer, $inner)]);
        $hand = $isLeft ? 'L' : 'R';
        $piece = $edge === null && ! $this->box->top->isRaked()
            ? $this->make->inner("stile-$hand", 'Stile', $length, $width, MaterialRole::Frame, Grain::Length, $works, ['pocket screws from the rails'])
            : $this->make->covering("stile-$hand", 'Stile', $length, $width, MaterialRole::Frame, $outline, $works, ['pocket screws from the rails']);
        $profile = array_map(fn (Point $point) => new Point($isLeft ? $inner - $point->y : $inner + $point->y, $this->box->z + $point->x), $outline->points);

        return $this->placed($piece, $profile, Axis::Z, Axis::U);
    }

    /**
     * The outer edge of a stile, up to the ceiling where its top is scribed, and down to the head of its inner edge.
     *
     * @param  non-empty-list<Point>  $line
     * @return non-empty-list<Point>
     */
    private function overThe(array $line, float $outer, float $inner): array
    {
        $last = $line[count($line) - 1];
        $top = $this->scribed(Side::Top);
        $gap = fn (float $u) => $top === null ? 0.0 : self::gapAt($top, $u - $this->box->u);
        $corner = $this->high($outer) + $gap($outer) + $this->rise($outer, $outer < $inner ? $inner - $last->y : $inner + $last->y);
        $below = array_filter($line, fn (Point $point) => $point->x < $corner - 1e-6);

        return [...array_values($below), new Point($corner, $last->y), new Point($this->high($inner) + $gap($inner), 0.0)];
    }

    /** How much higher the top of a stile is beyond the box, mm: along the ceiling that it is scribed to, or along its rake. */
    private function rise(float $outer, float $corner): float
    {
        if ($this->scribed(Side::Top) !== null) {
            return $this->run->frame->ceilingAt($corner, $this->box->face()) - $this->run->frame->ceilingAt($outer, $this->box->face());
        }
        $wide = $this->box->outerWidth()->toDouble();

        return ($corner - $outer) * ($this->high($this->box->right()) - $this->high($this->box->u)) / $wide;
    }

    private static function gapAt(FittedEdge $edge, float $at): float
    {
        return (new Polyline($edge->gap->stations))->at($at);
    }

    private function betweenStiles(): Working
    {
        return Working::start('width of the box', $this->box->outerWidth())
            ->minusTimes('two stiles over the box', 2, $this->terms->rules->get(Rule::StileWidth));
    }

    private function rail(): Working
    {
        return Working::start('rail width', $this->terms->rules->get(Rule::RailWidth));
    }

    private function bottomRail(): Placed
    {
        $piece = $this->make->inner('rail-bottom', 'Rail', $this->betweenStiles(), $this->rail(), MaterialRole::Frame, Grain::Length, [], ['pocket screws into the stiles']);

        return $this->placed($piece, Polygon::rectangle($this->box->u + $this->stile, $this->box->z, $piece->length->result->toDouble(), $piece->width->result->toDouble())->points, Axis::U, Axis::Z);
    }

    private function topRail(): Placed
    {
        [$from, $to] = [$this->box->u + $this->stile, $this->box->right() - $this->stile];
        $top = $this->scribed(Side::Top);
        $angle = $this->box->top->isRaked() ? $this->box->top->angle($this->box->outerWidth()->toDouble()) : 0.0;
        $wide = $this->terms->rule(Rule::RailWidth);
        $width = $this->rail();
        $length = $this->betweenStiles();
        if ($angle > 0.0) {
            $length = $length->plus(sprintf('along the rake, ÷ cos %.1f°', rad2deg($angle)), Length::ofDouble(($to - $from) * (1 / cos($angle) - 1)))
                ->plus('to the long points of both ends', Length::ofDouble(($wide + ($top?->scribe?->blank()->toDouble() ?? 0.0)) * tan($angle)));
        }
        $width = $top?->scribe === null ? $width : $width->plus('overhang to scribe to the ceiling', $top->scribe->blank());
        $upper = $this->upper($from, $to, $top);
        $lower = [new Point($from, $this->box->z + $this->high($from) - $wide / cos($angle)), new Point($to, $this->box->z + $this->high($to) - $wide / cos($angle))];
        $profile = [...$lower, ...array_reverse($upper)];
        $outline = $this->alongTheRake($profile, $angle, $this->box->top->right >= $this->box->top->left);
        $piece = $top === null && $angle === 0.0
            ? $this->make->inner('rail-top', 'Rail', $length, $width, MaterialRole::Frame, Grain::Length, [], ['pocket screws into the stiles'])
            : $this->make->covering('rail-top', 'Rail', $length, $width, MaterialRole::Frame, $outline, array_values(array_filter([
                $top === null ? null : new EdgeWork('upper, long', CeilingWork::of($this->run->frame, ($from + $to) / 2, $this->box->face(), $this->thickness)),
                $angle > 0.0 ? new EdgeWork('both ends, short', sprintf('cut at %.1f°, plumb', rad2deg($angle))) : null,
            ])), ['pocket screws into the stiles']);

        return $this->placed($piece, $profile, Axis::U, Axis::Z);
    }

    /** @return non-empty-list<Point> the upper edge from left to right, in u and z */
    private function upper(float $from, float $to, ?FittedEdge $scribed): array
    {
        $at = fn (float $u) => new Point($u, $this->box->z + $this->high($u) + ($scribed === null ? 0.0 : self::gapAt($scribed, $u - $this->box->u)));
        $between = [];
        foreach ($scribed === null ? [] : $scribed->gap->stations as $station) {
            $u = $this->box->u + $station->x;
            if ($u > $from + 1.0 && $u < $to - 1.0) {
                $between[] = $at($u);
            }
        }

        return [$at($from), ...$between, $at($to)];
    }

    /**
     * A profile turned so that it lies along its own length, and moved to the corner of its blank.
     *
     * @param  list<Point>  $profile
     */
    private function alongTheRake(array $profile, float $angle, bool $rises): Polygon
    {
        $turn = $rises ? -$angle : $angle;
        $points = array_map(fn (Point $point) => new Point($point->x * cos($turn) - $point->y * sin($turn), $point->x * sin($turn) + $point->y * cos($turn)), $profile);
        $x = min([INF, ...array_map(fn (Point $point) => $point->x, $points)]);
        $y = min([INF, ...array_map(fn (Point $point) => $point->y, $points)]);

        return new Polygon(array_map(fn (Point $point) => $point->plus(-$x, -$y), $points));
    }

    /** @return list<Placed> stiles before dividers, and rails before the boards between tiers */
    private function middles(): array
    {
        $placed = [];
        $rail = $this->terms->rule(Rule::RailWidth);
        $number = 0;
        foreach ($this->box->columns as $c => $column) {
            $left = $this->box->u + ($c === 0 ? $this->stile : $column->x - $this->terms->board() / 2 + $this->stile / 2);
            $isLast = $c === count($this->box->columns) - 1;
            $right = $isLast ? $this->box->right() - $this->stile : $this->box->u + $column->x + $column->width->result->toDouble() + $this->terms->board() / 2 - $this->stile / 2;
            if (! $isLast) {
                $low = min($this->high($right), $this->high($right + $this->stile)) - $rail;
                $length = Working::start('between the rails', Length::ofDouble($low - $rail));
                $piece = $this->make->inner('stile-mid-'.($c + 1), 'Middle stile', $length, Working::start('stile width', $this->terms->rules->get(Rule::StileWidth)), MaterialRole::Frame, Grain::Length, [], ['pocket screws into the rails']);
                $placed[] = $this->placed($piece, Polygon::rectangle($right, $this->box->z + $rail, $this->stile, $piece->length->result->toDouble())->points, Axis::Z, Axis::U);
            }
            foreach (array_slice($column->openings, 0, -1) as $opening) {
                $number++;
                $middle = $opening->z + $opening->height->result->toDouble() + $this->terms->board() / 2;
                $piece = $this->make->of($opening->tierId)->inner('rail', 'Middle rail', Working::start('between the stiles', Length::ofDouble($right - $left)), $this->rail(), MaterialRole::Frame, Grain::Length, [], ['pocket screws into the stiles'], null, "rail-mid-$number");
                $placed[] = $this->placed($piece, Polygon::rectangle($left, $this->box->z + $middle - $rail / 2, $piece->length->result->toDouble(), $rail)->points, Axis::U, Axis::Z);
            }
        }

        return $placed;
    }

    /** @param list<Point> $profile */
    private function placed(Piece $piece, array $profile, Axis $length, Axis $width): Placed
    {
        return new Placed($piece, new Prism(Axis::V, $profile, $this->v, $this->v + $this->thickness), $length, $width, Part::Face, $this->box->id);
    }
}
