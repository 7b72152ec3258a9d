<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\Holds\HangsOnWall;

/** An option by which a box hangs on its wall: what holds it there, and what it carries. */
interface HungBox extends BoxOption, HangsOnWall
{
    public function by(): HungBy;

    /** What stands on a metre of its shelves, kg. */
    public function aMetre(): float;

    /** Screws in each stud at its head. */
    public function screws(): int;

    /** Whether a ledge under it carries a part of its weight. */
    public function hasLedge(): bool;

    /** How far under its top the screws that hold its head are, mm, where a strip inside it is so wide and a board so thick. */
    public function underTop(float $strip, float $board): float;
}
