<?php

declare(strict_types=1);

namespace Incastro\Saw;

/** A sheet, or something that was cut off one. Lengths in nm: x along the sheet's length, y along its width. */
final readonly class Part
{
    /**
     * @param  string  $id  the same however the cuts are put in order
     * @param  string  $mark  what is written on it
     * @param  ?string  $from  the part that it is cut off; null for a sheet
     * @param  int  $sheet  its number, from 1
     * @param  ?string  $piece  the piece that it is, or becomes when nothing else does
     */
    public function __construct(
        public string $id,
        public string $mark,
        public int $x,
        public int $y,
        public float $kg,
        public ?string $from,
        public int $sheet,
        public ?string $piece,
        public Fate $fate,
    ) {
    }
}
