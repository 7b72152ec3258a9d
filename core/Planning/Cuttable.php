<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Cut\BoardPlanner;
use Incastro\Cut\CutPiece;
use Incastro\Cut\StockFit;
use Incastro\Fit\Box;
use Incastro\Fit\FittedLayout;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\Materials\Lineal;
use Incastro\Rules\WayOut;
use Incastro\Units\Assembly;
use Incastro\Units\Placed;

/** Whether every piece can be had from a sheet or a board that can be bought: one that cannot is a clash of its owner. */
final readonly class Cuttable
{
    private StockFit $stock;

    private BoardPlanner $boards;

    public function __construct(Job $job)
    {
        $this->boards = $job->boardSaw();
        $this->stock = new StockFit($job->saw(), $job->format, $job->stock);
    }

    /**
     * @param  list<Assembly>  $assemblies
     * @return list<Finding> one for every owner
     */
    public function findings(FittedLayout $layout, array $assemblies): array
    {
        $findings = $asked = [];
        foreach ($assemblies as $assembly) {
            foreach ($assembly->placed as $placed) {
                $piece = CutPiece::of($placed->piece);
                $key = implode('|', [$piece->length->nanometres(), $piece->width->nanometres(), $piece->thickness->nanometres(), $piece->material, $piece->grain->value]);
                $reason = $asked[$key] ??= ($placed->piece->material instanceof Lineal ? $this->boards->refuses($piece) : $this->stock->refuses($piece)) ?? '';
                if ($reason !== '') {
                    $findings[$placed->owner] ??= $this->finding($placed, $reason, $layout);
                }
            }
        }

        return array_values($findings);
    }

    private function finding(Placed $placed, string $reason, FittedLayout $layout): Finding
    {
        return Finding::clash(Code::NoStock, sprintf('%s cannot be cut: %s. Give the job a %s for it, or make it smaller.', $placed->piece->mark, $reason, $placed->piece->material instanceof Lineal ? 'board' : 'sheet'), $placed->owner)
            ->about([$placed->piece->key])->withWaysOut($this->waysOut($placed->owner, $layout));
    }

    /** @return list<WayOut> */
    private function waysOut(string $owner, FittedLayout $layout): array
    {
        foreach ($layout->boxes() as $box) {
            if ($box->id === $owner) {
                return self::ofBox($box);
            }
        }
        foreach ($layout->runs as $run) {
            $cell = $run->cell($owner);
            if ($cell !== null) {
                return [self::split($cell->bayId)];
            }
        }

        return [];
    }

    /** @return list<WayOut> bays that share boards are parted, one alone is split; a tall box is cut in two */
    private static function ofBox(Box $box): array
    {
        $columns = $box->columns;
        $middle = intdiv(count($columns), 2);
        $ways = count($columns) > 1
            ? [new WayOut('Make two boxes of it', Edits::bay($columns[$middle]->bayId)->with('joined', false))]
            : [self::split($columns[0]->bayId)];

        return [...$ways, new WayOut('Cut it into base and upper', Edits::action('base-upper', $columns[0]->bayId, 'for-sheets-'.$columns[0]->bayId))];
    }

    private static function split(string $bay): WayOut
    {
        return new WayOut('Split the bay in two', Edits::action('split-bay', $bay, "for-sheets-$bay"));
    }
}
