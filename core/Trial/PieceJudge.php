<?php

declare(strict_types=1);

namespace Incastro\Trial;

use Incastro\Fit\Box;
use Incastro\Fit\Closing\Side;
use Incastro\Fit\FittedRun;
use Incastro\Fit\Layout\RunEnd;
use Incastro\Geometry\Convex;
use Incastro\Geometry\Point;
use Incastro\Geometry\Solid;
use Incastro\Pieces\Works\CutToWalls;
use Incastro\Pieces\Works\Scribed;
use Incastro\Survey\Space\EdgeKind;
use Incastro\Units\Assembly;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/**
 * Puts every piece into the true room where it was planned to stand: a box with its pieces as one, a loose piece by itself,
 * moved as far as a hand moves it before it is screwed on. None may stand in a wall, a floor, a ceiling, a thing or another
 * piece. It takes of the plan what one carries into the room, and nothing of how that was reckoned.
 */
final class PieceJudge
{
    /** A piece is pushed home that is no more than this too large, mm. */
    private const PUSH = 0.2;

    /** A touch between two pieces, mm. */
    private const TOUCH = 0.5;

    /** What is screwed to a wall goes where the wall is, and that is no further off than this, mm. */
    private const MOVES = 6.0;

    /** A wall behind stops a run by no more than it may lean and bow, mm. */
    private const STOPS = 18.0;

    /** A scribed edge is held up, marked and eased by no more than this, mm. */
    private const EASED = 3.0;

    /** What is this far from a surface does not meet it between its corners, mm: twice what a wall may bow. */
    private const NEAR = 20.0;

    /** @var list<string> what did not go in */
    public array $jams = [];

    public int $pieces = 0;

    public int $overlaps = 0;

    /** @var list<array{Placed, Solid}> what stands in the room already */
    private array $standing = [];

    /** @var list<array{TrueThing, Solid}> */
    private array $things;

    /** @param list<TrueThing> $things */
    public function __construct(private readonly TrueRoom $room, array $things, private readonly bool $skirtingStays)
    {
        $this->things = array_map(fn (TrueThing $thing) => [$thing, $thing->solid($room)], $things);
    }

    /** A run pushed sideways by so much, on a plinth levelled at this height, and pushed home against the wall behind. */
    public function run(FittedRun $run, Assembly $assembly, float $by, float $level): void
    {
        $wall = $run->frame->wall;
        $by = $this->aside($run, $assembly, $by, $level);
        $boxes = $this->home($run, $assembly, $by, $level, null);
        $outs = [];
        $grants = $assembly->grants();
        foreach ($assembly->placed as $placed) {
            $this->pieces++;
            $out = self::isOfBox($run, $placed) ? $boxes : $outs[$placed->owner] ??= $this->home($run, $assembly, $by, $level, $placed->owner);
            $this->inTheRoom($placed, $wall, $by, $out, $level, self::isRigid($run, $placed));
            $solid = $placed->solid()->mapped(function (array $at) use ($wall, $by, $out, $level): array {
                $point = $this->room->along($wall, $at[0] + $by, $at[1] + $out);

                return [$point->x, $point->y, $at[2] + $level];
            });
            foreach ($this->things as [$thing, $body]) {
                if ($solid->overlap($body, self::TOUCH) > self::TOUCH) {
                    $this->jams[] = sprintf('%s stands in the %s', $placed->piece->mark, lcfirst($thing->kind->label()));
                }
            }
            foreach ($this->standing as [$other, $its]) {
                $most = self::TOUCH + ($grants[$placed->piece->key.'|'.$other->piece->key] ?? 0.0);
                if ($solid->overlap($its, $most) > $most) {
                    $this->overlaps++;
                    $this->jams[] = sprintf('%s stands in %s', $placed->piece->mark, $other->piece->mark);
                }
            }
            $this->standing[] = [$placed, $solid];
        }
        foreach ($run->boxes as $box) {
            $this->path($run, $assembly, $box, $by, $level);
        }
    }

    /** A run that stops short at one end is pushed that way by what meets the wall at the other. */
    private function aside(FittedRun $run, Assembly $assembly, float $by, float $level): float
    {
        foreach (['left wall' => [$run->run->right, 1.0], 'right wall' => [$run->run->left, -1.0]] as $name => [$end, $way]) {
            $over = $this->surfaces($run->frame->wall)[$name] ?? null;
            if ($over === null || $end !== RunEnd::Stops) {
                continue;
            }
            $most = 0.0;
            foreach ($assembly->placed as $placed) {
                $most = self::isOfBox($run, $placed) ? max($most, $this->through($placed, $over, $by, 0.0, $level)) : $most;
            }
            $by += $way * min($most, self::MOVES);
        }

        return $by;
    }

    /**
     * How far the boxes of a run, which stand in one line, or a member alone, stand out from where they were planned, because
     * the wall behind stops them, mm.
     */
    private function home(FittedRun $run, Assembly $assembly, float $by, float $level, ?string $owner): float
    {
        $behind = $this->surfaces($run->frame->wall)['wall behind'];
        $most = 0.0;
        foreach ($assembly->placed as $placed) {
            $isMeant = $owner === null ? self::isRigid($run, $placed) : $placed->owner === $owner;
            $most = $isMeant ? max($most, $this->through($placed, $behind, $by, 0.0, $level)) : $most;
        }

        return min($most, self::STOPS);
    }

    private static function isOfBox(FittedRun $run, Placed $placed): bool
    {
        return $run->box($placed->owner) !== null;
    }

    /** Whether a piece goes in with its box. */
    private static function isRigid(FittedRun $run, Placed $placed): bool
    {
        return self::isOfBox($run, $placed) && in_array($placed->part, [Part::Body, Part::Back, Part::Nailer, Part::Loose], true);
    }

