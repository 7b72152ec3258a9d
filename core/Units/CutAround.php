<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\FittedRun;
use Incastro\Fit\Terms;
use Incastro\Fit\ThingPlace;
use Incastro\Geometry\Axis;
use Incastro\Geometry\Block;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Prism;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\CutOut;
use Incastro\Pieces\Piece;
use Incastro\Rules\Rule;
use Incastro\Survey\Things\Thing;
use Incastro\Survey\Things\ThingKind;
use Incastro\Survey\Things\ThingRule;

/**
 * Cuts pieces around what stands in their way: slots from the hidden edge for pipes that cannot be threaded in, notches for
 * posts and beams, openings for sockets where the person wants one, and a back split where a pipe runs up behind it. Hole =
 * size + 2 × clearance (handbook, "The scribe line").
 */
final readonly class CutAround
{
    /** What must be left of a board before a notch, mm. */
    private const LEFT = 50.0;

    /** A slot longer than this is no slot: the piece is split through the hole's centre instead, mm. */
    private const LONGEST_SLOT = 200.0;

    private ThingPlace $places;

    /** @param list<string> $openings */
    public function __construct(private FittedRun $run, private Terms $terms, private array $openings)
    {
        $this->places = new ThingPlace($terms->room, $run->frame);
    }

    public function all(Assembly $assembly): Assembly
    {
        $placed = $assembly->placed;
        foreach ($this->terms->room->things as $thing) {
            $isOpened = in_array($thing->id, $this->openings, true);
            if ($thing->rule === ThingRule::Removed || (! $isOpened && ! $thing->kind->isCutAround())) {
                continue;
            }
            $clearance = $this->clearance($thing, $isOpened);
            $block = $this->places->block($thing)->grown($clearance);
            $next = [];
            foreach ($placed as $piece) {
                array_push($next, ...$this->cut($piece, $thing, $block, $clearance));
            }
            $placed = $next;
        }

        return $assembly->placing($placed);
    }

    private function clearance(Thing $thing, bool $isOpened): float
    {
        return match (true) {
            $thing->clearance > 0.0 => $thing->clearance,
            $isOpened => $this->terms->rule(Rule::OpeningPlay),
            $thing->kind === ThingKind::Pipe => $this->terms->rule(Rule::PipeCold),
            default => $this->terms->rule(Rule::NotchPlay),
        };
    }

    /** @return list<Placed> */
    private function cut(Placed $placed, Thing $thing, Block $block, float $clearance): array
    {
        if ($placed->part === Part::Face || ! $placed->bounds->meets($block)) {
            return [$placed];
        }
        $form = $this->form($placed, $thing, $block, $clearance);
        [$x0, $x1, $y0, $y1] = $form->bounds();
        [$x, $y] = [[$x0, $x1], [$y0, $y1]];
        $name = lcfirst($thing->name);
        $long = $placed->along($placed->length)[1] - $placed->along($placed->length)[0];
        $wide = $placed->along($placed->width)[1] - $placed->along($placed->width)[0];
        $isThrough = $thing->kind->isRound() && ! ThingPlace::runs($thing, self::direction($placed->length)) && ! ThingPlace::runs($thing, self::direction($placed->width));
        if ($placed->part === Part::Cleat || $placed->part === Part::Nailer) {
            return $this->interrupted($placed, $x, $long, $name);
        }
        if ($placed->part === Part::Back) {
            return $this->cutBack($placed, $thing, $form, $long, $wide, $isThrough, $clearance);
        }
        if ($placed->width !== Axis::V || $y[1] > $wide - self::LEFT || ($x[0] <= 0.0 && $x[1] >= $long)) {
            return [$placed];
        }
        if ($isThrough && $y[0] > self::LONGEST_SLOT) {
            return $this->split($placed, $form, $name);
        }
        $isSocket = in_array($thing->id, $this->openings, true) && ! $thing->kind->isCutAround();
        if ($isSocket && $y[0] > 1.0) {
            return [$placed->withPiece($placed->piece->holed(Polygon::rectangle(max(0.0, $x[0]), $y[0], min($long, $x[1]) - max(0.0, $x[0]), $y[1] - $y[0]), "opening for $name"))];
        }
        $outline = CutOut::notch($placed->piece->outline, $form->upperLine(0.0, $long));

        return [$outline === null ? $placed : $placed->withPiece($placed->piece->cutTo($outline, sprintf('%s for %s, %s deep from the back edge', $isThrough ? 'slot' : 'notch', $name, $this->terms->write($y[1]))))];
    }

    /**
     * A back: split where a pipe runs up behind it, a hole with a slot to its nearer end where one comes out through it, an
     * opening where a box sits in the wall.
     *
     * @return list<Placed>
     */
    private function cutBack(Placed $placed, Thing $thing, Polygon $form, float $long, float $wide, bool $isThrough, float $clearance): array
    {
        $name = lcfirst($thing->name);
        [$x0, $x1, $y0, $y1] = $form->bounds();
        [$x, $y] = [[$x0, $x1], [$y0, $y1]];
        if ($x[0] <= 1.0 && $x[1] >= $long - 1.0) {
            return $this->parted($placed, $y, $wide, $name);
        }
        $at = [max(0.0, $x[0]), min($long, $x[1])];
        if ($isThrough) {
            $fromFoot = $x[1] <= $long - $x[0];
            // Seen from the end that the slot comes from: x along it, y into the board.
            $seen = fn (Polygon $polygon): Polygon => new Polygon(array_map(fn (Point $point) => new Point($point->y, $fromFoot ? $point->x : $long - $point->x), $polygon->points));
            $back = fn (Polygon $polygon): Polygon => new Polygon(array_map(fn (Point $point) => new Point($fromFoot ? $point->y : $long - $point->y, $point->x), $polygon->points));
            $slot = CutOut::notch($seen($placed->piece->outline), $seen($form)->upperLine(0.0, $wide));
            $deep = $fromFoot ? $x[1] : $long - $x[0];

            return [$slot === null ? $placed : $placed->withPiece($placed->piece->cutTo($back($slot), sprintf('slot for %s, %s %s: hole %s across', $name, $this->terms->write($deep), $fromFoot ? 'up from its foot' : 'down from its head', $this->terms->write($thing->width + 2 * $clearance))))];
        }
        if ($y[0] <= 1.0 || $y[1] >= $wide - 1.0 || $at[0] <= 1.0 || $at[1] >= $long - 1.0) {
            return [$placed];
        }

        return [$placed->withPiece($placed->piece->holed($form, sprintf('opening for %s, %s by %s', $name, $this->terms->write($at[1] - $at[0]), $this->terms->write($y[1] - $y[0]))))];
    }

    /**
     * A cleat stops before what it meets and goes on behind it.
     *
     * @param  array{float, float}  $x
     * @return list<Placed>
     */
    private function interrupted(Placed $placed, array $x, float $long, string $name): array
    {
        $parts = [];
        $bounds = $placed->bounds;
        foreach (['a' => [0.0, $x[0]], 'b' => [$x[1], $long]] as $suffix => [$from, $to]) {
            if ($to - $from < self::LEFT) {
                continue;
            }
            $length = Working::start("beside $name", Length::ofDouble($to - $from))->roundedDown($this->terms->format);
            $outline = Polygon::rectangle(0.0, 0.0, $length->result->toDouble(), $placed->piece->width->result->toDouble());
            $solid = match ($placed->length) {
                Axis::U => Prism::block($bounds->u0 + $from, $bounds->v0, $bounds->z0, $to - $from, $bounds->v1 - $bounds->v0, $bounds->z1 - $bounds->z0),
                Axis::V => Prism::block($bounds->u0, $bounds->v0 + $from, $bounds->z0, $bounds->u1 - $bounds->u0, $to - $from, $bounds->z1 - $bounds->z0),
                Axis::Z => Prism::block($bounds->u0, $bounds->v0, $bounds->z0 + $from, $bounds->u1 - $bounds->u0, $bounds->v1 - $bounds->v0, $to - $from),
            };
            $parts[] = $placed->withPiece($this->half($placed->piece, $suffix, $length, $placed->piece->width, $outline, "stops beside $name"), $solid);
        }

        return $parts;
    }

    /**
     * A back in two parts, to the left and the right of what runs up behind it.
     *
     * @param  array{float, float}  $y
     * @return list<Placed>
     */
    private function parted(Placed $placed, array $y, float $wide, string $name): array
    {
        $parts = [];
        foreach (['a' => [0.0, $y[0]], 'b' => [$y[1], $wide]] as $suffix => [$from, $to]) {
            if ($to - $from > self::LEFT) {
                $width = Working::start("beside $name", Length::ofDouble($to - $from))->roundedDown($this->terms->format);
                $bounds = $placed->bounds;
                $solid = Prism::block($bounds->u0 + $from, $bounds->v0, $bounds->z0, $to - $from, $bounds->v1 - $bounds->v0, $bounds->z1 - $bounds->z0);
                $parts[] = $placed->withPiece($this->half($placed->piece, $suffix, $placed->piece->length, $width, Polygon::rectangle(0.0, 0.0, $placed->piece->length->result->toDouble(), $width->result->toDouble()), "stops beside $name"), $solid);
            }
        }

        return $parts === [] ? [$placed] : $parts;
    }

    /** @return list<Placed> both halves of a piece that is split through the centre of a hole */
    private function split(Placed $placed, Polygon $hole, string $name): array
    {
        $piece = $placed->piece;
        [$x0, $x1] = $hole->bounds();
        $middle = ($x0 + $x1) / 2;
        [$first, $second] = CutOut::split($piece->length->result->toDouble(), $piece->width->result->toDouble(), $hole);
        $bounds = $placed->bounds;
        $at = $placed->length === Axis::U ? $bounds->u0 + $middle : $bounds->z0 + $middle;
        $solid = fn (bool $isFirst) => $placed->length === Axis::U
            ? Prism::block($isFirst ? $bounds->u0 : $at, $bounds->v0, $bounds->z0, $isFirst ? $at - $bounds->u0 : $bounds->u1 - $at, $bounds->v1 - $bounds->v0, $bounds->z1 - $bounds->z0)
            : Prism::block($bounds->u0, $bounds->v0, $isFirst ? $bounds->z0 : $at, $bounds->u1 - $bounds->u0, $bounds->v1 - $bounds->v0, $isFirst ? $at - $bounds->z0 : $bounds->z1 - $at);
        $work = sprintf('split through the centre of a hole for %s, %s across; joined behind with a strip', $name, $this->terms->write($x1 - $x0));
        $length = fn (float $long) => Working::start('to the middle of the hole', Length::ofDouble($long))->roundedDown($this->terms->format);

        return [
            $placed->withPiece($this->half($piece, 'a', $length($middle), $piece->width, $first, $work), $solid(true)),
            $placed->withPiece($this->half($piece, 'b', $length($piece->length->result->toDouble() - $middle), $piece->width, $second, $work), $solid(false)),
        ];
    }

    private function half(Piece $piece, string $suffix, Working $length, Working $width, Polygon $outline, string $work): Piece
    {
        return (new Piece("$piece->key-$suffix", "$piece->mark-$suffix", $piece->name, $length, $width, $piece->thickness, $piece->material, $piece->grain, $outline, $piece->edges, $piece->joints, []))->cutTo($outline, $work);
    }

    /** What is cut away for a thing, in the piece's own coordinates: its section where the piece lies across it, else its block. */
    private function form(Placed $placed, Thing $thing, Block $block, float $clearance): Polygon
    {
        $section = $this->places->section($thing);
        if ($section === null || $section[0] === $placed->length || $section[0] === $placed->width) {
            [$x0, $x1] = self::within($placed, $placed->length, $block);
            [$y0, $y1] = self::within($placed, $placed->width, $block);

            return Polygon::rectangle($x0, $y0, $x1 - $x0, $y1 - $y0);
        }
        [$axis, $polygon] = $section;
        $isLengthFirst = $axis->across()[0] === $placed->length;
        [$x, $y] = [$placed->along($placed->length)[0], $placed->along($placed->width)[0]];

        return new Polygon(array_map(
            fn (Point $point) => $isLengthFirst ? new Point($point->x - $x, $point->y - $y) : new Point($point->y - $x, $point->x - $y),
            $polygon->grown($clearance)->points,
        ));
    }

    /** @return array{float, float} the block in the piece's own coordinate along an axis */
    private static function within(Placed $placed, Axis $axis, Block $block): array
    {
        $from = $placed->along($axis)[0];
        [$low, $high] = match ($axis) {
            Axis::U => [$block->u0, $block->u1],
            Axis::V => [$block->v0, $block->v1],
            Axis::Z => [$block->z0, $block->z1],
        };

        return [$low - $from, $high - $from];
    }

    private static function direction(Axis $axis): string
    {
        return ['u' => 'along', 'v' => 'out', 'z' => 'up'][$axis->value];
    }
}
