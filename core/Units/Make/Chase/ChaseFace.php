<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Chase;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Working;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;

/** What the faces of all boxes round pipes have alike. */
final class ChaseFace
{
    /** Between two parts, mm and inches. */
    private const GAP = [2.0, 1 / 16];

    /** A face thinner than this bends under a hand, mm. */
    private const THIN = 9.0;

    public static function purpose(Catalogue $materials): Purpose
    {
        return $materials->for(Purpose::Panel)->thickness->toDouble() >= self::THIN ? Purpose::Panel : Purpose::Carcass;
    }

    /**
     * The parts with the gap between each two taken off both alike.
     *
     * @param  non-empty-list<array{float, float, bool}>  $parts  from, to, and whether it lifts off, mm
     * @return non-empty-list<array{string, float, float, bool}> role, from, to, and whether it lifts off
     */
    public static function gapped(array $parts, HouseRules $rules): array
    {
        $half = $rules->either(...self::GAP)->toDouble() / 2;
        $last = count($parts) - 1;

        return array_map(fn (array $part, int $i) => [$last === 0 ? 'face' : 'face-'.($i + 1), $part[0] + ($i === 0 ? 0.0 : $half), $part[1] - ($i === $last ? 0.0 : $half), $part[2]], $parts, array_keys($parts));
    }

    /** The length of a part: that of the whole face where it is the only one. */
    public static function length(float $from, float $to, Working $whole, bool $isWhole, LengthFormat $format): Working
    {
        return $isWhole ? $whole : Working::start('from gap to gap', Length::ofDouble($to - $from))->roundedDown($format);
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
