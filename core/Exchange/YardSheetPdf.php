<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Drawing\PdfWriter;
use Incastro\Drawing\YardDrawing;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Saw\CutClass;

/** The sheet for the timber yard: of each sheet a sketch with the cuts numbered in their order, and the sizes to ask for. */
final readonly class YardSheetPdf
{
    /** @param array<string, mixed> $cutting  as CuttingWriter writes it */
    public function __construct(private array $cutting, private LengthFormat $format)
    {
    }

    /** @param array<string, mixed> $cutting */
    public static function isNeeded(array $cutting): bool
    {
        return array_filter($cutting['steps'], self::isOfYard(...)) !== [];
    }

    public function write(string $name): string
    {
        $pdf = new PdfWriter("$name: for the yard", $name, $this->format->unit === Unit::Inch);
        $this->pages($pdf);

        return $pdf->output();
    }

    /** A page for each sheet, on paper that has other things too. */
    public function pages(PdfWriter $pdf): void
    {
        $parts = $this->parts();
        foreach ($this->bySheet() as $sheet => $cuts) {
            $pdf->page(sprintf('For the yard: sheet %s', $this->cutting['parts'][$sheet]['mark']), true);
            $pdf->paragraph(sprintf('%s × %s. Cut in this order; sizes are asked for with something to spare: the final ones are cut at home, ± 2 mm is fine.', $this->text($this->cutting['parts'][$sheet]['length']['nm']), $this->text($this->cutting['parts'][$sheet]['width']['nm'])), 11);
            $pdf->table('For the yard', ['Cut', 'Off', 'Ask for', 'Along', 'Part', 'kg'], [14, 40, 40, 40, 60, 24], array_map(fn (array $cut, int $n) => [
                (string) ($n + 1), $this->cutting['parts'][$cut['blank']]['mark'], $this->text($cut['at']), $cut['axis'] === 'length' ? 'the length' : 'the width',
                $this->cutting['parts'][$cut['id']]['mark'], sprintf('%.1f', $this->cutting['parts'][$cut['id']]['kg']),
            ], $cuts, array_keys($cuts)));
            $pdf->filling((new YardDrawing())->draw($sheet, array_map(fn (array $cut) => ['axis' => (string) $cut['axis'], 'at' => $cut['at'] / 1e6, 'kerf' => $cut['kerf'] / 1e6, 'takes' => (string) $cut['blank'], 'frees' => (string) $cut['id']], $cuts), $parts));
        }
    }

    /** @return array<string, list<array<string, mixed>>> the yard's cuts by the sheet, in their order */
    private function bySheet(): array
    {
        $bySheet = [];
        foreach (array_filter($this->cutting['steps'], self::isOfYard(...)) as $step) {
            foreach ($step['cuts'] as $cut) {
                $sheet = (string) $cut['blank'];
                while ($this->cutting['parts'][$sheet]['from'] !== null) {
                    $sheet = (string) $this->cutting['parts'][$sheet]['from'];
                }
                $bySheet[$sheet][] = $cut;
            }
        }

        return $bySheet;
    }

    /** @return array<string, array{mark: string, length: float, width: float}> */
    private function parts(): array
    {
        return array_map(fn (array $part) => ['mark' => (string) $part['mark'], 'length' => $part['length']['nm'] / 1e6, 'width' => $part['width']['nm'] / 1e6], $this->cutting['parts']);
    }

    /** @param array<string, mixed> $step */
    private static function isOfYard(array $step): bool
    {
        return $step['class'] === CutClass::Yard->label();
    }

    private function text(int $nm): string
    {
        return $this->format->finest()->write(Length::ofNanometres($nm));
    }
}
