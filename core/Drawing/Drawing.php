<?php

declare(strict_types=1);

namespace Incastro\Drawing;

/** A neutral drawing: named layers of shapes, back to front. Millimetres, y up; writers flip. */
final readonly class Drawing
{
    /** @param array<string, list<Shape>> $layers by name */
    public function __construct(public string $name, public array $layers)
    {
    }

    /** @return list<Shape> */
    public function shapes(): array
    {
        return array_merge([], ...array_values($this->layers));
    }

    /** The same, moved on the paper. */
    public function moved(float $dx, float $dy): self
    {
        return new self($this->name, array_map(fn (array $shapes) => array_map(fn (Shape $shape) => $shape->moved($dx, $dy), $shapes), $this->layers));
    }

    /**
     * The rectangle that holds every point, at a given exaggeration.
     *
     * @return array{float, float, float, float} left, bottom, right, top
     */
    public function bounds(float $exaggeration = 1.0): array
    {
        $points = array_map(
            fn (DrawnPoint $point) => $point->exaggerated($exaggeration),
            array_merge([], ...array_map(fn (Shape $shape) => $shape->points(), $this->shapes())),
        );
        if ($points === []) {
            return [0.0, 0.0, 1.0, 1.0];
        }
        $xs = array_map(fn (DrawnPoint $point) => $point->x, $points);
        $ys = array_map(fn (DrawnPoint $point) => $point->y, $points);

        return [min($xs), min($ys), max($xs), max($ys)];
    }
}
