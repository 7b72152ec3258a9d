<?php

declare(strict_types=1);

namespace Incastro\Survey\Space;

use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;

/**
 * What a person says of a space before measuring it: its corners in order, what stands between them, which corners are
 * outside ones (of a chase or a chimney breast), and the kind of ceiling. The first edge is the back wall.
 */
final readonly class SpaceShape
{
    public const LEAST_CORNERS = 3;

    public const MOST_CORNERS = 24;

    /** An outside corner of a plan nobody knows yet is drawn this near to its middle, as a share. */
    private const PULLED_IN = 0.35;

    /**
     * @param  list<EdgeKind>  $edges  edge i goes from corner i to the next
     * @param  list<int>  $outside  numbers of the outside corners
     * @param  list<Point>  $nominal  a plan of usual proportions
     */
    private function __construct(
        public SpaceKind $kind,
        public array $edges,
        public array $outside,
        public CeilingKind $ceiling,
        public array $nominal,
    ) {
    }

    public static function of(SpaceKind $kind, ?CeilingKind $ceiling = null): self
    {
        return new self($kind, $kind->edges(), $kind === SpaceKind::Chimney ? [2, 3] : [], $ceiling ?? $kind->ceiling(), $kind->plan());
    }

    /**
     * @param  list<EdgeKind>  $edges  3 to 24
     * @param  list<int>  $outside
     */
    public static function any(array $edges, array $outside, CeilingKind $ceiling): self
    {
        $count = count($edges);
        // A corner that went took with it that it was an outside one.
        $outside = array_values(array_filter($outside, fn (int $corner) => $corner < $count));
        $points = [];
        for ($i = 0; $i < $count; $i++) {
            // About a middle, so that no two sides cross; the back wall lies along the x axis.
            $angle = 2 * M_PI * ($i - 0.5) / $count - M_PI / 2;
            $radius = 1500.0 * (in_array($i, $outside, true) ? self::PULLED_IN : 1.0);
            $points[] = new Point($radius * cos($angle), $radius * sin($angle));
        }

        return new self(SpaceKind::Other, $edges, $outside, $ceiling, Polygon::levelled($points));
    }

    public function corners(): int
    {
        return count($this->edges);
    }

    /** "A", "B", … in the order of the corners. */
    public static function name(int $corner): string
    {
        return chr(ord('A') + $corner);
    }

    /** "A–B". */
    public function edgeName(int $edge): string
    {
        return self::name($edge).'–'.self::name($this->after($edge));
    }

    /** What a person calls a wall: back, left and right where the space has such, else by its corners. */
    public function wallName(int $edge): string
    {
        $last = $this->corners() - 1;

        return match (true) {
            in_array($this->kind, [SpaceKind::Other, SpaceKind::Chimney, SpaceKind::RoomCorner], true) => 'wall '.$this->edgeName($edge),
            $edge === 0 => $this->kind === SpaceKind::RoofSlope ? 'knee wall' : 'back wall',
            $edge === 1 => 'left wall',
            $edge === $last => 'right wall',
            default => 'wall '.$this->edgeName($edge),
        };
    }

    public function after(int $corner): int
    {
        return ($corner + 1) % count($this->edges);
    }

    public function before(int $corner): int
    {
        return ($corner + $this->corners() - 1) % $this->corners();
    }

    public function isWall(int $edge): bool
    {
        return $this->edges[$edge] === EdgeKind::Wall;
    }

    /** @return list<int> the edges that are walls */
    public function walls(): array
    {
        return array_values(array_filter(array_keys($this->edges), $this->isWall(...)));
    }

    public function isNeighbour(int $corner, int $other): bool
    {
        return $this->after($corner) === $other || $this->before($corner) === $other;
    }

    /** Interior angle of the nominal plan in degrees. */
    public function nominalAngle(int $corner): float
    {
        return rad2deg($this->nominal[$corner]->turn($this->nominal[$this->after($corner)], $this->nominal[$this->before($corner)]));
    }

    public function nominalLength(int $from, int $to): float
    {
        return $this->nominal[$from]->distanceTo($this->nominal[$to]);
    }

    /** Whether a tape can go straight from one corner to another without leaving the nominal plan. */
    public function sees(int $from, int $to): bool
    {
        return (new Polygon($this->nominal))->sees($from, $to);
    }
}
