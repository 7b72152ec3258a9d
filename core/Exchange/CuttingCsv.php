<?php

declare(strict_types=1);

namespace Incastro\Exchange;

/** The pieces and the cuts of a release as tables. */
final class CuttingCsv
{
    /** @param array<string, mixed> $cutting  as CuttingWriter writes it */
    public static function pieces(array $cutting): string
    {
        $rows = [['mark', 'name', 'space', 'unit', 'length', 'width', 'thickness', 'material', 'grain', 'edges', 'code']];
        foreach ($cutting['pieces'] as $piece) {
            $rows[] = [$piece['mark'], $piece['name'], $piece['space'], $piece['unit'], $piece['length']['text'], $piece['width']['text'], $piece['thickness']['text'], $piece['material'], $piece['grain'], implode('; ', $piece['edges']), $piece['code'] ?? ''];
        }

        return CsvRows::write($rows);
    }

    /** @param array<string, mixed> $cutting */
    public static function cuts(array $cutting): string
    {
        $rows = [['step', 'what', 'tool', 'set', 'guide', 'takes', 'frees', 'length', 'width', 'thickness']];
        foreach ($cutting['steps'] as $i => $step) {
            foreach ($step['cuts'] as $cut) {
                $freed = $cutting['parts'][$cut['id']] ?? null;
                $rows[] = [
                    (string) ($i + 1), $step['class'], $step['tool'], $step['number']['text'], $step['guide']['text'] ?? '', $cutting['parts'][$cut['takes']]['mark'] ?? '',
                    $cut['label'] ?? $freed['mark'] ?? '', $freed['length']['text'] ?? '', $freed['width']['text'] ?? '', $step['thickness'],
                ];
            }
        }

        return CsvRows::write($rows);
    }
}
