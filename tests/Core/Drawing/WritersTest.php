<?php

declare(strict_types=1);

namespace Tests\Core\Drawing;

use Incastro\Drawing\Dimension;
use Incastro\Drawing\Drawing;
use Incastro\Drawing\DrawnPoint;
use Incastro\Drawing\DxfWriter;
use Incastro\Drawing\Label;
use Incastro\Drawing\Lettering;
use Incastro\Drawing\Outline;
use Incastro\Drawing\Paper;
use Incastro\Drawing\PdfWriter;
use Incastro\Drawing\ScreenWriter;
use Incastro\Drawing\Style;
use Incastro\Drawing\SvgWriter;
use Incastro\Drawing\TiledPdf;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Every kind of shape comes out of every writer. */
final class WritersTest extends TestCase
{
    private static function drawing(): Drawing
    {
        $at = fn (float $x, float $y) => new DrawnPoint($x, $y);

        return new Drawing('Everything', ['all' => [
            new Outline([$at(0, 0), $at(100, 0), $at(100, 60), $at(0, 60)], true, Style::House),
            new Dimension($at(0, -10), $at(100, -10), '100 mm wide'),
            new Label($at(50, 30), 'written upwards', Style::Measure, turned: true),
            new Label($at(20, 20), 'what is far too long for its room', Style::Measure, anchor: 'end', room: 30.0, short: 'short'),
        ]]);
    }

    /** @return array<string, array{\Closure(Drawing): string}> */
    public static function writers(): array
    {
        $tiled = function (Drawing $drawing): string {
            $pdf = new TiledPdf('Test', Paper::A4, false);
            $pdf->add($drawing);

            return self::texts($pdf->output());
        };
        $paged = function (Drawing $drawing): string {
            $pdf = new PdfWriter('Test', 'foot', false);
            $pdf->page('Page');
            $pdf->drawing($drawing);

            return self::texts($pdf->output());
        };

        return [
            'svg' => [fn (Drawing $drawing) => (new SvgWriter())->write($drawing)],
            'dxf' => [fn (Drawing $drawing) => DxfWriter::write($drawing)],
            'screen' => [fn (Drawing $drawing) => json_encode(ScreenWriter::write($drawing), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE)],
            'tiled pdf' => [$tiled],
            'pdf' => [$paged],
        ];
    }

    /** @param \Closure(Drawing): string $write */
    #[DataProvider('writers')]
    public function test_the_texts_of_dimensions_and_labels_are_written(\Closure $write): void
    {
        $written = $write(self::drawing());
        self::assertStringContainsString('100 mm wide', $written);
        self::assertStringContainsString('written upwards', $written);
    }

    /** @param \Closure(Drawing): string $write */
    #[DataProvider('writers')]
    public function test_what_has_no_room_gives_way_to_its_short_text(\Closure $write): void
    {
        $written = $write(self::drawing());
        self::assertStringContainsString('short', $written);
        // The screen is told the room, and measures its own letters.
        if (! str_starts_with($written, '{')) {
            self::assertStringNotContainsString('what is far too long', $written);
        }
    }

    public function test_a_text_comes_apart_into_words_and_fractions(): void
    {
        $parts = fn (string $text): array => array_map(fn (Lettering $part) => $part->isFraction() ? [$part->over, $part->under] : $part->plain, Lettering::of($text));
        self::assertSame(['35', ['11', '32'], ' × 24', ['1', '2'], ' in'], $parts('35 11/32 × 24 1/2 in'));
        self::assertSame([['3', '4']], $parts('3/4'));
        self::assertSame(['26/11/27 and 1:10'], $parts('26/11/27 and 1:10'));
        self::assertSame([], $parts(''));
    }

    public function test_fractions_stand_stacked_on_paper(): void
    {
        $sized = new Drawing('Sized', ['all' => [new Dimension(new DrawnPoint(0, 0), new DrawnPoint(900, 0), '35 11/32')]]);
        $svg = (new SvgWriter())->write($sized);
        // The whole is there to be read out; what is seen are its two rows, as wide as their figures: 2 × 1.4 mm.
        self::assertStringContainsString('aria-label="35 11/32"', $svg);
        self::assertMatchesRegularExpression('~textLength="2.80"[^>]*>11</tspan><tspan class="figure"[^>]*dx="-2.80"[^>]*>32</tspan>~', $svg);
        $pdf = new PdfWriter('Test', 'foot', true);
        $pdf->page('Page');
        $pdf->drawing($sized);
        self::assertStringContainsString("35\n11\n32\n", self::texts($pdf->output()));
    }

    public function test_upwards_and_anchors_are_kept_in_files(): void
    {
        self::assertStringContainsString('rotate(-90', (new SvgWriter())->write(self::drawing()));
        $dxf = DxfWriter::write(self::drawing());
        // Group 50 turns a text, 72 says how it is justified: 2 is at its right end.
        self::assertMatchesRegularExpression('/\r\n *50\r\n90/', $dxf);
        self::assertMatchesRegularExpression('/\r\n *72\r\n2\r\n/', $dxf);
    }

    public function test_the_line_that_checks_the_scale_is_in_the_persons_unit(): void
    {
        self::assertStringContainsString('100 mm on paper', (new SvgWriter())->write(self::drawing()));
        self::assertStringContainsString('4 in on paper', (new SvgWriter(inches: true))->write(self::drawing()));
        self::assertStringContainsString('h101.600', (new SvgWriter(inches: true))->write(self::drawing()));
    }

    /** The texts of a PDF: its streams unpacked, and the strings that are shown in them, which stand in UTF-16. */
    private static function texts(string $pdf): string
    {
        $texts = '';
        preg_match_all('/stream\r?\n(.*?)\r?\nendstream/s', $pdf, $streams);
        foreach ($streams[1] as $stream) {
            $plain = @gzuncompress($stream);
            if ($plain === false) {
                continue;
            }
            preg_match_all('/\[?\(((?:\\\\.|[^\\\\)])*)\)\]? ?T[jJ]/s', $plain, $shown);
            foreach ($shown[1] as $string) {
                $texts .= mb_convert_encoding(stripcslashes($string), 'UTF-8', 'UTF-16BE')."\n";
            }
        }

        return $texts;
    }
}
