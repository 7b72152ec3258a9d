<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Geometry\Axis;
use Incastro\Geometry\Pose;
use Incastro\Rules\HouseRules;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Part;

/** Where hinges are so that no fixed shelf is in their way: a cup, a plate and an arm want room over and under them. */
final class HingePlaces
{
    /** From the middle of a hinge to the middle of a fixed shelf at least, mm and inches. */
    private const CLEAR = [30.0, 1.25];

    /** A front whose hinges give way to the shelves that are fixed behind it: those at its ends inwards, others to the nearer side. */
    public static function clearOf(Assembly $front, Assembly $inside, HouseRules $rules): Assembly
    {
        $middles = [];
        foreach ($inside->placed as $one) {
            if ($one->part === Part::Body && $one->pose->isSquare() && Pose::axis($one->pose->thickness) === Axis::Z) {
                $middles[] = array_sum($one->along(Axis::Z)) / 2;
            }
        }
        $clear = $rules->either(...self::CLEAR)->toDouble();
        $joints = array_map(function (Joint $joint) use ($middles, $clear): Joint {
            if ($joint->kind !== JointKind::Hinge) {
                return $joint;
            }
            $last = count($joint->at) - 1;
            $moved = [];
            foreach ($joint->at as $i => $z) {
                foreach ($middles as $middle) {
                    $isNear = abs($z - $middle) < $clear - 1e-6;
                    $z = $isNear ? $middle + (match (true) {
                        $i === 0 => 1,
                        $i === $last => -1,
                        default => $z < $middle ? -1 : 1,
                    }) * $clear : $z;
                }
                $moved[] = $z;
            }

            return new Joint($joint->a, $joint->b, $joint->kind, $joint->use, $joint->shares, $moved);
        }, $front->joints);

        return $front->placing($front->placed, $joints);
    }
}
