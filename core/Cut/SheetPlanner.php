<?php

declare(strict_types=1);

namespace Incastro\Cut;

use Incastro\Measure\LengthFormat;
use Incastro\Pieces\Grain;

/**
 * Plans cuts that go right through, material by material: a first plan, what none can beat, then steps of improvement towards the least
 * money and, at that price, the fewest settings of the fence. By steps and seed the same everywhere.
 */
final readonly class SheetPlanner
{
    /** Steps of improvement of a list of up to so many pieces; of longer ones fewer, so that an answer does not wait. */
    public const STEPS = 300;

    private const SOME = 60;

    public function __construct(private SawSetup $saw, private LengthFormat $format)
    {
    }

    /**
     * What is needed, quickly, while sizes still change: a few fillings, and no more.
     *
     * @param  list<CutPiece>  $pieces
     * @param  list<Stock>  $stock
     */
    public function draft(array $pieces, array $stock): SheetPlan
    {
        return $this->made($pieces, $stock, fn (Lay $lay): array => [(new FirstPlan($lay, FirstPlan::QUICK))->best(), SheetBound::byArea($lay)]);
    }

    /**
     * @param  list<CutPiece>  $pieces
     * @param  list<Stock>  $stock
     * @param  ?int  $steps  of improvement in price, and as many in settings; as many as are usual where nothing is said
     * @param  (\Closure(): bool)|null  $isLate  ends improving by the clock
     * @param  bool  $savesSettings  whether a plan of the least money is improved towards fewer settings of the fence
     */
    public function plan(array $pieces, array $stock, ?int $steps = null, int $seed = 1, ?\Closure $isLate = null, bool $savesSettings = true, Objective $objective = Objective::Money): SheetPlan
    {
        $plan = $this->made($pieces, $objective->weighed($stock), function (Lay $lay) use ($steps, $seed, $isLate, $savesSettings, $objective): array {
            $count = count($lay->pieces());
            $most = $steps ?? ($count <= self::SOME ? self::STEPS : intdiv(self::STEPS * self::SOME, $count));
            $plan = (new FirstPlan($lay))->best();
            $bound = SheetBound::of($plan->out === [] ? $lay : $lay->without($plan->out), $plan->price);
            if ($plan->out === [] && $plan->price > $bound->price + 1e-9) {
                $bound = SmallProof::of($lay) ?? $bound;
            }
            $improver = new Improver($lay, $seed);
            $plan = $improver->cheaper($plan, $bound->price, new Budget($most, $isLate));
            $budget = new Budget($savesSettings && $plan->out === [] ? $this->times($most, $objective->effort()) : 0, $isLate);

            return [$objective === Objective::Offcut ? $improver->greaterOffcut($plan, $budget) : $improver->fewerSettings($plan, $lay->leastSettings(), $budget), $bound];
        });

        return $objective === Objective::Sheets ? $plan->unweighed($objective) : $plan;
    }

    private function times(int $steps, int $effort): int
    {
        return $steps > intdiv(PHP_INT_MAX, $effort) ? PHP_INT_MAX : $steps * $effort;
    }

    /**
     * Material by material.
     *
     * @param  list<CutPiece>  $pieces
     * @param  list<Stock>  $stock
     * @param  \Closure(Lay): array{Filled, SheetBound}  $laid
     */
    private function made(array $pieces, array $stock, \Closure $laid): SheetPlan
    {
        $groups = [];
        $unplaced = [];
        $fit = new StockFit($this->saw, $this->format, $stock);
        foreach ($pieces as $piece) {
            $refused = $fit->refuses($piece);
            if ($refused !== null) {
                $unplaced[] = new Unplaced($piece->name, $piece->quantity, $refused);
            } elseif ($piece->quantity > 0) {
                $groups[implode(',', array_keys(array_filter($stock, fn (Stock $sheet) => $sheet->suits($piece))))][] = $piece;
            }
        }
        $sheets = $settings = $reasons = [];
        $boundSheets = $boundSettings = 0;
        $boundPrice = 0.0;
        foreach ($groups as $key => $group) {
            $kinds = array_map(fn (string $k) => $stock[(int) $k], explode(',', (string) $key));
            $grid = $this->grid($group, $kinds);
            $lay = new Lay(PieceType::all($group, $grid), array_map(fn (Stock $kind) => SheetKind::of($kind, $this->saw, $grid), $kinds), $grid->steps($this->saw->kerf->nanometres()));
            [$plan, $bound] = $laid($lay);
            array_push($sheets, ...$this->planned($lay, $grid, $plan));
            array_push($unplaced, ...self::left($lay, $plan->out));
            $settings += $plan->settings();
            $boundSettings += $lay->leastSettings();
            $boundSheets += $bound->sheets;
            $boundPrice += $bound->price;
            if ($bound->sheets > 1) {
                $reasons[] = count($groups) > 1 ? "{$kinds[0]->name}: $bound->because" : $bound->because;
            }
        }

        return new SheetPlan($sheets, $unplaced, array_sum(array_map(fn (PlannedSheet $sheet) => $sheet->stock->price, $sheets)), $boundSheets, round($boundPrice, 2), count($settings), $reasons === [] ? 'each material takes at least one' : implode('; ', $reasons), min($boundSettings, count($settings)));
    }

    /**
     * The ways a piece may lie: extents along x and y, and whether its length lies along the sheet's width.
     *
     * @return non-empty-list<array{int, int, bool}>
     */
    public static function ways(CutPiece $piece): array
    {
        $length = $piece->length->nanometres();
        $width = $piece->width->nanometres();
        $straight = [$length, $width, false];
        $turned = [$width, $length, true];

        return match ($piece->grain) {
            Grain::Length => [$straight],
            Grain::Width => [$turned],
            Grain::Any => $length === $width ? [$straight] : [$straight, $turned],
        };
    }

    /**
     * @param  list<CutPiece>  $pieces
     * @param  list<Stock>  $kinds
     */
    private function grid(array $pieces, array $kinds): Grid
    {
        $sizes = [$this->saw->kerf->nanometres()];
        foreach ($pieces as $piece) {
            array_push($sizes, $piece->length->nanometres(), $piece->width->nanometres());
        }
        foreach ($kinds as $kind) {
            array_push($sizes, $this->saw->usableLength($kind)->nanometres(), $this->saw->usableWidth($kind)->nanometres());
        }

        return Grid::of($sizes);
    }

    /** @return list<PlannedSheet> */
    private function planned(Lay $lay, Grid $grid, Filled $plan): array
    {
        $taken = array_fill(0, count($lay->types), 0);
        $sheets = [];
        foreach ($plan->sheets as $sheet) {
            $saw = $this->saw->on($sheet->of->stock);
            $at = fn (int $x, int $y, int $sizeX, int $sizeY) => new Rectangle($saw->trimStart->nanometres() + $grid->nanometres($x), $saw->trimLow->nanometres() + $grid->nanometres($y), $grid->nanometres($sizeX), $grid->nanometres($sizeY));
            $cuts = new Cuts($sheet, $lay->kerf);
            $pieces = [];
            foreach ($cuts->pieces() as [$type, $turned, $x, $y, $sizeX, $sizeY]) {
                array_push($pieces, ...self::parted(new PlacedPiece($lay->types[$type]->pieces[$taken[$type]++], $at($x, $y, $sizeX, $sizeY), $turned)));
            }
            if ($pieces !== []) {
                $sheets[] = new PlannedSheet($sheet->of->stock, $pieces, array_map(fn (array $left) => $at(...$left), $cuts->offcuts()));
            }
        }

        return $sheets;
    }

    /** @return list<PlacedPiece> what is planned as one piece, piece by piece */
    private static function parted(PlacedPiece $placed): array
    {
        $at = $placed->at;

        return $placed->piece->parts === [] ? [$placed] : array_map(fn (PlacedPiece $part) => new PlacedPiece($part->piece, $part->at->moved($at->x, $at->y), $part->turned), $placed->piece->parts);
    }

    /**
     * @param  list<int>  $out  types
     * @return list<Unplaced>
     */
    private static function left(Lay $lay, array $out): array
    {
        $byPiece = [];
        foreach (array_count_values($out) as $type => $many) {
            foreach (array_slice($lay->types[$type]->pieces, -$many) as $piece) {
                $byPiece[spl_object_id($piece)][] = $piece;
            }
        }

        return array_values(array_map(fn (array $alike) => new Unplaced($alike[0]->name, count($alike), 'the sheets at hand are used up', true), $byPiece));
    }
}
