<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Rule;
use Incastro\Rules\Schools\Edges;
use Incastro\Survey\Room\Room;
use Incastro\Survey\Room\WallKind;

/** What everything in a space is fitted by: the room as found, the house rules, the materials, and how lengths are written. */
final readonly class Terms
{
    /** @param array<int, WallKind> $walls  what those of the room are made of that somebody told of */
    public function __construct(
        public Room $room,
        public HouseRules $rules,
        public Catalogue $materials,
        public LengthFormat $format,
        private array $walls = [],
    ) {
    }

    /** The same where one purpose is served by another material. */
    public function making(Purpose $purpose, ?string $material): self
    {
        return new self($this->room, $this->rules, $this->materials->using($purpose, $material), $this->format, $this->walls);
    }

    /** What a wall is made of; null where nobody told. */
    public function madeOf(int $wall): ?WallKind
    {
        return $this->walls[$wall] ?? null;
    }

    /** Thickness of the face frame; nothing where front edges are banded. */
    public function frame(): Length
    {
        return $this->rules->schools->edges === Edges::Frame ? $this->materials->frame->thickness : Length::zero();
    }

    /** How wide a stile or a rail of the face frame is, mm; where there is none, no wider than the board behind it. */
    public function faceOf(Rule $stileOrRail): float
    {
        return $this->rules->schools->edges === Edges::Frame ? $this->rule($stileOrRail) : $this->board();
    }

    /** Thickness of the boards of a box, mm. */
    public function board(): float
    {
        return $this->materials->carcass->thickness->toDouble();
    }

    public function rule(Rule $rule): float
    {
        return $this->rules->mm($rule);
    }

    public function write(float $millimetres): string
    {
        return $this->format->write(Length::ofDouble($millimetres));
    }
}
