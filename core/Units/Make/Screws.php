<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Geometry\Pose;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Pieces\Piece;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Placed;

/**
 * Which screws a joint takes, and how many: their length by the two thicknesses that meet, as many as it marks (face to face
 * never longer than both boards less 3 mm; through a face into an edge the shortest that holds there by 25 mm or an inch;
 * pocket screws by the thinner board; into a stud 25 to 32 mm past nailer and wallboard: handbook, "Strength").
 */
final readonly class Screws
{
    private const PINS_PER_END = 2;

    /** What must be left of both boards face to face, mm; and hold in a stud behind a wall's board. */
    private const LEFT = 3.0;

    private const IN_STUD = 32.0;

    private const WALLBOARD = 12.5;

    /** From stud to stud where nobody looked for them, mm. */
    private const STUDS = 400.0;

    /** Lengths that screws are sold in, mm and sixteenths of an inch. */
    private const METRIC = [16, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100];

    private const IMPERIAL = [10, 12, 16, 20, 26, 32, 40, 48, 56, 64];

    /** Pocket screws by the thinner of the two boards: up to so many mm, length in mm and in sixteenths of an inch. */
    private const POCKET = [[17.0, 25, 16], [22.0, 32, 20], [30.0, 38, 24], [INF, 64, 40]];

    /**
     * What holds a joint, and what it is used for; nothing where it is glued, or held by what its unit buys.
     *
     * @param  Contact|null  $contact  where they meet, of two that stand square
     * @return list<Hardware>
     */
    public static function of(Joint $joint, Placed $a, Placed $b, ?Contact $contact, LengthFormat $format): array
    {
        [$ta, $tb] = [$a->piece->thickness->toDouble(), $b->piece->thickness->toDouble()];
        $isFaceToFace = abs($a->pose->thickness->dot($b->pose->thickness)) > 0.9;

        return match ($joint->kind) {
            JointKind::Pocket => [new Hardware('pocket screw, '.self::pocket(min($ta, $tb), $format), count(Marking::pockets(self::lines($a, $b, $contact)[0], $format->unit)), $joint->use)],
            JointKind::Screws => [new Hardware($isFaceToFace ? self::longest(4.0, $ta + $tb - self::LEFT, $format) : self::shortest(4.0, $ta + ($format->unit->isMetric() ? 25.0 : 25.4), $format), self::through($a, $b, $contact, $format), $joint->use)],
            JointKind::Pins => [new Hardware('shelf pin', self::PINS_PER_END, $joint->use)],
            JointKind::Glue, JointKind::Nails, JointKind::Dado, JointKind::Hinge, JointKind::Slide => [],
        };
    }

    /** What fixes a cleat to the studs of a wall with a board on it, or as near as the wall's kind allows. */
    public static function toWall(Piece $cleat, string $use, LengthFormat $format): Hardware
    {
        return self::intoStuds($cleat, count(Marking::pockets($cleat->length->result->toDouble(), $format->unit)), $use, $format);
    }

    /** What fixes a batten, which carries little: one at each stud, and at its ends. */
    public static function toStuds(Piece $batten, string $use, LengthFormat $format): Hardware
    {
        return self::intoStuds($batten, 1 + (int) ceil($batten->length->result->toDouble() / self::STUDS), $use, $format);
    }

    private static function intoStuds(Piece $piece, int $count, string $use, LengthFormat $format): Hardware
    {
        return new Hardware(self::longest(5.0, $piece->thickness->toDouble() + self::WALLBOARD + self::IN_STUD, $format), $count, $use);
    }

    private static function through(Placed $a, Placed $b, ?Contact $contact, LengthFormat $format): int
    {
        [$long, $wide] = self::lines($a, $b, $contact);

        return count(Marking::screwPlaces($long, $format->unit)) * count(Marking::rows($wide, $format->unit));
    }

    /**
     * How far two pieces meet along the joint and across it, mm; of two that stand askew what is around them tells.
     *
     * @return array{float, float}
     */
    private static function lines(Placed $a, Placed $b, ?Contact $contact): array
    {
        if ($contact === null) {
            $shared = $a->bounds->overlap($b->bounds);
            sort($shared);

            return [max(0.0, $shared[2]), 0.0];
        }
        $line = $contact->isFaceOf($a) ? $contact->line() : $contact->beside(Pose::axis($a->pose->thickness));

        return [max(0.0, $contact->long($line)), max(0.0, $contact->long($contact->beside($line)))];
    }

    private static function pocket(float $thickness, LengthFormat $format): string
    {
        foreach (self::POCKET as [$upTo, $metric, $imperial]) {
            if ($thickness <= $upTo) {
                return self::length($metric, $imperial, $format);
            }
        }

        return self::length(64, 40, $format);
    }

    /** The longest screw that is no longer than this. */
    private static function longest(float $diameter, float $most, LengthFormat $format): string
    {
        $sold = self::sold($format);
        $fitting = array_filter($sold, fn (float $mm) => $mm <= $most + 1e-6);

        return self::named($diameter, $fitting === [] ? 0 : (int) array_key_last($fitting), $format);
    }

    /** The shortest screw that is at least so long. */
    private static function shortest(float $diameter, float $least, LengthFormat $format): string
    {
        $sold = self::sold($format);
        $fitting = array_filter($sold, fn (float $mm) => $mm >= $least - 1e-6);

        return self::named($diameter, $fitting === [] ? count($sold) - 1 : (int) array_key_first($fitting), $format);
    }

    /** @return non-empty-list<float> mm */
    private static function sold(LengthFormat $format): array
    {
        return $format->unit->isMetric() ? array_map(floatval(...), self::METRIC) : array_map(fn (int $sixteenths): float => $sixteenths * 25.4 / 16, self::IMPERIAL);
    }

    private static function named(float $diameter, int $sold, LengthFormat $format): string
    {
        return $format->unit->isMetric()
            ? sprintf('wood screw %.0f × %d', $diameter, self::METRIC[$sold])
            : sprintf('wood screw no. %d × %s', $diameter < 4.5 ? 8 : 10, self::length(0, self::IMPERIAL[$sold], $format));
    }

    private static function length(int $mm, int $sixteenths, LengthFormat $format): string
    {
        return $format->unit->isMetric() ? "$mm mm" : $format->write(Length::ofNanometres($sixteenths * 1_587_500));
    }
}
