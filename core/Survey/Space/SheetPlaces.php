<?php

declare(strict_types=1);

namespace Incastro\Survey\Space;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Survey\Reading;
use Incastro\Survey\ReadingKind;
use Incastro\Survey\SheetChoices;

/** Where on a space's walls the readings of its sheet are taken: from the person's choices and what is known so far. */
final class SheetPlaces
{
    public const ROWS = ['low', 'middle', 'high'];

    private const UNMEASURED_HEIGHT = 2400.0;

    /** Heights that a space is thought to have until they are read, by the slot that reads them. */
    private const UNMEASURED = ['height-knee-left' => 900.0, 'height-knee-right' => 900.0, 'height-back-low' => 600.0, 'height-front-low' => 600.0];

    /** The plan's usual height above the floor, clear of skirting (handbook, "Readings"). */
    private const PLAN_HEIGHT = 1000.0;

    /** A row of readings stands at least this far above the one below it, mm. */
    private const LEAST_STEP = 100.0;

    private ?float $planHeight = null;

    /** @var array<int, float> by edge */
    private array $wallHeights = [];

    /** @var array<int, float> by edge */
    private array $lengths = [];

    /** @param array<string, Reading> $known */
    public function __construct(public readonly SpaceShape $shape, private readonly SheetChoices $choices, private readonly array $known)
    {
    }

    /** A height read in mm, or what it is thought to be. */
    public function read(string $slot): float
    {
        return isset($this->known[$slot]) ? $this->known[$slot]->value() : self::UNMEASURED[$slot] ?? self::UNMEASURED_HEIGHT;
    }

    /** The length in mm of an edge of the plan as far as it is known, else of the usual plan. */
    public function length(int $edge): float
    {
        return $this->lengths[$edge] ??= $this->lengthOf($edge);
    }

    private function lengthOf(int $edge): float
    {
        $after = $this->shape->after($edge);
        foreach ($this->known as $reading) {
            $slot = $reading->slot;
            $isAlong = ($slot->from === $edge && $slot->to === $after) || ($slot->from === $after && $slot->to === $edge);
            if ($isAlong && $slot->kind->isBetweenCorners()) {
                return $reading->value();
            }
            if ($slot->kind === ReadingKind::Width && $slot->wall === $edge && $slot->between === [$after, $this->shape->before($edge)]) {
                return $reading->value();
            }
        }

        return $this->shape->nominalLength($edge, $after);
    }

    /** Height in mm of a wall: that of the lowest ceiling read above it. */
    public function wallHeight(int $wall): float
    {
        return $this->wallHeights[$wall] ??= $this->lowestOver($wall);
    }

    private function lowestOver(int $wall): float
    {
        $heights = match ($this->shape->kind) {
            SpaceKind::UnderStair => match ($wall) {
                1 => ['height-back-low', 'height-front-low'],
                $this->shape->corners() - 1 => ['height-back-high', 'height-front-high'],
                default => ['height-back-low'],
            },
            SpaceKind::RoofSlope => $wall === 0 ? ['height-knee-left', 'height-knee-right'] : ['height-front-left', 'height-front-right'],
            default => array_keys(array_filter($this->known, fn (Reading $reading) => $reading->slot->kind === ReadingKind::Height && $reading->slot->spots !== [])),
        };

        return $heights === [] ? self::UNMEASURED_HEIGHT : min(array_map($this->read(...), $heights));
    }

    /** The height of the plan in mm: sides and diagonals are taken here. */
    public function planHeight(): float
    {
        return $this->planHeight ??= $this->heightOfPlan();
    }

    private function heightOfPlan(): float
    {
        // All that was taken of the plan was taken at one height, and so is the rest of it.
        foreach ($this->known as $reading) {
            if ($reading->slot->kind->isBetweenCorners() && $reading->slot->height !== null && $reading->takes[0]->place !== null) {
                return $reading->slot->height;
            }
        }
        if ($this->choices->middle !== null) {
            return $this->choices->middle->toDouble();
        }
        $lowest = min(array_map($this->wallHeight(...), $this->shape->walls() ?: [0]));

        $half = $this->below($lowest / 2);

        return $this->shape->kind === SpaceKind::Alcove ? $half : min($this->round(self::PLAN_HEIGHT), $half);
    }

    /** Height in mm above the floor of a row of readings on a wall. */
    public function row(string $row, int $wall = 0): float
    {
        return match ($row) {
            'low' => $this->choices->low->toDouble(),
            'high' => $this->shape->kind === SpaceKind::Alcove
                ? $this->wallHeight($wall) - $this->choices->high->toDouble()
                : max($this->planHeight() + self::LEAST_STEP, $this->wallHeight($wall) - $this->choices->high->toDouble()),
            default => $this->planHeight(),
        };
    }

    /** @return non-empty-list<float> rising heights at which a wall may bend */
    public function rows(int $wall): array
    {
        $rows = array_map(fn (string $row) => $this->row($row, $wall), self::ROWS);

        return $rows[0] + 1.0 < $rows[1] && $rows[1] + 1.0 < $rows[2] ? $rows : [0.0, $this->planHeight(), $this->planHeight() + max(self::LEAST_STEP, $this->planHeight())];
    }

    /** Whether the places chosen for the readings leave room between them. */
    public function rowsRise(): bool
    {
        return $this->row('low') + 1.0 < $this->row('middle') && $this->row('middle') + 1.0 < $this->row('high')
            && ($this->shape->kind !== SpaceKind::Alcove || $this->column('back') + 1.0 < $this->column('front'));
    }

    /** How far the back wall's widths at the back and in front stand from it, mm. */
    public function column(string $column): float
    {
        return $column === 'back' ? $this->choices->back->toDouble() : $this->depth() - $this->choices->front->toDouble();
    }

    /** Depth of the space in mm, along its shallower side wall. */
    public function depth(): float
    {
        return match ($this->shape->kind) {
            SpaceKind::Closet => min($this->length(1), $this->length($this->shape->corners() - 1)),
            default => min(array_map($this->length(...), $this->sideWalls())),
        };
    }

    /** @return non-empty-list<int> the edges beside the back wall that are walls */
    private function sideWalls(): array
    {
        $sides = array_values(array_filter([1, $this->shape->corners() - 1], $this->shape->isWall(...)));

        return $sides === [] ? [1] : $sides;
    }

    /** A place as round in the person's own unit as it is in mm: hundreds are fours of inches. */
    public function round(float $mm): float
    {
        return $this->choices->format?->place($mm) ?? $mm;
    }

    /** The next round place below one that is computed. */
    public function below(float $mm): float
    {
        return $this->choices->format?->placeBelow($mm) ?? floor($mm);
    }

    public function write(float $mm): string
    {
        return ($this->choices->format ?? LengthFormat::millimetres())->write(Length::ofDouble($mm));
    }

    /** Whether heights at the front and the highest place of the floor are required. */
    public function asksFront(): bool
    {
        return $this->choices->asksFront;
    }

    /** Whether stations stand at round places, rather than spread evenly. */
    public function isRound(): bool
    {
        return $this->choices->format !== null;
    }

    public function level(): float
    {
        return $this->choices->level->toDouble();
    }

    /** @return array{float, float} foot and head in mm of the level on a wall, from the lowest row up or from the highest down */
    public function levelHeld(string $row, int $wall): array
    {
        $length = min($this->level(), $this->row('high', $wall) - $this->row('low', $wall));

        return $row === 'low'
            ? [$this->row('low', $wall), $this->row('low', $wall) + $length]
            : [$this->row('high', $wall) - $length, $this->row('high', $wall)];
    }
}
