<?php

declare(strict_types=1);

namespace Incastro\Cut;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Pieces\Grain;
use Incastro\Rules\Materials\Moulding;

/**
 * Cuts boards to length at the least money: each board begun with the longest piece left and filled as full as can be, then some boards
 * at a time anew, down to what no plan goes under. What is narrower than its board is ripped from it and takes it whole.
 */
final readonly class BoardPlanner
{
    public const ROUNDS = 2000;

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

    /**
     * @param  list<CutPiece>  $pieces
     * @param  int  $rounds  of looking for something cheaper; none while sizes still change
     */
    public function plan(array $pieces, int $rounds = self::ROUNDS): BoardPlan
    {
        $unplaced = $byMaterial = [];
        foreach ($pieces as $piece) {
            $refused = $this->refuses($piece);
            if ($refused !== null) {
                $unplaced[] = new Unplaced($piece->name, $piece->quantity, $refused);

                continue;
            }
            $byMaterial[$piece->material] = [...$byMaterial[$piece->material] ?? [], ...array_fill(0, $piece->quantity, $piece->single())];
        }
        ksort($byMaterial);
        $boards = [];
        $bound = 0.0;
        foreach ($byMaterial as $single) {
            usort($single, fn (CutPiece $a, CutPiece $b) => self::along($b)->nanometres() <=> self::along($a)->nanometres());
            $stock = $this->of($single[0]) ?: throw new \LogicException('What no board gives was refused.');
            $kerf = $this->kerf->nanometres();
            $list = new BoardList(array_map(fn (CutPiece $piece) => self::along($piece)->nanometres() + $kerf, $single), array_map(fn (BoardStock $one) => [$this->usable($one) + $kerf, $one->price, $one->quantity], $stock));
            $least = $list->leastPrice();
            [$filled, $out] = (new BoardFill($list))->best($rounds, $least);
            foreach ($filled as [$kind, $numbers]) {
                $boards[] = $this->planned($stock[$kind], array_map(fn (int $p) => $single[$p], $numbers));
            }
            array_push($unplaced, ...array_map(fn (int $p) => new Unplaced($single[$p]->name, 1, 'the boards in stock do not do', true), $out));
            $bound += $least;
        }

        return new BoardPlan($boards, $unplaced, round($bound, 2));
    }

    /** @param list<CutPiece> $pieces */
    private function planned(BoardStock $stock, array $pieces): PlannedBoard
    {
        usort($pieces, fn (CutPiece $a, CutPiece $b) => self::along($b)->nanometres() <=> self::along($a)->nanometres());
        $at = $this->end->nanometres();
        $cut = [];
        foreach ($pieces as $piece) {
            $cut[] = [$piece, Length::ofNanometres($at), self::along($piece)];
            $at += self::along($piece)->nanometres() + $this->kerf->nanometres();
        }

        return new PlannedBoard($stock, $cut, Length::ofNanometres(max(0, $stock->length->nanometres() - $this->end->nanometres() - $at)));
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
