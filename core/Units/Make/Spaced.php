<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Working;

/**
 * Strips of one width over a length, with equal gaps between them: n = ⌈(L + g)/(w + g)⌉, the gap (L − n·w)/(n − 1) rounded down to
 * what a spacer block is cut to; what rounding leaves over stands at both ends.
 */
final readonly class Spaced
{
    private function __construct(public int $count, public Working $gap, private float $length, private float $wide)
    {
    }

    /** No gap at the ends; none wider than the most. */
    public static function over(Working $length, Length $wide, Length $most, LengthFormat $format): self
    {
        $long = $length->result->toDouble();
        $count = max(2, (int) ceil(($long + $most->toDouble()) / ($wide->toDouble() + $most->toDouble()) - 1e-9));
        // One more has no room where strips are wide and few: then they lie close.
        $count = max(2, min($count, (int) floor($long / $wide->toDouble() + 1e-9)));
        $gap = $length->minusTimes('strips', $count, $wide)->dividedBy('gaps between them', $count - 1)->roundedDown($format);

        return new self($count, $gap, $long, $wide->toDouble());
    }

    /** From strip to strip, mm. */
    public function pitch(): float
    {
        return $this->wide + $this->gap->result->toDouble();
    }

    /** Where a strip begins, from the start of the length, mm. */
    public function at(int $i): float
    {
        return ($this->length - $this->count * $this->wide - ($this->count - 1) * $this->gap->result->toDouble()) / 2 + $i * $this->pitch();
    }
}
