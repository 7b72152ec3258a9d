<?php

declare(strict_types=1);

namespace Incastro\Survey\Room;

use Incastro\Geometry\Polygon;
use Incastro\Survey\Space\SpaceKind;

/** What an adjustment came to may be no room at all. */
final class Plausible
{
    /** No room is as large as this, mm: an adjustment that goes beyond it has not found one. */
    private const LARGEST = 100_000.0;

    /** Whether the walls, carried on to the ends of the room, stay within what a room can be. */
    public static function isOne(Room $room): bool
    {
        if (! (new Polygon($room->corners))->isSimple() || (new Polygon($room->corners))->signedArea() <= 0.0) {
            return false;
        }
        foreach ([...$room->adjusted->unknowns, ...$room->levels->adjusted->unknowns] as $unknown) {
            if (! (abs($unknown) < self::LARGEST)) {
                return false;
            }
        }
        $frame = $room->frame();
        $top = $frame->lowestCeiling(max(0.0, $frame->mouth()))[0];
        if ($frame->mouth() <= 0.0 || $top <= 0.0 || $top > self::LARGEST) {
            return $room->shape->kind === SpaceKind::UnderStair && $frame->mouth() > 0.0;
        }
        foreach ([0.0, $frame->mouth()] as $v) {
            foreach ([0.0, $top, 2 * $top] as $z) {
                if (! (abs($frame->leftAt($v, $z)) + abs($frame->rightAt($v, $z)) < self::LARGEST)) {
                    return false;
                }
            }
        }

        foreach (array_keys($room->network->fields) as $wall) {
            $length = $room->edgeLength($wall);
            $height = $room->frame($wall)->ceilingAt($length / 2, 0.0);
            foreach ([0.0, $length / 2, $length] as $along) {
                foreach ([0.0, $height / 2, $height] as $z) {
                    if (! (abs($height) + abs($room->wallOffset($wall, $along, $z)) < self::LARGEST)) {
                        return false;
                    }
                }
            }
        }

        return true;
    }
}
