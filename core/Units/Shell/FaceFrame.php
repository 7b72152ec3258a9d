<?php

declare(strict_types=1);

namespace Incastro\Units\Shell;

use Incastro\Fit\Box;
use Incastro\Fit\Closing\Closing;
use Incastro\Fit\Closing\FittedEdge;
use Incastro\Fit\Closing\Side;
use Incastro\Fit\FittedRun;
use Incastro\Fit\Terms;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Polyline;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Pieces\Works\Sawn;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Rule;
use Incastro\Rules\Schools\Edges;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\BoxJoints;
use Incastro\Units\Make\InFace;
use Incastro\Units\Make\ScribedOutline;
use Incastro\Units\Make\Scribing;
use Incastro\Units\Make\Workshop;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/**
 * The face frame of a box: stiles full height, the outer ones wider where they are scribed, rails between them, and a stile or
 * a rail before every board that its bays and tiers share. Under a rake the upper rail follows it.
 */
final readonly class FaceFrame
{
    private Workshop $make;

    private float $thickness;

    private float $v;

    private float $stile;

    private Scribing $scribing;

    public function __construct(private FittedRun $run, private Box $box, private Terms $terms)
    {
        $this->make = new Workshop($box->id, $box->mark, $terms->materials, $terms->format);
        $this->thickness = $terms->materials->frame->thickness->toDouble();
        $this->v = $box->face() - $this->thickness;
        $this->stile = $terms->rule(Rule::StileWidth);
        $this->scribing = new Scribing($run->frame, $box->face(), $this->thickness);
    }

    /** @return array{Length, Length} how much narrower and lower than between its boards an opening is in its face, for what is drawn out of it */
    public static function takes(HouseRules $rules, Catalogue $materials): array
    {
        $inside = fn (Rule $rule): Length => $rules->schools->edges === Edges::Frame ? $rules->get($rule)->minus($materials->carcass->thickness)->times(2) : Length::zero();

        return [$inside(Rule::StileWidth), $inside(Rule::RailWidth)];
    }

    public function build(): Assembly
    {
        if ($this->terms->frame()->isZero()) {
            return new Assembly([]);
        }
        $middles = $this->middles();
        [$left, $right, $top] = [$this->outer(Side::Left), $this->outer(Side::Right), $this->topRail()];
        $rails = $this->box->hasFootRail() ? [$this->bottomRail(), $top] : [$top];
        $joints = [];
        foreach (array_merge(...array_map(fn (Placed $rail) => [[$rail, $left], [$rail, $right]], $rails)) as [$rail, $stile]) {
            $joints[] = BoxJoints::inFace($this->terms, $rail->piece->key, $stile->piece->key, 'face frames');
        }
        // The frame is glued to the edges of the sides behind it.
        foreach ([[$left, 'side-L'], [$right, 'side-R'], ...($this->box->isBottomless() ? [] : [[$rails[0], 'bottom']])] as [$piece, $behind]) {
            $joints[] = new Joint($piece->piece->key, $this->box->id.':'.$behind, JointKind::Glue, 'face frames to boxes');
        }

        return new Assembly([$left, $right, ...$rails, ...$middles->placed], [...$joints, ...$middles->joints]);
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
        if ($edge?->scribe !== null) {
            $width = $width->plus('overhang to scribe', $edge->scribe->blank());
        }
        // Going up the outer edge, x up the stile and y from its inner edge out.
        $line = $edge === null
            ? [new Point(0.0, $this->stile), new Point($this->high($outer), $this->stile)]
            : ScribedOutline::line($edge->gap, $this->stile, 0.0, $this->high($outer));
        $upper = $this->overThe($line, $outer, $inner);
        $outline = new Outline(new Polygon([new Point(0.0, 0.0), ...$upper]));
        $works = [new Finished('inner, long', Finish::Straight)];
        if ($edge?->scribe !== null) {
            $works[] = $this->scribing->wall('outer, long', $side, $this->box->z, $this->box->z + $this->high($outer), array_slice($upper, 0, -1));
        }
        if ($this->overTop() !== null) {
            $works[] = $this->scribing->ceiling('top, short', $outer, $inner, array_slice($upper, -2));
        } elseif ($this->box->top->isRaked()) {
            $works[] = new Sawn('top, short', $this->box->top->angle($this->box->outerWidth()->toDouble()), ' to the rake');
        }
        $hand = $isLeft ? 'L' : 'R';
        $piece = $edge === null && ! $this->box->top->isRaked() && $this->overTop() === null
            ? $this->make->inner("stile-$hand", 'Stile', $length, $width, Purpose::Frame, Grain::Length, $works, [BoxJoints::inFaceWords($this->terms, 'from the rails')])
            : $this->make->covering("stile-$hand", 'Stile', $length, $width, Purpose::Frame, $outline, $works, [BoxJoints::inFaceWords($this->terms, 'from the rails')]);

        return $this->upright($piece, $inner, $this->box->z, $isLeft ? Way::Left : Way::Right);
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
        return $this->box->hasFlushRails()
            ? Working::start('as thick as the board behind it', $this->terms->materials->carcass->thickness)
            : Working::start('rail width', $this->terms->rules->get(Rule::RailWidth));
    }

    private function bottomRail(): Placed
    {
        $piece = $this->make->inner('rail-bottom', 'Rail', $this->betweenStiles(), $this->rail(), Purpose::Frame, Grain::Length, [], [BoxJoints::inFaceWords($this->terms, 'into the stiles')]);

        return $this->level($piece, $this->box->u + $this->stile, $this->box->z);
    }

    private function topRail(): Placed
    {
        [$from, $to] = [$this->box->u + $this->stile, $this->box->right() - $this->stile];
        $top = $this->scribed(Side::Top);
        $angle = $this->box->top->isRaked() ? $this->box->top->angle($this->box->outerWidth()->toDouble()) : 0.0;
        $wide = $this->rail()->result->toDouble();
        $width = $this->rail();
        $length = $this->betweenStiles();
        if ($angle > 0.0) {
            $length = $length->plus(sprintf('along the rake, ÷ cos %.1f°', rad2deg($angle)), Length::ofDouble(($to - $from) * (1 / cos($angle) - 1)))
                ->plus('to the long points of both ends', Length::ofDouble(($wide + ($top?->scribe?->blank()->toDouble() ?? 0.0)) * tan($angle)));
        }
        $width = $top?->scribe === null ? $width : $width->plus('overhang to scribe to the ceiling', $top->scribe->blank());
        $upper = $this->upper($from, $to, $top);
        if ($top === null && $angle === 0.0) {
            $piece = $this->make->inner('rail-top', 'Rail', $length, $width, Purpose::Frame, Grain::Length, [], [BoxJoints::inFaceWords($this->terms, 'into the stiles')]);

            return $this->level($piece, $from, $this->box->z + $this->high($from) - $piece->width->result->toDouble());
        }
        $lower = [new Point($from, $this->box->z + $this->high($from) - $wide / cos($angle)), new Point($to, $this->box->z + $this->high($to) - $wide / cos($angle))];
        $face = new InFace([...$lower, ...array_reverse($upper)], $this->v, $this->box->top->right >= $this->box->top->left ? $angle : -$angle);
        $works = [];
        if ($top !== null) {
            $works[] = $this->scribing->ceiling('upper, long', $from, $to, $face->line($upper));
        }
        if ($angle > 0.0) {
            $works[] = new Sawn('both ends, short', $angle, ', plumb');
        }
        $piece = $this->make->covering('rail-top', 'Rail', $length, $width, Purpose::Frame, $face->outline, $works, [BoxJoints::inFaceWords($this->terms, 'into the stiles')]);

        return new Placed($piece, $face->pose, Part::Face, $this->box->id);
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

    /** Stiles before dividers, and rails before the boards between tiers. */
    private function middles(): Assembly
    {
        $placed = $joints = [];
        $rail = $this->rail()->result->toDouble();
        $plumb = $this->box->top->isRaked() ? $rail / cos($this->box->top->angle($this->box->outerWidth()->toDouble())) : $rail;
        $number = 0;
        $last = count($this->box->columns) - 1;
        foreach ($this->box->columns as $c => $column) {
            $left = $this->box->u + ($c === 0 ? $this->stile : $column->x - $this->terms->board() / 2 + $this->stile / 2);
            $right = $c === $last ? $this->box->right() - $this->stile : $this->box->u + $column->x + $column->width->result->toDouble() + $this->terms->board() / 2 - $this->stile / 2;
            if ($c < $last) {
                $low = min($this->high($right), $this->high($right + $this->stile)) - $plumb;
                $from = $this->box->hasFootRail() ? $rail : 0.0;
                $length = Working::start($from > 0.0 ? 'between the rails' : 'up to the rail', Length::ofDouble($low - $from));
                $piece = $this->make->inner('stile-mid-'.($c + 1), 'Middle stile', $length, Working::start('stile width', $this->terms->rules->get(Rule::StileWidth)), Purpose::Frame, Grain::Length, [], [BoxJoints::inFaceWords($this->terms, 'into the rails')]);
                $placed[] = $this->upright($piece, $right, $this->box->z + $from, Way::Right);
                $joints = $from > 0.0 ? [...$joints, BoxJoints::inFace($this->terms, $piece->key, $this->box->id.':rail-bottom', 'face frames')] : $joints;
                $joints[] = BoxJoints::inFace($this->terms, $piece->key, $this->box->id.':rail-top', 'face frames');
            }
            $beside = self::stiles($this->box, $c);
            foreach (array_slice($column->openings, 0, -1) as $i => $opening) {
                // Behind a front that spans both there is none.
                if ($column->openings[$i + 1]->isSpanned) {
                    continue;
                }
                $number++;
                $middle = $opening->z + $opening->height->result->toDouble() + $this->terms->board() / 2;
                $piece = $this->make->of($opening->tierId)->inner('rail', 'Middle rail', Working::start('between the stiles', Length::ofDouble($right - $left)), $this->rail(), Purpose::Frame, Grain::Length, [], [BoxJoints::inFaceWords($this->terms, 'into the stiles')], null, "rail-mid-$number");
                $placed[] = $this->level($piece, $left, $this->box->z + $middle - $rail / 2);
                array_push($joints, ...array_map(fn (string $stile) => BoxJoints::inFace($this->terms, $piece->key, $stile, 'face frames'), $beside));
            }
        }

        return new Assembly($placed, $joints);
    }

    /** @return array{string, string} keys of the stiles to the left and right of a column */
    public static function stiles(Box $box, int $column): array
    {
        return [$box->id.':'.($column === 0 ? 'stile-L' : "stile-mid-$column"), $box->id.':'.($column === count($box->columns) - 1 ? 'stile-R' : 'stile-mid-'.($column + 1))];
    }

    private function level(Piece $piece, float $u, float $z): Placed
    {
        return new Placed($piece, Pose::at($u, $this->v, $z, Way::Right, Way::Up, Way::Out), Part::Face, $this->box->id);
    }

    private function upright(Piece $piece, float $u, float $z, Way $width): Placed
    {
        return new Placed($piece, Pose::at($u, $this->v, $z, Way::Up, $width, Way::Out), Part::Face, $this->box->id);
    }
}
