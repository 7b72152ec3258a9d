<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\Box;
use Incastro\Fit\Column;
use Incastro\Fit\Opening;
use Incastro\Fit\Terms;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\MaterialRole;
use Incastro\Rules\Rule;
use Incastro\Rules\WayOut;

/**
 * A box of one cell or several: its shell, a board between each two tiers, fixed and adjustable shelves at equal clear
 * spacing in every opening, a thin laid-on back and solid nailers top and bottom (handbook, "Units and their sums").
 */
final readonly class BoxWithShelves
{
    private const LOWEST_OPENING = 100;

    private PieceMaker $make;

    private BoxShell $shell;

    private Nailers $nailers;

    private float $t;

    private float $v;

    public function __construct(private Box $box, private Terms $terms)
    {
        $this->make = new PieceMaker($box->id, $box->mark, $terms->materials, $terms->format);
        $this->shell = new BoxShell($box, $terms, $this->innerDepth());
        $this->t = $terms->board();
        $this->v = $box->v + $terms->materials->back->thickness->toDouble();
        $this->nailers = new Nailers($box, $terms, $this->v);
    }

    public function build(): Assembly
    {
        $assemblies = [$this->shell->build()];
        $number = 0;
        foreach ($this->box->columns as $c => $column) {
            foreach ($column->openings as $i => $opening) {
                $assemblies[] = $this->shelves($c, $opening, $number);
                $number += $opening->shelves();
                if ($i < count($column->openings) - 1) {
                    $assemblies[] = $this->board($c, $opening);
                }
            }
        }

        return Assembly::all(...[...$assemblies, (new Backs($this->box, $this->terms))->build(), $this->nailers->build($this->make, $this->shell)]);
    }

    /** Depth of sides, bottom and top: the back is laid on behind, the face frame before them. */
    private function innerDepth(): Working
    {
        return Working::start('depth of the box', $this->box->outerDepth())
            ->minus('face frame', $this->terms->materials->frame->thickness)
            ->minus('laid-on back', $this->terms->materials->back->thickness);
    }

    private function wide(Column $column): Working
    {
        return count($this->box->columns) === 1 ? $this->shell->betweenSides() : Working::start('clear width of the bay', $column->width->result);
    }

    /** A board shared by two tiers, as deep as the slope leaves it. */
    private function board(int $c, Opening $below): Assembly
    {
        $column = $this->box->columns[$c];
        $z = $below->z + $below->height->result->toDouble();
        $piece = $this->make->of($below->tierId)->inner('board', 'Fixed board', $this->wide($column), $this->depthAt($c, $z), MaterialRole::Carcass, Grain::Length, [new Finished('front, long', Finish::Covered)], ['pocket screws into both sides'], null, 'board-'.$this->boardNumber($below));

        return new Assembly([$this->level($piece, $column, $z, $column->width->result->toDouble(), Part::Body)], $this->fixed($piece, $c));
    }

    /** @return list<Joint> a board that is screwed to what stands on both sides of its column */
    private function fixed(Piece $piece, int $column): array
    {
        return array_map(fn (string $side) => new Joint($piece->key, $side, JointKind::Pocket, 'fixed shelves to the sides'), $this->shell->beside($column));
    }

    private function boardNumber(Opening $wanted): int
    {
        $number = 0;
        foreach ($this->box->columns as $column) {
            foreach (array_slice($column->openings, 0, -1) as $opening) {
                $number++;
                if ($opening === $wanted) {
                    return $number;
                }
            }
        }

        return $number;
    }

    /** How deep a board is whose lower side is so high over the box's foot: what the sloped top and a nailer leave. */
    private function depthAt(int $column, float $z): Working
    {
        $top = $this->box->top;
        $reaches = $top->isSloped() ? $top->reaches($z + $this->t + $this->t / cos($top->angle(1.0))) - ($this->v - $this->box->v) : 0.0;
        $depth = $this->innerDepth();
        $depth = $reaches > 0.0 ? $depth->minus('the slope takes', Length::ofDouble($reaches)) : $depth;

        return $reaches < $this->t && $this->nailers->meets($column, $z, $z + $this->t)
            ? $depth->minus('stops before a nailer', $this->terms->materials->carcass->thickness)
            : $depth;
    }

    private function level(Piece $piece, Column $column, float $z, float $wide, Part $part): Placed
    {
        $front = $this->v + $this->innerDepth()->roundedDown($this->terms->format)->result->toDouble();
        $u = $this->box->u + $column->x + ($column->width->result->toDouble() - $wide) / 2;

        return new Placed($piece, Pose::at($u, $front - $piece->width->result->toDouble(), $this->box->z + $z, Way::Right, Way::Out, Way::Up), $part, $this->box->id);
    }

    /** clear = (inner height − n·t) / (n + 1); what rounding leaves over goes to the top opening. */
    private function shelves(int $c, Opening $opening, int $before): Assembly
    {
        $column = $this->box->columns[$c];
        $count = $opening->shelves();
        if ($count === 0) {
            return new Assembly([]);
        }
        $t = $this->terms->materials->carcass->thickness;
        $spacing = $this->spacing($opening, $count);
        if (! $spacing->result->isPositive()) {
            return new Assembly([], findings: [$this->tooClose($opening, $spacing)]);
        }
        $placed = $joints = $findings = [];
        $fixedPlaces = $this->fixedPlaces($opening, $count);
        $make = $this->make->of($opening->tierId);
        foreach (range(1, $count) as $i) {
            $isFixed = in_array($i, $fixedPlaces, true);
            $z = $opening->z + $i * $spacing->result->toDouble() + ($i - 1) * $t->toDouble();
            $length = $isFixed ? $this->wide($column) : $this->wide($column)->minus('play, so that it drops in', $this->terms->rules->get(Rule::ShelfPlay));
            $depth = $this->depthAt($c, $z);
            if ($depth->result->toDouble() < $this->terms->rule(Rule::LeastDepth)) {
                $findings = [$this->tooShallow($opening, $depth)];
                if ($depth->result->toDouble() < 2 * $this->t) {
                    continue;
                }
            }
            $piece = $make->inner(
                "shelf-$i",
                $isFixed ? 'Fixed shelf' : 'Adjustable shelf',
                $length,
                $depth,
                MaterialRole::Carcass,
                Grain::Length,
                [new Finished('front, long', Finish::Banded)],
                [$isFixed ? 'pocket screws into both sides' : 'on four pins'],
                null,
                'shelf-'.($before + $i),
            );
            $placed[] = $this->level($piece, $column, $z, $piece->length->result->toDouble(), $isFixed ? Part::Body : Part::Loose);
            array_push($joints, ...$isFixed ? $this->fixed($piece, $c) : array_map(fn (string $side) => new Joint($piece->key, $side, JointKind::Pins, 'adjustable shelves'), $this->shell->beside($c)));
        }
        if ($spacing->result->isLessThan(Length::ofMillimetres(self::LOWEST_OPENING))) {
            $findings[] = $this->tooClose($opening, $spacing);
        }

        return new Assembly($placed, $joints, [], ['Clear between shelves, '.$this->nameOf($opening) => $spacing], $findings);
    }

    private function spacing(Opening $opening, int $count): Working
    {
        $t = $this->terms->materials->carcass->thickness;
        $isAlone = count($this->box->columns) === 1 && count($this->box->columns[0]->openings) === 1 && ! $this->box->top->isRaked();
        $inner = $isAlone
            ? Working::start('height of the box', $this->box->outerHeight())->minusTimes('bottom and top', 2, $t)
            : Working::start('clear height of the opening', $opening->height->result);

        return $inner->minusTimes($count === 1 ? 'one shelf' : "$count shelves", $count, $t)
            ->dividedBy('equal openings', $count + 1)
            ->roundedDown($this->terms->format);
    }

    /** "B2" where the box has one opening, else "B2.3", counted through the box. */
    private function nameOf(Opening $wanted): string
    {
        $number = $at = 0;
        foreach ($this->box->columns as $column) {
            foreach ($column->openings as $opening) {
                $number++;
                $at = $opening === $wanted ? $number : $at;
            }
        }

        return $number === 1 ? $this->box->mark : $this->box->mark.'.'.$at;
    }

    private function tooClose(Opening $opening, Working $spacing): Finding
    {
        $least = Length::ofMillimetres(self::LOWEST_OPENING);
        $t = $this->terms->materials->carcass->thickness;
        $fits = max(0, (int) floor(($opening->height->result->toDouble() - self::LOWEST_OPENING) / (self::LOWEST_OPENING + $t->toDouble())));

        return Finding::clash(Code::ShelvesTooClose, sprintf('%d shelves leave openings of %s; %s is the least that a hand gets into. Take some out.', $opening->shelves(), $this->terms->format->write($spacing->result), $this->terms->format->write($least)), $opening->tierId)
            ->withWaysOut([new WayOut($fits === 1 ? 'Keep 1 shelf' : "Keep $fits shelves", Edits::tier($opening->tierId)->shelves(min($fits, $opening->fixedShelves), max(0, $fits - min($fits, $opening->fixedShelves))))]);
    }

    private function tooShallow(Opening $opening, Working $depth): Finding
    {
        $least = $this->terms->rules->get(Rule::LeastDepth);
        $deeper = $this->box->outerDepth()->plus($least)->minus($depth->result)->roundedUp($this->terms->format->step);

        return Finding::clash(Code::TooShallow, sprintf('A shelf here is %s deep; things fall off one of less than %s.', $this->terms->format->write($depth->result->roundedDown($this->terms->format->step)), $this->terms->format->write($least)), $opening->tierId)
            ->withWaysOut([
                new WayOut(sprintf('Make the box %s deep', $this->terms->format->write($deeper)), Edits::tier($this->box->id)->measuring('depth', $deeper)),
                new WayOut('Take its shelves out', Edits::tier($opening->tierId)->shelves(0, 0)),
            ]);
    }

    /**
     * Fixed shelves stand as evenly as they can among all of them.
     *
     * @return list<int> from 1
     */
    private function fixedPlaces(Opening $opening, int $count): array
    {
        $fixed = $opening->fixedShelves;

        return array_map(fn (int $k) => (int) round($k * ($count + 1) / ($fixed + 1)), $fixed === 0 ? [] : range(1, $fixed));
    }
}
