<?php

declare(strict_types=1);

namespace Incastro\Survey;

/** What was measured. */
enum ReadingKind: string
{
    case Height = 'height';
    case Width = 'width';
    case Depth = 'depth';
    case Diagonal = 'diagonal';
    case Corner = 'corner';
    case Plumb = 'plumb';
    case Fall = 'fall';
    case Skirting = 'skirting';

    /** The two ends of which one must be named with the value: where the gap is, or which end is lower. */
    public function takesEnd(): bool
    {
        return $this === self::Plumb || $this === self::Fall;
    }

    public function isAngle(): bool
    {
        return $this === self::Corner;
    }
}
