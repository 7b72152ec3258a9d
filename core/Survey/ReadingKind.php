<?php

declare(strict_types=1);

namespace Incastro\Survey;

/** What was measured. */
enum ReadingKind: string
{
    case Side = 'side';
    case Diagonal = 'diagonal';
    case Tie = 'tie';
    case Width = 'width';
    case Depth = 'depth';
    case Height = 'height';
    case Corner = 'corner';
    case ThreeFourFive = 'three_four_five';
    case Plumb = 'plumb';
    case Fall = 'fall';
    case Slope = 'slope';
    case Offset = 'offset';
    case Skirting = 'skirting';
    case Rise = 'rise';

    /** The two ends of which one must be named with the value: where the gap is, or which end is lower. */
    public function takesEnd(): bool
    {
        return $this === self::Plumb || $this === self::Fall;
    }

    public function isAngle(): bool
    {
        return $this === self::Corner || $this === self::Slope;
    }

    /** Whether it runs from corner to corner, all at one height. */
    public function isBetweenCorners(): bool
    {
        return in_array($this, [self::Side, self::Diagonal, self::Depth], true);
    }

    public function isOfLevels(): bool
    {
        return in_array($this, [self::Height, self::Fall, self::Slope], true);
    }

    /** Whether nothing at all is a reading: a rule may read 0. */
    public function mayBeZero(): bool
    {
        return in_array($this, [self::Plumb, self::Fall, self::Slope, self::Offset, self::Skirting, self::Rise], true);
    }
}
