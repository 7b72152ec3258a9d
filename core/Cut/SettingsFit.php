<?php

declare(strict_types=1);

namespace Incastro\Cut;

/** Chooses the place that asks for the fewest distances to which the fence was not set before, and of those the tightest. */
final class SettingsFit
{
    private const TIE = 1e-10;

    /** @param array<string, true> $known */
    public function __construct(private array $known)
    {
    }

    /**
     * @param  (\Closure(): bool)|null  $passes
     * @return array{int, float, Way}|null
     */
    public function best(Places $places, PieceType $type, ?\Closure $passes = null): ?array
    {
        $best = null;
        foreach ($type->ways as $way) {
            if ($way->x > $places->mostX || $way->y > $places->mostY) {
                continue;
            }
            [$isNewX, $isNewY] = [isset($this->known["x$way->x"]) ? 0 : 1, isset($this->known["y$way->y"]) ? 0 : 1];
            foreach ($places->roomX as $i => $room) {
                $restX = $room - $way->x;
                $restY = $places->roomY[$i] - $way->y;
                if ($restX < 0 || $restY < 0) {
                    continue;
                }
                $isX = $places->along[$i] === Axis::X;
                $isReference = $places->reference[$i] === ($isX ? $way->y : $way->x);
                $cost = ($isX ? $isNewX : $isNewY) + ($isReference ? 0 : ($isX ? $isNewY : $isNewX)) + self::TIE * min($restX, $restY);
                if (($best === null || $cost < $best[1]) && ($passes === null || ! $passes())) {
                    $best = [$i, $cost, $way];
                }
            }
        }

        return $best;
    }

    public function put(Way $way): void
    {
        $this->known["x$way->x"] = $this->known["y$way->y"] = true;
    }
}
