<?php

declare(strict_types=1);

namespace Incastro\Drawing;

/** Writes a drawing as a DXF file of release 12, in millimetres: one layer for each of the drawing's, outlines as polylines. */
final class DxfWriter
{
    public static function write(Drawing $drawing): string
    {
        $lines = [0, 'SECTION', 2, 'HEADER', 9, '$ACADVER', 1, 'AC1009', 9, '$INSUNITS', 70, 4, 0, 'ENDSEC', 0, 'SECTION', 2, 'ENTITIES'];
        foreach ($drawing->layers as $layer => $shapes) {
            foreach ($shapes as $shape) {
                array_push($lines, ...self::shape($shape, (string) $layer));
            }
        }
        array_push($lines, 0, 'ENDSEC', 0, 'EOF');

        return implode("\r\n", $lines)."\r\n";
    }

    /** @return list<int|string> */
    private static function shape(Shape $shape, string $layer): array
    {
        if ($shape instanceof Label) {
            return [0, 'TEXT', 8, $layer, 10, self::number($shape->at->x), 20, self::number($shape->at->y), 30, '0.0', 40, '5.0', 1, self::ascii($shape->text)];
        }
        $points = $shape->points();
        $isClosed = $shape instanceof Outline && $shape->closed;
        $lines = [0, 'POLYLINE', 8, $layer, 66, 1, 70, $isClosed ? 1 : 0];
        foreach ($points as $point) {
            array_push($lines, 0, 'VERTEX', 8, $layer, 10, self::number($point->x), 20, self::number($point->y), 30, '0.0');
        }
        array_push($lines, 0, 'SEQEND', 8, $layer);

        return $lines;
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
