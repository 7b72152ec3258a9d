<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use Incastro\Measure\Angle;
use Incastro\Measure\AngleReader;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthOutOfRange;
use Incastro\Measure\Unreadable;
use Incastro\Measure\Working;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LengthTest extends TestCase
{
    public function test_a_64th_of_an_inch_is_exact(): void
    {
        // 25.4 mm / 64 = 0.396875 mm
        self::assertSame(25_400_000, Length::ofNanometres(396_875)->times(64)->nanometres());
    }

    public function test_rounding_to_a_step_goes_the_way_it_says(): void
    {
        $mm = Length::ofMillimetres(1);
        $length = Length::ofDouble(1187.6);
        self::assertSame(1187.0, $length->roundedDown($mm)->toDouble());
        self::assertSame(1188.0, $length->roundedUp($mm)->toDouble());
        self::assertSame(1188.0, $length->rounded($mm)->toDouble());
        self::assertSame(-2.0, Length::ofDouble(-1.2)->roundedDown($mm)->toDouble());
    }

    public function test_geometry_that_went_wrong_does_not_become_a_length(): void
    {
        $this->expectException(LengthOutOfRange::class);
        Length::ofDouble(NAN);
    }

    /** @return list<array{LengthFormat, float, string}> */
    public static function written(): array
    {
        return [
            [LengthFormat::inches(16), 803.275, '31 5/8 in'],
            [LengthFormat::inches(16), 19.05, '3/4 in'],
            [LengthFormat::inches(16), 1219.2, '48 in'],
            [LengthFormat::inches(16, feet: true), 1612.9, '5\' 3 1/2"'],
            [LengthFormat::inches(16, feet: true), 1524.0, "5'"],
            [LengthFormat::inches(16, feet: true), 254.0, '10 in'],
            [LengthFormat::inches(8), 803.275 + 0.5, '31 5/8 in'],
            [LengthFormat::inches(64), 0.396875, '1/64 in'],
            [LengthFormat::millimetres(), 803.4, '803 mm'],
            [LengthFormat::millimetres('0.5'), 803.4, '803.5 mm'],
            [LengthFormat::millimetres('0.1'), 803.44, '803.4 mm'],
            [LengthFormat::millimetres(), -3.0, '-3 mm'],
        ];
    }

    #[DataProvider('written')]
    public function test_lengths_are_written_in_the_working_fraction(LengthFormat $format, float $millimetres, string $text): void
    {
        self::assertSame($text, $format->write(Length::ofDouble($millimetres)));
    }

    public function test_a_range_says_its_unit_once(): void
    {
        $range = fn (float $least, float $most) => LengthFormat::millimetres()->writeRange(Length::ofDouble($least), Length::ofDouble($most));
        self::assertSame(['9–16 mm', '9 mm', '-8 to 2 mm'], [$range(9.2, 15.8), $range(8.9, 9.1), $range(-8.0, 2.0)]);
        self::assertSame('3/8–5/8 in', LengthFormat::inches(16)->writeRange(Length::ofDouble(9.5), Length::ofDouble(15.8)));
    }

    public function test_a_format_that_is_not_on_a_tape_is_refused(): void
    {
        $this->expectExceptionMessage('1/10 in is not a working fraction');
        LengthFormat::inches(10);
    }

    /** @return list<array{string, float}> */
    public static function angles(): array
    {
        // atan(4/12) = 18.434949°, atan(1/20) = 2.862405°
        return [['90.4', 90.4], ['90,4°', 90.4], ['90.4 deg', 90.4], ['4 in 12', 18.434949], ['1:20', 2.862405], ['0', 0.0]];
    }

    #[DataProvider('angles')]
    public function test_angles_are_read_as_degrees_pitch_or_fall(string $text, float $degrees): void
    {
        self::assertEqualsWithDelta($degrees, (new AngleReader())->read($text)->toDegrees(), 1e-6);
    }

    public function test_an_angle_is_written_and_read_back(): void
    {
        foreach ([0, 90_400_000, 89_125_000, 359_999_000] as $microdegrees) {
            $angle = Angle::ofMicrodegrees($microdegrees);
            self::assertTrue((new AngleReader())->read($angle->write())->isEqualTo($angle), $angle->write());
        }
    }

    public function test_bad_angles_are_refused_with_a_sentence(): void
    {
        foreach (['' => 'Nothing was typed', '400' => 'between 0 and 360', '4 in 0' => 'slope over nothing', 'steep' => 'is not an angle'] as $text => $sentence) {
            try {
                (new AngleReader())->read((string) $text);
                self::fail("“{$text}” was taken.");
            } catch (Unreadable $unreadable) {
                self::assertStringContainsString($sentence, $unreadable->getMessage());
            }
        }
    }

    public function test_a_working_cannot_disagree_with_its_result(): void
    {
        // 1196 − 3 − 3 − 1.2 − 1.2 = 1187.6, down to 1187
        $working = Working::start('clear span', Length::ofMillimetres(1196))
            ->minus('allowance left', Length::ofMillimetres(3))
            ->minus('allowance right', Length::ofMillimetres(3))
            ->minusTimes('doubt', 2, Length::ofDouble(1.2))
            ->roundedDown(LengthFormat::millimetres());
        self::assertSame(1187.0, $working->result->toDouble());
        self::assertSame(['', '−', '−', '− 2 ×', '→'], array_map(fn ($step) => $step->sign, $working->steps));
        self::assertSame('down to the full mm', $working->steps[4]->label);
    }

    public function test_a_limit_is_a_line_of_the_working_only_when_it_binds(): void
    {
        $working = Working::start('upright', Length::ofMillimetres(2324));
        self::assertCount(1, $working->atMost('tilted', Length::ofMillimetres(2400))->steps);
        self::assertSame(2300.0, $working->atMost('tilted', Length::ofMillimetres(2300))->result->toDouble());
    }
}
