<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Drawing\PdfWriter;
use Incastro\Measure\LengthFormat;

/** The log of a job on paper, for the drawer: hours and money against what was supposed, sizes, what went wrong, notes. */
final readonly class LogPdf
{
    public function __construct(private string $job, private LengthFormat $format)
    {
    }

    /** @param array<string, mixed> $station as the page has it */
    public function write(array $station): string
    {
        $title = "Log of $this->job";
        $pdf = new PdfWriter($title, $title, ! $this->format->unit->isMetric());
        $pdf->page($title);
        $pdf->paragraph(sprintf('Worked: %s. Paid: %s%s.', $station['hours']['all'], $station['money']['paid'], $station['money']['estimate'] === null ? '' : " of {$station['money']['estimate']} on the list"));
        self::table($pdf, 'Hours', ['Work', 'Supposed', 'Took'], [80, 50, 50], array_map(fn (array $one): array => [$one['label'], $one['estimate'] ?? '–', $one['actual']], $station['hours']['kinds']));
        self::table($pdf, 'People', ['Who', 'Hours'], [110, 70], array_map(fn (array $one): array => [$one['name'], $one['text']], $station['hours']['people']));
        self::table($pdf, 'Money', ['Where', 'Paid'], [110, 70], array_map(fn (array $one): array => [$one['name'], $one['text']], $station['money']['shops']));
        self::table($pdf, 'Sizes', ['Piece', 'What', 'Planned', 'As cut', 'As built'], [50, 40, 30, 30, 30], array_map(fn (array $one): array => [$one['mark'], $one['what'], $one['planned'] ?? '', $one['cut'] ?? '', $one['built'] ?? ''], $station['sizes']));
        self::table($pdf, 'What went wrong', ['What', 'Where', 'Words'], [60, 40, 80], array_map(fn (array $one): array => [$one['what'], $one['where'], $one['words']], $station['problems']));
        self::table($pdf, 'Read on fitting day', ['Step', 'What', 'Read', 'Within'], [70, 50, 40, 20], array_map(fn (array $one): array => [$one['task'], $one['label'], $one['read'], $one['within'] ? 'yes' : 'no'], $station['checks']));
        self::table($pdf, 'Written by itself', ['Day'], [180], array_map(fn (string $one): array => [$one], $station['by_itself']));
        self::table($pdf, 'Entries', ['When', 'Who', 'What'], [40, 30, 110], array_map(fn (array $one): array => [str_replace(['T', 'Z'], [' ', ''], substr($one['at'], 0, 16)), $one['who'], $one['text']], $station['entries']));
        self::table($pdf, 'Offcuts kept', ['Offcut'], [180], array_map(fn (string $one): array => [$one], $station['offcuts']));

        return $pdf->output();
    }

    /**
     * @param  list<string>  $head
     * @param  list<float>  $widths
     * @param  array<list<string>>  $rows
     */
    private static function table(PdfWriter $pdf, string $heading, array $head, array $widths, array $rows): void
    {
        if ($rows !== []) {
            $pdf->paragraph(' ');
            $pdf->paragraph($heading, 12);
            $pdf->table($heading, $head, $widths, array_values($rows));
        }
    }
}
