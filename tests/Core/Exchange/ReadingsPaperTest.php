<?php

declare(strict_types=1);

namespace Tests\Core\Exchange;

use Incastro\Exchange\BadFile;
use Incastro\Exchange\MeasuringSheetPdf;
use Incastro\Exchange\ReadingsCsv;
use Incastro\Measure\LengthFormat;
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

    public function test_ten_thousand_lines_are_no_tape_book(): void
    {
        $this->expectException(BadFile::class);
        $this->expectExceptionMessage('A tape book has at most 1000.');
        (new ReadingsCsv(LengthFormat::millimetres()))->read("slot,value\n".str_repeat("height-left,2400\n", 10_000), 'r.csv', TestAlcove::leaning()->survey()->slots);
    }
}
