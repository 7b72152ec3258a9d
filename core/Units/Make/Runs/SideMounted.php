<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Runs;

use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Rule;
use Incastro\Units\Hardware;
use Incastro\Units\Make\DrawerBody;
use Incastro\Units\Make\DrawerBox;
use Incastro\Units\Make\Slides;
use Incastro\Units\Sites\OpeningSite;

/** Boxes between slides at their sides, as long as these. */
final readonly class SideMounted implements Run
{
    use OnSlides;

    public function narrowest(): Length
    {
        return Length::ofMillimetres(150);
    }

    public function behind(HouseRules $rules): Length
    {
        return $rules->get(Rule::SlideEnd);
    }

    public function width(OpeningSite $site): Working
    {
        return $site->between()
            ->minusTimes('two slides', 2, $site->terms->rules->get(Rule::SlideThickness))
            ->minus('play of the slides', $site->terms->rules->get(Rule::SlidePlay))
            ->roundedDown($site->terms->format->fine());
    }

    public function up(HouseRules $rules): float
    {
        return $rules->either(12, 1 / 2)->toDouble();
    }

    public function body(OpeningSite $site, string $number, Working $width, Working $height, Length $length, float $x, float $y1, float $up, array $dividers): DrawerBody
    {
        return (new DrawerBox($site, $number, $width, $height, Working::start('length of the slides', $length), null, false, ...$dividers))->build($x, $y1 - $length->toDouble(), $up);
    }

    public function hardware(OpeningSite $site, Length $length, float $weight): array
    {
        $class = (Slides::carrying($weight) ?? Slides::Heaviest)->value;

        return [new Hardware(sprintf('pair of drawer slides %s, %d kg', $site->terms->format->write($length), $class), 1, 'drawers', ArticleKind::Slides, $length, (float) $class)];
    }
}
