<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Runs;

use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Purpose;
use Incastro\Units\Hardware;
use Incastro\Units\Make\DrawerBody;
use Incastro\Units\Make\DrawerBox;
use Incastro\Units\Sites\OpeningSite;

/**
 * Boxes on slides under them: their inner width is what the slides say, their bottom lies high enough for these, and the back
 * stands on it. Typical figures: the maker's sheet goes first.
 */
final readonly class Undermount implements Run
{
    use OnSlides;

    /** Between stiles, wider than the inside of the box; the box shorter than its slides; the bottom over its foot. In nm. */
    private const WIDER = [42_000_000, 42_068_750];

    private const SHORTER = [10_000_000, 9_525_000];

    private const BOTTOM_UP = [13_000_000, 12_700_000];

    /** Behind a slide. */
    private const BEHIND = [3_000_000, 3_175_000];

    /** @param array{int, int} $size */
    private static function size(HouseRules $rules, array $size): Length
    {
        return Length::ofNanometres($size[$rules->unit->isMetric() ? 0 : 1]);
    }

    public function narrowest(): Length
    {
        return Length::ofMillimetres(250);
    }

    public function behind(HouseRules $rules): Length
    {
        return self::size($rules, self::BEHIND);
    }

    public function width(OpeningSite $site): Working
    {
        return $site->between()
            ->minus('more than the inside of a drawer', self::size($site->terms->rules, self::WIDER))
            ->plusTimes('two sides', 2, $site->terms->materials->for(Purpose::Drawer)->thickness)
            ->roundedDown($site->terms->format->fine());
    }

    public function up(HouseRules $rules): float
    {
        return $rules->unit->isMetric() ? 14.0 : 14.2875;
    }

    public function body(OpeningSite $site, string $number, Working $width, Working $height, Length $length, float $x, float $y1, float $up, array $dividers): DrawerBody
    {
        $rules = $site->terms->rules;
        $depth = Working::start('length of the slides', $length)->minus('shorter than its slides', self::size($rules, self::SHORTER));

        return (new DrawerBox($site, $number, $width, $height, $depth, self::size($rules, self::BOTTOM_UP), true, ...$dividers))->build($x, $y1 - $depth->result->toDouble(), $up);
    }

    public function hardware(OpeningSite $site, Length $length, float $weight): array
    {
        return [new Hardware(sprintf('pair of undermount slides %s', $site->terms->format->write($length)), 1, 'drawers', ArticleKind::UnderSlides, $length)];
    }
}