    /** What a box, with its pieces, meets on its way from the mouth to its place: whatever stands before it there. */
    private function path(FittedRun $run, Assembly $assembly, Box $box, float $by, float $level): void
    {
        [$left, $right, $foot, $top] = [INF, -INF, INF, -INF];
        foreach ($assembly->placed as $placed) {
            if ($placed->owner === $box->id && in_array($placed->part, [Part::Body, Part::Back], true)) {
                [$left, $right] = [min($left, $placed->bounds->u0 + $by), max($right, $placed->bounds->u1 + $by)];
                [$foot, $top] = [min($foot, $placed->bounds->z0 + $level), max($top, $placed->bounds->z1 + $level)];
            }
        }
        foreach ($this->things as [$thing, $body]) {
            foreach ($body->parts as $part) {
                /** @var non-empty-list<array{float, float, float}> $seen */
                $seen = array_map(fn (array $at) => [...$this->room->seen($run->frame->wall, new Point($at[0], $at[1])), $at[2]], $part->corners());
                $before = array_filter($seen, fn (array $at) => $at[1] > $box->face() + self::TOUCH);
                if ($before !== [] && max(array_column($seen, 0)) > $left + self::PUSH && min(array_column($seen, 0)) < $right - self::PUSH && max(array_column($seen, 2)) > $foot && min(array_column($seen, 2)) < $top) {
                    $this->jams[] = sprintf('%s meets the %s on its way', $box->mark, lcfirst($thing->kind->label()));

                    continue 2;
                }
            }
        }
    }

    /** Whether a piece is free of the surfaces around it; a loose one moves between two that face each other. */
    private function inTheRoom(Placed $placed, int $wall, float $by, float $out, float $level, bool $isRigid): void
    {
        $through = array_map(fn (\Closure $over): float => $this->through($placed, $over, $by, $out, $level), $this->surfaces($wall));
        foreach ($placed->piece->works as $work) {
            if ($work instanceof Scribed) {
                $name = match ($work->to) {
                    Side::Top => 'ceiling',
                    Side::Foot => 'floor',
                    Side::Back => 'wall behind',
                    default => $work->to->value.' wall',
                };
                $through[$name] = ($through[$name] ?? -INF) - self::EASED;
            } elseif ($work instanceof CutToWalls) {
                // Judged with its lengths, at its own places.
                foreach (['left wall', 'right wall', 'wall behind'] as $name) {
                    $through[$name] = -INF;
                }
            }
        }
        $moves = $isRigid ? 0.0 : self::MOVES;
        foreach ([['left wall', 'right wall'], ['wall behind', 'room'], ['floor', 'ceiling']] as [$name, $facing]) {
            [$a, $b] = [$through[$name] ?? -INF, $through[$facing] ?? -INF];
            $jams = max(max($a, $b) - $moves, $a + $b);
            if (max($a, $b) > self::PUSH && $jams > self::PUSH) {
                $this->jams[] = sprintf('%s goes %.1f through the %s', $placed->piece->mark, max($a, $b), $a > $b ? $name : $facing);
            }
        }
    }

    /** @return array<string, \Closure(float, float, float): float> how far a place of the true room lies beyond each surface, mm */
    private function surfaces(int $wall): array
    {
        $skirting = fn (float $z): float => $this->skirtingStays ? $this->room->skirtingAt($z) : 0.0;
        $surfaces = [
            'wall behind' => function (float $u, float $v, float $z) use ($wall, $skirting): float {
                $long = $this->room->length($wall);

                return $this->room->walls[$wall]->at(1.0 - min(1.0, max(0.0, $u / $long)), $z) + $skirting($z) - $v;
            },
            'floor' => fn (float $u, float $v, float $z): float => $this->room->floorAt($this->room->along($wall, $u, $v)) - $z,
            'ceiling' => fn (float $u, float $v, float $z): float => $z - $this->room->ceilingAt($this->room->along($wall, $u, $v)),
        ];
        foreach (['left wall' => [$this->room->shape->after($wall), 1.0], 'right wall' => [$this->room->shape->before($wall), -1.0]] as $name => [$edge, $way]) {
            if ($this->room->shape->edges[$edge] === EdgeKind::Wall) {
                $surfaces[$name] = fn (float $u, float $v, float $z): float => $way * ($this->room->meets($edge, $wall, $v, $z) - $u) + $skirting($z);
            }
        }

        return $surfaces;
    }

    /**
     * How far a piece that is pushed sideways and out, and levelled, reaches beyond a surface, mm.
     *
     * @param  \Closure(float, float, float): float  $over
     */
    private function through(Placed $placed, \Closure $over, float $by, float $out, float $level): float
    {
        return max([-INF, ...array_map(fn (Convex $part): float => $this->deepest($part, fn (array $at): float => $over($at[0] + $by, $at[1] + $out, $at[2] + $level)), $placed->solid()->parts)]);
    }

    /**
     * How far a part reaches beyond a surface: by its corners, and where they are near, between them.
     *
     * @param  \Closure(array{float, float, float}): float  $over
     */
    private function deepest(Convex $part, \Closure $over): float
    {
        $near = [];
        $most = -INF;
        foreach ($part->corners() as $corner) {
            $by = $over($corner);
            $most = max($most, $by);
            if ($by > -self::NEAR) {
                $near[] = $corner;
            }
        }
        foreach ($near as $i => $a) {
            foreach (array_slice($near, 0, $i) as $b) {
                foreach ([0.25, 0.5, 0.75] as $share) {
                    $most = max($most, $over([$a[0] + ($b[0] - $a[0]) * $share, $a[1] + ($b[1] - $a[1]) * $share, $a[2] + ($b[2] - $a[2]) * $share]));
                }
            }
        }

        return $most;
    }
}
