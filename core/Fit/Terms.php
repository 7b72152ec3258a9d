<?php

declare(strict_types=1);

namespace Incastro\Fit;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Rule;
use Incastro\Survey\Room\Room;

/** What everything in a space is fitted by: the room as found, the house rules, the materials, and how lengths are written. */
final readonly class Terms
{
    public function __construct(
        public Room $room,
        public HouseRules $rules,
        public Catalogue $materials,
        public LengthFormat $format,
    ) {
    }

    /** The same where one purpose is served by another material. */
    public function making(Purpose $purpose, ?string $material): self
    {
        return new self($this->room, $this->rules, $this->materials->using($purpose, $material), $this->format);
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
