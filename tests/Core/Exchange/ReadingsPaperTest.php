<?php

declare(strict_types=1);

namespace Tests\Core\Exchange;

use Incastro\Exchange\BadFile;
use Incastro\Exchange\MeasuringSheetPdf;
use Incastro\Exchange\ReadingsCsv;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Survey\Take;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestAlcove;

/** The tape book on paper and as CSV. */
final class ReadingsPaperTest extends TestCase
{
    private function text(string $pdf): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'incastro');
        file_put_contents($file, $pdf);
        $text = (string) shell_exec('pdftotext -layout '.escapeshellarg($file).' -');
        unlink($file);

        return $text;
    }

    public function test_a_blank_sheet_numbers_every_reading_and_leaves_a_box_for_it(): void
    {
        $survey = TestAlcove::leaning()->survey();
        $text = $this->text((new MeasuringSheetPdf('Alcove', $survey, LengthFormat::millimetres(), true))->write());
        foreach ($survey->slots as $i => $slot) {
            self::assertMatchesRegularExpression('/^\s*'.($i + 1).'\s+'.preg_quote($slot->label, '/').'/m', $text);
        }
        self::assertSame(count($survey->slots), substr_count($text, '['));
        self::assertStringNotContainsString('1203 mm', $text);
    }

    public function test_a_filled_sheet_shows_what_was_read_and_leaves_out_what_was_struck(): void
    {
        $survey = TestAlcove::leaning()->survey();
        $text = $this->text((new MeasuringSheetPdf('Alcove', $survey, LengthFormat::millimetres(), false))->write());
        self::assertStringContainsString('1203 mm', $text);
        self::assertStringContainsString('Back wall, seen from the room', $text);
    }

    public function test_readings_go_out_and_come_in_again_alike(): void
    {
        $survey = TestAlcove::leaning()->survey();
        $csv = new ReadingsCsv(LengthFormat::millimetres());
        $text = $csv->write($survey);
        $takes = $csv->read($text, 'readings.csv', $survey->slots);
        self::assertCount(count($survey->readings), $takes);
        foreach ($takes as $take) {
            $reading = $survey->readings[$take['slot']];
            self::assertSame($reading->takes[0]->end, $take['end']);
            self::assertEqualsWithDelta(abs($reading->value()), (float) $take['text'], 0.06, $take['slot']);
        }
    }

    public function test_a_csv_with_faults_is_refused_whole_with_line_and_field(): void
    {
        $survey = TestAlcove::leaning()->survey();
        try {
            (new ReadingsCsv(LengthFormat::millimetres()))->read("slot,value,end\nheight-left,tall,\nwindow,12,\nplumb-left-low,4,sideways\nheight-right,,\n", 'r.csv', $survey->slots);
            self::fail('It was taken.');
        } catch (BadFile $bad) {
            self::assertCount(3, $bad->faults);
            self::assertStringContainsString('r.csv:2:value: Height, left: “tall”', $bad->getMessage());
            self::assertStringContainsString('r.csv:3:slot: “window” is not a reading of this space.', $bad->getMessage());
            self::assertStringContainsString('r.csv:4:value: Plumb, left wall, lower half', $bad->getMessage());
        }
    }

    public function test_a_line_that_says_when_says_it_as_a_date(): void
    {
        $survey = TestAlcove::leaning()->survey();
        $csv = fn (string $taken) => (new ReadingsCsv(LengthFormat::millimetres()))->read("slot,value,taken_at\nheight-left,2400,$taken\n", 'r.csv', $survey->slots);
        self::assertSame('2026-03-15T10:00:00Z', $csv('2026-03-15T10:00:00Z')[0]['taken_at']);
        self::assertNull($csv('')[0]['taken_at']);
        foreach (['garbage', '2026-13-40T10:00:00Z', '@9999999999999999', '+999999-01-01T00:00:00Z', 'next thursday'] as $taken) {
            try {
                $csv($taken);
                self::fail("$taken was taken.");
            } catch (BadFile $bad) {
                self::assertStringContainsString("r.csv:2:taken_at: “{$taken}” is not a date and time.", $bad->getMessage());
            }
        }
    }

    public function test_nothing_that_was_typed_goes_out_as_a_formula(): void
    {
        $take = new Take('t', 'height-left', Length::ofDouble(2400.0), typed: '=HYPERLINK("http://evil.example","x")');
        $survey = TestAlcove::leaning()->surveyOf([$take]);
        self::assertStringContainsString(",\"'=HYPERLINK(", (new ReadingsCsv(LengthFormat::millimetres()))->write($survey));
    }

    public function test_ten_thousand_lines_are_no_tape_book(): void
    {
        $this->expectException(BadFile::class);
        $this->expectExceptionMessage('There are 10001 lines. Such a file has at most 1000.');
        (new ReadingsCsv(LengthFormat::millimetres()))->read("slot,value\n".str_repeat("height-left,2400\n", 10_000), 'r.csv', TestAlcove::leaning()->survey()->slots);
    }
}
