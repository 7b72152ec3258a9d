<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Fit\Terms;
use Incastro\Geometry\Point;
use Incastro\Pieces\Marks\Mark;
use Incastro\Pieces\Marks\MarkKind;
use Incastro\Units\Hand;
use Incastro\Units\Placed;
use Incastro\Units\Pull;

/**
 * Where a pull is bored for: on a door near its free edge, at hand height on a high one, near the upper edge of one that stands low
 * and near the lower edge of one that hangs high; in the middle of a drawer's front; upright in the middle of a pull-out's.
 */
final readonly class PullPlace
{
    /** Between the two holes of a bar and of a cup pull, mm and inches: as they are mostly sold. */
    private const SPACING = ['bar' => [128.0, 5 + 1 / 16], 'cup' => [64.0, 2.5]];

    private const HOLE = 5.0;

    private const FINGER = 35.0;

    /** Of a door: from its free edge, and from its upper or lower edge to the next hole, mm and inches. */
    private const ASIDE = [32.0, 1.25];

    private const FROM_END = [70.0, 2.75];

    /** A leaf higher than this is opened at the height of a hand over the floor, mm and inches. */
    private const HIGH = 1400.0;

    private const HAND = [1050.0, 41.0];

    public function __construct(private Terms $terms, private Pull $pull)
    {
    }

    /**
     * A door's leaf or its free stile, bored.
     *
     * @param  Placed  $leaf  upright, its length up and its width to the right
     * @param  float  $high  of the leaf at its free edge, mm
     * @param  bool  $isStile  whether it is the stile of a framed leaf, in whose middle the pull stands
     */
    public function onDoor(Placed $leaf, Hand $free, float $high, bool $isStile): Placed
    {
        $wide = $leaf->piece->width->result->toDouble();
        $aside = $isStile ? $wide / 2 : min($wide / 2, $this->terms->rules->either(...self::ASIDE)->toDouble());
        $half = $this->spacing() / 2;
        $end = min($high / 2, $this->terms->rules->either(...self::FROM_END)->toDouble() + $half);
        $foot = $leaf->bounds->z0;
        $hand = $this->terms->rules->either(...self::HAND)->toDouble();
        $up = match (true) {
            $high > self::HIGH => max($end, min($high - $end, $hand - $foot)),
            $foot + $high / 2 < $hand => $high - $end,
            default => $end,
        };

        return $this->bored($leaf, array_map(fn (float $off) => new Point($up + $off, $free === Hand::Right ? $wide - $aside : $aside), $this->offsets()));
    }

    /** The front of a drawer, its length along the opening: one pull in its middle, or two at its quarters. */
    public function onDrawer(Placed $front, int $pulls): Placed
    {
        $long = $front->piece->length->result->toDouble();
        $up = $front->piece->width->result->toDouble() / 2;
        $points = [];
        foreach ($pulls === 2 ? [$long / 4, 3 * $long / 4] : [$long / 2] as $middle) {
            array_push($points, ...array_map(fn (float $off) => new Point($middle + $off, $up), $this->offsets()));
        }

        return $this->bored($front, $points);
    }

    /** The front of a pull-out, upright: in its middle, at the height of a hand or two thirds up. */
    public function onPullOut(Placed $front, float $high): Placed
    {
        $hand = $this->terms->rules->either(...self::HAND)->toDouble() - $front->bounds->z0;
        $half = $this->spacing() / 2 + self::FINGER;
        $up = min($hand > $high ? 2 * $high / 3 : $hand, $high - $half);

        return $this->bored($front, array_map(fn (float $off) => new Point($up + $off, $front->piece->width->result->toDouble() / 2), $this->offsets()));
    }

    private function spacing(): float
    {
        $spacing = self::SPACING[$this->pull->value] ?? null;

        return $spacing === null ? 0.0 : $this->terms->rules->either(...$spacing)->toDouble();
    }

    /** @return list<float> of its holes from its middle, mm */
    private function offsets(): array
    {
        $half = $this->spacing() / 2;

        return match (true) {
            $this->pull === Pull::None => [],
            $half > 0.0 => [-$half, $half],
            default => [0.0],
        };
    }

    /** @param list<Point> $points */
    private function bored(Placed $placed, array $points): Placed
    {
        return $points === [] ? $placed : $placed->marked([...$placed->piece->marks, new Mark(MarkKind::Hole, $points, true, 'its pull', $this->pull === Pull::Hole ? self::FINGER : self::HOLE)]);
    }
}
