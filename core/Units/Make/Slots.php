<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;

/** The outline of a board that slots are cut into from one of its long edges, and corners out of the other, for half laps and nailers; mm. */
final class Slots
{
    /** @var list<array{float, float, float}> along the near edge (y 0): from, to and how deep */
    private array $near = [];

    /** @var list<array{float, float, float}> along the far edge */
    private array $far = [];

    public function __construct(private readonly float $length, private readonly float $width)
    {
    }

    /** Cut into the edge at y 0, between two places along it. */
    public function near(float $from, float $to, float $deep): self
    {
        $this->near[] = [max(0.0, $from), min($this->length, $to), $deep];

        return $this;
    }

    /** Cut into the other long edge. */
    public function far(float $from, float $to, float $deep): self
    {
        $this->far[] = [max(0.0, $from), min($this->length, $to), $deep];

        return $this;
    }

    public function outline(): Outline
    {
        $points = [...self::along($this->near, 0.0, 1.0, $this->length), ...array_reverse(self::along($this->far, $this->width, -1.0, $this->length))];

        return new Outline(new Polygon($points));
    }

    /**
     * One edge from x 0 on, with what is cut into it.
     *
     * @param  list<array{float, float, float}>  $cuts
     * @return non-empty-list<Point>
     */
    private static function along(array $cuts, float $y, float $way, float $length): array
    {
        usort($cuts, fn (array $one, array $other) => $one[0] <=> $other[0]);
        $points = [];
        $isAtStart = $isAtEnd = false;
        foreach ($cuts as [$from, $to, $deep]) {
            $isAtStart = $isAtStart || $from <= 1e-9;
            $isAtEnd = $isAtEnd || $to >= $length - 1e-9;
            array_push($points, ...($from <= 1e-9 ? [] : [new Point($from, $y)]), ...[new Point($from, $y + $way * $deep), new Point($to, $y + $way * $deep)], ...($to >= $length - 1e-9 ? [] : [new Point($to, $y)]));
        }

        return [...($isAtStart ? [] : [new Point(0.0, $y)]), ...$points, ...($isAtEnd ? [] : [new Point($length, $y)])] ?: [new Point(0.0, $y)];
    }
}
