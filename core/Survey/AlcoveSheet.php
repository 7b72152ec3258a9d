<?php

declare(strict_types=1);

namespace Incastro\Survey;

/**
 * The starting sheet of an alcove: the readings that determine it and check each other, in the order in which a person
 * walks round with a tape.
 */
final readonly class AlcoveSheet
{
    public const ROWS = ['low', 'middle', 'high'];

    public const COLUMNS = ['back', 'front'];

    private const UNMEASURED_HEIGHT = 2400.0;

    private const UNMEASURED_DEPTH = 600.0;

    private float $height;

    private float $depth;

    /** @param array<string, Reading> $known the readings taken so far, by slot */
    public function __construct(private SheetChoices $choices, array $known = [])
    {
        $value = fn (string $slot) => isset($known[$slot]) ? $known[$slot]->value() : INF;
        $height = min($value('height-left'), $value('height-right'));
        $depth = min($value('depth-left'), $value('depth-right'));
        $this->height = is_finite($height) ? $height : self::UNMEASURED_HEIGHT;
        $this->depth = is_finite($depth) ? $depth : self::UNMEASURED_DEPTH;
    }

    /** Height in mm above the floor at which a row of widths is taken. */
    public function heightOf(string $row): float
    {
        return match ($row) {
            'low' => $this->choices->low->toDouble(),
            'high' => $this->height - $this->choices->high->toDouble(),
            default => $this->choices->middle?->toDouble() ?? floor($this->height / 2),
        };
    }

    /** Depth in mm from the back wall at which a column of widths is taken. */
    public function depthOf(string $column): float
    {
        return $column === 'back' ? $this->choices->back->toDouble() : $this->depth - $this->choices->front->toDouble();
    }

    /** The height of the plan: sides and diagonals are taken here, clear of skirting. */
    public function planHeight(): float
    {
        return $this->heightOf('middle');
    }

    /** The depth in mm at which levels are held against the side walls and the heights are taken. */
    public function middleDepth(): float
    {
        return $this->depth / 2;
    }

    /** @return array{float, float} foot and head of the level in mm above the floor */
    public function levelHeld(string $row): array
    {
        $length = $this->choices->level->toDouble();

        return $row === 'low'
            ? [$this->heightOf('low'), $this->heightOf('low') + $length]
            : [$this->heightOf('high') - $length, $this->heightOf('high')];
    }

    /** @return list<Slot> */
    public function slots(): array
    {
        return [...$this->sizes(), ...$this->plan(), ...$this->plumbs(), ...$this->floorAndFoot(), ...$this->extras()];
    }

    /** @return list<Slot> */
    private function sizes(): array
    {
        $slots = [];
        foreach (['left', 'right'] as $side) {
            $slots[] = new Slot("height-$side", ReadingKind::Height, "Height, $side", "Floor to ceiling beside the $side wall, half way in. Hook on the floor, tape straight up.", Tool::Tape, true, depth: $this->middleDepth());
        }
        $where = ['low' => 'bottom', 'middle' => 'middle', 'high' => 'top'];
        foreach (self::COLUMNS as $column) {
            foreach (self::ROWS as $row) {
                $slots[] = new Slot("width-$row-$column", ReadingKind::Width, ucfirst("width, {$where[$row]}, at the $column"), 'Hook against the left wall, body of the tape against the right; add the body’s own length.', Tool::Inside, true, height: $this->heightOf($row), depth: $this->depthOf($column));
            }
        }
        foreach (['left', 'right'] as $side) {
            $slots[] = new Slot("depth-$side", ReadingKind::Depth, "Depth, $side", "Back wall to the front corner, along the $side wall.", Tool::Inside, true, height: $this->planHeight());
        }

        return $slots;
    }

    /** @return list<Slot> */
    private function plan(): array
    {
        return [
            new Slot('diagonal-left', ReadingKind::Diagonal, 'Diagonal, left back to right front', 'Hook in the left back corner, tape to the right front corner, level all the way.', Tool::Tape, false, height: $this->planHeight()),
            new Slot('diagonal-right', ReadingKind::Diagonal, 'Diagonal, right back to left front', 'Hook in the right back corner, tape to the left front corner, level all the way.', Tool::Tape, false, height: $this->planHeight()),
        ];
    }

    /** @return list<Slot> */
    private function plumbs(): array
    {
        $slots = [];
        foreach (['left', 'right'] as $side) {
            foreach (['low' => 'lower half', 'high' => 'upper half'] as $row => $name) {
                [$foot, $head] = $this->levelHeld($row);
                $slots[] = new Slot("plumb-$side-$row", ReadingKind::Plumb, "Plumb, $side wall, $name", 'Hold the level plumb with one end on the wall; read the gap at the other end with a rule. Gap at the bottom: the wall leans in.', Tool::levelOf($head - $foot), true, height: $foot, depth: $this->middleDepth(), span: $head - $foot, ends: ['bottom', 'top']);
            }
        }

        return $slots;
    }

    /** @return list<Slot> */
    private function floorAndFoot(): array
    {
        return [
            new Slot('fall-across', ReadingKind::Fall, 'Floor fall, left to right', 'Level line across the floor; read how much lower one end is.', Tool::Level1200, true, span: 1000.0, ends: ['right', 'left']),
            new Slot('fall-depth', ReadingKind::Fall, 'Floor fall, back to front', 'Level on the floor from the back wall to the front; read how much lower one end is.', Tool::Level600, true, span: $this->depth, ends: ['front', 'back']),
            new Slot('skirting-height', ReadingKind::Skirting, 'Skirting, height', 'Floor to its top edge. 0 when there is none.', Tool::Rule, true),
            new Slot('skirting-thickness', ReadingKind::Skirting, 'Skirting, thickness', 'How far it stands out from the wall. 0 when there is none.', Tool::Rule, true),
        ];
    }

    /** @return list<Slot> */
    private function extras(): array
    {
        return [
            new Slot('height-front', ReadingKind::Height, 'Ceiling height in front', 'Floor to ceiling where a box would be stood up, a box’s length in front of the space.', Tool::Tape, false),
            new Slot('corner-left', ReadingKind::Corner, 'Corner, left back', 'Angle between back wall and left wall, by gauge.', Tool::Gauge, false, height: $this->planHeight()),
            new Slot('corner-right', ReadingKind::Corner, 'Corner, right back', 'Angle between back wall and right wall, by gauge.', Tool::Gauge, false, height: $this->planHeight()),
        ];
    }
}
