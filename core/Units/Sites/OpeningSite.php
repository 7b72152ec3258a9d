<?php

declare(strict_types=1);

namespace Incastro\Units\Sites;

use Incastro\Fit\Box;
use Incastro\Fit\Column;
use Incastro\Fit\Holds\TakesBack;
use Incastro\Fit\Layout\Option;
use Incastro\Fit\Opening;
use Incastro\Fit\Terms;
use Incastro\Geometry\Block;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Vector;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Piece;
use Incastro\Rules\Edits;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;
use Incastro\Survey\Room\RunFrame;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\BoxJoints;
use Incastro\Units\Make\Workshop;
use Incastro\Units\Part;
use Incastro\Units\Placed;
use Incastro\Units\Shell\Behind;
use Incastro\Units\Shell\BoxShell;
use Incastro\Units\Shell\FaceFrame;
use Incastro\Units\Shell\Nailers;
use Incastro\Units\SizeUse;

/**
 * An opening of a box, in a frame of its own: x to the right from the inner face of the board at its left, y out from the
 * front face of the back, z up from the upper face of the board below, mm. It knows its clear sizes and the boards around it.
 */
final readonly class OpeningSite
{
    public Workshop $make;

    private Column $column;

    private OpeningTop $over;

    /** Of the box's boards: how far they reach from the back to the face frame. */
    private Working $inner;

    public function __construct(
        public Box $box,
        private int $at,
        public Opening $opening,
        public Terms $terms,
        private BoxShell $shell,
        private Nailers $nailers,
        private Behind $behind,
        private Numbers $numbers,
        private bool $isPastLeaf = false,
        public ?RunFrame $frame = null,
    ) {
        $this->column = $box->columns[$at];
        $this->inner = $shell->depth;
        $this->over = new OpeningTop($box, $opening, $this->column->openings[count($this->column->openings) - 1] === $opening, $terms->board());
        $this->make = (new Workshop($box->id, $box->mark, $terms->materials, $terms->format))->of($opening->tierId);
    }

    /** The same where what is made for a purpose is made of another material. */
    public function madeOf(Purpose $purpose, ?string $material): self
    {
        return new self(...['terms' => $this->terms->making($purpose, $material)] + $this->parts());
    }

    /** The same as far as what slides out past the open leaf before it may use it. */
    public function pastLeaf(): self
    {
        return new self(...['isPastLeaf' => true] + $this->parts());
    }

    /** @return array<string, mixed> what it is made of */
    private function parts(): array
    {
        return array_diff_key(get_object_vars($this), ['make' => 1, 'column' => 1, 'inner' => 1, 'over' => 1]);
    }

    /** Clear width between the boards. */
    public function width(): Working
    {
        return count($this->box->columns) === 1 ? $this->shell->betweenSides() : Working::start('clear width of the bay', $this->column->width->result);
    }

    /** Clear height between the boards, at the lower side under a slope. */
    public function height(): Working
    {
        if (! $this->box->hasOneCell() || $this->box->top->isRaked()) {
            return Working::start('clear height of the opening', $this->opening->height->result);
        }
        $outer = Working::start('height of the box', $this->box->outerHeight());
        return $this->box->isBottomless() ? $outer->minus('top', $this->terms->materials->carcass->thickness) : $outer->minusTimes('bottom and top', 2, $this->terms->materials->carcass->thickness);
    }

    /**
     * How deep a level board is at a height, so thick, mm: what the sloped top, a nailer and a front leave.
     *
     * @param  bool  $isInside  whether it stands behind the front, rather than being a board of the box itself
     */
    public function depthAt(float $z, float $t, bool $isInside = true): Working
    {
        $up = $this->opening->z + $z;
        $reaches = $this->over->reaches($z + $t, $this->behind());
        // Flush with the front of boards whose depth is rounded: what is taken off behind counts from there.
        $inner = $this->inner->roundedDown($this->terms->format);
        $taken = $isInside ? $this->taken() : Length::zero();
        if (! $taken->isZero() && $taken->toDouble() > $reaches) {
            $inner = $inner->minus('what is before the back', $taken);

            return $this->behindFront()->isZero() ? $inner : $inner->minus('clear of the front', $this->behindFront());
        }
        $depth = $reaches > 0.0 ? $inner->minus('the slope takes', Length::ofDouble($reaches)) : $this->inner;
        $less = $this->behindFront();
        $depth = $isInside && ! $less->isZero() ? ($reaches > 0.0 ? $depth : $inner)->minus('clear of the front', $less) : $depth;
        $inner = $isInside && ! $less->isZero() ? $depth : $inner;

        return $reaches < $t && $this->nailers->meets($this->at, $up, $up + $t)
            ? ($reaches > 0.0 ? $depth : $inner)->minus('stops before a nailer', $this->terms->materials->carcass->thickness)
            : $depth;
    }

    /** Where the face is, from the back's front: y, mm. */
    public function face(): float
    {
        return $this->inner->roundedDown($this->terms->format)->result->toDouble() + $this->terms->frame()->toDouble();
    }

    /** Depth from the back to the face. */
    public function depth(): Working
    {
        $inner = $this->inner->roundedDown($this->terms->format);

        return $this->terms->frame()->isZero() ? $inner : $inner->plus('face frame', $this->terms->frame());
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
        $outer = fn (Rule $rule): float => $this->terms->faceOf($rule) - $t;
        $rows = $this->column->openings;
        $isLast = $rows[count($rows) - 1] === $this->opening;
        $plumb = $isLast && $this->box->top->isRaked() ? 1 / cos($this->box->top->angle($this->box->outerWidth()->toDouble())) : 1.0;
        $rail = $this->box->hasFlushRails() ? 0.0 : $outer(Rule::RailWidth);
        $open = $this->isPastLeaf ? $this->opening->front?->holds->demand($this->terms->rules, $this->terms->materials) : null;

        return [
            $outer(Rule::StileWidth) / ($this->at === 0 ? 1 : 2) + ($open?->left?->toDouble() ?? 0.0),
            $outer(Rule::StileWidth) / ($this->at === count($this->box->columns) - 1 ? 1 : 2) + ($open?->right?->toDouble() ?? 0.0),
            $this->isOpenBelow() && $this->box->hasFootRail() && ! $this->terms->frame()->isZero() ? $this->terms->faceOf(Rule::RailWidth) : ($this->opening->isSpanned || $this->isOpenBelow() ? 0.0 : $rail / ($rows[0] === $this->opening ? 1 : 2)),
            ! $isLast && $rows[(int) array_search($this->opening, $rows, true) + 1]->isSpanned ? 0.0 : $rail * $plumb / ($isLast ? 1 : 2),
        ];
    }

    /** Width that is free between the stiles before it. */
    public function between(): Working
    {
        [$left, $right] = $this->frame();

        return $left + $right < 1e-6 ? $this->width() : $this->width()->minus('what the frame stands inside the boards', Length::ofDouble($left + $right));
    }

    /** How far out what reaches between two heights is held off the back by a nailer, or by what options put before it; mm. */
    public function nailerBetween(float $from, float $to): float
    {
        return max($this->taken()->toDouble(), $this->nailers->meets($this->at, $this->opening->z + $from, $this->opening->z + $to) ? $this->terms->board() : 0.0);
    }

    /** Whether no board lies under it. */
    public function isOpenBelow(): bool
    {
        return $this->box->isBottomless() && $this->column->openings[0] === $this->opening;
    }

    /** What options take of the depth before the back. */
    public function taken(): Length
    {
        return array_reduce($this->opening->options, fn (Length $taken, Option $option): Length => $option->holds instanceof TakesBack ? $taken->plus($option->holds->takes($this->terms->materials)) : $taken, Length::zero());
    }

    /** A place of the opening in the run's frame. */
    public function at(float $x, float $y, float $z): Vector
    {
        return new Vector($this->box->u + $this->column->x + $x, $this->box->v + $this->behind() + $y, $this->box->z + $this->opening->z + $z);
    }

    /** The bay it is in. */
    public function bay(): string
    {
        return $this->column->bayId;
    }

    /** What takes up room of the opening, in the run's frame. */
    public function block(float $x0, float $x1, float $y0, float $y1, float $z0, float $z1): Block
    {
        [$from, $to] = [$this->at($x0, $y0, $z0), $this->at($x1, $y1, $z1)];

        return new Block($from->x, $to->x, $from->y, $to->y, $from->z, $to->z);
    }

    /** The way out of a depth that is so much too small. */
    public function deeper(Length $by): WayOut
    {
        $deep = $this->box->outerDepth()->plus($by)->roundedUp($this->terms->format->step);

        return new WayOut(sprintf('Make the box %s deep', $this->terms->format->write($deep)), Edits::tier($this->box->id)->measuring('depth', $deep));
    }

    /** @return list<WayOut> what closes it is taken away, where anything does */
    public function unclosed(string $label): array
    {
        return $this->opening->front === null ? [] : [new WayOut($label, Edits::withoutFront($this->opening->front->id))];
    }

    /** The way out of what does not go in at all. */
    public function emptied(): WayOut
    {
        return new WayOut('Leave an open gap instead', Edits::tier($this->opening->tierId)->emptied());
    }

    /** Where the face opening ends at the top, over the board below, at a place along it, and no higher than a slope leaves as far behind the face as a front is thick; mm. */
    public function upper(float $x): float
    {
        $front = $this->terms->materials->for(Purpose::Front)->thickness->toDouble();

        return min($this->over->along($this->column->x + $x) - $this->frame()[3], $this->under($this->face() - $front));
    }

    /** How high the lowest place over the opening is so far before its back: under a slope that falls to the wall; along a rake it rises as its face does. Over the board below, mm. */
    public function under(float $y = 0.0): float
    {
        return $this->over->behind($this->behind() + $y);
    }

    /** How far what stands inside keeps behind the boards' front edges, because a front closes the opening. */
    public function behindFront(): Length
    {
        $behind = $this->opening->front?->holds->demand($this->terms->rules, $this->terms->materials)->behind ?? Length::zero();
        $frame = $this->terms->frame();

        return $behind->isGreaterThan($frame) ? $behind->minus($frame) : Length::zero();
    }

    /** How far the back's front is from the box's rear, mm. */
    private function behind(): float
    {
        return $this->behind->inner->toDouble();
    }

    /** @return non-empty-list<string> keys of the boards at its left and right */
    public function beside(): array
    {
        return $this->shell->beside($this->at);
    }

    /** @return array{string, string} keys of the boards below and above it */
    public function boards(): array
    {
        $rows = $this->column->openings;
        $at = (int) array_search($this->opening, $rows, true);

        return [
            $at === 0 ? $this->box->id.':bottom' : $rows[$at - 1]->tierId.':board',
            $at === count($rows) - 1 ? $this->box->id.':top' : $this->opening->tierId.':board',
        ];
    }

    /** Whether a nailer stands before its back between two heights, mm. */
    public function meetsNailer(float $from, float $to): bool
    {
        return $this->nailers->meets($this->at, $this->opening->z + $from, $this->opening->z + $to);
    }

    /**
     * Where nailers stand before its back between two heights of it.
     *
     * @return list<array{float, float}> from and to, over the board below, mm
     */
    public function nailersIn(float $from, float $to): array
    {
        $z = $this->opening->z;

        return array_map(fn (array $place) => [$place[0] - $z, $place[1] - $z], $this->nailers->between($this->at, $z + $from, $z + $to));
    }

    /**
     * What is left between the boards at its left and right when sizes in it are taken off: of a box with one opening across what
     * its bottom keeps them apart, else the width as decided.
     *
     * @param  array<string, float>  $factors
     */
    public function play(string $name, array $factors, float $least, float $most, string $sentence, float $constant = 0.0): SizeUse
    {
        return count($this->box->columns) === 1 && ! $this->box->isBottomless()
            ? new SizeUse($name, $this->opening->tierId, $constant - 2 * $this->joints()->deep()->toDouble(), [$this->box->id.':bottom.length' => 1.0] + $factors, $least, $most, $sentence)
            : new SizeUse($name, $this->opening->tierId, $constant + $this->column->width->result->toDouble(), $factors, $least, $most, $sentence);
    }

    /** How boards of the box meet. */
    public function joints(): BoxJoints
    {
        return BoxJoints::of($this->terms, $this->box);
    }

    /** @return list<Joint> of a board that is fixed between those on both sides */
    public function fixed(Piece $piece, string $use): array
    {
        return array_map(fn (string $side) => $this->joints()->joint($piece->key, $side, $use), $this->beside());
    }

    /** @return non-empty-list<string> keys of what a leaf is hinged to at its left and right: stiles, or the boards themselves */
    public function posts(): array
    {
        return $this->terms->frame()->isZero() ? $this->beside() : FaceFrame::stiles($this->box, $this->at);
    }

    /** The edges that fronts close. */
    public function edges(): FaceEdges
    {
        return new FaceEdges($this->terms, $this->box, $this->at, $this->column, $this->opening, $this->face());
    }

    /** @return list<Joint> of a piece that is held by the boards on both sides */
    public function toSides(Piece $piece, JointKind $kind, string $use): array
    {
        return array_map(fn (string $side) => new Joint($piece->key, $side, $kind, $use), $this->beside());
    }

    /** How deep what reaches up to a height is: from the back, or what a slope leaves of it, to the front edges of the boards, or as far behind them as a front asks. */
    public function inside(float $upTo): Working
    {
        $inner = $this->inner->roundedDown($this->terms->format);
        $slope = $this->over->reaches($upTo, $this->behind());
        $taken = $this->taken();
        $inner = match (true) {
            $taken->toDouble() > $slope => $inner->minus('what is before the back', $taken),
            $slope > 0.0 => $inner->minus('the slope takes', Length::ofDouble($slope)),
            default => $inner,
        };
        $less = $this->behindFront();

        return $less->isZero() ? $inner : $inner->minus('clear of the front', $less);
    }

    /** Where what stands inside ends in front; y, mm. */
    public function front(): float
    {
        return $this->inner->roundedDown($this->terms->format)->result->toDouble() - $this->behindFront()->toDouble();
    }

    /** A level board in the middle between the sides, flush in front or behind what closes the opening, at a height. */
    public function level(Piece $piece, float $z, Part $part, bool $isInside = true): Placed
    {
        $long = $piece->length->result->toDouble();
        $front = $isInside ? $this->front() : $this->inner->roundedDown($this->terms->format)->result->toDouble();

        return $this->placed($piece, ($this->column->width->result->toDouble() - $long) / 2, $front - $piece->width->result->toDouble(), $z, Way::Right, Way::Out, Way::Up, $part);
    }

    /** A piece whose blank has its corner at a place of the opening. */
    public function placed(Piece $piece, float $x, float $y, float $z, Way $length, Way $width, Way $thickness, Part $part): Placed
    {
        return new Placed($piece, new Pose($this->at($x, $y, $z), $length->vector(), $width->vector(), $thickness->vector()), $part, $this->box->id);
    }

    /** "B2" where the box has one opening, else "B2.3", counted through the box. */
    public function name(): string
    {
        return Numbers::name($this->box, $this->opening);
    }

    /** The mark of a role that every opening may have one of: where the box has several, with the opening's number. */
    public function mark(string $role): string
    {
        $name = $this->name();

        return $name === $this->box->mark ? $role : $role.'-'.substr($name, strlen($this->box->mark) + 1);
    }

    /** The next mark of a role, counted through the box: "shelf-3". */
    public function next(string $role): string
    {
        return $role.'-'.$this->numbers->next($role);
    }
}
