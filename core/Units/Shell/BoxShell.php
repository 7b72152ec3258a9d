<?php

declare(strict_types=1);

namespace Incastro\Units\Shell;

use Incastro\Fit\Box;
use Incastro\Fit\Terms;
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
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\BoxJoints;
use Incastro\Units\Make\Workshop;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/**
 * The sides, bottom, top and dividers of a box. Sides are full height with bottom and top between them; under a rake the top
 * goes between bevelled sides, or over them, as the job says; under a slope that rises from the wall sides and dividers are
 * cut to it (handbook, "Sloped bay"). Every upright board is made by one method, from its place along the run.
 */
final readonly class BoxShell
{
    /** A level bit of top shorter than this is left out, mm. */
    private const LEAST_TOP = 60.0;

    private const USE = 'bottom and top to the sides';

    private Workshop $make;

    private BoxJoints $joints;

    /** Of what stands inside it, from the back to the front edges. */
    public Working $depth;

    private float $t;

    private float $v;

    private float $d;

    public function __construct(private Box $box, private Terms $terms, private Behind $behind)
    {
        $this->make = new Workshop($box->id, $box->mark, $terms->materials, $terms->format);
        $this->joints = BoxJoints::of($terms, $box);
        $this->t = $terms->board();
        $this->depth = $behind->depth($behind->inner);
        $this->v = $box->v + $behind->inner->toDouble();
        $this->d = $this->depth->roundedDown($terms->format)->result->toDouble();
    }

    public function build(): Assembly
    {
        $left = $this->upright('side-L', 'Side', $this->box->u, true);
        $right = $this->upright('side-R', 'Side', $this->box->right() - $this->t, true);
        $bottom = $this->box->isBottomless() ? null : $this->between('bottom', 'Bottom', $this->box->z);
        $levels = [...array_filter([$bottom]), ...$this->tops()];
        $joints = [];
        $isLevel = ! $this->box->top->isRaked() && ! $this->box->top->isSloped();
        foreach ($levels as $level) {
            $isOver = $this->box->top->isRaked() && $this->terms->rules->topOverSides && $level !== $bottom;
            foreach ([$left, $right] as $side) {
                $joints[] = match (true) {
                    $isOver => new Joint($level->piece->key, $side->piece->key, JointKind::Screws, self::USE),
                    $isLevel || $level === $bottom => $this->joints->joint($level->piece->key, $side->piece->key, self::USE),
                    default => $this->joints->butt($level->piece->key, $side->piece->key, self::USE),
                };
            }
        }
        $dividers = [];
        foreach (array_slice($this->box->columns, 1) as $i => $column) {
            $dividers[] = $divider = $this->upright('divider-'.($i + 1), 'Divider', $this->box->u + $column->x - $this->t, false);
            foreach ($levels as $level) {
                $joints[] = new Joint($level->piece->key, $divider->piece->key, JointKind::Screws, 'bottom and top to the dividers');
            }
        }

        return new Assembly([$left, $right, ...$levels, ...$dividers], $joints);
    }

    public function betweenSides(): Working
    {
        return Working::start('width of the box', $this->box->outerWidth())->minusTimes('two sides', 2, $this->terms->materials->carcass->thickness);
    }

    /** @return non-empty-list<string> keys of the boards that stand to the left and right of a column */
    public function beside(int $column): array
    {
        $last = count($this->box->columns) - 1;

        return [
            $this->box->id.':'.($column === 0 ? 'side-L' : "divider-$column"),
            $this->box->id.':'.($column === $last ? 'side-R' : 'divider-'.($column + 1)),
        ];
    }

    private function angle(): float
    {
        return $this->box->top->angle($this->box->outerWidth()->toDouble());
    }

    /** Thickness of a sloped top, measured plumb, mm. */
    private function plumb(): float
    {
        return $this->t / cos($this->angle());
    }

    private function upright(string $role, string $name, float $u, bool $isSide): Placed
    {
        $top = $this->box->top;
        $works = [new Finished('front, long', Finish::ofFront($this->terms->rules->schools->edges))];
        $joints = [$isSide ? 'bottom, top and fixed shelves butt against it' : 'screws through bottom and top; fixed shelves butt against it'];
        $z = $this->box->z + ($isSide ? 0.0 : $this->foot());
        $kept = $isSide ? $this->behind->sides : $this->behind->inner;
        $depth = $this->behind->depth($kept);
        $pose = Pose::at($u, $this->box->v + $kept->toDouble(), $z, Way::Up, Way::Out, Way::Right);
        if ($top->isSloped()) {
            $outline = $this->underTheSlope($isSide);
            $length = Working::start('height of its front, under the slope', Length::ofDouble($outline->bounds()[1]));
            $works[] = new Sawn('back of the top', $this->angle(), ' to the slope');
            $piece = $this->make->covering($role, $name, $this->isFull($isSide, $outline) ? $this->height($isSide) : $length, $depth, Purpose::Carcass, $outline, $works, $joints);

            return new Placed($piece, $pose, Part::Body, $this->box->id);
        }
        $length = $this->height($isSide);
        if ($top->isRaked()) {
            $length = $this->rakedHeight($u, $isSide);
            $long = $length->roundedDown($this->terms->format)->result->toDouble();
            $works[] = new Bevelled('top, short', $this->angle(), bevels: [new Bevel([new Point($long, 0.0), new Point($long, $depth->roundedDown($this->terms->format)->result->toDouble())], tan($this->angle()), $top->left > $top->right)]);
        }
        $piece = $this->make->inner($role, $name, $length, $depth, Purpose::Carcass, Grain::Length, $works, $joints);

        return new Placed($piece, $pose, Part::Body, $this->box->id);
    }

    /** How high what stands on its bottom begins over its foot, mm. */
    private function foot(): float
    {
        return $this->box->isBottomless() ? 0.0 : $this->t;
    }

    private function height(bool $isSide): Working
    {
        $height = Working::start('height of the box', $this->box->outerHeight());

        return match (true) {
            $isSide => $height,
            $this->box->isOpen && $this->box->isBottomless() => $height,
            $this->box->isOpen => $height->minus('bottom', $this->terms->materials->carcass->thickness),
            $this->box->isBottomless() => $height->minus('top', $this->terms->materials->carcass->thickness),
            default => $height->minusTimes('bottom and top', 2, $this->terms->materials->carcass->thickness),
        };
    }

    /** To its long point: the face that stands under the higher end of the rake. */
    private function rakedHeight(float $u, bool $isSide): Working
    {
        $at = fn (float $u): float => $this->box->topAt($u, $this->box->face()) - $this->box->z;
        $isOver = $isSide && $this->terms->rules->topOverSides;
        if ($isSide) {
            $outer = $u < $this->box->u + 1e-6 ? $u : $u + $this->t;
            $length = Working::start('height of its outer face', Length::ofDouble($at($outer)));
            $length = $isOver ? $length->minus('the top over it', Length::ofDouble($this->plumb())) : $length;

            return $at($outer) < $this->box->top->highest() - 1e-6 ? $length->plus('to the long point of the bevel', Length::ofDouble($this->t * tan($this->angle()))) : $length;
        }

        $there = Working::start('height of the box there', Length::ofDouble(max($at($u), $at($u + $this->t))));

        return ($this->box->isBottomless() ? $there : $there->minus('bottom', $this->terms->materials->carcass->thickness))
            ->minus('sloped top over it', Length::ofDouble($this->plumb()));
    }

    private function isFull(bool $isSide, Outline $outline): bool
    {
        return abs($outline->bounds()[1] - $this->height($isSide)->result->toDouble()) < 1e-6;
    }

    /** An upright cut to a slope that rises from the wall: x up, y from the back. A divider stands under the top's boards. */
    private function underTheSlope(bool $isSide): Outline
    {
        $top = $this->box->top;
        $behind = $this->v - $this->box->v;
        $slope = ($top->front - $top->back) / $top->breaks;
        [$less, $most] = $isSide ? [0.0, $top->front] : [$this->plumb() + $this->foot(), $top->front - $this->t - $this->foot()];
        $at = fn (float $y): float => min($most, $top->back + $slope * ($behind + $y) - $less);
        $points = [new Point(0.0, 0.0), new Point(max(1.0, $at(0.0)), 0.0)];
        $breaks = ($most + $less - $top->back) / $slope - $behind;
        if ($breaks > 1e-6 && $breaks < $this->d - 1e-6) {
            $points[] = new Point($most, $breaks);
        }

        return new Outline(new Polygon([...$points, new Point(max(1.0, $at($this->d)), $this->d), new Point(0.0, $this->d)]));
    }

    private function between(string $role, string $name, float $z): Placed
    {
        $piece = $this->make->inner($role, $name, $this->joints->between($this->betweenSides()), $this->behind->depth($this->behind->levels), Purpose::Carcass, Grain::Length, [new Finished('front, long', Finish::ofFront($this->terms->rules->schools->edges))], [$this->joints->words()]);

        return new Placed($piece, Pose::at($this->box->u + $this->t - $this->joints->deep()->toDouble(), $this->box->v + $this->behind->levels->toDouble(), $z, Way::Right, Way::Out, Way::Up), Part::Body, $this->box->id);
    }

    /** @return list<Placed> */
    private function tops(): array
    {
        $top = $this->box->top;

        return match (true) {
            $this->box->isOpen => [],
            $top->isRaked() => [$this->rakedTop()],
            $top->isSloped() => $this->slopedTops(),
            $this->box->hasStretcher() => [$this->stretcher()],
            default => [$this->between('top', 'Top', $this->box->highest() - $this->t)],
        };
    }

    /** In front, flat under what closes the box. */
    private function stretcher(): Placed
    {
        $wide = Working::start('width of a nailer', $this->terms->rules->get(Rule::NailerWidth));
        $piece = $this->make->inner('top', 'Front stretcher', $this->joints->between($this->betweenSides()), $wide, Purpose::Carcass, Grain::Length, [new Finished('front, long', Finish::ofFront($this->terms->rules->schools->edges))], [$this->joints->words(), 'what lies over it is screwed up through it']);

        return new Placed($piece, Pose::at($this->box->u + $this->t - $this->joints->deep()->toDouble(), $this->v + $this->d - $wide->result->toDouble(), $this->box->highest() - $this->t, Way::Right, Way::Out, Way::Up), Part::Body, $this->box->id);
    }

    /**
     * Between the sides (x₂ − x₁ − 2t)/cos θ along each face; over them (x₂ − x₁)/cos θ. Its ends are plumb, so both are
     * bevelled, and its blank is t·tan θ longer.
     */
    private function rakedTop(): Placed
    {
        $angle = $this->angle();
        $isOver = $this->terms->rules->topOverSides;
        $across = $isOver ? Working::start('width of the box', $this->box->outerWidth()) : $this->betweenSides();
        $length = $across->plus(sprintf('along the slope, ÷ cos %.1f°', rad2deg($angle)), Length::ofDouble($across->result->toDouble() * (1 / cos($angle) - 1)))
            ->plus('to the long points of the bevels', Length::ofDouble($this->t * tan($angle)));
        $rises = $this->box->top->right > $this->box->top->left;
        $long = $length->roundedDown($this->terms->format)->result->toDouble();
        $bevels = $this->plumbEnds($long, $this->d, $rises);
        $works = [new Finished('front, long', Finish::ofFront($this->terms->rules->schools->edges)), new Bevelled('both ends, short', $angle, bevels: $bevels)];
        $piece = $this->make->inner('top', 'Sloped top', $length, $this->depth, Purpose::Carcass, Grain::Length, $works, [$isOver ? 'screwed down into both sides' : $this->joints->buttWords()]);
        $from = $this->box->u + ($isOver ? 0.0 : $this->t);
        $turn = $rises ? $angle : -$angle;
        // Its lower face begins at the left plumb end; where it falls to the right, that is past the blank's corner.
        $at = new Vector($from, $this->v, $this->box->topAt($from, $this->box->face()) - $this->plumb());
        $along = new Vector(cos($turn), 0.0, sin($turn));
        $at = $rises ? $at : $at->minus($along->times($this->t * tan($angle)));

        return new Placed($piece, new Pose($at, $along, Way::Out->vector(), new Vector(-sin($turn), 0.0, cos($turn))), Part::Body, $this->box->id);
    }

    /**
     * Both ends of a sloped board, plumb: at its upper end the lower face is shorter, at its lower end the upper one.
     *
     * @return list<Bevel>
     */
    private function plumbEnds(float $long, float $wide, bool $rises): array
    {
        $end = fn (float $x) => [new Point($x, 0.0), new Point($x, $wide)];
        $slope = tan($this->angle());

        return [new Bevel($end(0.0), $slope, $rises), new Bevel($end($long), $slope, ! $rises)];
    }

    /** @return non-empty-list<Placed> the sloped part, and the level one before it where there is room for it */
    private function slopedTops(): array
    {
        $top = $this->box->top;
        $angle = $this->angle();
        $breaks = min($this->v + $this->d, $this->box->v + $top->breaks);
        $levels = $this->v + $this->d - $breaks;
        $slant = Working::start('along the slope', Length::ofDouble(max(1.0, ($breaks - $this->v) / cos($angle))))
            ->plus('to the long points of the bevels', Length::ofDouble($this->t * tan($angle)));
        $wide = $slant->roundedDown($this->terms->format)->result->toDouble();
        $edge = fn (float $y) => [new Point(0.0, $y), new Point($this->betweenSides()->roundedDown($this->terms->format)->result->toDouble(), $y)];
        $bevels = [new Bevel($edge(0.0), tan($angle), true), new Bevel($edge($wide), tan($angle), false)];
        $piece = $this->make->inner('top-slope', 'Sloped top', $this->betweenSides(), $slant, Purpose::Carcass, Grain::Length, [new Bevelled('both, long', $angle, bevels: $bevels)], [$this->joints->buttWords()]);
        $at = new Vector($this->box->u + $this->t, $this->v, $this->box->topAt($this->box->u, $this->v) - $this->plumb());
        $placed = [new Placed($piece, new Pose($at, Way::Right->vector(), new Vector(0.0, cos($angle), sin($angle)), new Vector(0.0, -sin($angle), cos($angle))), Part::Body, $this->box->id)];
        if ($levels >= self::LEAST_TOP) {
            $flat = $this->make->inner('top', 'Top', $this->betweenSides(), Working::start('before the slope', Length::ofDouble($levels)), Purpose::Carcass, Grain::Length, [new Finished('back, long', Finish::Straight)], [$this->joints->buttWords()]);
            $deep = $flat->width->result->toDouble();
            $placed[] = new Placed($flat, Pose::at($this->box->u + $this->t, $this->v + $this->d - $deep, $this->box->highest() - $this->t, Way::Right, Way::Out, Way::Up), Part::Body, $this->box->id);
        }

        return $placed;
    }
}
