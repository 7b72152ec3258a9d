<?php

declare(strict_types=1);

namespace Tests\Core\Exchange;

use Incastro\Exchange\BadFile;
use Incastro\Exchange\SurveyFile;
use Incastro\Exchange\SurveyWriter;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** The command-line contract of a plan's readings: JSON in, JSON out. */
final class SurveyDoorTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $survey
     * @return array<string, mixed>
     */
    private function solved(array $survey): array
    {
        $file = new SurveyFile('s.json', (string) json_encode($survey));

        return json_decode((string) json_encode((new SurveyWriter($file))->write($file->survey()->solve())), true);
    }

    /** @return array<string, mixed> */
    private static function rectangle(string $diagonal = '2199.4'): array
    {
        $reading = fn (string $id, string $kind, string $from, string $to, string $value) => compact('id', 'kind', 'from', 'to', 'value');

        return ['unit' => 'mm', 'corners' => ['A', 'B', 'C', 'D'], 'readings' => [
            $reading('r1', 'side', 'A', 'B', '1830'), $reading('r2', 'side', 'B', 'C', '1220'), $reading('r3', 'side', 'C', 'D', '1830'),
            $reading('r4', 'side', 'D', 'A', '1220'), $reading('r5', 'diagonal', 'A', 'C', '2199.4'), $reading('r6', 'diagonal', 'B', 'D', $diagonal),
        ]];
    }

    public function test_a_sound_survey_gives_corners_readings_and_no_suspects(): void
    {
        $answer = $this->solved(self::rectangle());
        self::assertSame(['A', 'B', 'C', 'D'], array_keys($answer['corners']));
        self::assertEqualsWithDelta(1830.0, $answer['corners']['C']['x_mm'], 0.1);
        self::assertEqualsWithDelta(1220.0, $answer['corners']['C']['y_mm'], 0.1);
        self::assertSame(['x_mm', 'y_mm', 'sigma_mm'], array_keys($answer['corners']['B']));
        self::assertSame(['id', 'adjusted', 'residual', 'redundancy', 'normalised', 'smallest_visible'], array_keys($answer['readings'][0]));
        self::assertSame(1, $answer['degrees_of_freedom']);
        self::assertTrue($answer['consistent']);
        self::assertSame([], $answer['suspects']);
        self::assertSame([], $answer['undecided']);
        // The redundancies of all readings sum to the one degree of freedom.
        self::assertEqualsWithDelta(1.0, array_sum(array_column($answer['readings'], 'redundancy')), 0.01);
    }

    public function test_an_inch_in_one_diagonal_leaves_a_set_of_six_and_says_what_to_do(): void
    {
        $answer = $this->solved(self::rectangle('2224.8'));
        self::assertFalse($answer['consistent']);
        self::assertSame([], $answer['suspects']);
        self::assertSame(['r1', 'r2', 'r3', 'r4', 'r5', 'r6'], $answer['undecided'][0]['ids']);
        self::assertCount(6, $answer['undecided'][0]['errors']);
        self::assertContains($answer['undecided'][0]['take_again'], ['r5', 'r6']);
        self::assertSame('corner', $answer['undecided'][0]['new_reading']['kind']);
    }

    public function test_plaster_is_believed_where_the_file_says_how_rough_it_is(): void
    {
        // Both diagonals 4.5 too short, as hooks in filled corners make them: no plan of planes does that, with ordinary plaster one may.
        $short = self::rectangle('2194.9');
        $short['readings'][4]['value'] = '2194.9';
        self::assertFalse($this->solved($short)['consistent']);
        self::assertTrue($this->solved(['texture' => 1.2] + $short)['consistent']);
        // A diagonal’s σ of √(1 + 0.66²) = 1.20 by tape, with 2 × 1.2 = 2.4 besides: 2.68.
        self::assertGreaterThan($this->solved(self::rectangle())['corners']['C']['sigma_mm'], $this->solved(['texture' => 1.2] + self::rectangle())['corners']['C']['sigma_mm']);
    }

    public function test_inches_outside_corners_and_three_four_fives_are_read(): void
    {
        $survey = self::rectangle();
        $survey['unit'] = 'in';
        $survey['readings'] = [
            ['id' => 1, 'kind' => 'side', 'from' => 'A', 'to' => 'B', 'value' => '72'],
            ['id' => 2, 'kind' => 'side', 'from' => 'B', 'to' => 'C', 'value' => '48 1/2'],
            ['id' => 3, 'kind' => 'side', 'from' => 'D', 'to' => 'A', 'value' => '48 1/2'],
            ['id' => 4, 'kind' => 'three_four_five', 'at' => 'A', 'from' => 'D', 'to' => 'B', 'legs' => ['36', '48'], 'value' => '60'],
            ['id' => 5, 'kind' => 'corner', 'at' => 'B', 'from' => 'A', 'to' => 'C', 'value' => '270', 'outside' => true],
        ];
        $answer = $this->solved($survey);
        self::assertEqualsWithDelta(72 * 25.4, $answer['corners']['B']['x_mm'], 1e-6);
        // 48 1/2 in up at a right angle.
        self::assertEqualsWithDelta(48.5 * 25.4, $answer['corners']['C']['y_mm'], 0.01);
        self::assertEqualsWithDelta(0.0, $answer['corners']['D']['x_mm'], 0.01);
    }

    public function test_an_undetermined_survey_says_which_corner_floats(): void
    {
        $survey = self::rectangle();
        array_splice($survey['readings'], 2);
        $answer = $this->solved($survey);
        self::assertSame([], $answer['corners']);
        self::assertStringContainsString('float', $answer['findings'][0]);
        self::assertFalse($answer['consistent']);
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function faults(): array
    {
        $with = function (int $i, array $change): array {
            $survey = self::rectangle();
            $survey['readings'][$i] = array_replace($survey['readings'][$i], $change);

            return $survey;
        };
        $many = self::rectangle();
        $many['readings'] = array_fill(0, 10_000, $many['readings'][0]);

        return [
            'two corners' => [['corners' => ['A', 'B']] + self::rectangle(), '$.corners: There are 2 corners. A plan has 3 to 24.'],
            'a corner twice' => [['corners' => ['A', 'B', 'B', 'D']] + self::rectangle(), '$.corners[2]: Corner B is named twice.'],
            'a texture' => [['texture' => 'rough'] + self::rectangle(), '$.texture: “rough” is not how far a place of a wall is off its plane. It is a number of mm from 0 to 20, such as 1.2.'],
            'a unit' => [['unit' => 'cubit'] + self::rectangle(), '$.unit: “cubit” is not a unit here.'],
            'ten thousand readings' => [$many, '$.readings: There are 10000 readings. A plan takes at most 600.'],
            'a kind' => [$with(1, ['kind' => 'guess']), '$.readings[1].kind: “guess” is not a kind of reading here.'],
            'a corner' => [$with(1, ['to' => 'Q']), '$.readings[1].to: “Q” is not one of the corners A, B, C, D.'],
            'itself' => [$with(1, ['to' => 'B']), '$.readings[1].to: A reading lies between different corners.'],
            'a value' => [$with(1, ['value' => 'long']), '$.readings[1].value: “long”'],
            'nothing' => [$with(1, ['value' => '0']), '$.readings[1].value: A distance is more than nothing.'],
            'an id twice' => [$with(1, ['id' => 'r1']), '$.readings[1].id: “r1” is used twice.'],
            'a side across' => [$with(1, ['to' => 'D']), 'call it a diagonal'],
            'a gauge on a side' => [$with(1, ['tool' => 'gauge']), '$.readings[1].tool: A gauge reads corners, not lengths.'],
        ];
    }

    /** @param array<string, mixed> $survey */
    #[DataProvider('faults')]
    public function test_bad_input_names_the_field_what_was_understood_and_what_is_right(array $survey, string $sentence): void
    {
        try {
            new SurveyFile('s.json', (string) json_encode($survey));
            self::fail('It was taken.');
        } catch (BadFile $bad) {
            self::assertStringContainsString('s.json:'.(str_starts_with($sentence, '$') ? $sentence : ''), $bad->getMessage());
            self::assertStringContainsString($sentence, $bad->getMessage());
        }
    }

    public function test_a_file_that_is_not_json_or_not_an_object_says_so(): void
    {
        foreach (['{"corners": [' => 'not JSON', '3' => 'object with unit, corners and readings'] as $text => $said) {
            try {
                new SurveyFile('s.json', (string) $text);
                self::fail('It was taken.');
            } catch (BadFile $bad) {
                self::assertStringContainsString($said, $bad->getMessage());
            }
        }
    }
}
