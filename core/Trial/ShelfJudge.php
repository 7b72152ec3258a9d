<?php

declare(strict_types=1);

namespace Incastro\Trial;

use Incastro\Fit\FittedRun;
use Incastro\Fit\FittedShelf;
use Incastro\Geometry\Point;

/**
 * Puts shelves on cleats between the true walls: past the front, tipped where that is narrower than they are long; swung
 * level in their place; and pushed back to first contact. It takes from the plan their outlines, their heights, and whether
 * they were said to go in straight.
 */
final class ShelfJudge
{
    /** A shelf goes in that is no more than this too long, mm: it is pushed. */
    private const PUSH = 0.2;

    /** Steps of a swing, and of the search for its first angle. */
    private const SWING_STEPS = 24;

    private const HALVINGS = 30;

    /** @var list<string> what did not go in */
    public array $jams = [];

    public int $shelves = 0;

    /** Those that must be tipped, and those that were said to. */
    public int $tipped = 0;

    public int $saidTipped = 0;

    /** @var list<float> how much longer each could have been in its place, mm */
    public array $slack = [];

    private int $wall;

    private int $left;

    private int $right;

    public function __construct(private readonly TrueRoom $room, private readonly float $board)
    {
    }

    public function run(FittedRun $run): void
    {
        $this->wall = $run->frame->wall;
        $this->left = $this->room->shape->after($this->wall);
        $this->right = $this->room->shape->before($this->wall);
        foreach ($run->shelves as $shelf) {
            $this->shelves++;
            $this->saidTipped += $shelf->tipping?->isLikely === true ? 1 : 0;
            $this->shelf($shelf);
        }
    }

    private function shelf(FittedShelf $shelf): void
    {
        $name = sprintf('shelf %d', $shelf->index);
        $back = $this->toTheWall($shelf);
        // As far back as it was planned, or to first contact before that.
        $out = max(0.0, $back);
        $slack = $this->slack($shelf, $out);
        $this->slack[] = $slack;
        if ($slack < -self::PUSH) {
            $this->jams[] = sprintf('%s is %.1f too long for its place', $name, -$slack);

            return;
        }
        $angle = $this->angleAtTheFront($shelf);
        if ($angle === 0.0) {
            return;
        }
        $this->tipped++;
        $long = self::longest($shelf);
        $high = $long * sin($angle) + $this->board * cos($angle);
        $clear = $this->clearHeight();
        $jam = match (true) {
            $shelf->tipping === null => sprintf('%s was to go in straight, and the front is narrower', $name),
            $high > $clear => sprintf('%s has no height to be tipped in: %.1f against %.1f', $name, $high, $clear),
            ! $this->swings($shelf, $angle, $out, true) && ! $this->swings($shelf, $angle, $out, false) => sprintf('%s jams on its way from tipped to level', $name),
            default => null,
        };
        $this->jams = $jam === null ? $this->jams : [...$this->jams, $jam];
    }

    /** How far out of its planned place a shelf first touches the wall behind it, mm; less than nothing: it could go further back. */
    private function toTheWall(FittedShelf $shelf): float
    {
        $length = $this->room->length($this->wall);
        $farthest = -INF;
        foreach ($shelf->outline as $point) {
            foreach ([$shelf->z, $shelf->z + $this->board] as $z) {
                $farthest = max($farthest, $this->room->walls[$this->wall]->at(1 - $point->x / $length, $z) - $point->y);
            }
        }

        return $farthest;
    }

    /** What is free on both sides together of a level shelf that stands out by so much, mm. */
    private function slack(FittedShelf $shelf, float $out): float
    {
        [$from, $to] = [-INF, INF];
        foreach ($shelf->outline as $point) {
            foreach ([$shelf->z, $shelf->z + $this->board] as $z) {
                $from = max($from, $this->room->meets($this->left, $this->wall, $point->y + $out, $z) - $point->x);
                $to = min($to, $this->room->meets($this->right, $this->wall, $point->y + $out, $z) - $point->x);
            }
        }

        return $to - $from;
    }

    private static function longest(FittedShelf $shelf): float
    {
        $us = array_map(fn (Point $point) => $point->x, $shelf->outline);

        return max($us) - min($us);
    }

    /** The least angle at which a shelf passes the narrowest place between its own front and the mouth; 0 where it goes straight. */
    private function angleAtTheFront(FittedShelf $shelf): float
    {
        $face = max(array_map(fn (Point $point) => $point->y, $shelf->outline));
        $narrowest = INF;
        $mouth = $this->room->mouth($this->wall);
        foreach ([$face, ($face + $mouth) / 2, $mouth] as $v) {
            if ($v >= $face) {
                $narrowest = min($narrowest, $this->room->meets($this->right, $this->wall, $v, $shelf->z) - $this->room->meets($this->left, $this->wall, $v, $shelf->z));
            }
        }
        $long = self::longest($shelf);
        $passes = fn (float $angle): bool => $long * cos($angle) + $this->board * sin($angle) <= $narrowest + self::PUSH;
        if ($passes(0.0)) {
            return 0.0;
        }
        // Lying flat it is longest a little tipped; from there on, the steeper the shorter.
        [$low, $high] = [atan2($this->board, $long), M_PI / 2];
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $middle = ($low + $high) / 2;
            $passes($middle) ? $high = $middle : $low = $middle;
        }

        return $high;
    }

    /** The lowest clear height in the space, under which a shelf is tipped. */
    private function clearHeight(): float
    {
        return min(INF, ...array_map(fn (Point $at) => $this->room->ceilingAt($at) - $this->room->floorAt($at), $this->room->corners));
    }

    /** Whether a shelf comes level in its place, one end low against its wall and the other let down. */
    private function swings(FittedShelf $shelf, float $angle, float $out, bool $isLeftLow): bool
    {
        [$low, $high] = $isLeftLow ? [$this->left, $this->right] : [$this->right, $this->left];
        $towards = $isLeftLow ? 1.0 : -1.0;
        for ($i = 0; $i <= self::SWING_STEPS; $i++) {
            $now = $angle * (1 - $i / self::SWING_STEPS);
            [$from, $to] = [-INF, INF];
            foreach (self::ends($shelf) as [$v, $left, $right]) {
                $long = $right - $left;
                $foot = $isLeftLow ? $left : $right;
                $at = fn (int $wall, float $z): float => $towards * $this->room->meets($wall, $this->wall, $v + $out, $z);
                $from = max($from, $at($low, $shelf->z) - $towards * $foot, $at($low, $shelf->z + $this->board * cos($now)) - $towards * $foot + $this->board * sin($now));
                $to = min($to, $at($high, $shelf->z + $long * sin($now)) - $towards * $foot - $long * cos($now));
            }
            if ($to - $from < -self::PUSH) {
                return false;
            }
        }

        return true;
    }

    /** @return array{array{float, float, float}, array{float, float, float}} v, and u of both ends, of its back and of its front */
    private static function ends(FittedShelf $shelf): array
    {
        $count = count($shelf->outline);
        [$leftBack, $rightBack, $rightFront, $leftFront] = [$shelf->outline[0], $shelf->outline[$count - 3], $shelf->outline[$count - 2], $shelf->outline[$count - 1]];

        return [[max($leftBack->y, $rightBack->y), $leftBack->x, $rightBack->x], [$leftFront->y, $leftFront->x, $rightFront->x]];
    }
}
