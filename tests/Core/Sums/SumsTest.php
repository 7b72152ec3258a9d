<?php

declare(strict_types=1);

namespace Tests\Core\Sums;

use Incastro\Drawing\ScreenWriter;
use Incastro\Measure\LengthFormat;
use Incastro\Sums\AllSums;
use Incastro\Sums\Answer;
use Incastro\Sums\Around;
use Incastro\Sums\Worked;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Each sum with its worked example, backwards where that can be done, and with what has no answer. */
final class SumsTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $typed
     * @param  array<string, string>  $expected  the answers looked at, by label
     */
    #[DataProvider('examples')]
    public function test_the_worked_examples(string $name, array $typed, string $measure, array $expected): void
    {
        self::assertSame($expected, array_intersect_key(self::answers($name, $typed, $measure), $expected));
    }

    /** @return iterable<string, array{string, array<string, mixed>, string, array<string, string>}> */
    public static function examples(): iterable
    {
        // ceil((1900 + 70)/(70 + 70)) = ceil(14.07) = 15; (1900 − 15·70)/14 = 850/14 = 60.714; edges at i·1830/14.
        yield 'slats, mm' => ['spacing', ['length' => '1900', 'width' => '70', 'gap' => '70'], 'mm/1', [
            'Slats' => '15', 'Gap, and spacer block' => '60.7 mm', 'Left edges, from the left end' => '0  131  261  392  523  654  784  915  1046  1176  1307  1438  1569  1699  1830',
        ]];
        // (74 3/4 − 15·2 3/4)/14 = 33 1/2 / 14 = 67/28 = 2.393 in; 25/64 is 0.391; edges at i·72/14.
        yield 'slats, inches' => ['spacing', ['length' => '74 3/4', 'width' => '2 3/4', 'gap' => '2 3/4'], 'in/16', [
            'Slats' => '15', 'Gap, and spacer block' => '2 25/64 in', 'Left edges, from the left end' => '0  5 1/8  10 5/16  15 7/16  20 9/16  25 11/16  30 7/8  36  41 1/8  46 5/16  51 7/16  56 9/16  61 11/16  66 7/8  72',
        ]];
        // (1000 − 3·70)/4 = 197.5; edges 197.5, 465, 732.5.
        yield 'gaps at the ends' => ['spacing', ['length' => '1000', 'width' => '70', 'count' => '3', 'ends' => 'gaps'], 'mm/1', ['Gap, and spacer block' => '197.5 mm', 'Left edges, from the left end' => '198  465  733']];
        yield 'one slat stands in the middle' => ['spacing', ['length' => '1900', 'width' => '70', 'count' => '1'], 'mm/1', ['Left edges, from the left end' => '915']];
        // (1203 − 3·18.1)/4 = 287.175 → 287; the last 1203 − 3·18.1 − 3·287 = 287.7; faces 287, 287 + 18.1 + 287 = 592.1, 897.2.
        yield 'bays, mm' => ['divide', ['width' => '1203', 'count' => '4', 'board' => '18.1'], 'mm/1', ['Each clear' => '287 mm', 'The last clear' => '287.7 mm', 'Near faces of the boards' => '287  592.1  897.2']];
        // (35 5/8 − 2·23/32)/3 = 11 19/48; in 1/16 11 3/8, the last 34 3/16 − 22 3/4 = 11 7/16.
        yield 'bays, sixteenths' => ['divide', ['width' => '35 5/8', 'count' => '3', 'board' => '23/32'], 'in/16', ['Each clear' => '11 3/8 in', 'The last clear' => '11 7/16 in', 'Near faces of the boards' => '11 3/8  23 15/32']];
        yield 'bays, sixty-fourths' => ['divide', ['width' => '35 5/8', 'count' => '3', 'board' => '23/32'], 'in/64', ['Each clear' => '11 25/64 in', 'The last clear' => '11 13/32 in']];
        // (1963.8 − 4·18.1)/5 = 378.28 → 378; 1.4 more for the top.
        yield 'four shelves' => ['divide', ['width' => '1963.8', 'count' => '5', 'board' => '18.1'], 'mm/1', ['Each clear' => '378 mm', 'The last clear' => '379.4 mm', 'Near faces of the boards' => '378  774.1  1170.2  1566.3']];
        yield 'a corner of 93.4°' => ['mitre', ['angle' => '93.4'], 'mm/1', ['Saw for the first board, off square' => '43.3°', 'Saw for the second board, off square' => '43.3°']];
        // α = atan2(45 sin 93.4, 70 + 45 cos 93.4) = atan2(44.92, 67.33) = 33.7°, β = 59.7°; 45/sin 33.7 = 81.1.
        yield 'boards of two widths' => ['mitre', ['angle' => '93.4', 'first' => '45', 'second' => '70'], 'mm/1', ['Saw for the first board, off square' => '56.3°', 'Saw for the second board, off square' => '30.3°', 'Length of the joint' => '81.1 mm']];
        yield 'boards of two widths, square' => ['mitre', ['angle' => '90', 'first' => '45', 'second' => '70'], 'mm/1', ['Saw for the first board, off square' => '57.3°', 'Saw for the second board, off square' => '32.7°']];
        yield 'an octagon' => ['mitre', ['of' => 'polygon', 'sides' => '8'], 'mm/1', ['Saw at each end' => '22.5°', 'Inner angle' => '135.0°']];
        // atan(sin 38 / tan 45.5) = 31.2°, asin(cos 38 · cos 45.5) = 33.5°.
        yield 'a crown' => ['mitre', ['of' => 'crown', 'spring' => '38', 'angle' => '91'], 'mm/1', ['Mitre' => '31.2°', 'Bevel' => '33.5°']];
        yield 'a crown from level to a rake' => ['mitre', ['of' => 'crown', 'spring' => '38', 'rake' => '33.5'], 'mm/1', ['Mitre' => '13.3°', 'Bevel' => '10.2°']];
        // (270 − 180)/2 = 45; 18 · tan 45.
        yield 'a skirting round an outside corner' => ['mitre', ['of' => 'standing', 'angle' => '270', 'thick' => '18'], 'mm/1', ['Bevel at each end' => '45.0°', 'Longer at its long point by' => '18 mm']];
        // 2300/96 = 23.96 → 24; 2300 − 23·96 = 92.
        yield 'boards with a good last one' => ['boards', ['width' => '2310', 'cover' => '96', 'end' => '5'], 'mm/1', ['Boards' => '24', 'Last board' => '92 mm']];
        // 2328 − 24·96 = 24 is less than 48: (2328 − 23·96)/2 = 60.
        yield 'boards with a sliver' => ['boards', ['width' => '2338', 'cover' => '96', 'end' => '5'], 'mm/1', ['Boards' => '25', 'First and last board' => '60 mm']];
        // 90 3/4 − 25·3 5/8 = 1/8; (90 3/4 − 24·3 5/8)/2 = 1 7/8.
        yield 'boards, inches' => ['boards', ['width' => '91 1/4', 'cover' => '3 5/8', 'end' => '1/4'], 'in/16', ['Boards' => '26', 'First and last board' => '1 7/8 in']];
        // √(1164² + 2000²) = 2314.1; (2316² − 2311²)/(4·1164) = 5.0; √((2316² + 2311²)/2) = 2313.5.
        yield 'two diagonals' => ['square', ['width' => '1164', 'height' => '2000', 'one' => '2316', 'other' => '2311'], 'mm/1', ['Diagonals of a square one' => '2314.1 mm', 'Its top stands' => '5 mm too far right', 'Push until both read' => '2313.5 mm']];
        yield 'three tapes' => ['square', ['by' => 'triangle', 'width' => '900', 'height' => '1200', 'long' => '1507'], 'mm/1', ['Angle' => '90.56°']];
        // 2000/4 · 3 = 1500 is too long for 1164: 1164/3 = 388 → 1164, 1552, 1940.
        yield 'largest 3-4-5' => ['square', ['by' => 'triangle', 'width' => '1164', 'height' => '2000', 'long' => '2314'], 'mm/1', ['Largest 3-4-5 inside' => '1164 / 1552 / 1940']];
        yield 'a slope' => ['slope', ['rise' => '1240', 'run' => '1655', 'board' => '18.1'], 'mm/1', ['Angle' => '36.84°', 'Along the slope' => '2068 mm', 'Rise in 12' => '8.99', 'A board loses in its bevel' => '13.6 mm']];
        // √(48.875² + 65.125²) = 81.425; 27/64 is 0.422.
        yield 'a slope, inches' => ['slope', ['rise' => '48 7/8', 'run' => '65 1/8'], 'in/16', ['Angle' => '36.89°', 'Along the slope' => '81 27/64 in']];
        // 1100²/(8·140) + 70 = 1150.4; √(1150.4² − 100²) − 1010.4 = 135.6.
        yield 'an arc' => ['circle', ['chord' => '1100', 'rise' => '140'], 'mm/1', ['Radius' => '1150.4 mm', 'Rises at every 100 mm from the middle' => '135.6  122.5  100.2  68.2  25.7', 'Along the arc' => '1146.9 mm']];
        yield 'three points' => ['circle', ['by' => 'points', 'points' => '0 x 0; 410 x 150; 1000 x 60'], 'mm/1', ['Radius' => '1040.8 mm', 'Its middle, along and up' => '554.6  −880.7']];
        // 18.1 + 18.1 − 3 = 33.2.
        yield 'face to face' => ['screw', ['layers' => '18.1; 18.1'], 'mm/1', ['Screw' => '30 mm', 'Between' => '29 mm and 33.2 mm']];
        // 40.8 + 25 = 65.8 and 40.8 + 32 = 72.8.
        yield 'into a stud' => ['screw', ['layers' => '18.1; 6.2; 4; 12.5', 'into' => 'stud'], 'mm/1', ['Screw' => '70 mm', 'Between' => '65.8 mm and 72.8 mm']];
        yield 'into a stud, inches' => ['screw', ['layers' => '23/32; 1/4; 1/2', 'into' => 'stud'], 'in/16', ['Screw' => '2 1/2 in']];
        // 523 − 2·12.7 − 1 = 496.6; − 24 = 472.6; + 12 − 2 = 482.6; 355 − 10 − 18.1 = 326.9 → 300; 300 − 24 + 12 − 2 = 286.
        yield 'a drawer' => ['drawer', ['width' => '523', 'height' => '180', 'depth' => '355', 'board' => '12', 'front' => '18.1', 'slide' => '12.7'], 'mm/1', ['Box wide' => '496.6 mm', 'Front and back' => '472.6 × 155 mm', 'Bottom' => '482.6 × 286 mm', 'High, at most' => '155 mm', 'Slides' => '300 mm']];
        yield 'a drawer, inches' => ['drawer', ['width' => '20 9/16', 'height' => '7 1/8', 'board' => '1/2'], 'in/16', ['Box wide' => '19 17/32 in', 'Front and back' => '18 17/32 × 6 1/8 in', 'High, at most' => '6 1/8 in']];
        // (1127 − 5 − 3)/2 = 559.5; 1890 − 5.
        yield 'inset doors' => ['doors', ['width' => '1127', 'height' => '1890'], 'mm/1', ['Each wide' => '559.5 mm', 'Each high' => '1885 mm', 'Hinges, each' => '4']];
        // (1127 + 24 − 3)/2 = 574; 1890 + 24.
        yield 'lapping doors' => ['doors', ['width' => '1127', 'height' => '1890', 'mount' => 'overlay', 'lap' => '12'], 'mm/1', ['Each wide' => '574 mm', 'Each high' => '1914 mm']];
        // (44 3/8 − 3/16 − 1/8)/2 = 22 1/32; 74 3/8 − 3/16.
        yield 'inset doors, inches' => ['doors', ['width' => '44 3/8', 'height' => '74 3/8'], 'in/16', ['Each wide' => '22 1/32 in', 'Each high' => '74 3/16 in']];
        // 2.44 · 1.22 · 0.0181 · 680 = 36.6.
        yield 'a sheet of plywood' => ['weight', ['thick' => '18.1', 'density' => '680'], 'mm/1', ['Each' => '36.6 kg', 'Lifted by' => 'two']];
        yield 'a sheet of MDF' => ['weight', ['thick' => '18', 'density' => '750'], 'mm/1', ['Each' => '40.2 kg']];
        // 2.4384 · 1.2192 · 0.018256 · 550 = 29.85.
        yield 'a sheet of 4 × 8 ft' => ['weight', ['density' => '550'], 'in/16', ['Each' => '65.8 lb, 29.9 kg']];
        // 14.6 · 2 / 12 · 1.1 = 2.68; 2.5 + 0.75 = 51.40 is dearer than 1 + 1 + 0.75 = 17.95·2 + 14.50.
        yield 'paint' => ['paint', ['area' => '14.6', 'coats' => '2', 'coverage' => '12'], 'mm/1', ['Litres' => '2.68', 'Tins' => '2 × tin of 1 l, 1 × tin of 0.75 l', 'Price' => '50.40']];
        // 31 5/8 + 31 − 3/4 = 61 7/8 in = 1571.6 mm.
        yield 'a sum on the tape' => ['tape', ['lengths' => '31 5/8 in + 2\' 7" − 3/4 in'], 'mm/1', ['Sum' => '1571.6 mm', 'In 16ths' => '61 7/8 in', 'In whole mm' => '1572 mm, +0.38 mm']];
    }

    /** @param array<string, mixed> $typed */
    #[DataProvider('withoutAnswer')]
    public function test_what_has_no_answer_says_why_at_its_field(string $name, array $typed, string $measure, string $field, string $sentence): void
    {
        [$worked, $faults] = self::worked($name, $typed, $measure);
        self::assertNull($worked);
        self::assertSame([$field => $sentence], $faults);
    }

    /** @return iterable<string, array{string, array<string, mixed>, string, string, string}> */
    public static function withoutAnswer(): iterable
    {
        yield 'slats wider than the row' => ['spacing', ['width' => '140', 'count' => '15'], 'mm/1', 'count', '15 slats of 140 mm need 2100 mm; there are 1900 mm. 13 fit.'];
        yield 'a slat wider than the row' => ['spacing', ['length' => '60'], 'mm/1', 'width', 'One slat of 70 mm is wider than the row of 60 mm.'];
        yield 'no gap' => ['spacing', ['gap' => '0'], 'mm/1', 'gap', '“0” was understood as 0 mm. It must be between 1 mm and 5000 mm.'];
        yield 'mm typed into inches' => ['spacing', ['length' => '1830'], 'in/16', 'length', '“1830” is more than 30 m, which is more than a room. Check the unit; a bare number is read in inches.'];
        yield 'boards thicker than the opening' => ['divide', ['width' => '100', 'count' => '10'], 'mm/1', 'count', '9 boards of 18.1 mm leave nothing of 100 mm.'];
        yield 'a straight run' => ['mitre', ['angle' => '180'], 'mm/1', 'angle', 'A straight run has no mitre.'];
        yield 'an angle round' => ['mitre', ['angle' => '400'], 'mm/1', 'angle', '“400” is not a number from 0 to 360°.'];
        yield 'points on a line' => ['circle', ['by' => 'points', 'points' => '0 x 0; 500 x 0.1; 1000 x 0'], 'mm/1', 'points', 'These lie on a line.'];
        yield 'a flat arc' => ['circle', ['chord' => '30000', 'rise' => '0.1'], 'mm/1', 'rise', 'So flat an arc is a straight line.'];
        yield 'two points' => ['circle', ['by' => 'points', 'points' => '0 x 0; 500 x 0.1'], 'mm/1', 'points', 'There are 2 points; it takes three, such as 0 x 0; 410 x 150; 1000 x 60.'];
        yield 'more than half a circle' => ['circle', ['chord' => '1100', 'rise' => '551'], 'mm/1', 'rise', 'More than half a circle: give three points.'];
        yield 'a triangle that cannot be' => ['square', ['by' => 'triangle', 'width' => '900', 'height' => '1200', 'long' => '2300'], 'mm/1', 'long', 'Such a triangle cannot be: this side is 200 mm longer than both others together.'];
        yield 'nothing to hold in' => ['screw', ['layers' => '18.1'], 'mm/1', 'layers', 'Which is the last? A screw through one board holds in nothing.'];
        // 2·(12.7 + 12) + 1 = 50.4.
        yield 'slides wider than the opening' => ['drawer', ['width' => '50'], 'mm/1', 'width', 'Slides and sides need an opening of more than 50.4 mm.'];
        yield 'no slide is so short' => ['drawer', ['depth' => '200'], 'mm/1', 'depth', 'The shortest slide is 250 mm; the opening leaves 172 mm.'];
        yield 'no length' => ['tape', ['lengths' => 'hello'], 'mm/1', 'lengths', '“hello” in “hello” is not known. Type numbers, fractions, + − × and units (mm, cm, m, in, ft).'];
        yield 'no tin' => ['paint', ['tins' => 'large'], 'mm/1', 'tins', '“large” is not a tin. Type its litres and its price, such as 2.5 = 36.90, and a semicolon before the next.'];
        yield 'half a slat' => ['spacing', ['count' => '2.5'], 'mm/1', 'count', '“2.5” is not a whole number from 0 to 200.'];
    }

    public function test_each_answers_with_its_example_in_both_systems_and_draws_it(): void
    {
        foreach (AllSums::blueprints() as $blueprint) {
            foreach (['mm/1', 'in/16'] as $measure) {
                [$worked, $faults] = self::worked($blueprint->about->kind, [], $measure);
                self::assertSame([], $faults);
                self::assertNotNull($worked);
                [$left, , $wide, $high] = ScreenWriter::write($worked->drawing)['bounds'];
                self::assertGreaterThan($left, $left + min($wide, $high), $blueprint->about->kind);
                $answered = array_map(fn (Answer $one) => $one->label, $worked->answers);
                self::assertSame($answered, array_unique($answered));
            }
        }
    }

    public function test_a_table_round_the_typed_length_has_the_sum_in_its_middle(): void
    {
        $around = Around::of(AllSums::find('doors') ?? self::fail(), ['width' => '1127', 'height' => '1890'], LengthFormat::of('mm/1'));
        self::assertNotNull($around);
        self::assertSame(['Width of the opening', 'Each wide', 'Each high', 'Hinges, each'], $around->head);
        // A hundredth of 1127 is nearest to steps of 10: (1117 − 8)/2 = 554.5, (1127 − 8)/2, (1137 − 8)/2.
        self::assertSame([['1117 mm', '554.5 mm'], ['1127 mm', '559.5 mm'], ['1137 mm', '564.5 mm']], array_map(fn (array $row) => array_slice($row, 0, 2), array_slice($around->rows, 3, 3)));
        self::assertCount(9, $around->rows);
        // Nothing to run through: tins are no length.
        self::assertNull(Around::of(AllSums::find('paint') ?? self::fail(), [], LengthFormat::of('mm/1')));
        // What has no answer is left out: 9 boards of 18.1 are 162.9; at steps of 2 round 165 the first that leaves something is 163.
        $few = Around::of(AllSums::find('divide') ?? self::fail(), ['width' => '165', 'count' => '10'], LengthFormat::of('mm/1'));
        self::assertSame(['163 mm', '165 mm'], array_slice(array_column($few->rows ?? [], 0), 0, 2));
    }

    /** Marks lie where the exact ones do within half a step, however many there are, and slats and gaps make up the row. */
    public function test_marks_never_drift(): void
    {
        mt_srand(5);
        for ($i = 0; $i < 300; $i++) {
            [$long, $wide, $n] = [mt_rand(800, 6000), mt_rand(10, 60), mt_rand(2, 12)];
            $isOn = mt_rand(0, 1) === 1;
            [$worked] = self::worked('spacing', ['length' => (string) $long, 'width' => (string) $wide, 'count' => (string) $n, 'ends' => $isOn ? 'on' : 'gaps'], 'mm/1');
            self::assertNotNull($worked);
            $gap = ($worked->answers[1]->working?->result ?? self::fail())->toDouble();
            // The sum backwards: so many slats and gaps are the row again.
            self::assertEqualsWithDelta($long, $n * $wide + ($isOn ? $n - 1 : $n + 1) * $gap, 1e-4);
            foreach ($worked->answers[2]->marks as $k => $mark) {
                self::assertEqualsWithDelta(($isOn ? 0.0 : $gap) + $k * ($wide + $gap), $mark->toDouble(), 0.5 + 1e-4);
            }
        }
    }

    public function test_parts_and_boards_make_up_the_opening(): void
    {
        mt_srand(6);
        for ($i = 0; $i < 200; $i++) {
            [$wide, $n, $leftover] = [mt_rand(400, 4000), mt_rand(2, 12), ['first', 'middle', 'last'][mt_rand(0, 2)]];
            [$worked] = self::worked('divide', ['width' => "$wide.3", 'count' => (string) $n, 'board' => '18.1', 'rest' => $leftover], 'mm/1');
            self::assertNotNull($worked);
            [$each, $rest] = [$worked->answers[0]->working?->result->toDouble() ?? self::fail(), $worked->answers[1]->working?->result->toDouble() ?? self::fail()];
            self::assertEqualsWithDelta($wide + 0.3, ($n - 1) * ($each + 18.1) + $rest, 1e-6);
            self::assertGreaterThanOrEqual($each, $rest);
        }
    }

    public function test_doors_and_gaps_fill_their_opening(): void
    {
        mt_srand(7);
        for ($i = 0; $i < 200; $i++) {
            [$wide, $high, $n] = [mt_rand(400, 3000), mt_rand(300, 2400), mt_rand(1, 5)];
            [$worked] = self::worked('doors', ['width' => (string) $wide, 'height' => (string) $high, 'count' => (string) $n], 'mm/1');
            $own = ($worked?->answers[0]->working?->result ?? self::fail())->toDouble();
            $filled = $n * $own + 2 * 2.5 + ($n - 1) * 3;
            // Rounded down to tenths, so that they never touch.
            self::assertLessThanOrEqual($wide + 1e-6, $filled);
            self::assertGreaterThan($wide - $n * 0.5 - 1e-6, $filled);
        }
    }

    /** What is sawn off both boards, put together again, is the corner, and their joint has one length. */
    public function test_mitres_make_up_their_corner(): void
    {
        mt_srand(8);
        for ($i = 0; $i < 200; $i++) {
            [$angle, $a, $b] = [mt_rand(400, 1700) / 10, mt_rand(20, 200), mt_rand(20, 200)];
            $answers = self::answers('mitre', ['angle' => (string) $angle, 'first' => (string) $a, 'second' => (string) $b], 'mm/0.1');
            [$one, $other] = [(float) $answers['Saw for the first board, off square'], (float) $answers['Saw for the second board, off square']];
            $exact = rad2deg(atan2($a * sin(deg2rad($angle)), $b + $a * cos(deg2rad($angle))));
            $sides = [abs(90.0 - $exact), abs(90.0 - ($angle - $exact))];
            self::assertEqualsWithDelta($sides[0], $one, 0.051);
            self::assertEqualsWithDelta($sides[1], $other, 0.051);
            self::assertEqualsWithDelta($a / sin(deg2rad($exact)), $b / sin(deg2rad($angle - $exact)), 1e-6);
        }
    }

    public function test_a_radius_goes_back_through_its_points(): void
    {
        mt_srand(9);
        for ($i = 0; $i < 200; $i++) {
            [$chord, $rise] = [mt_rand(200, 3000), mt_rand(20, 90)];
            $half = $chord / 2;
            $arc = (float) self::answers('circle', ['chord' => (string) $chord, 'rise' => (string) $rise], 'mm/0.1')['Radius'];
            $points = (float) self::answers('circle', ['by' => 'points', 'points' => "0 x 0; $half x $rise; $chord x 0"], 'mm/0.1')['Radius'];
            self::assertEqualsWithDelta($arc, $points, 0.11);
            self::assertEqualsWithDelta($half, sqrt($arc ** 2 - ($arc - $rise) ** 2), $half * 0.01);
        }
    }

    /**
     * @param  array<string, mixed>  $typed
     * @return array<string, string>
     */
    private static function answers(string $name, array $typed, string $measure): array
    {
        [$worked, $faults] = self::worked($name, $typed, $measure);
        self::assertSame([], $faults);

        return array_column(array_map(fn (Answer $one) => [$one->label, $one->text], $worked->answers ?? []), 1, 0);
    }

    /**
     * @param  array<string, mixed>  $typed
     * @return array{Worked|null, array<string, string>}
     */
    private static function worked(string $name, array $typed, string $measure): array
    {
        return AllSums::worked(AllSums::find($name) ?? self::fail("no sum $name"), $typed, LengthFormat::of($measure));
    }
}
