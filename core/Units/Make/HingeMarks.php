<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Geometry\Axis;
use Incastro\Geometry\Pose;
use Incastro\Measure\Length;
use Incastro\Pieces\Marks\Mark;
use Incastro\Pieces\Marks\MarkKind;
use Incastro\Rules\HouseRules;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Placed;

/**
 * What hinges mark on a leaf and on what carries it: cups of 35 mm with their centres 22.5 from the hinge edge and the plates that
 * belong to them, as makers' drawings mostly have them; or mortises in both edges that meet.
 */
final class HingeMarks
{
    private const CUP = 35.0;

    private const CUP_DEEP = 13.0;

    private const CUP_IN = 22.5;

    /** The screws of a cup: from its middle along the edge, and so much farther in; mm. */
    private const CUP_SCREWS = [22.5, 9.5];

    private const PILOT = 2.5;

    private const PILOT_DEEP = 10.0;

    /** Screws of a hinge plate, from its middle, mm. */
    private const PLATE = 16.0;

    /** The line of a plate on a board lies so far behind the board's front edge, or behind a leaf that closes inside it, mm. */
    private const PLATE_IN = 37.0;

    /** Length of a butt hinge by the height of its leaf, mm and inches: up to so high, so long. */
    private const BUTTS = [[600.0, 24.0, 50.0, 2.0], [1200.0, 48.0, 65.0, 2.5]];

    private const LONGEST = [75.0, 3.0];

    /** How thick the leaf of a butt hinge is, mm. */
    private const BUTT_DEEP = 2.0;

    /** Length of a butt hinge on a leaf so high, mm. */
    public static function butt(float $high, HouseRules $rules): Length
    {
        foreach (self::BUTTS as [$mm, $inches, $long, $longInches]) {
            if ($high <= $rules->either($mm, $inches)->toDouble() + 1e-6) {
                return $rules->either($long, $longInches);
            }
        }

        return $rules->either(...self::LONGEST);
    }

    /** @return array{list<Mark>, list<Mark>} on the leaf, and on what carries it */
    public static function of(Joint $joint, Placed $leaf, Placed $post, HouseRules $rules): array
    {
        [$left, $right] = $leaf->along(Axis::U);
        $isLeft = array_sum($post->along(Axis::U)) < $left + $right;

        return $joint->kind === JointKind::Butt ? self::butts($joint, $leaf, $post, $isLeft, self::butt($leaf->piece->length->result->toDouble(), $rules)->toDouble() / 2) : self::cups($joint, $leaf, $post, $isLeft);
    }

    /** @return array{list<Mark>, list<Mark>} */
    private static function cups(Joint $joint, Placed $leaf, Placed $post, bool $isLeft): array
    {
        [$left, $right] = $leaf->along(Axis::U);
        $back = $leaf->along(Axis::V)[0];
        [$low, $high] = $post->along(Axis::U);
        // On the edge of a stile in its middle; on the face of a board so far behind its front edge, or behind the leaf in it.
        $isStile = Pose::axis($post->pose->thickness) === Axis::V;
        $front = min($post->along(Axis::V)[1], $back);
        $out = $isStile ? array_sum($post->along(Axis::V)) / 2 : $front - self::PLATE_IN;
        $in = fn (float $far): float => $isLeft ? $left + $far : $right - $far;
        [$beside, $farther] = self::CUP_SCREWS;
        $cups = $screws = $plates = [];
        foreach ($joint->at as $z) {
            $cups[] = $leaf->seen($in(self::CUP_IN), $back, $z);
            foreach ([-1, 1] as $sign) {
                $screws[] = $leaf->seen($in(self::CUP_IN + $farther), $back, $z + $sign * $beside);
                $plates[] = $post->seen($isLeft ? $high : $low, $out, $z + $sign * self::PLATE);
            }
        }
        $isUp = $leaf->showsUp(Axis::V, -1);

        return $cups === [] ? [[], []] : [
            [new Mark(MarkKind::Cup, $cups, $isUp, $post->piece->mark, self::CUP, self::CUP_DEEP), new Mark(MarkKind::Hole, $screws, $isUp, $post->piece->mark, self::PILOT, self::PILOT_DEEP)],
            [new Mark(MarkKind::Plate, $plates, $isStile || $post->showsUp(Axis::U, $isLeft ? 1 : -1), $leaf->piece->mark, self::PILOT)],
        ];
    }

    /** @return array{list<Mark>, list<Mark>} */
    private static function butts(Joint $joint, Placed $leaf, Placed $post, bool $isLeft, float $half): array
    {
        $marks = fn (Placed $one, Placed $partner, bool $atLow): array => array_map(fn (float $z) => new Mark(
            MarkKind::Mortise,
            array_map(fn (float $at) => $one->seen($one->along(Axis::U)[$atLow ? 0 : 1], $one->along(Axis::V)[1], $at), [$z - $half, $z + $half]),
            true,
            $partner->piece->mark,
            depth: self::BUTT_DEEP,
        ), $joint->at);

        return [$marks($leaf, $post, $isLeft), $marks($post, $leaf, ! $isLeft)];
    }
}
