<?php

declare(strict_types=1);

namespace Incastro\Trial;

use Incastro\Geometry\Point;
use Incastro\Survey\ReadingKind;
use Incastro\Survey\Slot;
use Incastro\Survey\Space\EdgeKind;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Survey\Space\Spot;

/**
 * A made-up crooked room, the same for the same seed, with a geometry of its own: what it answers shares nothing with the
 * program's survey and fitting but points and planes. Graded rooms have plaster on walls and ceilings, corners filled with it, a
 * back wall with a kink, a floor that is dished, and a ceiling that falls to the front and on before the mouth. Double mm; z above
 * the floor's reference at the first corner.
 */
final readonly class TrueRoom
{
    private const FALL = 12.0;

    /** Arms of an angle gauge, and how near to the corner they begin to touch. */
    private const ARM = 250.0;

    private const ARM_FROM = 20.0;

    /** A hook in a filled corner reads so much of its radius short: across the corner (√2 − 1), and along a wall. */
    private const HOOKED = 0.41;

    private const ALONG = 0.15;

    private const HEIGHT = 2400.0;

    /** @var list<Point> at the plan's height */
    public array $corners;

    /** @var list<TrueWall> by edge */
    public array $walls;

    /** @var array{float, float} slope of the floor along x and y */
    private array $floor;

    /** @var list<array{float, float, float}> planes of the ceiling: height at the origin and slopes */
    private array $planes;

    public float $skirtingHeight;

    public float $skirtingThickness;

    private Plaster $ceilingPlaster;

    /** How far the floor is dished, and the ceiling falls to the front line. */
    private float $dish;

    private float $front;

    /** @var list<float> radius to which each corner is filled */
    private array $fillets;

    public function __construct(public SpaceShape $shape, public int $seed, public float $planHeight, public Grade $grade = Grade::Plane)
    {
        $dice = new Dice($seed);
        $this->corners = $this->crooked($dice);
        // Plaster is thrown by dice of its own: the room under it is the same in every grade but for its corners.
        $rough = new Dice($seed + 4_000_037);
        $this->walls = array_map(function (int $edge) use ($dice, $rough, $planHeight): TrueWall {
            $wall = TrueWall::random($dice, $planHeight);
            $length = $this->length($edge);
            $bent = $edge === 0 ? $rough->between(-$this->grade->kink(), $this->grade->kink()) : 0.0;

            return $wall->plastered($length, Plaster::random($rough, $this->grade, $length, self::HEIGHT), $bent, $rough->between(0.3, 0.7));
        }, array_keys($shape->edges));
        $this->ceilingPlaster = Plaster::random($rough, $grade, $this->length(0), $this->mouth(0));
        $this->dish = $rough->between(0.0, $grade->kink());
        $this->front = $rough->between(0.0, $grade->kink());
        $this->fillets = array_map(fn () => $rough->between(...$grade->fillets()), $this->corners);
        $extent = max([1.0, ...array_map(fn (Point $corner) => hypot($corner->x, $corner->y), $this->corners)]);
        $fall = $dice->between(0.0, self::FALL);
        $way = $dice->between(0.0, 2 * M_PI);
        $this->floor = [$fall / $extent * cos($way), $fall / $extent * sin($way)];
        $this->planes = $this->ceiling($dice);
        $this->skirtingHeight = round($dice->between(70.0, 140.0));
        $this->skirtingThickness = round($dice->between(12.0, 20.0));
    }

    /** @return list<Point> */
    private function crooked(Dice $dice): array
    {
        [$sx, $sy] = [$dice->between(0.85, 1.25), $dice->between(0.9, 1.2)];
        $points = array_map(fn (Point $point) => new Point($point->x * $sx, $point->y * $sy), $this->shape->nominal);
        $count = count($points);
        $moved = [];
        foreach ($points as $i => $point) {
            $before = $points[($i + $count - 1) % $count];
            $next = $points[($i + 1) % $count];
            [$turn, $most] = $this->grade->turns();
            $off = min($most, $turn / 2 * min($point->distanceTo($before), $point->distanceTo($next)));
            $moved[] = $point->plus($dice->between(-$off, $off), $dice->between(-$off, $off));
        }
        if ($this->shape->kind === SpaceKind::Closet) {
            // The walls on both sides of a door stand in one line.
            [$a, $b] = [$moved[2], $moved[5]];
            foreach ([3, 4] as $i) {
                $share = ($moved[$i]->x - $a->x) / ($b->x - $a->x);
                $moved[$i] = new Point($moved[$i]->x, $a->y + $share * ($b->y - $a->y));
            }
        }

        return array_values($moved);
    }

    /** @return list<array{float, float, float}> */
    private function ceiling(Dice $dice): array
    {
        $width = $this->corners[0]->distanceTo($this->corners[1]);
        $planes = [];
        foreach ($this->shape->ceiling->planes() as $name) {
            $skew = fn (): float => $dice->between(-0.004, 0.004);
            $high = $dice->between(2150.0, 2300.0);
            $planes[] = match ($name) {
                // The high end of a rake lies over the first corner, which is right at the back.
                'rake' => [$high, -($high - $dice->between(450.0, 700.0)) / $width, $skew()],
                'slope' => [$dice->between(800.0, 1000.0), $skew(), $dice->between(0.75, 0.95)],
                default => [$dice->between(2300.0, 2480.0), $skew(), $skew()],
            };
        }

        return $planes;
    }

    public function floorAt(Point $at): float
    {
        return $this->floor[0] * $at->x + $this->floor[1] * $at->y - $this->dishAt($at);
    }

    /** The floor is lowest in the middle, and as high as it was along its sides. */
    private function dishAt(Point $at): float
    {
        if ($this->dish < 1e-9) {
            return 0.0;
        }
        [$u, $v] = $this->inPlanes($at);
        $share = fn (float $x, float $long): float => max(0.0, 4 * $x / $long * (1 - $x / $long));

        return $this->dish * $share($u, $this->length(0)) * $share($v, $this->mouth(0));
    }

    /** Distance from the first corner along the back wall, and out from it: x and y as the planes are given. */
    public function ceilingAt(Point $at): float
    {
        [$u, $v] = $this->inPlanes($at);

        $plane = min([INF, ...array_map(fn (array $plane) => $plane[0] + $plane[1] * $u + $plane[2] * $v, $this->planes)]);

        return $this->grade === Grade::Plane ? $plane : $plane - $this->ceilingPlaster->at($u, $v) - $this->front * $this->fallen($v / $this->mouth(0));
    }

    /** What share of its fall to the front line a ceiling has come down by, so far out: before the mouth it goes on half as steeply. */
    private function fallen(float $share): float
    {
        return $share <= 1.0 ? $share ** 2 : $share;
    }

    /** @return array{float, float} */
    private function inPlanes(Point $at): array
    {
        [$dx, $dy] = $this->direction(0);
        $x = $at->x - $this->corners[0]->x;
        $y = $at->y - $this->corners[0]->y;

        return [$x * $dx + $y * $dy, -$x * $dy + $y * $dx];
    }

    /** @return array{float, float} along an edge from its first corner */
    public function direction(int $edge): array
    {
        $p = $this->corners[$edge];
        $q = $this->corners[$this->shape->after($edge)];
        $length = $p->distanceTo($q);

        return [($q->x - $p->x) / $length, ($q->y - $p->y) / $length];
    }

    /** Where the space along a wall opens, or a wall faces it: at the end of the shallower of its side walls, mm out. */
    public function mouth(int $wall): float
    {
        [$dx, $dy] = $this->direction($wall);
        $from = $this->corners[$wall];
        $out = fn (Point $at): float => -($at->x - $from->x) * $dy + ($at->y - $from->y) * $dx;
        $left = $this->shape->after($wall);

        return min($out($this->corners[$this->shape->after($left)]), $out($this->corners[$this->shape->before($wall)]));
    }

    public function length(int $edge): float
    {
        return $this->corners[$edge]->distanceTo($this->corners[$this->shape->after($edge)]);
    }

    /** A place on a wall's surface: so far from its first corner, at a height; it stands square to the line of its corners. */
    public function onWall(int $edge, float $from, float $z): Point
    {
        [$dx, $dy] = $this->direction($edge);
        $off = $this->shape->edges[$edge] === EdgeKind::Wall ? $this->walls[$edge]->at($from / $this->length($edge), $z) : 0.0;

        return $this->corners[$edge]->plus($from * $dx - $off * $dy, $from * $dy + $off * $dx);
    }

    /** A place out from a wall: so far from its left end as one faces it, and so far out. */
    public function spot(Spot $spot): Point
    {
        [$dx, $dy] = $this->direction($spot->wall);
        $from = $this->length($spot->wall) - $spot->along;

        return $this->corners[$spot->wall]->plus($from * $dx - $spot->depth * $dy, $from * $dy + $spot->depth * $dx);
    }

    /** Where the floor is highest, mm: what is levelled is levelled from there. */
    public function datum(): float
    {
        return max([-INF, ...array_map($this->floorAt(...), $this->corners)]);
    }

    /** What skirting takes before a wall at a height, mm. */
    public function skirtingAt(float $z): float
    {
        return $z < $this->skirtingHeight ? $this->skirtingThickness : 0.0;
    }

    /** A place of the plan so far along a wall from its left end as one faces it, and so far out from the line of its corners. */
    public function along(int $wall, float $u, float $v): Point
    {
        [$dx, $dy] = $this->direction($wall);

        return $this->corners[$this->shape->after($wall)]->plus(-$u * $dx - $v * $dy, -$u * $dy + $v * $dx);
    }

    /** @return array{float, float} how far along a wall and how far out from it a place of the plan lies */
    public function seen(int $wall, Point $at): array
    {
        [$dx, $dy] = $this->direction($wall);
        $left = $this->corners[$this->shape->after($wall)];

        return [-($at->x - $left->x) * $dx - ($at->y - $left->y) * $dy, -($at->x - $left->x) * $dy + ($at->y - $left->y) * $dx];
    }

    /** A place before a wall's surface: so far from its left end as one faces it, so far out, at a height. */
    public function before(int $edge, float $along, float $out, float $z): Point
    {
        [$dx, $dy] = $this->direction($edge);

        return $this->onWall($edge, $this->length($edge) - $along, $z)->plus(-$out * $dy, $out * $dx);
    }

    /**
     * Where a wall meets the line that runs along another, so far out from it: how far along from the other's left end, mm.
     * Found by walking along the wall: twist and lean make it neither plumb nor straight.
     */
    public function meets(int $edge, int $reference, float $depth, float $z): float
    {
        [$rx, $ry] = $this->direction($reference);
        $left = $this->corners[$this->shape->after($reference)];
        $out = fn (Point $p): float => -($p->x - $left->x) * $ry + ($p->y - $left->y) * $rx;
        [$from, $to] = [0.0, $this->length($edge)];
        [$outFrom, $outTo] = [$out($this->onWall($edge, $from, $z)), $out($this->onWall($edge, $to, $z))];
        // The surface is all but straight at one height: false position finds it in a few steps.
        for ($i = 0; $i < 6 && abs($outTo - $depth) > 1e-6 && abs($outTo - $outFrom) > 1e-9; $i++) {
            [$from, $to, $outFrom] = [$to, $to + ($depth - $outTo) * ($to - $from) / ($outTo - $outFrom), $outTo];
            $outTo = $out($this->onWall($edge, $to, $z));
        }
        $at = $this->onWall($edge, $to, $z);

        return -($at->x - $left->x) * $rx - ($at->y - $left->y) * $ry;
    }

    /** A corner at a height: where its two walls' surfaces cross there; an open side has no surface. */
    public function corner(int $corner, float $z): Point
    {
        $before = $this->shape->before($corner);
        $isWall = fn (int $edge) => $this->shape->edges[$edge] === EdgeKind::Wall;
        $a = $isWall($before) ? $this->walls[$before]->at(1.0, $z) : 0.0;
        $b = $isWall($corner) ? $this->walls[$corner]->at(0.0, $z) : 0.0;
        [$ax, $ay] = $this->direction($before);
        [$bx, $by] = $this->direction($corner);
        $cross = $ax * $by - $ay * $bx;
        if (! $isWall($before) || ! $isWall($corner) || abs($cross) < 0.2) {
            [$x, $y, $off] = $isWall($before) && (! $isWall($corner) || abs($a) >= abs($b)) ? [$ax, $ay, $a] : [$bx, $by, $b];

            return $this->corners[$corner]->plus(-$y * $off, $x * $off);
        }

        return $this->corners[$corner]->plus(($a * $bx - $b * $ax) / $cross, ($a * $by - $b * $ay) / $cross);
    }

    /** What a perfect tool reads at a slot: mm or degrees, signed as the slot's first end. Offsets are read from a straightedge. */
    public function truth(Slot $slot): float
    {
        $z = $slot->height ?? $this->planHeight;

        return match ($slot->kind) {
            ReadingKind::Side, ReadingKind::Diagonal, ReadingKind::Depth => $this->corner((int) $slot->from, $z)->distanceTo($this->corner((int) $slot->to, $z)) - $this->hooked($slot),
            ReadingKind::Width => abs($this->meets($slot->between[0] ?? 0, (int) $slot->wall, (float) $slot->depth, $z) - $this->meets($slot->between[1] ?? 0, (int) $slot->wall, (float) $slot->depth, $z)),
            ReadingKind::Corner => $this->angle($slot, $z),
            ReadingKind::Plumb => $this->surface($slot, $z + (float) $slot->span) - $this->surface($slot, $z),
            ReadingKind::Height => $slot->spots === [] ? $this->inFront() : $this->ceilingAt($this->spot($slot->spots[0])) - $this->floorAt($this->spot($slot->spots[0])),
            ReadingKind::Fall => $slot->onCeiling
                ? $this->ceilingAt($this->spot($slot->spots[0])) - $this->ceilingAt($this->spot($slot->spots[1]))
                : $this->floorAt($this->spot($slot->spots[0])) - $this->floorAt($this->spot($slot->spots[1])),
            ReadingKind::Slope => rad2deg(atan(hypot($this->planes[$slot->plane][1], $this->planes[$slot->plane][2]))),
            ReadingKind::Offset => $this->surface($slot, $z),
            ReadingKind::Rise => max(0.0, $this->highestInside() - $this->datum()),
            ReadingKind::Skirting => $slot->id === 'skirting-height' ? $this->skirtingHeight : $this->skirtingThickness,
            default => 0.0,
        };
    }

    /** A box's depth out from the front line, half way between the walls. */
    private function inFront(): float
    {
        $front = $this->along(0, $this->length(0) / 2, 2 * $this->mouth(0));

        return $this->ceilingAt($front) - $this->floorAt($front);
    }

    /** The highest of the floor between its corners: a level is slid about on it. */
    private function highestInside(): float
    {
        $highest = -INF;
        for ($i = 0; $i <= 8; $i++) {
            for ($j = 0; $j <= 8; $j++) {
                $highest = max($highest, $this->floorAt($this->along(0, $this->length(0) * $i / 8, $this->mouth(0) * $j / 8)));
            }
        }

        return $highest;
    }

    /** How far the wall of a slot stands in at the slot's place along it. */
    private function surface(Slot $slot, float $z): float
    {
        return $this->walls[(int) $slot->wall]->at(1 - (float) $slot->along / $this->length((int) $slot->wall), $z);
    }

    /** What a hook at both ends reads short because the corners are filled. */
    private function hooked(Slot $slot): float
    {
        $share = $slot->kind === ReadingKind::Diagonal ? self::HOOKED : self::ALONG;
        $isFilled = fn (int $corner): bool => $this->shape->edges[$this->shape->before($corner)] === EdgeKind::Wall && $this->shape->edges[$corner] === EdgeKind::Wall && ! in_array($corner, $this->shape->outside, true);

        return array_sum(array_map(fn (int $corner) => $isFilled($corner) ? $share * $this->fillets[$corner] : 0.0, [(int) $slot->from, (int) $slot->to]));
    }

    /** The way that an arm of a gauge lies along a wall, from near the corner to its end. */
    private function arm(int $edge, bool $isFromFirst, float $z): Point
    {
        $length = $this->length($edge);
        [$near, $far] = array_map(fn (float $at) => $this->onWall($edge, $isFromFirst ? $at : $length - $at, $z), [self::ARM_FROM, min(self::ARM, $length)]);

        return new Point($far->x - $near->x, $far->y - $near->y);
    }

    private function angle(Slot $slot, float $z): float
    {
        if ($this->grade !== Grade::Plane) {
            $corner = (int) $slot->at;
            [$a, $b] = [$this->arm($corner, true, $z), $this->arm($this->shape->before($corner), false, $z)];
            $turn = rad2deg(atan2($a->x * $b->y - $a->y * $b->x, $a->x * $b->x + $a->y * $b->y));

            return $slot->outside ? 360.0 - fmod($turn + 360.0, 360.0) : fmod($turn + 360.0, 360.0);
        }

        return rad2deg($this->corner((int) $slot->at, $z)->turn($this->corner((int) $slot->to, $z), $this->corner((int) $slot->from, $z)));
    }
}
