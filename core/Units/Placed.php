<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Geometry\Axis;
use Incastro\Geometry\Block;
use Incastro\Geometry\Convex;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Prism;
use Incastro\Geometry\Solid;
use Incastro\Geometry\Vector;
use Incastro\Pieces\Marks\Mark;
use Incastro\Pieces\Piece;
use Incastro\Pieces\Works\Bevel;
use Incastro\Pieces\Works\Rebated;
use Incastro\Survey\Room\RunFrame;

/**
 * A piece where it stands in the run's frame. Its solid follows from the piece: the finished outline, drawn out through the
 * thickness and cut by the bevels of its edges. `owner` is the box or member it belongs to.
 */
final class Placed
{
    /** A point this near to an arris lies on it, mm. */
    private const ON_EDGE = 1e-3;

    /** A part does not lie along an edge that it reaches beyond by more than this, mm. */
    private const BESIDE = 0.01;

    /** A hole counts as a polygon of so many corners within it: the wood is then no less than it is. */
    private const ROUND = 16;

    /** Around all of it; a bevel may leave less. */
    public readonly Block $bounds;

    /** The axes along which its length and its width lie, or most nearly lie. */
    public readonly Axis $length;

    public readonly Axis $width;

    private ?Solid $solid = null;

    private ?bool $isBlock = null;

    public function __construct(
        public readonly Piece $piece,
        public readonly Pose $pose,
        public readonly Part $part,
        public readonly string $owner,
    ) {
        $this->length = Pose::axis($pose->length);
        $this->width = Pose::axis($pose->width);
        $this->bounds = $pose->around(...$piece->outline->bounds(), deep: $piece->thickness->toDouble());
    }

    /**
     * The same with marks on it, which leave its shape as it is.
     *
     * @param  list<Mark>  $marks
     */
    public function marked(array $marks): self
    {
        $marked = new self($this->piece->marked($marks), $this->pose, $this->part, $this->owner);
        [$marked->solid, $marked->isBlock] = [$this->solid, $this->isBlock];

        return $marked;
    }

    /** The same cut otherwise. */
    public function withPiece(Piece $piece, ?Pose $pose = null): self
    {
        return new self($piece, $pose ?? $this->pose, $this->part, $this->owner);
    }

    /** How deep it stands in another, as solids have it; those that fill their bounds are not made for it. */
    public function overlap(self $that, float $touch): float
    {
        $by = $this->bounds->depth($that->bounds);

        return $by <= $touch || ($this->isBlock() && $that->isBlock()) ? $by : $this->solid()->overlap($that->solid(), $touch);
    }

    /** Whether it meets another, or lies no more than so far off, mm. */
    public function touches(self $that, float $within): bool
    {
        return $this->bounds->depth($that->bounds) >= -$within
            && (($this->isBlock() && $that->isBlock()) || $this->solid()->touches($that->solid(), $within));
    }

    /** Whether it fills its bounds. */
    private function isBlock(): bool
    {
        return $this->isBlock ??= $this->piece->outline->isRectangle() && $this->piece->bevels() === [] && $this->piece->rebate() === null && $this->pose->isSquare();
    }

    public function solid(): Solid
    {
        return $this->solid ??= $this->made();
    }

    /** The solid in the room's own coordinates. */
    public function inRoom(RunFrame $frame): Solid
    {
        return $frame->inRoom($this->solid());
    }

    private function made(): Solid
    {
        if ($this->isBlock()) {
            return Solid::block($this->bounds);
        }
        $bevels = $this->piece->bevels();
        $t = $this->piece->thickness->toDouble();
        $rebate = $this->piece->rebate();
        if ($rebate !== null) {
            return $this->stepped($rebate, $t);
        }
        $parts = [];
        foreach ($this->piece->outline->coarse(self::ROUND)->convexParts() as $outline) {
            $part = Convex::plate($outline, $t, $this->pose);
            foreach ($bevels as $bevel) {
                $part = $part === null ? null : $this->bevelled($part, $outline, $bevel);
            }
            if ($part !== null) {
                $parts[] = $part;
            }
        }

        return new Solid($parts === [] ? [Convex::plate($this->piece->outline->outer->points, $t, $this->pose)] : $parts);
    }

    /** A lip before what the rabbet behind it leaves. */
    private function stepped(Rebated $rebate, float $t): Solid
    {
        $deep = $rebate->depth->toDouble();
        $lip = new Pose($this->pose->at->plus($this->pose->thickness->times($deep)), $this->pose->length, $this->pose->width, $this->pose->thickness);

        return new Solid([Convex::plate($this->piece->outline->outer->points, $t - $deep, $lip), Convex::plate($rebate->core($this->piece->outline->bounds()), $deep, $this->pose)]);
    }

