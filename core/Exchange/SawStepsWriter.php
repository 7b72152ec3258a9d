<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Cut\Axis;
use Incastro\Cut\PlannedSheet;
use Incastro\Saw\CutClass;
use Incastro\Saw\Impossible;
use Incastro\Saw\Part;
use Incastro\Saw\SawCut;
use Incastro\Saw\SawSteps;
use Incastro\Saw\Step;
use Incastro\Saw\Way;

/** Writes the steps of the saw as the command line gives them: millimetres with up to six decimals. */
final class SawStepsWriter
{
    /**
     * @param  list<PlannedSheet>  $sheets
     * @return array<string, mixed>
     */
    public static function write(SawSteps $steps, array $sheets): array
    {
        return [
            'parts' => array_map(fn (Part $part) => [
                'id' => $part->id, 'mark' => $part->mark, 'length_mm' => self::mm($part->x), 'width_mm' => self::mm($part->y),
                'thickness_mm' => self::mm($sheets[$part->sheet - 1]->stock->thickness->nanometres()), 'material' => $sheets[$part->sheet - 1]->stock->material,
                'kg' => round($part->kg, 2), 'from' => $part->from, 'sheet' => $part->sheet, 'piece' => $part->piece, 'fate' => $part->fate->value,
            ], $steps->parts),
            'steps' => array_map(self::step(...), $steps->steps),
            'settings' => $steps->settings, 'distinct' => $steps->distinct, 'fewest' => $steps->fewest, 'proven' => $steps->isProven, 'clampings' => $steps->clampings(),
            'impossible' => array_map(fn (Impossible $one) => ['takes' => $one->takes->id, 'mark' => $one->takes->mark, 'because' => $one->because, 'ways_out' => $one->waysOut, 'pieces' => $one->pieces], $steps->impossible),
        ];
    }

    /** @return array<string, mixed> */
    private static function step(Step $step): array
    {
        return [
            'class' => $step->class->value, 'tool' => $step->way->tool()->value,
            'way' => $step->class === CutClass::Straighten ? 'mark' : $step->way->value,
            'setting_mm' => $step->size === null ? null : self::mm($step->size), 'angle_deg' => 0,
            'cuts' => array_map(fn (SawCut $cut) => [
                'id' => $cut->frees->id, 'takes' => $cut->takes->id, 'axis' => $cut->axis === Axis::X ? 'length' : 'width',
                'edge' => $cut->isFactoryEdge ? 'factory' : 'sawn', 'at_mm' => self::mm($cut->at), 'kerf_mm' => self::mm($cut->kerf),
                'frees' => $cut->frees->id, 'leaves' => $cut->leaves?->id, 'waste_side' => self::wasteSide($step), 'kg' => round($cut->takes->kg, 2),
            ], $step->cuts),
        ];
    }

    /** As one stands at the tool: beyond the line, or on the blade's side away from the fence. */
    private static function wasteSide(Step $step): string
    {
        return match (true) {
            $step->class === CutClass::Straighten => 'near',
            $step->way === Way::Fence, $step->way === Way::Sled => 'left',
            $step->way === Way::Stop => 'right',
            default => 'far',
        };
    }

    /** To the nanometre, so that the cuts can be played on rectangles. */
    private static function mm(int $nanometres): int|float
    {
        return SheetPlanWriter::mm($nanometres, 6);
    }
}
