<?php

declare(strict_types=1);

namespace Incastro\Drawing;

/**
 * Writes a drawing as a DXF file of release 12, in millimetres: one layer for each of the drawing's, outlines as polylines, a
 * dimension as its line and its text.
 *
 * @implements ShapeVisitor<list<int|string>>
 */
final class DxfWriter implements ShapeVisitor
{
    private const LETTER = 5.0;

    /** Width of a letter as a share of its height. */
    private const WIDE = 0.7;

    /** Codes for where a text stands to its point. */
    private const ANCHORS = ['start' => 0, 'middle' => 1, 'end' => 2];

    private function __construct(private readonly string $layer)
    {
    }

    public static function write(Drawing $drawing): string
    {
        $lines = [0, 'SECTION', 2, 'HEADER', 9, '$ACADVER', 1, 'AC1009', 9, '$INSUNITS', 70, 4, 0, 'ENDSEC', 0, 'SECTION', 2, 'ENTITIES'];
        foreach ($drawing->layers as $layer => $shapes) {
            $writer = new self((string) $layer);
            foreach ($shapes as $shape) {
                array_push($lines, ...$shape->accept($writer));
            }
        }
        array_push($lines, 0, 'ENDSEC', 0, 'EOF');

        return implode("\r\n", $lines)."\r\n";
    }

    public function outline(Outline $outline): array
    {
        return $this->line($outline->points(), $outline->closed);
    }

    public function dimension(Dimension $dimension): array
    {
        [$from, $to] = [$dimension->from, $dimension->to];
        $middle = new DrawnPoint(($from->x + $to->x) / 2, ($from->y + $to->y) / 2);

        return [...$this->line([$from, $to], false), ...$this->text($middle, $dimension->text, 'middle', abs($to->y - $from->y) > abs($to->x - $from->x))];
    }

    public function label(Label $label): array
    {
        return $this->text($label->at, $label->fitting(self::WIDE * self::LETTER), $label->anchor, $label->turned);
    }

    /**
     * @param  list<DrawnPoint>  $points
     * @return list<int|string>
     */
    private function line(array $points, bool $isClosed): array
    {
        $lines = [0, 'POLYLINE', 8, $this->layer, 66, 1, 70, $isClosed ? 1 : 0];
        foreach ($points as $point) {
            array_push($lines, 0, 'VERTEX', 8, $this->layer, 10, self::number($point->x), 20, self::number($point->y), 30, '0.0');
        }
        array_push($lines, 0, 'SEQEND', 8, $this->layer);

        return $lines;
    }

    /** @return list<int|string> */
    private function text(DrawnPoint $at, string $text, string $anchor, bool $isTurned): array
    {
        if ($text === '') {
            return [];
        }
        [$x, $y] = [self::number($at->x), self::number($at->y)];

        return [0, 'TEXT', 8, $this->layer, 10, $x, 20, $y, 30, '0.0', 40, self::number(self::LETTER), 1, self::ascii($text), 50, $isTurned ? '90.0' : '0.0', 72, self::ANCHORS[$anchor] ?? 1, 11, $x, 21, $y, 31, '0.0'];
    }

    private static function number(float $value): string
    {
        return sprintf('%.4f', $value);
    }

    /** The format knows no other letters. */
    private static function ascii(string $text): string
    {
        return (string) preg_replace('/[^\x20-\x7e]/', '', strtr($text, ['×' => 'x', '–' => '-', '°' => ' deg', '’' => "'", ' ' => ' ', '½' => '1/2', '¼' => '1/4', '¾' => '3/4']));
    }
}
