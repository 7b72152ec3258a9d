<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\Holds\HangsOnWall;
use Incastro\Measure\Length;
use Incastro\Rules\HouseRules;

/** An option by which a box hangs on its wall: what holds it there, and what it carries. */
interface HungBox extends BoxOption, HangsOnWall
{
    public function by(): HungBy;

    /** What stands on a metre of its shelves, kg. */
    public function aMetre(): float;

    /** Screws in each stud at its head. */
    public function screws(): int;

    /** How high the ledge under it is that carries a part of its weight; nothing where there is none. */
    public function ledge(HouseRules $rules): Length;

    /** How far under its top the screws that hold its head are, mm, where a strip inside it is so wide and a board so thick. */
    public function underTop(float $strip, float $board): float;
}
