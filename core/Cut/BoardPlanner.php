<?php

declare(strict_types=1);

namespace Incastro\Cut;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Pieces\Grain;
use Incastro\Rules\Materials\Moulding;

/**
 * Cuts boards to length: the longest piece first, each into the first board that still has room for it, else from a new one,
 * the one that costs least for its length. What is narrower than its board is ripped from it and takes it whole.
 */
final readonly class BoardPlanner
{
    /** A moulding's width as it was rounded to be cut is still its own, nanometres. */
    private const SAME = 1_000_000;

    /**
     * @param  Length  $kerf  of the saw
     * @param  Length  $end  cut off each end of a board
     * @param  list<BoardStock>  $stock
     */
    public function __construct(private Length $kerf, private Length $end, private LengthFormat $format, private array $stock)
    {
    }

    /** Why no board gives the piece, without its name and without a full stop; null where one does. */
    public function refuses(CutPiece $piece): ?string
    {
        $suits = $this->of($piece);
        if ($suits === []) {
            return 'no board of its material is in stock';
        }
        if (self::across($piece)->isGreaterThan($suits[0]->material->width)) {
            return sprintf('%s is wider than the board, which is %s', $this->format->writeCut(self::across($piece)), $this->format->writeCut($suits[0]->material->width));
        }
        if ($suits[0]->material instanceof Moulding && abs(self::across($piece)->minus($suits[0]->material->width)->nanometres()) > self::SAME) {
            return sprintf('it is %s wide, and a moulding of %s is not ripped', $this->format->writeCut(self::across($piece)), $this->format->writeCut($suits[0]->material->width));
        }
        $usable = max(array_map(fn (BoardStock $stock) => $this->usable($stock), $suits));

        return self::along($piece)->nanometres() <= $usable ? null
            : sprintf('%s is longer than every board of its kind, of which %s can be used', $this->format->writeCut(self::along($piece)), $this->format->write(Length::ofNanometres($usable)));
    }

    /** @param list<CutPiece> $pieces */
    public function plan(array $pieces): BoardPlan
    {
        $unplaced = $open = $taken = [];
        $single = [];
        foreach ($pieces as $piece) {
            $refused = $this->refuses($piece);
            if ($refused !== null) {
                $unplaced[] = new Unplaced($piece->name, $piece->quantity, $refused);

                continue;
            }
            array_push($single, ...array_fill(0, $piece->quantity, $piece->single()));
        }
        usort($single, fn (CutPiece $a, CutPiece $b) => [$a->material, self::along($b)->nanometres()] <=> [$b->material, self::along($a)->nanometres()]);
        foreach ($single as $piece) {
            $long = self::along($piece)->nanometres();
            foreach ($open as $i => [$stock, $cut, $at]) {
                if ($stock->material->id === $piece->material && $at + $long <= $stock->length->nanometres() - $this->end->nanometres()) {
                    $open[$i] = [$stock, [...$cut, [$piece, Length::ofNanometres($at), self::along($piece)]], $at + $long + $this->kerf->nanometres()];

                    continue 2;
                }
            }
            $new = $this->cheapest($piece, $taken);
            if ($new === null) {
                $unplaced[] = new Unplaced($piece->name, 1, 'the boards in stock do not do', true);

                continue;
            }
            $taken[$new] = ($taken[$new] ?? 0) + 1;
            $open[] = [$this->stock[$new], [[$piece, $this->end, self::along($piece)]], $this->end->nanometres() + $long + $this->kerf->nanometres()];
        }

        $boards = [];
        foreach ($open as [$stock, $cut, $at]) {
            $boards[] = new PlannedBoard($stock, $cut, Length::ofNanometres(max(0, $stock->length->nanometres() - $this->end->nanometres() - $at)));
        }

        return new BoardPlan($boards, $unplaced);
    }

    /**
     * Which stock gives a piece at the least money for its length, the longest of those that cost the same.
     *
     * @param  array<int, int>  $taken  of each so far
     */
    private function cheapest(CutPiece $piece, array $taken): ?int
    {
        $best = null;
        foreach ($this->stock as $i => $stock) {
            $isThere = $stock->quantity === null || ($taken[$i] ?? 0) < $stock->quantity;
            if (! $isThere || $stock->material->id !== $piece->material || $this->usable($stock) < self::along($piece)->nanometres()) {
                continue;
            }
            $cost = [$stock->price / $stock->length->toDouble(), -$stock->length->nanometres()];
            if ($best === null || $cost < $best[0]) {
                $best = [$cost, $i];
            }
        }

        return $best[1] ?? null;
    }

    /** @return list<BoardStock> */
    private function of(CutPiece $piece): array
    {
        return array_values(array_filter($this->stock, fn (BoardStock $stock) => $stock->material->id === $piece->material));
    }

    /** What can be cut from it, in nanometres. */
    private function usable(BoardStock $stock): int
    {
        return $stock->length->nanometres() - 2 * $this->end->nanometres();
    }

    /** What of a piece lies along its board: with no grain asked for, its longer size. */
    private static function along(CutPiece $piece): Length
    {
        return self::isTurned($piece) ? $piece->width : $piece->length;
    }

    private static function across(CutPiece $piece): Length
    {
        return self::isTurned($piece) ? $piece->length : $piece->width;
    }

    private static function isTurned(CutPiece $piece): bool
    {
        return $piece->grain === Grain::Width || ($piece->grain === Grain::Any && $piece->width->isGreaterThan($piece->length));
    }
}
