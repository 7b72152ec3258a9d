<?php

declare(strict_types=1);

namespace Incastro\Strength;

/** How long a screw may be that goes through one thing into the next, mm: the longest that is sold within that, never the next longer (handbook, "Strength"). */
final readonly class Stack
{
    private function __construct(public float $least, public float $most)
    {
    }

    /** Never longer than both less 3 mm; held by 0.6 of the second, by 8 mm at least and 25 at most. */
    public static function faceToFace(float $first, float $second): self
    {
        return new self($first + min(25.0, max(8.0, 0.6 * $second)), $first + $second - 3.0);
    }

    /** 25 to 30 mm of hold. */
    public static function intoEdge(float $first): self
    {
        return new self($first + 25.0, $first + 30.0);
    }

    /** 25 to 32 mm past all that lies before the stud: what crosses it behind that may be a cable. */
    public static function intoStud(float $before): self
    {
        return new self($before + 25.0, $before + 32.0);
    }

    /** @param list<float> $sold */
    public function longest(array $sold): ?float
    {
        $fit = array_filter($sold, fn (float $long) => $long >= $this->least - 1e-9 && $long <= $this->most + 1e-9);

        return $fit === [] ? null : max($fit);
    }
}
