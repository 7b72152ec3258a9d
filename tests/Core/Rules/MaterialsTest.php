<?php

declare(strict_types=1);

namespace Tests\Core\Rules;

use Incastro\Measure\Length;
use Incastro\Measure\Unit;
use Incastro\Rules\Materials\Article;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Materials\Wood;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestTerms;

final class MaterialsTest extends TestCase
{
    private static function article(string $id, ArticleKind $kind, ?int $length, ?float $load, int $pack, ?float $price): Article
    {
        return new Article($id, $kind, $length === null ? null : Length::ofMillimetres($length), $load, $pack, $price);
    }

    public function test_what_serves_a_need(): void
    {
        $materials = TestTerms::materials([
            self::article('hundred', ArticleKind::PocketScrew, 32, null, 100, 6.5),
            self::article('five-hundred', ArticleKind::PocketScrew, 32, null, 500, 24.0),
            self::article('gift', ArticleKind::PocketScrew, 32, null, 50, null),
            self::article('light', ArticleKind::Slides, 500, 45.0, 1, 22.0),
            self::article('heavy', ArticleKind::Slides, 500, 100.0, 1, 40.0),
            self::article('short', ArticleKind::Rail, 2000, null, 1, 12.0),
            self::article('long', ArticleKind::Rail, 3000, null, 1, 18.0),
        ]);
        $serving = fn (ArticleKind $kind, int $length, ?float $load): array => array_map(fn (Article $one) => $one->id, $materials->serving($kind, Length::ofMillimetres($length), $load));
        self::assertSame(['hundred', 'five-hundred', 'gift'], $serving(ArticleKind::PocketScrew, 32, null));
        self::assertSame([], $serving(ArticleKind::PocketScrew, 30, null));
        self::assertSame(['light', 'heavy'], $serving(ArticleKind::Slides, 500, 45.0));
        self::assertSame(['heavy'], $serving(ArticleKind::Slides, 500, 70.0));
        self::assertSame([], $serving(ArticleKind::Slides, 500, 150.0));
        // A rail is cut to length; slides are not.
        self::assertSame(['short', 'long'], $serving(ArticleKind::Rail, 740, null));
        self::assertSame(['long'], $serving(ArticleKind::Rail, 2140, null));
        self::assertSame([], $serving(ArticleKind::Slides, 400, null));
    }

    public function test_lengths_are_those_of_the_job_or_the_usual_ones(): void
    {
        $lengths = fn (array $articles, Unit $unit) => array_map(fn (Length $length) => $length->toDouble(), TestTerms::materials($articles)->lengths(ArticleKind::Slides, $unit));
        self::assertSame([350.0, 500.0], $lengths([self::article('a', ArticleKind::Slides, 500, 45.0, 1, null), self::article('b', ArticleKind::Slides, 350, 45.0, 1, null), self::article('c', ArticleKind::Slides, 500, 70.0, 1, null)], Unit::Millimetre));
        self::assertSame([250.0, 700.0], [$lengths([], Unit::Millimetre)[0], $lengths([], Unit::Millimetre)[9]]);
        // 10 to 28 inches.
        self::assertSame([254.0, 711.2], [$lengths([], Unit::Inch)[0], $lengths([], Unit::Inch)[9]]);
    }

    public function test_what_things_are_made_of_has_the_handbooks_figures(): void
    {
        $figures = fn (Wood $wood) => array_values(get_object_vars($wood->strength()));
        self::assertSame([9000.0, 6500.0, 0.8, 7.0, 5.0], $figures(Wood::BirchPly));
        self::assertSame([7000.0, 3500.0, 0.8, 7.0, 5.0], $figures(Wood::SoftwoodPly));
        self::assertSame([2800.0, 2800.0, 2.25, 4.0, 4.0], $figures(Wood::Mdf));
        self::assertSame([2400.0, 2400.0, 2.25, 3.0, 3.0], $figures(Wood::Chipboard));
        self::assertSame([9000.0, 10500.0, 12000.0], array_map(fn (Wood $wood) => $wood->strength()->along, [Wood::Pine, Wood::Poplar, Wood::Maple]));
    }
}
