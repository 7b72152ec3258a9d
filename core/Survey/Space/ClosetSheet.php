<?php

declare(strict_types=1);

namespace Incastro\Survey\Space;

use Incastro\Survey\Slot;

/** A closet with a door in its front wall: all sides and five diagonals, widths and depths at the foot and the head. */
final readonly class ClosetSheet
{
    private const LEFT = 1;

    private const FRONT_LEFT = 2;

    private const FRONT_RIGHT = 4;

    private const RIGHT = 5;

    /** Corners: right back, left back, left front, door's left, door's right, right front. */
    private const DIAGONALS = [[0, 2], [1, 5], [2, 5], [0, 3], [1, 4]];

    public function __construct(private SheetPlaces $places, private SlotMaker $make)
    {
    }

    /** @return list<Slot> */
    public function slots(): array
    {
        $width = $this->places->length(0);
        $depth = $this->places->depth();
        $slots = [];
        foreach ([['left back', $this->places->round(100.0), $this->places->round(100.0)], ['right back', $width - $this->places->round(100.0), $this->places->round(100.0)], ['right front', $width - $this->places->round(100.0), $depth - $this->places->round(100.0)], ['left front', $this->places->round(100.0), $depth - $this->places->round(100.0)]] as [$name, $along, $out]) {
            $slots[] = $this->make->height('height-'.str_replace(' ', '-', $name), "Height, $name", new Spot(0, $along, $out));
        }
        foreach (array_keys($this->places->shape->edges) as $edge) {
            $slots[] = $this->make->side($edge);
        }
        foreach (self::DIAGONALS as [$from, $to]) {
            $slots[] = $this->make->diagonal($from, $to);
        }
        foreach (['back', 'front'] as $column) {
            foreach (['low', 'high'] as $row) {
                $slots[] = $this->make->width($row, $column, [self::LEFT, self::RIGHT]);
            }
        }
        foreach (['left' => [self::LEFT, self::FRONT_LEFT], 'right' => [self::RIGHT, self::FRONT_RIGHT]] as $side => [$wall, $front]) {
            foreach (['low', 'high'] as $row) {
                $slots[] = $this->make->depthBetween($row, $side, [0, $front], $wall);
            }
        }
        foreach ([0, self::LEFT, self::RIGHT] as $wall) {
            foreach (['low', 'high'] as $row) {
                $slots[] = $this->make->plumb($wall, $row, null, true, null, null, $wall === 0 ? null : sprintf('plumb-%s-%s', $this->places->shape->edgeName($wall === self::LEFT ? self::RIGHT : self::LEFT), $row));
            }
        }

        return [
            ...$slots, ...$this->make->falls(min($width, $this->places->round(1200.0))), ...$this->make->skirting(),
            $this->make->corner(0), $this->make->corner(1),
            $this->make->plumb(self::FRONT_LEFT, 'low', null, false), $this->make->plumb(self::FRONT_RIGHT, 'low', null, false),
        ];
    }
}
