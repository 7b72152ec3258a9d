<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Pieces\Piece;
use Incastro\Units\Hardware;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Placed;

/**
 * Which screws a joint takes, and how many: their length by the two thicknesses that meet, their number by the length of the
 * joint (handbook, "Strength": face to face never longer than both boards less 3 mm; into an edge 25 to 30 mm of hold; pocket
 * screws by thickness; into a stud 25 to 32 mm past nailer and wallboard).
 */
final readonly class Screws
{
    /** Between two screws of a joint, and from its ends to the first, mm. */
    private const APART = 150.0;

    private const FROM_ENDS = 50.0;

    private const PINS_PER_END = 2;

    /** Hold in the edge of a board, mm; what must be left of both boards face to face; and of a stud behind a wall's board. */
    private const HOLD = 30.0;

    private const LEFT = 3.0;

    private const IN_STUD = 32.0;

    private const WALLBOARD = 12.5;

    /** Lengths that screws are sold in, mm and sixteenths of an inch. */
    private const METRIC = [16, 20, 25, 30, 35, 40, 45, 50, 60, 70, 80, 90, 100];

    private const IMPERIAL = [10, 12, 16, 20, 24, 28, 32, 40, 48, 56, 64];

    /** Pocket screws by the thickness of the board that they are bored in: up to so many mm, length in mm and in sixteenths of an inch. */
    private const POCKET = [[14.0, 25, 16], [17.0, 28, 18], [21.0, 32, 20], [30.0, 38, 24], [INF, 64, 40]];

    /**
     * What holds a joint, and what it is used for; nothing where it is glued.
     *
     * @return list<Hardware>
     */
    public static function of(Joint $joint, Placed $a, Placed $b, LengthFormat $format): array
    {
        $contact = $a->bounds->overlap($b->bounds);
        sort($contact);
        $long = max(0.0, $contact[2]);
        $ta = $a->piece->thickness->toDouble();
        $tb = $b->piece->thickness->toDouble();
        $isFaceToFace = abs($a->pose->thickness->dot($b->pose->thickness)) > 0.9;

        return match ($joint->kind) {
            JointKind::Pocket => [new Hardware('pocket screw, '.self::pocket($ta, $format), self::along($long), $joint->use)],
            JointKind::Screws => [new Hardware(self::named(4.0, $isFaceToFace ? $ta + $tb - self::LEFT : $ta + self::HOLD, $format), self::along($long), $joint->use)],
            JointKind::Pins => [new Hardware('shelf pin', self::PINS_PER_END, $joint->use)],
            JointKind::Glue => [],
        };
    }

    /** What fixes a cleat to the studs of a wall with a board on it, or as near as the wall's kind allows. */
    public static function toWall(Piece $cleat, string $use, LengthFormat $format): Hardware
    {
        return new Hardware(self::named(5.0, $cleat->thickness->toDouble() + self::WALLBOARD + self::IN_STUD, $format), self::along($cleat->length->result->toDouble()), $use);
    }

    private static function along(float $long): int
    {
        return max(2, (int) ceil(($long - 2 * self::FROM_ENDS) / self::APART) + 1);
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

    private static function named(float $diameter, float $most, LengthFormat $format): string
    {
        if ($format->unit->isMetric()) {
            $fitting = array_filter(self::METRIC, fn (int $mm) => $mm <= $most);

            return sprintf('wood screw %.0f × %d', $diameter, $fitting === [] ? self::METRIC[0] : max($fitting));
        }
        $fitting = array_filter(self::IMPERIAL, fn (int $sixteenths) => $sixteenths * 25.4 / 16 <= $most);

        return sprintf('wood screw no. %d × %s', $diameter < 4.5 ? 8 : 10, self::length(0, $fitting === [] ? self::IMPERIAL[0] : max($fitting), $format));
    }

    private static function length(int $mm, int $sixteenths, LengthFormat $format): string
    {
        return $format->unit->isMetric() ? "$mm mm" : $format->write(Length::ofNanometres($sixteenths * 1_587_500));
    }
}
