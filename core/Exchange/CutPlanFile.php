<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Cut\CutPiece;
use Incastro\Cut\PlacedPiece;
use Incastro\Cut\PlannedSheet;
use Incastro\Cut\Rectangle;
use Incastro\Cut\SawSetup;
use Incastro\Cut\Stock;
use Incastro\Measure\Length;
use Incastro\Pieces\Grain;

/** Reads a plan of sheets as `cut:plan` writes it. */
final readonly class CutPlanFile
{
    private const MOST_SHEETS = 500;

    private const MOST_PIECES = 5000;

    public SawSetup $saw;

    /** @var list<PlannedSheet> */
    public array $sheets;

    /** @throws BadFile */
    public function __construct(string $file, string $json)
    {
        $from = new JsonFile($file, $json, 'an object with sheets, kerf_mm and trim_mm, as cut:plan writes it');
        $trim = is_array($from->data['trim_mm'] ?? null) ? $from->data['trim_mm'] : [];
        $edge = fn (string $key, int $i) => $from->millimetres(is_array($trim[$key] ?? null) ? $trim[$key] : [], (string) $i, ".trim_mm.$key", 0, 6.0);
        $this->saw = new SawSetup($from->millimetres($from->data, 'kerf_mm', '', 0), $edge('short', 0), $edge('short', 1), $edge('long', 0), $edge('long', 1));
        $sheets = [];
        foreach ($from->entries($from->data, 'sheets', '', self::MOST_SHEETS) as $i => $sheet) {
            $sheets[] = self::sheet($from, $sheet, ".sheets[$i]");
        }
        $from->refuseFaults();
        $this->sheets = $sheets;
    }

    /** @param array<mixed> $sheet */
    private static function sheet(JsonFile $from, array $sheet, string $path): PlannedSheet
    {
        $thickness = $from->millimetres($sheet, 'thickness_mm', $path, 1, 18.0);
        $stock = new Stock($from->text($sheet, 'stock', $path), null, $from->millimetres($sheet, 'length_mm', $path, 1), $from->millimetres($sheet, 'width_mm', $path, 1), $thickness, $from->text($sheet, 'material', $path), 0.0);
        $pieces = [];
        foreach ($from->entries($sheet, 'pieces', $path, self::MOST_PIECES) as $i => $piece) {
            $here = "$path.pieces[$i]";
            $nm = fn (string $key, float $least) => $from->millimetres($piece, $key, $here, $least)->nanometres();
            $at = new Rectangle($nm('x_mm', 0), $nm('y_mm', 0), $nm('length_mm', 1), $nm('width_mm', 1));
            if ($at->x + $at->alongX > $stock->length->nanometres() || $at->y + $at->alongY > $stock->width->nanometres()) {
                $from->fault($here, 'It does not lie on its sheet.');
            }
            $isTurned = $from->yesNo($piece, 'turned', $here, false);
            $sizes = [Length::ofNanometres($at->alongX), Length::ofNanometres($at->alongY)];
            [$length, $width] = $isTurned ? array_reverse($sizes) : $sizes;
            $pieces[] = new PlacedPiece(new CutPiece($from->text($piece, 'name', $here), 1, $length, $width, $thickness, $stock->material, Grain::Any), $at, $isTurned);
        }
        if ($pieces === []) {
            $from->fault("$path.pieces", 'A sheet has at least one piece.');
        }

        return new PlannedSheet($stock, $pieces, []);
    }
}
