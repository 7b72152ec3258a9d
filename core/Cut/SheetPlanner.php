<?php

declare(strict_types=1);

namespace Incastro\Cut;

use Incastro\Measure\LengthFormat;
use Incastro\Pieces\Grain;

/**
 * Plans guillotine cuts: tries a fixed number of orders and splits, keeps the cheapest plan, then the one with the
 * fewest sheets, the fewest fence settings and the largest single offcut. Deterministic.
 */
final readonly class SheetPlanner
{
    /** Orders tried for lists of up to so many pieces, so that large ones stay quick; beyond them only the best one. */
    private const TRIED = [150 => 4, 300 => 2];

    public function __construct(private SawSetup $saw, private LengthFormat $format)
    {
    }

    /**
     * @param  list<CutPiece>  $pieces
     * @param  list<Stock>  $stock
     */
    public function plan(array $pieces, array $stock): SheetPlan
    {
        $groups = [];
        $unplaced = [];
        $fit = new StockFit($this->saw, $this->format, $stock);
        foreach ($pieces as $piece) {
            $refused = $fit->refuses($piece);
            if ($refused !== null) {
                $unplaced[] = new Unplaced($piece->name, $piece->quantity, $refused);
            } else {
                $groups[implode(',', array_keys(array_filter($stock, fn (Stock $sheet) => $sheet->suits($piece))))][] = $piece;
            }
        }
        $sheets = $settings = [];
        $boundSheets = 0;
        $boundPrice = 0.0;
        foreach ($groups as $key => $group) {
            $kinds = array_map(fn (string $k) => $stock[(int) $k], explode(',', (string) $key));
            $trial = $this->best($group, $kinds);
            $bound = AreaBound::of($trial->placed(), $kinds, $this->saw);
            array_push($sheets, ...array_map(fn (OpenSheet $sheet) => $sheet->close(), $trial->sheets));
            array_push($unplaced, ...$trial->unplaced());
            $settings += $trial->settings();
            $boundSheets += $bound->sheets;
            $boundPrice += $bound->price;
        }

        return new SheetPlan($sheets, $unplaced, array_sum(array_map(fn (PlannedSheet $sheet) => $sheet->stock->price, $sheets)), $boundSheets, round($boundPrice, 2), count($settings));
    }

    /**
     * The ways a piece may lie: extents along x and y, and whether its length lies along the sheet's width.
     *
     * @return list<array{int, int, bool}>
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
    private function best(array $pieces, array $kinds): Filling
    {
        $count = array_sum(array_map(fn (CutPiece $piece) => $piece->quantity, $pieces));
        $tried = 1;
        foreach (self::TRIED as $most => $orders) {
            $tried = $count <= $most ? max($tried, $orders) : $tried;
        }
        $sorted = array_map(fn (\Closure $order) => self::sorted($pieces, $order), array_slice(self::orders(), 0, $tried));
        $best = null;
        foreach (array_keys($kinds) as $preferred) {
            foreach ($sorted as $inOrder) {
                foreach ([Split::RipFirst, Split::KeepLargest, Split::CrossFirst] as $split) {
                    $filling = new Filling($this->saw, $kinds, $preferred, $split);
                    $filling->fill($inOrder);
                    $filling->shrink();
                    if ($best === null || $filling->isBetterThan($best)) {
                        $best = $filling;
                    }
                }
            }
        }
        assert($best !== null);

        return $best;
    }

    /** @return list<\Closure(CutPiece): list<float|int>> what pieces are sorted by, the most promising first */
    private static function orders(): array
    {
        return [
            fn (CutPiece $p) => [-min($p->length->nanometres(), $p->width->nanometres()), -$p->length->nanometres()],
            fn (CutPiece $p) => [-$p->width->nanometres(), -$p->length->nanometres()],
            fn (CutPiece $p) => [-$p->length->nanometres(), -$p->width->nanometres()],
            fn (CutPiece $p) => [-$p->length->toDouble() * $p->width->toDouble(), 0],
        ];
    }

    /**
     * @param  list<CutPiece>  $pieces
     * @param  \Closure(CutPiece): list<float|int>  $order
     * @return list<array{CutPiece, list<array{int, int, bool}>}>
     */
    private static function sorted(array $pieces, \Closure $order): array
    {
        $keys = array_map($order, $pieces);
        asort($keys);

        return array_map(fn (int $k) => [$pieces[$k], self::ways($pieces[$k])], array_keys($keys));
    }
}
