<?php

declare(strict_types=1);

namespace Incastro\Cut;

use Incastro\Measure\Length;

/** A part of a sheet, in nanometres from the untrimmed corner: x along the sheet's length, y along its width. */
final readonly class Rectangle
{
    public function __construct(public int $x, public int $y, public int $alongX, public int $alongY)
    {
    }

    /** Area in mm². */
    public function area(): float
    {
        return ($this->alongX / 1e6) * ($this->alongY / 1e6);
    }

    /** As large, and so much further along the sheet's length and width. */
    public function moved(int $x, int $y): self
    {
        return new self($this->x + $x, $this->y + $y, $this->alongX, $this->alongY);
    }

    public function length(): Length
    {
        return Length::ofNanometres($this->alongX);
    }

    public function width(): Length
    {
        return Length::ofNanometres($this->alongY);
    }
}
