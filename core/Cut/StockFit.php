<?php

declare(strict_types=1);

namespace Incastro\Cut;

use Incastro\Measure\LengthFormat;

/** Whether a piece can be had from a stock at all: of its material and thickness, and large enough inside its trimmed edges. */
final readonly class StockFit
{
    /** @param list<Stock> $stock */
    public function __construct(private SawSetup $saw, private LengthFormat $format, private array $stock)
    {
    }

    /** Why no sheet gives the piece, without its name and without a full stop; null where one does. */
    public function refuses(CutPiece $piece): ?string
    {
        $suits = array_filter($this->stock, fn (Stock $sheet) => $sheet->suits($piece));
        if ($suits === []) {
            return sprintf('no sheet of its material is in stock %s thick', $this->format->write($piece->thickness));
        }
        foreach ($suits as $sheet) {
            if ($this->holds($piece, $sheet)) {
                return null;
            }
        }

        return sprintf('%s × %s is larger than every sheet of its kind', $this->format->writeCut($piece->length), $this->format->writeCut($piece->width));
    }

    private function holds(CutPiece $piece, Stock $stock): bool
    {
        foreach (SheetPlanner::ways($piece) as [$alongX, $alongY]) {
            if ($alongX <= $this->saw->usableLength($stock)->nanometres() && $alongY <= $this->saw->usableWidth($stock)->nanometres()) {
                return true;
            }
        }

        return false;
    }
}
