<?php

declare(strict_types=1);

namespace Incastro\Units\Shell;

use Incastro\Fit\Box;
use Incastro\Fit\Column;
use Incastro\Fit\Terms;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Unit;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Sawn;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Rule;
use Incastro\Rules\Schools\BoxBack;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\BoxJoints;
use Incastro\Units\Make\Workshop;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/**
 * The back of a box, by the job's school: thin and laid on behind, a little smaller than it; the same in rabbets of the sides;
 * or as thick as the box between its boards. Under a rake or a slope it follows the top. Where a box of several bays is wider
 * than a sheet, its back is in parts that meet in the middle of a divider.
 */
final readonly class Backs
{
    private Workshop $make;

    /** How much less than the box on every side, mm. */
    private float $half;

    private float $wide;

    private Length $rabbet;

    private float $in;

    public function __construct(private Box $box, private Terms $terms, private Behind $behind)
    {
        $this->make = new Workshop($box->id, $box->mark, $terms->materials, $terms->format);
        $this->half = $terms->rule(Rule::BackPlay) / 2;
        $this->wide = $box->outerWidth()->toDouble();
        $this->rabbet = Length::ofDouble(min($terms->board() / 2, $terms->rules->unit === Unit::Inch ? 9.525 : 9.0));
        // How far it begins inside the sides' outer faces.
        $this->in = match (true) {
            $behind->isLetIn() => $terms->board(),
            $behind->school === BoxBack::Rabbeted => $terms->board() - $this->rabbet->toDouble(),
            $behind->school === BoxBack::Inset => $terms->board(),
            default => 0.0,
        };
    }

    public function build(): Assembly
    {
        if ($this->behind->school === BoxBack::None) {
            return new Assembly([]);
        }
        $seams = $this->seams();
        $placed = $joints = [];
        $from = array_shift($seams);
        $count = count($seams);
        foreach ($seams as $i => $to) {
            $placed[] = $back = $this->part($from, $to, $count === 1 ? null : $i + 1);
            $under = [...($this->box->isBottomless() ? [] : ['bottom']), $this->box->top->isSloped() ? 'top-slope' : 'top'];
            $beside = $this->behind->isLetIn() && $this->behind->school !== BoxBack::Inset ? [] : [$i === 0 ? 'side-L' : 'divider-'.$this->dividerAt($from), $i === $count - 1 ? 'side-R' : 'divider-'.$this->dividerAt($to)];
            foreach ([...$beside, ...$under] as $board) {
                $joints[] = $this->joint($back->piece->key, $board);
            }
            $from = $to;
        }

        return new Assembly($placed, $joints);
    }

    private function joint(string $back, string $board): Joint
    {
        $key = $this->box->id.':'.$board;
        $isSide = str_starts_with($board, 'side');

        return match (true) {
            $this->behind->school === BoxBack::Rabbeted && $isSide => new Joint($back, $key, JointKind::Rabbet, 'backs', $this->rabbet->toDouble()),
            $this->behind->school === BoxBack::Inset && ! str_starts_with($board, 'divider') => (BoxJoints::of($this->terms, $this->box))->butt($back, $key, 'backs'),
            default => new Joint($back, $key, JointKind::Screws, 'backs'),
        };
    }

    /** Up, but across in a low and wide box, whose back lies along the sheet. */
    private function grain(Working $length, Working $width): Grain
    {
        $most = $this->terms->rules->get(Rule::WidestBack);

        return $width->result->isGreaterThan($most) && $length->result->isLessThan($most) ? Grain::Width : Grain::Length;
    }

    /** @return non-empty-list<float> from the left of the box, mm: its sides, and the dividers at which a part ends */
    private function seams(): array
    {
        $most = $this->terms->rule(Rule::WidestBack);
        $ends = [...array_map(fn (Column $column) => $column->x - $this->terms->board() / 2, array_slice($this->box->columns, 1)), $this->wide - $this->in];
        $seams = [$this->in];
        // A part goes on to the last divider that it reaches.
        for ($i = 1; $i < count($ends); $i++) {
            if ($ends[$i] - $seams[count($seams) - 1] > $most) {
                $seams[] = $ends[$i - 1];
            }
        }

        return [...$seams, $this->wide - $this->in];
    }

    private function dividerAt(float $seam): int
    {
        foreach (array_slice($this->box->columns, 1) as $i => $column) {
            if (abs($column->x - $this->terms->board() / 2 - $seam) < 0.1) {
                return $i + 1;
            }
        }

        return 1;
    }

    private function part(float $from, float $to, ?int $number): Placed
    {
        $play = $this->terms->rules->get(Rule::BackPlay);
        $board = $this->terms->materials->carcass->thickness;
        $top = $this->box->top;
        $high = $top->isSloped()
            ? Working::start('height of the back, under the slope', Length::ofDouble($top->back))
            : Working::start('height of the box', $this->box->outerHeight());
        $length = match (true) {
            $this->behind->school !== BoxBack::Inset => $high->minus('less than the box', $play),
            $this->box->isOpen && $this->box->isBottomless() => $high->minus('air', $play),
            $this->box->isOpen => $high->minus('bottom', $board)->minus('air', $play),
            $this->box->isBottomless() => $high->minus('top', $board)->minus('air', $play),
            default => $high->minusTimes('bottom and top', 2, $board)->minus('air', $play),
        };
        $width = $number === null
            ? $this->width($play)
            : Working::start('to the middle of a divider', Length::ofDouble($to - $from))->minus('air at its seams and sides', $play);
        $outline = null;
        $works = [];
        if ($top->isRaked()) {
            $wide = $width->roundedDown($this->terms->format)->result->toDouble();
            $at = fn (float $x): float => $top->at($x / $this->wide, 0.0) - 2 * $this->half;
            [$left, $right] = [$at($from), $at($to)];
            $length = $number === null ? $length : Working::start('height of the box there', Length::ofDouble(max($left, $right) + 2 * $this->half))->minus('less than the box', $play);
            $outline = new Outline(Polygon::raked($left, $right, $wide));
            $works[] = new Sawn('top, short', $top->angle($this->wide), ' to the rake');
        }
        $role = $number === null ? 'back' : "back-$number";
        [$purpose, $words, $foot] = match ($this->behind->school) {
            BoxBack::Inset => [Purpose::Carcass, 'between the boards', $this->box->isBottomless() ? 0.0 : $this->terms->board()],
            BoxBack::Rabbeted => [Purpose::Back, 'in the rabbets of the sides, screwed all round', 0.0],
            default => [Purpose::Back, 'laid on behind, screwed all round', 0.0],
        };
        $back = $this->make->inner($role, 'Back', $length, $width, $purpose, $this->grain($length, $width), $works, [$words], $outline);

        return new Placed($back, Pose::at($this->box->u + $from + $this->half, $this->box->v + $this->behind->letIn->toDouble(), $this->box->z + $foot + $this->half, Way::Up, Way::Right, Way::Out), Part::Back, $this->box->id);
    }

    private function width(Length $play): Working
    {
        $wide = Working::start('width of the box', $this->box->outerWidth());
        $t = $this->terms->materials->carcass->thickness;

        return match (true) {
            $this->behind->isLetIn() => $wide->minusTimes('two sides', 2, $t)->minus('air', $play),
            $this->behind->school === BoxBack::Rabbeted => $wide->minusTimes('two sides', 2, $t)->plusTimes('into both rabbets', 2, $this->rabbet)->minus('air', $play),
            $this->behind->school === BoxBack::Inset => $wide->minusTimes('two sides', 2, $t)->minus('air', $play),
            default => $wide->minus('less than the box', $play),
        };
    }
}
