<?php

declare(strict_types=1);

namespace Incastro\Survey\Space;

use Incastro\Survey\ReadingKind;
use Incastro\Survey\Slot;
use Incastro\Survey\Tool;

/** An alcove: widths at three heights and two depths, heights half way in, at the front line and before it, both depths, a diagonal, and both side walls plumbed. */
final readonly class AlcoveSheet
{
    /** Corners: right back, left back, left front, right front. */
    private const RIGHT_BACK = 0;

    private const LEFT_BACK = 1;

    private const LEFT_FRONT = 2;

    private const RIGHT_FRONT = 3;

    private const LEFT_WALL = 1;

    private const RIGHT_WALL = 3;

    public function __construct(private SheetPlaces $places, private SlotMaker $make)
    {
    }

    /** @return list<Slot> */
    public function slots(): array
    {
        return [...$this->sizes(), ...$this->plan(), ...$this->plumbs(), ...$this->make->falls($this->places->round(1000.0)), ...$this->make->skirting(), ...$this->ifYouCan()];
    }

    /** @return list<Slot> */
    private function sizes(): array
    {
        $middle = $this->places->depth() / 2;
        $how = fn (string $side) => "Floor to ceiling beside the $side wall, half way in. Hook on the floor, tape straight up.";
        $slots = [
            $this->make->height('height-left', 'Height, left', new Spot(0, 0.0, $middle), how: $how('left'), swap: 'height-right'),
            $this->make->height('height-right', 'Height, right', new Spot(0, $this->places->length(0), $middle), how: $how('right'), swap: 'height-left'),
        ];
        $slots[] = $this->make->height('height-mouth', 'Height, front line', new Spot(0, $this->places->length(0) / 2, $this->places->depth()), required: $this->places->asksFront(), how: 'Floor to ceiling at the front line, half way between the walls: ceilings often fall to the front.');
        $slots[] = new Slot('height-front', ReadingKind::Height, 'Ceiling height in front', 'Floor to ceiling a box’s depth out in front of the space: there a box is stood up, and from there it slides in.', Tool::Tape, $this->places->asksFront(), group: 'Heights');
        foreach (['back', 'front'] as $column) {
            foreach (SheetPlaces::ROWS as $row) {
                $slots[] = $this->make->width($row, $column, [self::LEFT_WALL, self::RIGHT_WALL]);
            }
        }
        $slots[] = $this->depth('left', self::LEFT_BACK, self::LEFT_FRONT);
        $slots[] = $this->depth('right', self::RIGHT_BACK, self::RIGHT_FRONT);

        return $slots;
    }

    private function depth(string $side, int $back, int $front): Slot
    {
        return new Slot("depth-$side", ReadingKind::Depth, "Depth, $side", "Back wall to the front corner, along the $side wall.", Tool::Inside, true, height: $this->places->planHeight(), from: $back, to: $front, swap: 'depth-'.($side === 'left' ? 'right' : 'left'), group: 'Depths');
    }

    /** @return list<Slot> */
    private function plan(): array
    {
        $slot = fn (string $side, string $words, int $from, int $to) => new Slot("diagonal-$side", ReadingKind::Diagonal, "Diagonal, $words", sprintf('Hook in the %s, level all the way.', str_replace(' to ', ' corner, tape to the ', $words).' corner'), Tool::Tape, false, height: $this->places->planHeight(), from: $from, to: $to, swap: 'diagonal-'.($side === 'left' ? 'right' : 'left'), group: 'Plan');

        return [
            $slot('left', 'left back to right front', self::LEFT_BACK, self::RIGHT_FRONT),
            $slot('right', 'right back to left front', self::RIGHT_BACK, self::LEFT_FRONT),
        ];
    }

    /** @return list<Slot> */
    private function plumbs(): array
    {
        $slots = [];
        foreach (['left' => self::LEFT_WALL, 'right' => self::RIGHT_WALL] as $side => $wall) {
            foreach (['low' => 'lower half', 'high' => 'upper half'] as $row => $half) {
                $slots[] = $this->make->plumb($wall, $row, $this->places->depth() / 2, true, "plumb-$side-$row", "Plumb, $side wall, $half", 'plumb-'.($side === 'left' ? 'right' : 'left')."-$row");
            }
        }

        return $slots;
    }

    /** @return list<Slot> */
    private function ifYouCan(): array
    {
        return [
            $this->make->height('height-middle', 'Height, middle', new Spot(0, $this->places->length(0) / 2, $this->places->depth() / 2), required: false, how: 'Floor to ceiling half way between the side walls: it checks the other two.'),
            $this->make->corner(self::LEFT_BACK, 'corner-left', 'Corner, left back'),
            $this->make->corner(self::RIGHT_BACK, 'corner-right', 'Corner, right back'),
            $this->make->plumb(0, 'low', null, false, 'plumb-back-low', 'Plumb, back wall, lower half'),
            $this->make->plumb(0, 'high', null, false, 'plumb-back-high', 'Plumb, back wall, upper half'),
        ];
    }
}
