<?php

declare(strict_types=1);

namespace Incastro\Survey;

use Incastro\Measure\Length;
use Incastro\Measure\Unit;

/**
 * Where on the walls the readings of a starting sheet are taken. All may be changed by the person.
 *
 * `low` is above the floor, `high` below the ceiling, `middle` above the floor (null: half way); `back` and `front` are
 * the depths of the two rows of widths, from the back wall and from the front line; `level` is the level's own length.
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
    ) {
    }

    public static function defaults(Unit $unit): self
    {
        $inch = Length::ofNanometres(Unit::Inch->nanometres());
        $mm = Length::ofMillimetres(1);

        return $unit === Unit::Inch
            ? new self($inch->times(4), null, $inch->times(4), $inch, $inch, $inch->times(48))
            : new self($mm->times(100), null, $mm->times(100), $mm->times(20), $mm->times(20), $mm->times(1200));
    }
}
