<?php

declare(strict_types=1);

namespace Incastro\Cut;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;

/** Pieces that are to come from one sheet: laid out close together, they are one piece for the planner, as large as what they take. */
final readonly class Together
{
    /** Widths that are tried for them. */
    private const WIDTHS = 10;

    private const HALVINGS = 5;

    /** @param list<Stock> $stock */
    public function __construct(private SawSetup $saw, private LengthFormat $format, private array $stock)
    {
    }

    /**
     * @param  non-empty-list<CutPiece>  $pieces  one by one, of one material and thickness
     * @return list<CutPiece> one, or the pieces as they are where no sheet holds them all
     */
    public function block(array $pieces): array
    {
        if (count($pieces) === 1) {
            return $pieces;
        }
        $best = null;
        foreach ($this->stock as $stock) {
            foreach ($stock->suits($pieces[0]) ? $this->widths($pieces, $this->saw->usableWidth($stock)) : [] as $width) {
                $block = $this->shortest($pieces, $stock, $width);
                $best = $block !== null && ($best === null || $block->area() < $best->area()) ? $block : $best;
            }
        }

        return $best === null ? $pieces : [$best];
    }

    /**
     * The shortest that a part of a sheet so wide may be to hold all of them, as far as halving the doubt finds it.
     *
     * @param  non-empty-list<CutPiece>  $pieces
     */
    private function shortest(array $pieces, Stock $stock, Length $width): ?CutPiece
    {
        $least = array_sum(array_map(fn (CutPiece $piece) => $piece->area(), $pieces)) / $width->toDouble();
        $most = $this->saw->usableLength($stock)->toDouble();
        $best = $this->laid($pieces, $stock, Length::ofDouble($most), $width);
        for ($n = 0; $n < self::HALVINGS && $best !== null && $least < $most; $n++) {
            $middle = ($least + $most) / 2;
            $shorter = $this->laid($pieces, $stock, Length::ofDouble(round($middle)), $width);
            if ($shorter === null) {
                $least = $middle;
            } else {
                [$best, $most] = [$shorter, $shorter->length->toDouble()];
            }
        }

        return $best;
    }

    /** @param non-empty-list<CutPiece> $pieces */
    private function laid(array $pieces, Stock $stock, Length $length, Length $width): ?CutPiece
    {
        $plan = (new SheetPlanner($this->saw, $this->format))->draft($pieces, [new Stock($stock->name, 1, $length, $width, $stock->thickness, $stock->material, 1.0, true)]);

        return $plan->unplaced === [] && count($plan->sheets) === 1 ? CutPiece::block($plan->sheets[0]->pieces) : null;
    }

    /**
     * What one, two and three strips with these pieces are wide, and the whole sheet.
     *
     * @param  non-empty-list<CutPiece>  $pieces
     * @return list<Length>
     */
    private function widths(array $pieces, Length $most): array
    {
        $strips = array_values(array_unique(array_merge(...array_map(fn (CutPiece $piece) => array_column(SheetPlanner::ways($piece), 1), $pieces))));
        $kerf = $this->saw->kerf->nanometres();
        $sums = $widths = $strips;
        for ($n = 0; $n < 2 && count($widths) < self::WIDTHS; $n++) {
            $sums = array_values(array_unique(array_merge(...array_map(fn (int $sum) => array_map(fn (int $strip) => $sum + $kerf + $strip, $strips), $sums))));
            array_push($widths, ...$sums);
        }
        $widths = array_filter(array_slice(array_unique($widths), 0, self::WIDTHS), fn (int $width) => $width < $most->nanometres());

        return [...array_values(array_map(Length::ofNanometres(...), $widths)), $most];
    }
}
