<?php

declare(strict_types=1);

namespace Incastro\Cut;

/** By what the place for a piece is chosen: what is least of the room that it leaves. */
enum Fit
{
    case ShortSide;
    case Area;
    case LongSide;
    case Product;

    /** Weight of the other side where two places are alike in the first. */
    private const TIE = 1e-7;

    /**
     * The best place of those on a sheet and what it costs, less is better; null where the piece goes nowhere.
     *
     * @param  (\Closure(): bool)|null  $passes  says by chance of each place whether it is passed over
     * @return array{int, float, Way}|null
     */
    public function best(Places $places, PieceType $type, ?\Closure $passes = null): ?array
    {
        $best = $on = null;
        $least = INF;
        [$roomX, $roomY] = [$places->roomX, $places->roomY];
        foreach ($type->ways as $way) {
            [$x, $y] = [$way->x, $way->y];
            if ($x > $places->mostX || $y > $places->mostY) {
                continue;
            }
            foreach ($roomX as $i => $room) {
                $restX = $room - $x;
                $restY = $roomY[$i] - $y;
                if ($restX < 0 || $restY < 0) {
                    continue;
                }
                $cost = match ($this) {
                    self::ShortSide => $restX < $restY ? $restX + self::TIE * $restY : $restY + self::TIE * $restX,
                    self::Area => (float) $room * $roomY[$i],
                    self::LongSide => $restX > $restY ? $restX + self::TIE * $restY : $restY + self::TIE * $restX,
                    self::Product => (float) $restX * $restY,
                };
                if ($cost < $least && ($passes === null || ! $passes())) {
                    [$best, $least, $on] = [$i, $cost, $way];
                }
            }
        }

        return $best === null || $on === null ? null : [$best, $least - ($this === self::Area ? $type->area : 0), $on];
    }
}
