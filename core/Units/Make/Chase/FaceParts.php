<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Chase;

/** How the face of a box round pipes is parted: where something behind it must be reached, a part of it lifts off by itself. */
final class FaceParts
{
    /** A part of the face is no shorter than this, mm. */
    private const LEAST = 100.0;

    /**
     * @param  list<array{float, float}>  $reached  from and to along the face: what a hand needs, mm
     * @return non-empty-list<array{float, float, bool}> from, to, and whether it lifts off
     */
    public static function of(array $reached, float $long): array
    {
        usort($reached, fn (array $a, array $b) => $a[0] <=> $b[0]);
        // Two that are close together lift off as one; what would be left as a strip belongs to the part that does.
        $merged = [];
        foreach ($reached as [$from, $to]) {
            $last = count($merged) - 1;
            if ($last >= 0 && $from - $merged[$last][1] < self::LEAST) {
                $merged[$last] = [$merged[$last][0], max($merged[$last][1], $to)];
            } else {
                $merged[] = [$from, $to];
            }
        }
        $parts = [];
        $at = 0.0;
        foreach ($merged as [$from, $to]) {
            $from = $from - $at < self::LEAST ? $at : $from;
            $to = $long - $to < self::LEAST ? $long : $to;
            array_push($parts, ...$from > $at ? [[$at, $from, false]] : [], ...[[$from, $to, true]]);
            $at = $to;
        }
        if ($at < $long || $parts === []) {
            $parts[] = [$at, $long, false];
        }

        return $parts;
    }
}
