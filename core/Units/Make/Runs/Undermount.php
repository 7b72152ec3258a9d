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

    /** Between stiles, wider than the inside of the box; the box shorter than its slides; the bottom over its foot. In mm and in inches. */
    private const WIDER = [42.0, 53 / 32];

    private const SHORTER = [10.0, 3 / 8];

    private const BOTTOM_UP = [13.0, 1 / 2];

    /** Behind a slide. */
    private const BEHIND = [3.0, 1 / 8];

    public function narrowest(): Length
    {
        return Length::ofMillimetres(250);
    }

    public function behind(HouseRules $rules): Length
    {
        return $rules->either(...self::BEHIND);
    }

    public function width(OpeningSite $site): Working
    {
        return $site->between()
            ->minus('more than the inside of a drawer', $site->terms->rules->either(...self::WIDER))
            ->plusTimes('two sides', 2, $site->terms->materials->for(Purpose::Drawer)->thickness)
            ->roundedDown($site->terms->format->fine());
    }

    public function up(HouseRules $rules): float
    {
        return $rules->either(14, 9 / 16)->toDouble();
    }

    public function body(OpeningSite $site, string $number, Working $width, Working $height, Length $length, float $x, float $y1, float $up, array $dividers): DrawerBody
    {
        $rules = $site->terms->rules;
        $depth = Working::start('length of the slides', $length)->minus('shorter than its slides', $rules->either(...self::SHORTER));

        return (new DrawerBox($site, $number, $width, $height, $depth, $rules->either(...self::BOTTOM_UP), true, ...$dividers))->build($x, $y1 - $depth->result->toDouble(), $up);
    }

    public function hardware(OpeningSite $site, Length $length, float $weight): array
    {
        return [new Hardware(sprintf('pair of undermount slides %s', $site->terms->format->write($length)), 1, 'drawers', ArticleKind::UnderSlides, $length)];
    }
}
