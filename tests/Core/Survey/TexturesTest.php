<?php

declare(strict_types=1);

namespace Tests\Core\Survey;

use Incastro\Exchange\JobFile;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Planning\JobReader;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Survey\Reading;
use Incastro\Survey\SheetChoices;
use Incastro\Survey\Slot;
use Incastro\Survey\Space\Sheet;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Survey\SpaceSurvey;
use Incastro\Survey\Survey;
use Incastro\Survey\Take;
use Incastro\Survey\Texture;
use Incastro\Survey\Textures;
use Incastro\Trial\HiddenRoom;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** What plaster adds to readings, and what it no longer lets be said of them. */
final class TexturesTest extends TestCase
{
    private static function slot(string $id): Slot
    {
        $slots = array_column((new Sheet(SpaceShape::of(SpaceKind::Alcove), SheetChoices::defaults(Unit::Millimetre)))->slots(), null, 'id');

        return $slots[$id];
    }

    /** @return array<string, array{string, float}> a slot, and what ordinary plaster, 1.2 a place, adds to its σ */
    public static function added(): array
    {
        return [
            'a width touches two walls: √2 × 1.2' => ['width-low-back', 1.697],
            'a level touches its wall in two places: √2 × 1.2' => ['plumb-left-low', 1.697],
            'hooks across two filled corners: 2 × 1.2' => ['diagonal-left', 2.4],
            'hooks along a wall: 0.6 × √2 × 1.2' => ['depth-left', 1.018],
            'a gauge of 250: √2 × 1.2/250, in degrees' => ['corner-left', 0.389],
            'ceiling and floor: √(1.2² + (0.7 × 1.2)²)' => ['height-left', 1.465],
            'a rule at the skirting' => ['skirting-height', 0.0],
        ];
    }

    #[DataProvider('added')]
    public function test_what_plaster_adds(string $slot, float $sigma): void
    {
        $shape = SpaceShape::of(SpaceKind::Alcove);
        self::assertEqualsWithDelta($sigma, Textures::stated(Texture::Ordinary, [])->sigma(self::slot($slot), $shape), 0.001);
        self::assertSame(0.0, (new Textures())->sigma(self::slot($slot), $shape));
    }

    public function test_a_wall_that_differs_counts_where_it_is_touched(): void
    {
        // The left wall, 1, is old: √(1.2² + 2²) = 2.332 for a width between it and the right one; a plumb of the right wall knows nothing of it.
        $textures = Textures::stated(Texture::Ordinary, ['same', 'old', 'same', 'same']);
        $shape = SpaceShape::of(SpaceKind::Alcove);
        self::assertEqualsWithDelta(2.332, $textures->sigma(self::slot('width-low-back'), $shape), 0.001);
        self::assertEqualsWithDelta(1.697, $textures->sigma(self::slot('plumb-right-low'), $shape), 0.001);
    }

    public function test_nobody_is_accused_of_what_ordinary_plaster_does(): void
    {
        $smooth = Textures::stated(Texture::Smooth, ['same', 'old']);
        self::assertSame([0.8, 2.0], [$smooth->of(0), $smooth->of(1)]);
        self::assertSame([1.2, 2.0], [$smooth->accusing()->of(0), $smooth->accusing()->of(1)]);
        // What nobody said is ordinary; and a plane is meant as one.
        self::assertSame(1.2, Textures::stated(null, [])->of(0));
        self::assertFalse(Textures::stated(null, [])->isStated);
        self::assertSame(0.0, Textures::stated(Texture::Plane, [])->accusing()->of(0));
    }

    public function test_takes_that_agree_are_one_place_read_once(): void
    {
        $slot = self::slot('width-low-back');
        $take = fn (string $id, int $mm): Take => new Take($id, $slot->id, Length::ofMillimetres($mm));
        // σ of a tape bent into the corner is √(2² + 0.27²) = 2.018: within 2.8 of it.
        $groups = (new Reading($slot, [$take('a', 900), $take('b', 902), $take('c', 1000), $take('d', 901)]))->agreeing();
        self::assertSame([['a', 'd', 'b'], ['c']], array_map(fn (Reading $group) => array_column($group->takes, 'id'), $groups));
        self::assertEqualsWithDelta(901.0, $groups[0]->value(), 1e-9);
        self::assertEqualsWithDelta(2.018 / sqrt(3), $groups[0]->sigma(), 0.001);
    }

    /** @param array<string, list<float>> $instead */
    private static function surveyed(Textures $textures, array $instead): Survey
    {
        $hidden = new HiddenRoom(SpaceShape::of(SpaceKind::Alcove), 21);
        $space = new TestSpace($hidden->shape);
        $space->read($hidden->truth(...));
        $takes = array_values(array_filter($space->takes, fn (Take $take) => ! isset($instead[$take->slot])));
        foreach ($instead as $slot => $off) {
            foreach ($off as $i => $by) {
                $more = (new TestSpace($hidden->shape))->take($space->slot($slot), $hidden->truth($space->sheet->knowing([]), $space->slot($slot)) + $by, "$slot-$i");
                array_push($takes, ...$more->takes);
            }
        }

        return (new SpaceSurvey($space->sheet, $takes, [], LengthFormat::millimetres(), $textures))->solve();
    }

