<?php

declare(strict_types=1);

namespace Tests\Core\Survey;

use Incastro\Measure\Length;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Survey\Slot;
use Incastro\Survey\Space\Sheet;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Survey\Survey;
use Incastro\Survey\Take;
use Incastro\Survey\Textures;
use Incastro\Trial\Dice;
use Incastro\Trial\HiddenRoom;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestAlcove;

final class AccusationsTest extends TestCase
{
    /** @return list<string> */
    private static function sentences(Survey $survey, Code $code): array
    {
        return array_values(array_map(fn (Finding $finding) => $finding->sentence, array_filter($survey->findings, fn (Finding $finding) => $finding->code === $code)));
    }

    public function test_what_sizes_hang_on_is_taken_again_before_it_is_left_out(): void
    {
        // 1166 where 1203 is true: 37 too small, which is no inch, no 100, no swapped digits.
        $alcove = TestAlcove::parallel()->reading('width-middle-front', 1166.0);
        $survey = $alcove->survey();
        self::assertSame([], $survey->struck);
        self::assertStringContainsString('no usual slip does that. Take it again before it is left out', self::sentences($survey, Code::Suspect)[0]);
        // Taken again it reads true: the other does not count.
        $again = $alcove->surveyOf([...$alcove->takes(), new Take('again', 'width-middle-front', Length::ofMillimetres(1203))]);
        self::assertSame(['width-middle-front'], $again->struck);
        self::assertFalse($again->disagrees());
        // An inch is a slip that people make: that one is left out at once.
        self::assertSame(['width-middle-front'], TestAlcove::parallel()->reading('width-middle-front', 1203.0 - 25.4)->survey()->struck);
    }

    public function test_where_all_scatter_the_room_is_rough_and_nobody_is_struck_one_after_another(): void
    {
        $rough = $struck = 0;
        for ($i = 0; $i < 20; $i++) {
            $hidden = new HiddenRoom(SpaceShape::of(SpaceKind::Closet), 700 + $i);
            $dice = new Dice(40 + $i);
            // Walls that are 5 mm off their planes everywhere, reckoned as planes.
            $walls = new Textures(5.0);
            $survey = (new TestSpace($hidden->shape))->read(fn (Sheet $sheet, Slot $slot) => $hidden->truth($sheet, $slot) + $dice->normal($walls->sigma($slot, $hidden->shape)))->survey();
            $rough += self::sentences($survey, Code::RougherThanSupposed) !== [] ? 1 : 0;
            $struck += count($survey->struck);
        }
        self::assertGreaterThanOrEqual(12, $rough);
        // Struck one after another they were three or four in each.
        self::assertLessThanOrEqual(20, $struck);
    }
}
