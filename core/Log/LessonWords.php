<?php

declare(strict_types=1);

namespace Incastro\Log;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;

/** Lengths as lessons tell and keep them. */
final readonly class LessonWords
{
    public function __construct(public LengthFormat $format)
    {
    }

    /**
     * @param  array{float, float}  $size  mm, in
     * @return float mm: the one that is round in the job's own unit
     */
    public function either(array $size): float
    {
        return $this->format->unit->isMetric() ? $size[0] : $size[1] * 25.4;
    }

    public function fine(float $millimetres): string
    {
        return $this->format->finest()->write(Length::ofDouble($millimetres));
    }

    public function signed(float $millimetres): string
    {
        return ($millimetres < 0.0 ? '−' : '+').$this->fine(abs($millimetres));
    }

    /** @return array{nm: int, typed: string} */
    public function stored(Length $length): array
    {
        return ['nm' => $length->nanometres(), 'typed' => $this->format->finest()->write($length)];
    }
}