    public function test_a_gauge_that_feels_plaster_is_believed_and_accuses_nobody(): void
    {
        // 1.2° off at a corner: a slip of a gauge alone, and three σ of one on ordinary plaster, which others hardly check.
        self::assertTrue(self::surveyed(new Textures(), ['corner-left' => [1.2]])->disagrees());
        foreach ([[1.2], [1.2, 1.2, 1.2, 1.2]] as $takes) {
            $believed = self::surveyed(Textures::stated(Texture::Ordinary, []), ['corner-left' => $takes]);
            self::assertFalse($believed->disagrees(), implode(' ', array_map(fn (Finding $finding) => $finding->sentence, $believed->findings)));
            self::assertSame([], $believed->struck);
        }
    }

    public function test_what_is_read_alike_twice_is_rough_and_asked_for_no_more(): void
    {
        $ordinary = Textures::stated(Texture::Ordinary, []);
        $once = self::surveyed($ordinary, ['corner-left' => [2.0]]);
        self::assertSame([Code::Suspect], array_values(array_map(fn (Finding $finding) => $finding->code, array_filter($once->findings, fn (Finding $finding) => $finding->code->isDisagreement()))));
        $twice = self::surveyed($ordinary, ['corner-left' => [2.0, 2.0]]);
        self::assertFalse($twice->disagrees());
        self::assertSame([], $twice->struck);
        $rough = array_values(array_filter($twice->findings, fn (Finding $finding) => $finding->code === Code::RougherThanSupposed));
        self::assertSame('corner-left', $rough[0]->place);
        // As far off as no wall is it stays suspect, however often it is read.
        self::assertTrue(self::surveyed($ordinary, ['corner-left' => [5.0, 5.0]])->disagrees());
        // And a slip that people make twice is one.
        self::assertTrue(self::surveyed($ordinary, ['width-middle-front' => [100.0, 100.0]])->disagrees());
    }

    public function test_a_real_slip_is_still_named_and_the_take_that_was_right_counts(): void
    {
        $slipped = self::surveyed(Textures::stated(Texture::Ordinary, []), ['width-middle-front' => [100.0]]);
        $suspects = array_values(array_filter($slipped->findings, fn (Finding $finding) => $finding->code === Code::Suspect));
        self::assertSame(['width-middle-front'], array_column($suspects, 'place'));
        self::assertStringContainsString('100 mm too long', $suspects[0]->sentence);
        $again = self::surveyed(Textures::stated(Texture::Ordinary, []), ['width-middle-front' => [100.0, 0.0]]);
        self::assertFalse($again->disagrees());
        self::assertSame(['width-middle-front-0'], $again->struck);
    }

    public function test_a_triangle_that_cannot_close_is_told_by_the_rest(): void
    {
        // 600 too long, the diagonal is longer than both sides of its triangle together; 500 too short, the width makes both diagonals so.
        foreach ([['diagonal-left', 600.0], ['width-middle-back', -500.0]] as [$slot, $error]) {
            foreach ([Textures::stated(Texture::Ordinary, []), new Textures()] as $textures) {
                $survey = self::surveyed($textures, [$slot => [$error]]);
                $said = array_values(array_filter($survey->findings, fn (Finding $finding) => $finding->code->isDisagreement()));
                self::assertSame([[Code::Suspect, $slot]], array_map(fn (Finding $finding) => [$finding->code, $finding->place], $said));
                self::assertStringContainsString('no plan closes with it, and without it the others make one', $said[0]->sentence);
                self::assertSame(["$slot-0"], $survey->struck);
            }
        }
    }

    public function test_rougher_walls_leave_more_doubt_and_smoother_ones_less(): void
    {
        $doubt = fn (Textures $textures): float => ($room = self::surveyed($textures, [])->room) === null ? 0.0 : $room->frame()->span($room->frame()->wholePath())->doubt;
        $doubts = array_map(fn (Texture $texture) => $doubt(Textures::stated($texture, [])), Texture::cases());
        $rising = $doubts;
        sort($rising);
        self::assertSame($rising, $doubts);
        self::assertGreaterThan($doubts[0] + 2.0, $doubts[3]);
    }

    public function test_what_nobody_said_is_told_once(): void
    {
        $note = fn (Survey $survey): array => array_filter($survey->findings, fn (Finding $finding) => $finding->code === Code::TextureNotStated);
        self::assertCount(1, $note(self::surveyed(Textures::stated(null, []), [])));
        self::assertCount(0, $note(self::surveyed(Textures::stated(Texture::Ordinary, []), [])));
    }

    /** @return array<string, array{string, float|null}> a job whose readings were all honest, and the width that its walls leave */
    public static function honest(): array
    {
        return ['an alcove' => ['honest-alcove', null], 'a closet that was once planned 350 too narrow' => ['honest-closet', 2067.0]];
    }

    #[DataProvider('honest')]
    public function test_honest_readings_of_plaster_are_not_struck(string $file, ?float $wide): void
    {
        $path = dirname(__DIR__, 2)."/examples/$file.json";
        $job = JobReader::read(JobFile::read($path, (string) file_get_contents($path))['job']);
        $survey = $job->spaces[0]->survey($job->format);
        self::assertSame([], $survey->struck);
        self::assertSame([], array_filter($survey->findings, fn (Finding $finding) => in_array($finding->code, [Code::Suspect, Code::Undecided, Code::TooFew], true)));
        if ($wide !== null && $survey->room !== null) {
            $span = $survey->room->frame()->span($survey->room->frame()->wholePath());
            self::assertEqualsWithDelta($wide, $span->width, 8.0);
            // What is claimed with its doubt is there.
            self::assertLessThanOrEqual($wide, $span->width - $span->doubt);
        }
    }
}