    /**
     * A part cut along the bits of a bevelled edge that it lies beside, as far from them as the bevel reaches.
     *
     * @param  list<Point>  $outline  of the part
     */
    private function bevelled(Convex $part, array $outline, Bevel $bevel): ?Convex
    {
        $middle = $this->piece->middle();
        $t = $this->piece->thickness->toDouble();
        for ($i = 1; $i < count($bevel->line) && $part !== null; $i++) {
            [$p, $q] = [$bevel->line[$i - 1], $bevel->line[$i]];
            $long = $p->distanceTo($q);
            if ($long < self::ON_EDGE) {
                continue;
            }
            // Outwards across the edge, and shorter by the slope for each mm of depth.
            [$nx, $ny] = Bevel::outwards($p, $q, $middle);
            [$lx, $ly] = [($q->x - $p->x) / $long, ($q->y - $p->y) / $long];
            [$first, $last, $out] = [INF, -INF, -INF];
            foreach ($outline as $at) {
                [$x, $y] = [$at->x - $p->x, $at->y - $p->y];
                $along = $x * $lx + $y * $ly;
                $first = min($first, $along);
                $last = max($last, $along);
                $out = max($out, $x * $nx + $y * $ny);
            }
            // Beyond its own edge a part is bounded by another.
            if ($out > self::BESIDE || $last < self::ON_EDGE || $first > $long - self::ON_EDGE || $out < -$bevel->slope * $t - self::ON_EDGE) {
                continue;
            }
            $sign = $bevel->fromOrigin ? 1.0 : -1.0;
            $normal = $this->pose->length->times($nx)->plus($this->pose->width->times($ny))->plus($this->pose->thickness->times($sign * $bevel->slope));
            $arris = $this->pose->place($p, $bevel->fromOrigin ? 0.0 : $t);
            $part = $part->cut($normal, $normal->dot($arris));
        }

        return $part;
    }

    /** Whether it lies flat, as a shelf does. */
    public function isLevel(): bool
    {
        return $this->pose->isSquare() && Pose::axis($this->pose->thickness) === Axis::Z;
    }

    /**
     * As one straight section drawn out along an axis, for drawings: of a piece that stands square its outline; of one that
     * is tilted or bevelled what one sees along its edge.
     */
    public function prism(): Prism
    {
        $t = $this->piece->thickness->toDouble();
        $isTilted = ! $this->pose->isSquare();
        $isBevelled = $this->piece->bevels() !== [] && count($this->solid()->parts) === 1;
        if (! $isTilted && ! $isBevelled) {
            return $this->plate($this->piece->outline, Pose::axis($this->pose->thickness), $t);
        }
        foreach ([Axis::V, Axis::U, Axis::Z] as $axis) {
            if ($this->isDrawnOutAlong($axis)) {
                return new Prism($axis, $this->seenAlong($axis), ...$this->along($axis));
            }
        }

        return $this->plate($this->piece->outline, Pose::axis($this->pose->thickness), $t);
    }

    private function plate(Outline $outline, Axis $axis, float $thickness): Prism
    {
        $place = function (Point $point) use ($axis): Point {
            $at = $this->pose->place($point, 0.0);

            return match ($axis) {
                Axis::U => new Point($at->y, $at->z),
                Axis::V => new Point($at->x, $at->z),
                Axis::Z => new Point($at->x, $at->y),
            };
        };

        return new Prism($axis, array_map($place, $outline->outer->points), ...$this->along($axis));
    }

    /** Whether it is the same at both its ends along an axis, and has no corner between them. */
    private function isDrawnOutAlong(Axis $axis): bool
    {
        [$from, $to] = $this->along($axis);
        $i = ['u' => 0, 'v' => 1, 'z' => 2][$axis->value];
        $ends = [[], []];
        foreach ($this->solid()->parts as $part) {
            foreach ($part->corners() as $corner) {
                $at = $corner[$i];
                if (min(abs($at - $from), abs($at - $to)) > self::ON_EDGE) {
                    return false;
                }
                $corner[$i] = 0.0;
                $ends[$at - $from > $to - $at ? 1 : 0][sprintf('%.2F/%.2F/%.2F', ...$corner)] = true;
            }
        }

        return array_diff_key($ends[0], $ends[1]) === [] && array_diff_key($ends[1], $ends[0]) === [];
    }

    /** @return list<Point> */
    private function seenAlong(Axis $axis): array
    {
        $points = [];
        foreach ($this->solid()->parts as $part) {
            foreach ($part->corners() as [$u, $v, $z]) {
                $points[] = match ($axis) {
                    Axis::U => new Point($v, $z),
                    Axis::V => new Point($u, $z),
                    Axis::Z => new Point($u, $v),
                };
            }
        }

        return Polygon::around($points)->points;
    }

    /**
     * Where it starts and ends along an axis, mm.
     *
     * @return array{float, float}
     */
    public function along(Axis $axis): array
    {
        $bounds = $this->solid === null ? $this->bounds : $this->solid->bounds;

        return match ($axis) {
            Axis::U => [$bounds->u0, $bounds->u1],
            Axis::V => [$bounds->v0, $bounds->v1],
            Axis::Z => [$bounds->z0, $bounds->z1],
        };
    }

    /** Whether its face that looks along an axis, one way or the other, lies up in its drawing, which shows its length to the right and its width upwards. */
    public function showsUp(Axis $axis, int $way): bool
    {
        $up = $this->pose->length->cross($this->pose->width);

        return $way * match ($axis) {
            Axis::U => $up->x,
            Axis::V => $up->y,
            Axis::Z => $up->z,
        } > 0.0;
    }

    /** What of its face lies before or behind a block, of a piece that stands square. */
    public function facing(Block $block): Polygon
    {
        $p = $this->seen($block->u0, $block->v0, $block->z0);
        $q = $this->seen($block->u1, $block->v1, $block->z1);

        return Polygon::rectangle(min($p->x, $q->x), min($p->y, $q->y), abs($q->x - $p->x), abs($q->y - $p->y));
    }

    /** The point of the piece that is nearest to a place of the run. */
    public function seen(float $u, float $v, float $z): Point
    {
        return $this->pose->seen(new Vector($u, $v, $z));
    }
}
