<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Runs;

use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Rule;
use Incastro\Units\Assembly;
use Incastro\Units\Hardware;
use Incastro\Units\Make\DrawerBody;
use Incastro\Units\Make\DrawerBox;
use Incastro\Units\Sites\OpeningSite;

/** A large box that rolls on the floor on fixed castors, in a box without a bottom: its front keeps off the floor. */
final readonly class OnCastors implements Run
{
    /** Height of its castors, its front over the floor, air over the box, and play at each side; mm and inches. */
    private const CASTOR = [44.0, 1.75];

    private const OFF_FLOOR = [12.0, 1 / 2];

    private const OVER = [12.0, 1 / 2];

    private const BESIDE = [6.0, 1 / 4];

    /** Of four castors three carry on any floor. */
    private const CASTORS = 4;

    private const BEAR = 3;

    public function air(HouseRules $rules, bool $isTop): Length
    {
        // From its front, which stands so far over the floor and under the top: castors, and air over the box.
        return $rules->either(...self::CASTOR)->plus($rules->either(...self::OVER))->minus($rules->either(...self::OFF_FLOOR))->minus($rules->get(Rule::DoorReveal));
    }

    public function under(HouseRules $rules): Length
    {
        return $rules->either(...self::OFF_FLOOR);
    }

    public function lowest(): float
    {
        return 60.0;
    }

    public function narrowest(): Length
    {
        return Length::ofMillimetres(250);
    }

    public function shallowest(HouseRules $rules, Catalogue $materials): Length
    {
        return $rules->either(250, 10)->plus($this->behind($rules));
    }

    public function behind(HouseRules $rules): Length
    {
        return $rules->get(Rule::SlideEnd);
    }

    public function width(OpeningSite $site): Working
    {
        return $site->between()->minusTimes('air beside it', 2, $site->terms->rules->either(...self::BESIDE))->roundedDown($site->terms->format->fine());
    }

    public function length(OpeningSite $site, Length $free): ?Length
    {
        return $free->isLessThan($site->terms->rules->either(250, 10)) ? null : $free->roundedDown($site->terms->format->step);
    }

    public function up(HouseRules $rules): float
    {
        return $rules->either(...self::CASTOR)->minus($rules->either(...self::OFF_FLOOR))->toDouble();
    }

    public function body(OpeningSite $site, string $number, Working $width, Working $height, Length $length, float $x, float $y1, float $up, array $dividers): DrawerBody
    {
        return (new DrawerBox($site, $number, $width, $height, Working::start('depth that is free', $length), null, false, ...$dividers))->build($x, $y1 - $length->toDouble(), $up);
    }

    public function carried(OpeningSite $site, string $number, DrawerBody $body, Length $length, float $y1, float $up, ?float $head): Assembly
    {
        return new Assembly([]);
    }

    public function hardware(OpeningSite $site, Length $length, float $weight): array
    {
        return [new Hardware(sprintf('fixed castor %s high, %.0f kg', $site->terms->format->write($site->terms->rules->either(...self::CASTOR)), ceil($weight / self::BEAR)), self::CASTORS, 'drawers', ArticleKind::Castor)];
    }

    public function travel(Length $length): float
    {
        return $length->toDouble() - 60.0;
    }
}
