<?php

declare(strict_types=1);

namespace Incastro\Units\Shell;

use Incastro\Fit\Box;
use Incastro\Fit\Column;
use Incastro\Fit\Terms;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Sawn;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Rule;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\Workshop;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/**
 * The thin back of a box, laid on behind and a little smaller than it; under a rake or a slope it follows the top. Where a
 * box of several bays is wider than a sheet, its back is in parts that meet in the middle of a divider.
 */
final readonly class Backs
{
    private Workshop $make;

    /** How much less than the box on every side, mm. */
    private float $half;

    private float $wide;

    public function __construct(private Box $box, private Terms $terms)
    {
        $this->make = new Workshop($box->id, $box->mark, $terms->materials, $terms->format);
        $this->half = $terms->rule(Rule::BackPlay) / 2;
        $this->wide = $box->outerWidth()->toDouble();
    }

    public function build(): Assembly
    {
        $seams = $this->seams();
        $placed = $joints = [];
        $from = array_shift($seams);
        $count = count($seams);
        foreach ($seams as $i => $to) {
            $placed[] = $back = $this->part($from, $to, $count === 1 ? null : $i + 1);
            $under = ['bottom', $this->box->top->isSloped() ? 'top-slope' : 'top'];
            $beside = [$i === 0 ? 'side-L' : 'divider-'.$this->dividerAt($from), $i === $count - 1 ? 'side-R' : 'divider-'.$this->dividerAt($to)];
            foreach ([...$beside, ...$under] as $board) {
                $joints[] = new Joint($back->piece->key, $this->box->id.':'.$board, JointKind::Screws, 'backs');
            }
            $from = $to;
        }

        return new Assembly($placed, $joints);
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
        $ends = [...array_map(fn (Column $column) => $column->x - $this->terms->board() / 2, array_slice($this->box->columns, 1)), $this->wide];
        $seams = [0.0];
        // A part goes on to the last divider that it reaches.
        for ($i = 1; $i < count($ends); $i++) {
            if ($ends[$i] - $seams[count($seams) - 1] > $most) {
                $seams[] = $ends[$i - 1];
            }
        }

        return [...$seams, $this->wide];
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
        $top = $this->box->top;
        $high = $top->isSloped()
            ? Working::start('height of the back, under the slope', Length::ofDouble($top->back))
            : Working::start('height of the box', $this->box->outerHeight());
        $length = $high->minus('less than the box', $play);
        $width = $number === null
            ? Working::start('width of the box', $this->box->outerWidth())->minus('less than the box', $play)
            : Working::start('to the middle of a divider', Length::ofDouble($to - $from))->minus('air at its seams and sides', $play);
        $outline = null;
        $works = [];
        if ($top->isRaked()) {
            $wide = $width->roundedDown($this->terms->format)->result->toDouble();
            $at = fn (float $x): float => $top->at($x / $this->wide, 0.0) - 2 * $this->half;
            [$left, $right] = [$at($from), $at($to)];
            $length = $number === null ? $length : Working::start('height of the box there', Length::ofDouble(max($left, $right) + 2 * $this->half))->minus('less than the box', $play);
            $outline = new Outline(new Polygon([new Point(0.0, 0.0), new Point($left, 0.0), new Point($right, $wide), new Point(0.0, $wide)]));
            $works[] = new Sawn('top, short', $top->angle($this->wide), ' to the rake');
        }
        $role = $number === null ? 'back' : "back-$number";
        $back = $this->make->inner($role, 'Back', $length, $width, Purpose::Back, $this->grain($length, $width), $works, ['laid on behind, screwed all round'], $outline);

        return new Placed($back, Pose::at($this->box->u + $from + $this->half, $this->box->v, $this->box->z + $this->half, Way::Up, Way::Right, Way::Out), Part::Back, $this->box->id);
    }
}
