<?php

declare(strict_types=1);

namespace Incastro\Survey;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;

/**
 * Where on the walls the readings of a starting sheet are taken. All may be changed by the person.
 *
 * `low` is above the floor, `high` below the ceiling, `middle` above the floor (null: half way); `back` and `front` are
 * the depths of the two rows of widths, from the back wall and from the front line; `level` is the level's own length. Places
 * that the person does not choose are round numbers in `format`; null: as they were before places were kept with takes,
 * in whole mm. `asksFront`: whether heights at the front and the highest place of the floor are required; in spaces that were begun before
 * they were asked for, they are offered.
 */
final readonly class SheetChoices
{
    public function __construct(
        public Length $low,
        public ?Length $middle,
        public Length $high,
        public Length $back,
        public Length $front,
        public Length $level,
        public ?LengthFormat $format = null,
        public bool $asksFront = false,
    ) {
    }

    /** The same with the places of a time when takes did not keep theirs. */
    public function asBefore(): self
    {
        return new self($this->low, $this->middle, $this->high, $this->back, $this->front, $this->level, null, $this->asksFront);
    }

    public static function defaults(Unit $unit, ?LengthFormat $format = null): self
    {
        $format ??= $unit === Unit::Inch ? LengthFormat::inches() : LengthFormat::millimetres();
        $inch = Length::ofNanometres(Unit::Inch->nanometres());
        $mm = Length::ofMillimetres(1);

        return $unit === Unit::Inch
            ? new self($inch->times(4), null, $inch->times(4), $inch, $inch, $inch->times(48), $format, true)
            : new self($mm->times(100), null, $mm->times(100), $mm->times(20), $mm->times(20), $mm->times(1200), $format, true);
    }
}
