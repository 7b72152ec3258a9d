<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Measure\Length;
use Incastro\Measure\Unit;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Rule;
use Incastro\Units\Sites\OpeningSite;

/** Pairs of slides by what they carry, kg: how thick one is, and in which lengths it is sold; typical figures of makers. */
enum Slides: int
{
    case Light = 45;
    case Medium = 70;
    case Heavy = 100;
    case Heavier = 150;
    case Heaviest = 225;

    /** Of what they carry, so much more than is asked of them. */
    public const SPARE = 1.25;

    /** The lightest that carry what is in use so heavy, kg; null where none do. */
    public static function carrying(float $weight): ?self
    {
        foreach (self::cases() as $class) {
            if ($class->value >= self::SPARE * $weight) {
                return $class;
            }
        }

        return null;
    }

    /** Those that carry most of such as are no thicker than drawers are reckoned with. */
    public static function strongest(HouseRules $rules): self
    {
        $strongest = self::Light;
        foreach (self::cases() as $class) {
            $strongest = $class->thickness($rules)->isGreaterThan($rules->get(Rule::SlideThickness)) ? $strongest : $class;
        }

        return $strongest;
    }

    public function kind(): ArticleKind
    {
        return $this->value < 100 ? ArticleKind::Slides : ArticleKind::HeavySlides;
    }

    public function thickness(HouseRules $rules): Length
    {
        return $this->kind() === ArticleKind::Slides ? $rules->get(Rule::SlideThickness) : Length::ofNanometres(19_050_000);
    }

    /** The longest that goes in; null where the shortest does not. */
    public function longest(Catalogue $materials, Unit $unit, Length $free): ?Length
    {
        $longest = null;
        foreach ($this->lengths($materials, $unit) as $length) {
            $longest = $length->isGreaterThan($free) ? $longest : $length;
        }

        return $longest;
    }

    /** Why nothing runs on slides here: so much of the depth is free, and the shortest is so long. */
    public static function noneFits(OpeningSite $site, Length $free, Length $shortest): Finding
    {
        $format = $site->terms->format;

        return Finding::clash(Code::NoSlideFits, sprintf('%s of depth is left for slides; the shortest is %s.', $format->write($free->roundedDown($format->step)), $format->write($shortest)), $site->opening->tierId)
            ->withWaysOut([$site->deeper($shortest->minus($free)), $site->emptied()]);
    }

    /** @return non-empty-list<Length> in which it is sold, the shortest first */
    private function lengths(Catalogue $materials, Unit $unit): array
    {
        // Stronger ones are not made so short, nor weaker ones so long.
        [$least, $most] = match ($this) {
            self::Light, self::Medium => [0.0, INF],
            self::Heavy => [300.0, 1016.0],
            self::Heavier => [400.0, 1220.0],
            self::Heaviest => [500.0, 1525.0],
        };
        $sold = $materials->lengths($this->kind(), $unit);

        return array_values(array_filter($sold, fn (Length $length) => $length->toDouble() >= $least && $length->toDouble() <= $most)) ?: $sold;
    }
}
