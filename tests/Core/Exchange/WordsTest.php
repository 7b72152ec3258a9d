<?php

declare(strict_types=1);

namespace Tests\Core\Exchange;

use Closure;
use Incastro\Exchange\BadFile;
use Incastro\Exchange\CutListCsv;
use Incastro\Exchange\RoomWords;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Rules\Rule;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestAlcove;

final class WordsTest extends TestCase
{
    /** @return array<string, array{Closure(float, float): float, string}> */
    public static function walls(): array
    {
        return [
            'straight' => [fn (float $v, float $z) => 0.0, 'The left wall is straight and plumb.'],
            'nearly' => [fn (float $v, float $z) => 1.5 * $z / 2400, 'The left wall is straight and plumb.'],
            'in' => [fn (float $v, float $z) => 9.0 * $z / 2400, 'The left wall leans in 9 mm from floor to ceiling.'],
            'out' => [fn (float $v, float $z) => -9.0 * $z / 2400, 'The left wall leans out 9 mm from floor to ceiling.'],
            'bowed in' => [fn (float $v, float $z) => 6.0 * (1 - abs($z - 1200) / 1200), 'The left wall bows in 6 mm half way up.'],
            'both' => [fn (float $v, float $z) => 8.0 * $z / 2400 - 6.0 * (1 - abs($z - 1200) / 1200), 'The left wall leans in 8 mm from floor to ceiling and bows out 6 mm half way up.'],
        ];
    }

    #[DataProvider('walls')]
    public function test_a_wall_is_put_into_words(Closure $left, string $sentence): void
    {
        $survey = (new TestAlcove($left, fn (float $v, float $z) => 1200.0))->survey();
        self::assertContains($sentence, (new RoomWords($survey, LengthFormat::millimetres()))->sentences());
    }

    public function test_the_clear_span_is_said_with_the_places_that_bind(): void
    {
        $sentences = (new RoomWords(TestAlcove::parallel()->survey(), LengthFormat::millimetres()))->sentences();
        self::assertContains('A straight box as tall as the space may be 1196 mm wide, give or take 4 mm: it touches left at 2400 mm and right at 0 mm above the floor.', $sentences);
    }

    public function test_the_smallest_width_and_the_scatter_of_all_readings_are_for_the_eye(): void
    {
        $sentences = (new RoomWords(TestAlcove::leaning()->survey(), LengthFormat::millimetres()))->sentences();
        self::assertContains('The smallest width read is 1196 mm (width, top, at the back).', $sentences);
        // Exact readings do not scatter at all.
        self::assertContains('Taken together the readings scatter 0.0 times as much as such tools do; about 1 is usual.', $sentences);
    }

    public function test_inches_are_said_in_inches(): void
    {
        $sentences = implode(' ', (new RoomWords(TestAlcove::leaning()->survey(), LengthFormat::inches()))->sentences());
        self::assertStringContainsString('leans in 1/4 in', $sentences);
        self::assertStringNotContainsString(' mm', $sentences);
    }

    public function test_before_a_room_is_known_the_words_say_what_draws_it(): void
    {
        $survey = TestAlcove::leaning()->without('height-left', 'height-right')->survey();
        self::assertSame(['The drawing shows the usual shape of such a space; heights, widths and depths put it right as you read them.'], (new RoomWords($survey, LengthFormat::millimetres()))->sentences());
    }

    public function test_every_rule_has_its_own_name_and_a_reason(): void
    {
        $labels = array_map(fn (Rule $rule) => $rule->label(), Rule::cases());
        self::assertSame($labels, array_unique($labels));
        foreach (Rule::cases() as $rule) {
            self::assertMatchesRegularExpression('/^[A-Z].*\.$/u', $rule->reason());
            // Inch defaults stand on a tape: whole 64ths.
            self::assertSame(0, $rule->default(Unit::Inch)->nanometres() % 396_875, $rule->value);
        }
    }

    public function test_faults_of_a_stock_list_are_named(): void
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'stock');
        file_put_contents($file, "name,quantity,length,width,thickness,material,price\nfull,many,2440,-5,18,ply,cheap\nhalf,,1220,1220,18,ply,36.5\n");
        try {
            (new CutListCsv(Unit::Millimetre))->stock($file);
            self::fail('It was taken.');
        } catch (BadFile $bad) {
            self::assertSame(['2:price', '2:quantity', '2:width'], array_map(fn ($fault) => str_replace("$file:", '', $fault->place), $bad->faults));
        }
        file_put_contents($file, "name,quantity,length,width,thickness,material,price\nhalf,,\"48\",48,23/32,ply,36.5\nodd,0,96,48,23/32,ply,0\n");
        [$half, $odd] = (new CutListCsv(Unit::Inch))->stock($file);
        self::assertNull($half->quantity);
        self::assertSame(0, $odd->quantity);
        self::assertEqualsWithDelta(18.25625, $half->thickness->toDouble(), 1e-9);
    }
}
