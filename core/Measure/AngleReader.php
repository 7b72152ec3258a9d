<?php

declare(strict_types=1);

namespace Incastro\Measure;

/** Reads what people type for an angle: degrees (`90.4`, `90,4°`, `90.4 deg`), a pitch (`4 in 12`) or a fall (`1:20`). */
final readonly class AngleReader
{
    /**
     * @throws Unreadable with a sentence that says what was understood and what would be right
     */
    public function read(string $text): Angle
    {
        $typed = trim($text);
        if ($typed === '') {
            throw new Unreadable('Nothing was typed. Type an angle such as 90.4, 4 in 12 or 1:20.');
        }
        $number = '(-?\d+(?:[.,]\d+)?)';
        if (preg_match('/^'.$number.'\s*(?:°|deg|degree|degrees)?$/ui', $typed, $found)) {
            $degrees = $this->decimal($found[1]);
            if ($degrees < 0 || $degrees > 360) {
                throw new Unreadable(sprintf('“%s” is not between 0 and 360 degrees. Type the angle between the two walls, such as 90.4.', $typed));
            }

            return Angle::ofDegrees($degrees);
        }
        if (preg_match('/^'.$number.'\s*(?:in|:)\s*'.$number.'$/ui', $typed, $found)) {
            $run = $this->decimal($found[2]);
            if ($run <= 0.0) {
                throw new Unreadable(sprintf('“%s” is a slope over nothing. The second number is the level run, such as 4 in 12.', $typed));
            }

            return Angle::ofSlope($this->decimal($found[1]), $run);
        }

        throw new Unreadable(sprintf('“%s” is not an angle. Type degrees such as 90.4, a pitch such as 4 in 12, or a fall such as 1:20.', $typed));
    }

    private function decimal(string $text): float
    {
        return (float) str_replace(',', '.', $text);
    }
}
