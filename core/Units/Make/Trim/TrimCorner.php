<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Trim;

use Incastro\Geometry\Mitre;
use Incastro\Units\TrimEnd;

/**
 * How a strip ends, and at what corner: A between both faces, degrees as they are seen from where the strip is, more than 180 at an outer
 * corner; the other strip may stand so far before where this one begins, mm, because its wall bulges: what is more is cut as it is fitted.
 */
final readonly class TrimCorner
{
    public function __construct(public TrimEnd $end, public float $angle = 90.0, private float $before = 0.0)
    {
    }

    /**
     * The plane that ends it: how far that lies from the corner at the foot of its back, and how much farther for each mm of its width and
     * of its thickness; more than 0 where it is shorter. A mitre halves the corner; a cope ends at the face of what runs through.
     *
     * @param  float  $thick  of the strip, mm
     * @param  float  $s  how far it leans out, radians
     * @return array{float, float, float}
     */
    public function plane(float $thick, float $s): array
    {
        $half = 1 / tan(deg2rad($this->angle) / 2);
        $sin = sin(deg2rad($this->angle));

        return match ($this->end) {
            TrimEnd::Through, TrimEnd::Square => [0.0, 0.0, 0.0],
            TrimEnd::Returned => [0.0, -sin($s), -cos($s)],
            TrimEnd::Mitred => [$this->before, $half * sin($s), $half * cos($s)],
            TrimEnd::Coped => [$this->before + $thick / (cos($s) * $sin), $half * sin($s), cos($s) / tan(deg2rad($this->angle)) - sin($s) ** 2 / (cos($s) * $sin)],
        };
    }

    /** How it is sawn, of a strip that leans out so far, degrees; 0 where it stands. */
    public function saw(float $spring): Mitre
    {
        return match (true) {
            $this->end === TrimEnd::Returned => Mitre::standing(90.0),
            $spring > 0.0 => Mitre::crown($spring, $this->angle),
            default => Mitre::standing($this->angle),
        };
    }
}
