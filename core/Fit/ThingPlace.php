<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Geometry\Axis;
use Incastro\Geometry\Block;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Prism;
use Incastro\Geometry\Solid;
use Incastro\Geometry\Vector;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Rule;
use Incastro\Survey\Network\Normal;
use Incastro\Survey\Room\Room;
use Incastro\Survey\Room\RunFrame;
use Incastro\Survey\Things\Face;
use Incastro\Survey\Things\Thing;
use Incastro\Survey\Things\ThingKind;

/** Where a thing on a wall, the floor or the ceiling lies in the frame of a run, as a block around it; mm. */
final readonly class ThingPlace
{
    /** A thing flush with its wall is given this much, mm, so that what lies on the wall covers it. */
    private const FLUSH = 2.0;

    /** A hole under a vent is so much larger on every side, mm and inches. */
    private const AROUND_VENT = [25.0, 1.0];

    /** A pipe further off its wall than this hangs plumb, mm. */
    private const FREE = 100.0;

    /** A wall that leans no more than this over the height of a thing is plumb for it, mm. */
    private const PLUMB = 0.05;

    public function __construct(private Room $room, private RunFrame $frame)
    {
    }

    /** What is kept free around a thing when something is cut for it, mm. */
    public function clearance(Thing $thing, HouseRules $rules, bool $isOpened): float
    {
        return match (true) {
            $thing->clearance > 0.0 => $thing->clearance,
            $isOpened && $thing->isCeilingVent() => $rules->either(...self::AROUND_VENT)->toDouble(),
            $isOpened => $rules->mm(Rule::OpeningPlay),
            $thing->kind === ThingKind::Pipe => $rules->mm($thing->isHot ? Rule::PipeHot : Rule::PipeCold),
            default => $rules->mm(Rule::NotchPlay),
        };
    }

    /** @return list<array{Thing, Block}> what there is of these kinds on the wall of the run */
    public function onItsWall(ThingKind ...$kinds): array
    {
        $things = array_filter($this->room->things, fn (Thing $thing) => $thing->face === Face::Wall && $thing->wall === $this->frame->wall && in_array($thing->kind, $kinds, true));

        return array_map(fn (Thing $thing) => [$thing, $this->block($thing)], array_values($things));
    }

    /**
     * Where things of these kinds stand, from a place of the run.
     *
     * @return list<array{Thing, Block}>
     */
    public function seenFrom(Vector $place, ThingKind ...$kinds): array
    {
        $things = array_filter($this->room->things, fn (Thing $thing) => in_array($thing->kind, $kinds, true));

        return array_map(fn (Thing $thing) => [$thing, $this->block($thing)->moved($place->times(-1.0))], array_values($things));
    }

    public function block(Thing $thing): Block
    {
        $own = $this->room->frame($thing->face === Face::Wall ? $thing->wall : 0);
        [$u, $v, $z] = $thing->face === Face::Wall ? $this->onWall($thing, $own) : $this->onLevel($thing, $own);
        $us = $vs = [];
        foreach ($u as $along) {
            foreach ($v as $out) {
                [$us[], $vs[]] = $this->frame->place($own->point($along, $out));
            }
        }

        return new Block(min($us), max($us), min($vs), max($vs), $z[0], $z[1]);
    }

    /**
     * The section of a thing that is not a plain rectangle, and the axis of the run that it runs along; null where its block
     * says all. The points are in the order of `Axis::across`.
     *
     * @return array{Axis, Polygon}|null
     */
    public function section(Thing $thing): ?array
    {
        $section = $thing->section();
        if ($section === null) {
            return null;
        }
        $own = $this->room->frame($thing->face === Face::Wall ? $thing->wall : 0);
        $left = $thing->left($own->length());
        $runs = $thing->runs();
        $foot = $thing->face === Face::Wall ? self::foot($thing, $own) : 0.0;
        [$least, $most] = $thing->face === Face::Wall ? self::behind($thing, $own, $runs === 'up' ? [0.0, $own->ceilingAt($left, 0.0)] : [$foot, $foot + $thing->height]) : [0.0, 0.0];
        // A pipe up a wall touches it no more than its brackets let it.
        $out = $thing->face !== Face::Wall ? $thing->up : ($runs === 'up' ? max(0.0, $thing->standsOut - $thing->sectionSize()[1]) : 0.0);
        $isSameWay = $this->isSameWay($own);

        return [
            match ($runs) {
                'up' => Axis::Z,
                'out' => $isSameWay ? Axis::V : Axis::U,
                default => $isSameWay ? Axis::U : Axis::V,
            },
            self::swept(array_map(fn (float $wall) => array_map(function (Point $point) use ($runs, $own, $left, $foot, $out, $isSameWay, $wall): Point {
                [$along, $from] = match ($runs) {
                    'up' => [$left + $point->x, $wall + $out + $point->y],
                    'out' => [$left + $point->x, 0.0],
                    default => [$left, $wall + $point->x],
                };
                [$u, $v] = $this->frame->place($own->point($along, $from));

                return $runs === 'up' ? new Point($u, $v) : new Point(($runs === 'out') === $isSameWay ? $u : $v, $foot + $point->y);
            }, $section->points), $runs === 'out' || $most - $least < self::PLUMB ? [($least + $most) / 2] : [$least, $most])),
        ];
    }

    /**
     * What a section takes up, wherever its wall stands.
     *
     * @param  non-empty-list<list<Point>>  $places
     */
    private static function swept(array $places): Polygon
    {
        return count($places) === 1 ? new Polygon($places[0]) : Polygon::around(array_merge(...$places));
    }

    /** How high the foot of a thing on a wall lies: it is measured from the floor under it. */
    private static function foot(Thing $thing, RunFrame $own): float
    {
        $middle = $thing->left($own->length()) + $thing->width / 2;

        return $thing->foot($own->ceilingAt($middle, 0.0), $own->floorAt($middle, 0.0));
    }

    /**
     * How far in and out the surface stands that a thing is fixed to, over its height, mm: a pipe follows its wall, what
     * carries a house stands plumb.
     *
     * @param  array{float, float}  $z
     * @return array{float, float}
     */
    private static function behind(Thing $thing, RunFrame $own, array $z): array
    {
        $isFree = self::runs($thing, 'up') && $thing->standsOut - $thing->width > self::FREE;
        if ($isFree || in_array($thing->kind, [ThingKind::Post, ThingKind::Chase, ThingKind::Beam, ThingKind::Stringer], true)) {
            return [0.0, 0.0];
        }
        $u = $thing->left($own->length()) + $thing->width / 2;
        $heights = [$z[0], ...$own->bendsBetween($z[0], $z[1]), $z[1]];
        $places = array_map(fn (float $height) => $own->backAt($u, $height), $heights);
        // What goes up a wall that nobody looked at may stand further in or out with it.
        $doubt = self::runs($thing, 'up') ? Normal::ONE_SIDED_95 * max(array_map(fn (float $height) => $own->backSigmaAt($u, $height), $heights)) : 0.0;

        return [min($places) - $doubt, max($places) + $doubt];
    }

    /**
     * What a thing takes up, and so much around it, turned into this run's frame; null where it is flush with its face.
     */
    public function solid(Thing $thing, float $around = 0.0): ?Solid
    {
        if ($thing->standsOut <= 0.0) {
            return null;
        }
        $own = $this->room->frame($thing->face === Face::Wall ? $thing->wall : 0);
        $inOwn = new self($this->room, $own);
        $block = $inOwn->block($thing);
        $section = $inOwn->section($thing);
        if ($section === null) {
            $solid = Solid::block($block->grown($around));
        } else {
            [$from, $to] = match ($section[0]) {
                Axis::U => [$block->u0, $block->u1],
                Axis::V => [$block->v0, $block->v1],
                Axis::Z => [$block->z0, $block->z1],
            };
            $shape = $around > 0.0 ? $section[1]->grown($around) : $section[1];
            $solid = Solid::prism(new Prism($section[0], $shape->points, $from - $around, $to + $around));
        }

        return $this->turned($solid, $own);
    }

    /** The zone before a thing on a wall, so far out from it, turned into this run's frame. */
    public function before(Thing $thing, float $out): ?Solid
    {
        if ($thing->face !== Face::Wall) {
            return null;
        }
        $own = $this->room->frame($thing->wall);
        $block = (new self($this->room, $own))->block($thing);

        return $this->turned(Solid::block(new Block($block->u0, $block->u1, $block->v0, $block->v1 + $out, $block->z0, $block->z1)), $own);
    }

    /**
     * The room that a hand needs at a thing, on the side from which it is reached: before it, above it, or beside it on both
     * sides, where it may come from either; null where none was asked for.
     */
    public function handRoom(Thing $thing): ?Solid
    {
        if ($thing->handRoom <= 0.0) {
            return null;
        }
        $own = $this->room->frame($thing->face === Face::Wall ? $thing->wall : 0);
        $block = (new self($this->room, $own))->block($thing);
        $room = $thing->handRoom;
        $zone = match ($thing->reachFrom) {
            'above' => new Block($block->u0, $block->u1, $block->v0, $block->v1, $block->z1, $block->z1 + $room),
            'side' => new Block($block->u0 - $room, $block->u1 + $room, $block->v0, $block->v1, $block->z0, $block->z1),
            default => new Block($block->u0, $block->u1, $block->v1, $block->v1 + $room, $block->z0, $block->z1),
        };

        return $this->turned(Solid::block($zone), $own);
    }

    /** What stands in another run's frame, in this one. */
    private function turned(Solid $solid, RunFrame $own): Solid
    {
        return $own->wall === $this->frame->wall ? $solid : $solid->overPlan(fn (float $u, float $v): Point => new Point(...$this->frame->place($own->point($u, $v))));
    }

    /** Whether a wall runs the way this run does, rather than across it. */
    private function isSameWay(RunFrame $own): bool
    {
        [$u0, $v0] = $this->frame->place($own->point(0.0, 0.0));
        [$u1, $v1] = $this->frame->place($own->point($own->length(), 0.0));

        return abs($u1 - $u0) >= abs($v1 - $v0);
    }

    /** Whether a pipe runs along a direction: "up", "along" or "out". */
    public static function runs(Thing $thing, string $direction): bool
    {
        return $thing->kind->isRound() && $thing->direction === $direction;
    }

    /** @return array{array{float, float}, array{float, float}, array{float, float}} */
    private function onWall(Thing $thing, RunFrame $own): array
    {
        $length = $own->length();
        $left = $thing->left($length);
        $ceiling = $own->ceilingAt($left + $thing->width / 2, 0.0);
        $foot = self::foot($thing, $own);
        $out = max(self::FLUSH, $thing->standsOut);
        [$least, $most] = self::behind($thing, $own, self::runs($thing, 'up') ? [0.0, $ceiling] : [$foot, $foot + $thing->height]);
        if (self::runs($thing, 'along')) {
            return [[0.0, $length], [$least, $out + $most], [$foot, $foot + $thing->height]];
        }
        if (self::runs($thing, 'up')) {
            return [[$left, $left + $thing->width], [max(0.0, $out - $thing->width) + $least, $out + $most], [0.0, $ceiling]];
        }
        $isTall = in_array($thing->kind, [ThingKind::Post, ThingKind::Chase], true) && $thing->height < 2.0;

        return [[$left, $left + $thing->width], [$least, $out + $most], $isTall ? [0.0, $ceiling] : [$foot, $foot + $thing->height]];
    }

    /** @return array{array{float, float}, array{float, float}, array{float, float}} */
    private function onLevel(Thing $thing, RunFrame $own): array
    {
        $left = $thing->left($own->length());
        $ceiling = $own->ceilingAt($left + $thing->width / 2, $thing->up + $thing->height / 2);
        $high = max(self::FLUSH, $thing->standsOut);

        return [[$left, $left + $thing->width], [$thing->up, $thing->up + $thing->height], $thing->face === Face::Floor ? [0.0, $high] : [$ceiling - $high, $ceiling]];
    }
}
