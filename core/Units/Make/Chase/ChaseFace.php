<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Chase;

use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;

/** What the faces of all boxes round pipes have alike. */
final class ChaseFace
{
    /** Between two parts, mm and inches. */
    public const GAP = [2.0, 1 / 16];

    /** A face thinner than this bends under a hand, mm. */
    private const THIN = 9.0;

    public static function purpose(Catalogue $materials): Purpose
    {
        return $materials->for(Purpose::Panel)->thickness->toDouble() >= self::THIN ? Purpose::Panel : Purpose::Carcass;
    }

    public static function name(bool $lifts): string
    {
        return $lifts ? 'Face, part that lifts off' : 'Face';
    }

    public static function words(bool $lifts): string
    {
        return $lifts ? 'on four magnets, with a hole for a finger; from 5 kg or 1 m² on two turn buttons' : 'screwed in cups to the face battens, so that it comes off';
    }
}
