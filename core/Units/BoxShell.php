<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\Box;
use Incastro\Fit\Terms;
use Incastro\Geometry\Axis;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Prism;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\EdgeWork;
use Incastro\Pieces\Grain;
use Incastro\Rules\MaterialRole;

/**
 * The sides, bottom, top and dividers of a box. Sides are full height with bottom and top between them; under a rake the top
 * goes between bevelled sides, or over them, as the job says; under a slope that rises from the wall the sides are cut to
 * it (handbook, "Sloped bay").
 */
final readonly class BoxShell
{
    /** A level bit of top shorter than this is left out: the sloped one goes on to the front, mm. */
    private const LEAST_TOP = 60.0;

    private const SCREWS_PER_JOINT = 3;

    private PieceMaker $make;

    private float $t;

    private float $v;

    private float $d;

    public function __construct(private Box $box, private Terms $terms, private Working $depth)
    {
        $this->make = new PieceMaker($box->id, $box->mark(), $terms->materials, $terms->format);
        $this->t = $terms->board();
        $this->v = $box->v + $terms->materials->back->thickness->toDouble();
        $this->d = $depth->result->toDouble();
    }

    public function build(): Assembly
    {
        $placed = [$this->side('L'), $this->side('R'), $this->bottom(), ...$this->tops(), ...$this->dividers()];

        return new Assembly($placed, [new Hardware('pocket screw, 32 mm', 4 * self::SCREWS_PER_JOINT + 4 * (count($this->box->columns) - 1), 'bottom and top to the sides')]);
    }

    public function betweenSides(): Working
    {
        return Working::start('width of the box', $this->box->outerWidth())->minusTimes('two sides', 2, $this->terms->materials->carcass->thickness);
    }

    private function angle(): float
    {
        return $this->box->top->angle($this->box->outerWidth()->toDouble());
    }

    private function side(string $hand): Placed
    {
        $top = $this->box->top;
        $high = $hand === 'L' ? $top->left : $top->right;
        $works = [new EdgeWork('front, long', 'covered by the face frame')];
        $length = Working::start('height of the box', $this->box->outerHeight());
        $outline = null;
        $u = $hand === 'L' ? $this->box->u : $this->box->right() - $this->t;
        $profile = Polygon::rectangle($this->v, $this->box->z, $this->d, $high)->points;
        if ($top->isRaked()) {
            [$length, $profileHigh] = $this->rakedSide($high);
            $works[] = new EdgeWork('top, short', sprintf('bevelled %.1f°, measured to the long point', rad2deg($this->angle())));
            $profile = Polygon::rectangle($this->v, $this->box->z, $this->d, $profileHigh)->points;
        } elseif ($top->isSloped()) {
            $outline = $this->slopedSide($length->result->toDouble());
            $front = $outline->bounds()[1];
            $length = abs($front - $length->result->toDouble()) < 1e-6 ? $length : Working::start('height of its front, under the slope', Length::ofDouble($front));
            $works[] = new EdgeWork('back of the top', sprintf('cut at %.1f° to the slope', rad2deg($this->angle())));
            $profile = array_map(fn (Point $point) => new Point($this->v + $point->y, $this->box->z + $point->x), $outline->points);
        }
        $joints = ['bottom, top and fixed shelves butt against it'];
        $piece = $outline === null
            ? $this->make->inner("side-$hand", 'Side', $length, $this->depth, MaterialRole::Carcass, Grain::Length, $works, $joints)
            : $this->make->covering("side-$hand", 'Side', $length, $this->depth, MaterialRole::Carcass, $outline, $works, $joints);

        return new Placed($piece, new Prism(Axis::U, $profile, $u, $u + $this->t), Axis::Z, Axis::V, Part::Body, $this->box->id);
    }

    /** @return array{Working, float} the blank's length to its long point, and the height of the outer face */
    private function rakedSide(float $high): array
    {
        $isLow = $high < $this->box->top->highest() - 1e-6;
        $angle = $this->angle();
        $face = $high;
        $working = Working::start('height of its outer face', Length::ofDouble($high));
        if ($this->terms->rules->topOverSides) {
            $face = $high - $this->t / cos($angle);
            $working = $working->minus('the top over it', Length::ofDouble($this->t / cos($angle)));
        }

        return [$isLow ? $working->plus('to the long point of the bevel', Length::ofDouble($this->t * tan($angle))) : $working, $face];
    }

    /** A side cut to a slope that rises from the wall: x up, y from the back. */
    private function slopedSide(float $high): Polygon
    {
        $behind = $this->v - $this->box->v;
        $breaks = $this->box->top->breaks - $behind;
        $points = [new Point(0.0, 0.0), new Point($this->box->top->at(0.0, $behind), 0.0)];
        if ($breaks > 1e-6 && $breaks < $this->d - 1e-6) {
            $points[] = new Point($high, $breaks);
        }

        return new Polygon([...$points, new Point($this->box->top->at(0.0, $behind + $this->d), $this->d), new Point(0.0, $this->d)]);
    }

    private function bottom(): Placed
    {
        return $this->between('bottom', 'Bottom', $this->box->z);
    }

    private function between(string $role, string $name, float $z): Placed
    {
        $wide = $this->box->outerWidth()->toDouble() - 2 * $this->t;
        $piece = $this->make->inner($role, $name, $this->betweenSides(), $this->depth, MaterialRole::Carcass, Grain::Length, [new EdgeWork('front, long', 'covered by the face frame')], ['pocket screws into both sides']);

        return new Placed($piece, Prism::block($this->box->u + $this->t, $this->v, $z, $wide, $this->d, $this->t), Axis::U, Axis::V, Part::Body, $this->box->id);
    }

    /** @return list<Placed> */
    private function tops(): array
    {
        $top = $this->box->top;

        return match (true) {
            $top->isRaked() => [$this->rakedTop()],
            $top->isSloped() => $this->slopedTops(),
            default => [$this->between('top', 'Top', $this->box->highest() - $this->t)],
        };
    }

    /** Between the sides (x₂ − x₁ − 2t)/cos θ along each face; over them (x₂ − x₁)/cos θ, both ends bevelled. */
    private function rakedTop(): Placed
    {
        $angle = $this->angle();
        $isOver = $this->terms->rules->topOverSides;
        $across = $isOver ? Working::start('width of the box', $this->box->outerWidth()) : $this->betweenSides();
        $length = $across->plus(sprintf('along the slope, ÷ cos %.1f°', rad2deg($angle)), Length::ofDouble($across->result->toDouble() * (1 / cos($angle) - 1)));
        $works = [new EdgeWork('front, long', 'covered by the face frame')];
        if ($isOver) {
            $length = $length->plus('to the long points of the bevels', Length::ofDouble($this->t * tan($angle)));
            $works[] = new EdgeWork('both ends, short', sprintf('bevelled %.1f°, measured to the long point', rad2deg($angle)));
        }
        $piece = $this->make->inner('top', 'Sloped top', $length, $this->depth, MaterialRole::Carcass, Grain::Length, $works, [$isOver ? 'screwed down into both sides' : 'pocket screws into both sides']);
        $inset = $isOver ? 0.0 : $this->t;
        [$from, $to] = [$this->box->u + $inset, $this->box->right() - $inset];
        $thick = $this->t / cos($angle);
        $at = fn (float $u) => $this->box->topAt($u, $this->box->face());
        $profile = [new Point($from, $at($from) - $thick), new Point($to, $at($to) - $thick), new Point($to, $at($to)), new Point($from, $at($from))];

        return new Placed($piece, new Prism(Axis::V, $profile, $this->v, $this->v + $this->d), Axis::U, Axis::V, Part::Body, $this->box->id);
    }

    /** @return list<Placed> the sloped part, and the level one before it where there is room for it */
    private function slopedTops(): array
    {
        $top = $this->box->top;
        $angle = $this->angle();
        $breaks = min($this->v + $this->d, $this->box->v + $top->breaks);
        $levels = $this->v + $this->d - $breaks;
        $wide = $this->box->outerWidth()->toDouble() - 2 * $this->t;
        $slant = Working::start('along the slope', Length::ofDouble(max(1.0, ($breaks - $this->v) / cos($angle))));
        $piece = $this->make->inner('top-slope', 'Sloped top', $this->betweenSides(), $slant, MaterialRole::Carcass, Grain::Length, [new EdgeWork('both, long', sprintf('bevelled %.1f°', rad2deg($angle)))], ['pocket screws into both sides']);
        $thick = $this->t / cos($angle);
        $z = fn (float $v) => $this->box->topAt($this->box->u, $v);
        $profile = [new Point($this->v, $z($this->v) - $thick), new Point($breaks, $z($breaks) - $thick), new Point($breaks, $z($breaks)), new Point($this->v, $z($this->v))];
        $placed = [new Placed($piece, new Prism(Axis::U, $profile, $this->box->u + $this->t, $this->box->u + $this->t + $wide), Axis::U, Axis::V, Part::Body, $this->box->id)];
        if ($levels >= self::LEAST_TOP) {
            $flat = $this->make->inner('top', 'Top', $this->betweenSides(), Working::start('before the slope', Length::ofDouble($levels)), MaterialRole::Carcass, Grain::Length, [new EdgeWork('back, long', sprintf('bevelled %.1f° to the slope', rad2deg($angle) / 2))], ['pocket screws into both sides']);
            $placed[] = new Placed($flat, Prism::block($this->box->u + $this->t, $breaks, $this->box->highest() - $this->t, $wide, $levels, $this->t), Axis::U, Axis::V, Part::Body, $this->box->id);
        }

        return $placed;
    }

    /** @return list<Placed> a shared board between each two bays, from bottom to top */
    private function dividers(): array
    {
        $placed = [];
        $angle = $this->box->top->isRaked() ? $this->angle() : 0.0;
        foreach (array_slice($this->box->columns, 1) as $i => $column) {
            $u = $this->box->u + $column->x - $this->t;
            $high = max($this->box->topAt($u, $this->box->face()), $this->box->topAt($u + $this->t, $this->box->face())) - $this->box->z;
            $length = Working::start($angle > 0.0 ? 'height of the box there' : 'height of the box', Length::ofDouble($high));
            $length = $angle > 0.0
                ? $length->minus('bottom', $this->terms->materials->carcass->thickness)->minus('sloped top over it', Length::ofDouble($this->t / cos($angle)))
                : $length->minusTimes('bottom and top', 2, $this->terms->materials->carcass->thickness);
            $works = [new EdgeWork('front, long', 'covered by the face frame')];
            if ($angle > 0.0) {
                $works[] = new EdgeWork('top, short', sprintf('bevelled %.1f°, measured to the long point', rad2deg($angle)));
            }
            $piece = $this->make->inner('divider-'.($i + 1), 'Divider', $length, $this->depth, MaterialRole::Carcass, Grain::Length, $works, ['screws through bottom and top; fixed shelves butt against it']);
            $placed[] = new Placed($piece, Prism::block($u, $this->v, $this->box->z + $this->t, $this->t, $this->d, $length->result->toDouble()), Axis::Z, Axis::V, Part::Body, $this->box->id);
        }

        return $placed;
    }
}
