<?php

declare(strict_types=1);

namespace Incastro\Survey\Space;

use Incastro\Geometry\Point;

/**
 * The common kinds of awkward space. Each starts with a plan of usual proportions, which the readings then put right.
 *
 * Corners go anticlockwise as seen from above and the first edge is the back wall, so the first corner lies at its right
 * end as one faces it.
 */
enum SpaceKind: string
{
    case Alcove = 'alcove';
    case Closet = 'closet';
    case UnderStair = 'under-stair';
    case RoofSlope = 'roof-slope';
    case RoomCorner = 'room-corner';
    case Chimney = 'chimney';
    case Bay = 'bay';
    case Other = 'other';

    public function label(): string
    {
        return match ($this) {
            self::Alcove => 'Alcove',
            self::Closet => 'Closet with a door',
            self::UnderStair => 'Under a stair',
            self::RoofSlope => 'Under a roof slope',
            self::RoomCorner => 'Corner of a room',
            self::Chimney => 'Round a chimney breast or chase',
            self::Bay => 'Splayed bay',
            self::Other => 'Any other shape',
        };
    }

    public function hint(): string
    {
        return match ($this) {
            self::Alcove => 'Three walls, open in front.',
            self::Closet => 'Four walls and a door narrower than the room.',
            self::UnderStair => 'A long back wall, and a ceiling that rakes down along it.',
            self::RoofSlope => 'A low knee wall, a slope above it, then a flat ceiling.',
            self::RoomCorner => 'Two walls that meet; open elsewhere.',
            self::Chimney => 'A wall with a breast or chase standing out of it: two outside corners.',
            self::Bay => 'Side walls that splay outwards.',
            self::Other => 'Say how many corners it has, and what stands between them.',
        };
    }

    /** @return list<Point> in mm */
    public function plan(): array
    {
        return self::points(match ($this) {
            self::Alcove, self::Other => [[0, 0], [900, 0], [900, 600], [0, 600]],
            self::Closet => [[0, 0], [1800, 0], [1800, 1200], [1300, 1200], [500, 1200], [0, 1200]],
            self::UnderStair => [[0, 0], [2600, 0], [2600, 900], [0, 900]],
            self::RoofSlope => [[0, 0], [2400, 0], [2400, 1800], [0, 1800]],
            self::RoomCorner => [[0, 0], [1500, 0], [1500, 1500]],
            self::Chimney => [[0, 0], [900, 0], [900, 350], [2100, 350], [2100, 0], [3000, 0], [3000, 1500], [0, 1500]],
            self::Bay => [[0, 0], [1200, 0], [1700, 600], [-500, 600]],
        });
    }

    /** @return list<EdgeKind> */
    public function edges(): array
    {
        [$wall, $open, $door] = [EdgeKind::Wall, EdgeKind::Open, EdgeKind::Door];

        return match ($this) {
            self::Alcove, self::UnderStair, self::RoofSlope, self::Bay, self::Other => [$wall, $wall, $open, $wall],
            self::Closet => [$wall, $wall, $wall, $door, $wall, $wall],
            self::RoomCorner => [$wall, $wall, $open],
            self::Chimney => [$wall, $wall, $wall, $wall, $wall, $wall, $open, $wall],
        };
    }

    public function ceiling(): CeilingKind
    {
        return match ($this) {
            self::UnderStair => CeilingKind::Rake,
            self::RoofSlope => CeilingKind::SlopeAndFlat,
            default => CeilingKind::Flat,
        };
    }

    /** The most takes that its starting sheet may ask for. */
    public function mostTakes(): int
    {
        return match ($this) {
            self::Alcove, self::Bay, self::RoomCorner => 30,
            self::UnderStair, self::RoofSlope => 45,
            default => 60,
        };
    }

    /**
     * @param  list<array{int, int}>  $places
     * @return list<Point>
     */
    private static function points(array $places): array
    {
        return array_map(fn (array $place) => new Point((float) $place[0], (float) $place[1]), $places);
    }
}
