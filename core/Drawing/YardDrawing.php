<?php

declare(strict_types=1);

namespace Incastro\Drawing;

/** A sheet as the yard is asked to cut it: its cuts numbered in their order, and the parts with their marks. Lengths in mm. */
final readonly class YardDrawing
{
    /**
     * @param  list<array{axis: string, at: float, kerf: float, takes: string, frees: string}>  $cuts  along `length` or `width`; parts by their ids
     * @param  array<string, array{mark: string, length: float, width: float}>  $parts
     * @param  string  $sheet  id of the sheet
     */
    public function draw(string $sheet, array $cuts, array $parts): Drawing
    {
        $at = [$sheet => [0.0, 0.0, $parts[$sheet]['length'], $parts[$sheet]['width']]];
        $lines = $labels = [];
        foreach ($cuts as $n => $cut) {
            [$x, $y, $long, $wide] = $at[$cut['takes']];
            $isX = $cut['axis'] === 'length';
            $step = $cut['at'] + $cut['kerf'];
            $at[$cut['frees']] = $isX ? [$x, $y, $cut['at'], $wide] : [$x, $y, $long, $cut['at']];
            $at[$cut['takes']] = $isX ? [$x + $step, $y, $long - $step, $wide] : [$x, $y + $step, $long, $wide - $step];
            $lines[] = new Outline($isX ? [new DrawnPoint($x + $cut['at'], $y), new DrawnPoint($x + $cut['at'], $y + $wide)] : [new DrawnPoint($x, $y + $cut['at']), new DrawnPoint($x + $long, $y + $cut['at'])], false, Style::Cut);
            $labels[] = $isX ? new Label(new DrawnPoint($x + $cut['at'] - 40.0, $y + $wide / 2), (string) ($n + 1), Style::Measure) : new Label(new DrawnPoint($x + $long - 60.0, $y + $cut['at'] - 40.0), (string) ($n + 1), Style::Measure);
        }
        foreach ($at as $id => [$x, $y, $long, $wide]) {
            if ($long > 0.0 && $wide > 0.0) {
                $labels[] = new Label(new DrawnPoint($x + $long / 2, $y + $wide / 2), $parts[$id]['mark'], Style::Label, '', 'middle');
            }
        }

        return new Drawing($parts[$sheet]['mark'], ['sheet' => [Outline::rectangle(0.0, 0.0, $parts[$sheet]['length'], $parts[$sheet]['width'], Style::Sheet)], 'cuts' => $lines, 'labels' => $labels]);
    }
}
