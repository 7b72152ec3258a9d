<?php

declare(strict_types=1);

namespace Incastro\Survey\Space;

use Incastro\Survey\Slot;

/** Under a stair or a roof slope: the plan of an alcove, and heights enough to check every plane of the ceiling. */
final readonly class SlopedSheet
{
    public function __construct(private SheetPlaces $places, private SlotMaker $make)
    {
    }

    /** @return list<Slot> */
    public function slots(): array
    {
        $shape = $this->places->shape;
        $slots = [];
        // Lengths come first: how high a slope is depends on where along it one measures.
        foreach (array_keys($shape->edges) as $edge) {
            $slots[] = $this->make->side($edge);
        }
        $slots[] = $this->make->diagonal(0, 2);
        $slots[] = $this->make->diagonal(1, 3);
        array_push($slots, ...($shape->kind === SpaceKind::UnderStair ? $this->rakeHeights() : $this->slopeHeights()));
        foreach (['back', 'front'] as $column) {
            $slots[] = $this->make->width('low', $column, [1, 3]);
        }
        if ($shape->kind === SpaceKind::RoofSlope) {
            $slots[] = $this->make->width('high', 'front', [1, 3]);
        }
        foreach ($this->plumbs() as [$wall, $row, $along]) {
            $slots[] = $this->make->plumb($wall, $row, $along, true, sprintf('plumb-%s-%s-%s', $shape->edgeName($wall), $row, $along === null ? 'middle' : 'front'));
        }
        foreach ($shape->ceiling->planes() as $plane => $name) {
            if ($name !== 'ceiling') {
                $slots[] = $this->make->slope($plane, $name);
            }
        }

        return [...$slots, ...$this->make->falls(min($this->places->length(0), $this->places->round(1200.0))), ...$this->make->skirting(), $this->make->corner(0), $this->make->corner(1)];
    }

    /** @return list<array{int, string, ?float}> wall, row, and how far along: in front where the slope leaves room for a level */
    private function plumbs(): array
    {
        if ($this->places->shape->kind === SpaceKind::UnderStair) {
            return [[3, 'low', null], [3, 'high', null], [0, 'low', null]];
        }
        $inFront = $this->places->depth() - $this->places->round(150.0);

        return [[1, 'low', $this->places->round(150.0)], [1, 'high', $this->places->round(150.0)], [3, 'low', $inFront], [3, 'high', $inFront], [0, 'low', null]];
    }

    /**
     * Along the back wall and along the front, from the low end to the high end: five would do, eight check each other.
     *
     * @return list<Slot>
     */
    private function rakeHeights(): array
    {
        $shape = $this->places->shape;
        $width = $this->places->length(0);
        $flat = in_array('ceiling', $shape->ceiling->planes(), true) ? 1 : 0;
        $slots = [];
        foreach (['back' => $this->places->round(100.0), 'front' => $this->places->depth() - $this->places->round(100.0)] as $row => $depth) {
            foreach (['low' => [$this->places->round(100.0), 'low end'], 'third' => [$width / 3, 'a third along'], 'two-thirds' => [2 * $width / 3, 'two thirds along'], 'high' => [$width - $this->places->round(100.0), 'high end']] as $name => [$along, $words]) {
                $slots[] = $this->make->height("height-$row-$name", ucfirst("height, $row, $words"), new Spot(0, $along, $depth), $name === 'high' ? $flat : 0);
            }
        }

        return $slots;
    }

    /** @return list<Slot> */
    private function slopeHeights(): array
    {
        $planes = $this->places->shape->ceiling->planes();
        $width = $this->places->length(0);
        $depth = $this->places->depth();
        $slots = [];
        foreach (['left' => $this->places->round(100.0), 'right' => $width - $this->places->round(100.0)] as $side => $along) {
            $slots[] = $this->make->height("height-knee-$side", "Height of the knee wall, $side", new Spot(0, $along, 0.0), 0, true, 'Floor to where the slope begins, at the knee wall itself.');
        }
        foreach (['left' => $this->places->round(100.0), 'right' => $width - $this->places->round(100.0)] as $side => $along) {
            $slots[] = $this->make->height("height-slope-$side", "Height under the slope, $side", new Spot(0, $along, $this->places->round(400.0)), 0, true, sprintf('Floor to slope, %s out from the knee wall.', $this->places->write($this->places->round(400.0))));
        }
        foreach (['left' => $this->places->round(100.0), 'middle' => $width / 2, 'right' => $width - $this->places->round(100.0)] as $side => $along) {
            $slots[] = $this->make->height("height-front-$side", count($planes) > 1 ? "Height of the flat ceiling, $side" : "Height in front, $side", new Spot(0, $along, $depth - $this->places->round(100.0)), count($planes) - 1);
        }

        return $slots;
    }
}
