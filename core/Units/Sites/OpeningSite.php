<?php

declare(strict_types=1);

namespace Incastro\Units\Sites;

use Incastro\Fit\Box;
use Incastro\Fit\Column;
use Incastro\Fit\Opening;
use Incastro\Fit\Terms;
use Incastro\Geometry\Block;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Vector;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Piece;
use Incastro\Rules\Rule;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\Workshop;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Shell\BoxShell;
use Incastro\Units\Shell\Nailers;

/**
 * An opening of a box, in a frame of its own: x to the right from the inner face of the board at its left, y out from the
 * front face of the back, z up from the upper face of the board below, mm. It knows its clear sizes and the boards around it.
 */
final readonly class OpeningSite
{
    public Workshop $make;

    private Column $column;

    /** Of the box's boards: how far they reach from the back to the face frame. */
    private Working $inner;

    public function __construct(
        public Box $box,
        private int $at,
        public Opening $opening,
        public Terms $terms,
        private BoxShell $shell,
        private Nailers $nailers,
        private Numbers $numbers,
    ) {
        $this->column = $box->columns[$at];
        $this->inner = $shell->depth;
        $this->make = (new Workshop($box->id, $box->mark, $terms->materials, $terms->format))->of($opening->tierId);
    }

    /** Clear width between the boards. */
    public function width(): Working
    {
        return count($this->box->columns) === 1 ? $this->shell->betweenSides() : Working::start('clear width of the bay', $this->column->width->result);
    }

    /** Clear height between the boards, at the lower side under a slope. */
    public function height(): Working
    {
        return $this->isAlone() && ! $this->box->top->isRaked()
            ? Working::start('height of the box', $this->box->outerHeight())->minusTimes('bottom and top', 2, $this->terms->materials->carcass->thickness)
            : Working::start('clear height of the opening', $this->opening->height->result);
    }

    private function isAlone(): bool
    {
        return count($this->box->columns) === 1 && count($this->box->columns[0]->openings) === 1;
    }

    /** How deep a level board is at a height, so thick: what the sloped top and a nailer leave; mm. */
    public function depthAt(float $z, float $t): Working
    {
        $up = $this->opening->z + $z;
        $top = $this->box->top;
        $reaches = $top->isSloped() ? $top->reaches($up + $t + $this->terms->board() / cos($top->angle(1.0))) - $this->behind() : 0.0;
        // Flush with the front of boards whose depth is rounded: what is taken off behind counts from there.
        $inner = $this->inner->roundedDown($this->terms->format);
        $depth = $reaches > 0.0 ? $inner->minus('the slope takes', Length::ofDouble($reaches)) : $this->inner;

        return $reaches < $t && $this->nailers->meets($this->at, $up, $up + $t)
            ? ($reaches > 0.0 ? $depth : $inner)->minus('stops before a nailer', $this->terms->materials->carcass->thickness)
            : $depth;
    }

    /** Where the face is, from the back's front: y, mm. */
    public function face(): float
    {
        return $this->inner->roundedDown($this->terms->format)->result->toDouble() + $this->terms->materials->frame->thickness->toDouble();
    }

    /** Depth from the back to the face. */
    public function depth(): Working
    {
        return $this->inner->roundedDown($this->terms->format)->plus('face frame', $this->terms->materials->frame->thickness);
    }

    /**
     * How far the face frame stands inside the boards: at the left, the right, the foot and the top, mm. Under a rake its upper
     * rail is as much higher as it is cut, measured plumb.
     *
     * @return array{float, float, float, float}
     */
    public function frame(): array
    {
        $t = $this->terms->board();
        $outer = fn (Rule $rule): float => $this->terms->rule($rule) - $t;
        $rows = $this->column->openings;
        $isLast = $rows[count($rows) - 1] === $this->opening;
        $plumb = $isLast && $this->box->top->isRaked() ? 1 / cos($this->box->top->angle($this->box->outerWidth()->toDouble())) : 1.0;

        return [
            $outer(Rule::StileWidth) / ($this->at === 0 ? 1 : 2),
            $outer(Rule::StileWidth) / ($this->at === count($this->box->columns) - 1 ? 1 : 2),
            $outer(Rule::RailWidth) / ($rows[0] === $this->opening ? 1 : 2),
            $outer(Rule::RailWidth) * $plumb / ($isLast ? 1 : 2),
        ];
    }

    /** Width that is free between the stiles before it. */
    public function between(): Working
    {
        [$left, $right] = $this->frame();

        return $this->width()->minus('what the frame stands inside the boards', Length::ofDouble($left + $right));
    }

    /** How far out what reaches between two heights is held off the back by a nailer, mm. */
    public function nailerBetween(float $from, float $to): float
    {
        return $this->nailers->meets($this->at, $this->opening->z + $from, $this->opening->z + $to) ? $this->terms->board() : 0.0;
    }

    /** A block of the opening in the run's frame. */
    public function block(float $x0, float $x1, float $y0, float $y1, float $z0, float $z1): Block
    {
        [$u, $v, $z] = [$this->box->u + $this->column->x, $this->box->v + $this->behind(), $this->box->z + $this->opening->z];

        return new Block($u + $x0, $u + $x1, $v + $y0, $v + $y1, $z + $z0, $z + $z1);
    }

    /** Thickness of the back, mm. */
    private function behind(): float
    {
        return $this->terms->materials->back->thickness->toDouble();
    }

    /** @return non-empty-list<string> keys of the boards at its left and right */
    public function beside(): array
    {
        return $this->shell->beside($this->at);
    }

    /** @return list<Joint> of a piece that is held by the boards on both sides */
    public function toSides(Piece $piece, JointKind $kind, string $use): array
    {
        return array_map(fn (string $side) => new Joint($piece->key, $side, $kind, $use), $this->beside());
    }

    /** A level board in the middle between the sides, flush in front, at a height. */
    public function level(Piece $piece, float $z, Part $part): Placed
    {
        $long = $piece->length->result->toDouble();
        $front = $this->inner->roundedDown($this->terms->format)->result->toDouble();

        return $this->placed($piece, ($this->column->width->result->toDouble() - $long) / 2, $front - $piece->width->result->toDouble(), $z, Way::Right, Way::Out, Way::Up, $part);
    }

    /** A piece whose blank has its corner at a place of the opening. */
    public function placed(Piece $piece, float $x, float $y, float $z, Way $length, Way $width, Way $thickness, Part $part): Placed
    {
        $at = new Vector($this->box->u + $this->column->x + $x, $this->box->v + $this->behind() + $y, $this->box->z + $this->opening->z + $z);

        return new Placed($piece, new Pose($at, $length->vector(), $width->vector(), $thickness->vector()), $part, $this->box->id);
    }

    /** "B2" where the box has one opening, else "B2.3", counted through the box. */
    public function name(): string
    {
        $number = $at = 0;
        foreach ($this->box->columns as $column) {
            foreach ($column->openings as $opening) {
                $number++;
                $at = $opening === $this->opening ? $number : $at;
            }
        }

        return $number === 1 ? $this->box->mark : $this->box->mark.'.'.$at;
    }

    /** The next mark of a role, counted through the box: "shelf-3". */
    public function next(string $role): string
    {
        return $role.'-'.$this->numbers->next($role);
    }
}
