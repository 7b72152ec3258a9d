<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Cut\BoardPlan;
use Incastro\Cut\PlacedPiece;
use Incastro\Cut\PlannedBoard;
use Incastro\Cut\PlannedSheet;
use Incastro\Cut\Rectangle;
use Incastro\Cut\SawSetup;
use Incastro\Cut\SheetPlan;
use Incastro\Cut\Unplaced;

/** Writes what is cut as the command line gives it: millimetres with up to three decimals. */
final class SheetPlanWriter
{
    /** @return array<string, mixed> */
    public static function write(SheetPlan $plan, SawSetup $saw): array
    {
        return [
            'sheets' => array_map(fn (PlannedSheet $sheet) => [
                'stock' => $sheet->stock->name,
                'material' => $sheet->stock->material,
                'thickness_mm' => self::mm($sheet->stock->thickness->nanometres()),
                'length_mm' => self::mm($sheet->stock->length->nanometres()),
                'width_mm' => self::mm($sheet->stock->width->nanometres()),
                'pieces' => array_map(fn (PlacedPiece $placed) => ['name' => $placed->piece->name] + self::rectangle($placed->at) + ['turned' => $placed->turned], $sheet->pieces),
                'offcuts' => array_map(self::rectangle(...), $sheet->offcuts),
            ], $plan->sheets),
            'unplaced' => self::unplaced($plan->unplaced),
            'sheets_used' => count($plan->sheets),
            'price' => round($plan->price, 3),
            'bound' => ['sheets' => $plan->boundSheets, 'price' => round($plan->boundPrice, 3), 'settings' => $plan->boundSettings, 'because' => $plan->because],
            'settings' => $plan->settings,
            'kerf_mm' => self::mm($saw->kerf->nanometres()),
            'trim_mm' => ['long' => [self::mm($saw->trimLow->nanometres()), self::mm($saw->trimHigh->nanometres())], 'short' => [self::mm($saw->trimStart->nanometres()), self::mm($saw->trimEnd->nanometres())]],
        ];
    }

    /** @return array<string, mixed> */
    public static function boards(BoardPlan $plan): array
    {
        return [
            'boards' => array_map(fn (PlannedBoard $board) => [
                'material' => $board->stock->material->id,
                'stock' => $board->stock->name,
                'length_mm' => self::mm($board->stock->length->nanometres()),
                'pieces' => array_map(fn (array $cut) => ['name' => $cut[0]->name, 'from_mm' => self::mm($cut[1]->nanometres()), 'length_mm' => self::mm($cut[2]->nanometres())], $board->pieces),
                'left_mm' => self::mm($board->left->nanometres()),
            ], $plan->boards),
            'unplaced' => self::unplaced($plan->unplaced),
            'price' => $plan->price(),
        ];
    }

    /**
     * @param  list<Unplaced>  $unplaced
     * @return list<array{name: string, quantity: int, reason: string}>
     */
    private static function unplaced(array $unplaced): array
    {
        return array_map(fn (Unplaced $one) => ['name' => $one->name, 'quantity' => $one->quantity, 'reason' => $one->reason], $unplaced);
    }

    /** @return array{x_mm: int|float, y_mm: int|float, length_mm: int|float, width_mm: int|float} */
    private static function rectangle(Rectangle $at): array
    {
        return ['x_mm' => self::mm($at->x), 'y_mm' => self::mm($at->y), 'length_mm' => self::mm($at->alongX), 'width_mm' => self::mm($at->alongY)];
    }

    /** Whole millimetres stay whole numbers. */
    public static function mm(int $nanometres, int $digits = 3): int|float
    {
        return $nanometres % 1_000_000 === 0 ? intdiv($nanometres, 1_000_000) : round($nanometres / 1e6, $digits);
    }
}
