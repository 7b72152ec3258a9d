<?php

declare(strict_types=1);

namespace Incastro\Fit\Demand;

use Incastro\Measure\Length;
use Incastro\Rules\Code;

/** How large something must be at least, and may be at most, to take what stands in it; `why` names who needs it. */
final readonly class Extent
{
    private function __construct(public Length $least, public ?Length $most, public string $why, public Code $code)
    {
    }

    public static function any(): self
    {
        return new self(Length::zero(), null, '', Code::TooThin);
    }

    /** @param string $why with %s where the size goes: "knees need %s" */
    public static function atLeast(Length $least, string $why, Code $code = Code::TooSmall): self
    {
        return new self($least, null, $why, $code);
    }

    public static function between(Length $least, Length $most, string $why, Code $code = Code::TooSmall): self
    {
        return new self($least, $most, $why, $code);
    }

    /** How much a size is short of it, mm; less than 0 where it is not. */
    public function short(float $size): float
    {
        return $this->least->toDouble() - $size;
    }

    /** How much a size is over it, mm; less than 0 where it is not. */
    public function over(float $size): float
    {
        return $this->most === null ? -INF : $size - $this->most->toDouble();
    }
}
