<?php

declare(strict_types=1);

namespace Incastro\Cut;

/**
 * A sheet while it is being filled by guillotine cuts: a free rectangle takes a piece in its corner, and the rest is cut
 * right through into two free rectangles. All in nanometres.
 */
final class OpenSheet
{
    /** @var list<Rectangle> */
    private array $free;

    /** @var list<PlacedPiece> */
    private array $pieces = [];

    /** @var array<string, true> fence settings by axis and size */
    private array $settings = [];

    public function __construct(public readonly Stock $stock, private readonly SawSetup $saw)
    {
        $this->free = [new Rectangle(
            $saw->trimStart->nanometres(),
            $saw->trimLow->nanometres(),
            $saw->usableLength($stock)->nanometres(),
            $saw->usableWidth($stock)->nanometres(),
        )];
    }

    /**
     * The free rectangle in which a piece leaves the least beside its shorter side, and how well it fits: smaller is
     * better. Null when it fits nowhere.
     *
     * @param  list<array{int, int, bool}>  $ways  extents along x and y, and whether that is turned
     * @return array{int, array{int, int, bool}, int}|null
     */
    public function bestPlace(array $ways): ?array
    {
        $best = null;
        foreach ($this->free as $i => $rectangle) {
            foreach ($ways as $way) {
                $restX = $rectangle->alongX - $way[0];
                $restY = $rectangle->alongY - $way[1];
                if ($restX < 0 || $restY < 0) {
                    continue;
                }
                $score = min($restX, $restY);
                if ($best === null || $score < $best[2]) {
                    $best = [$i, $way, $score];
                }
            }
        }

        return $best;
    }

    /** @param array{int, int, bool} $way */
    public function put(CutPiece $piece, int $index, array $way, Split $split): void
    {
        $rectangle = $this->free[$index];
        [$alongX, $alongY, $turned] = $way;
        $this->pieces[] = new PlacedPiece($piece, new Rectangle($rectangle->x, $rectangle->y, $alongX, $alongY), $turned);
        $kerf = $this->saw->kerf->nanometres();
        $restX = max(0, $rectangle->alongX - $alongX - $kerf);
        $restY = max(0, $rectangle->alongY - $alongY - $kerf);
        $ripFirst = $split->ripsFirst($restX, $restY, $alongX, $alongY);
        if ($rectangle->alongY > $alongY) {
            $this->settings['y'.$alongY] = true;
        }
        if ($rectangle->alongX > $alongX) {
            $this->settings['x'.$alongX] = true;
        }
        // A rip runs along the sheet's length: the strip above the piece then keeps the whole length.
        $right = new Rectangle($rectangle->x + $alongX + $kerf, $rectangle->y, $restX, $ripFirst ? $alongY : $rectangle->alongY);
        $above = new Rectangle($rectangle->x, $rectangle->y + $alongY + $kerf, $ripFirst ? $rectangle->alongX : $alongX, $restY);
        $rests = [];
        foreach ([$right, $above] as $rest) {
            if ($rest->alongX > 0 && $rest->alongY > 0) {
                $rests[] = $rest;
            }
        }
        array_splice($this->free, $index, 1, $rests);
    }

    /** @return array<string, true> */
    public function settings(): array
    {
        return $this->settings;
    }

    /** @return list<PlacedPiece> */
    public function pieces(): array
    {
        return $this->pieces;
    }

    public function close(): PlannedSheet
    {
        $offcuts = $this->free;
        usort($offcuts, fn (Rectangle $a, Rectangle $b) => $b->area() <=> $a->area());

        return new PlannedSheet($this->stock, $this->pieces, $offcuts);
    }
}
