<?php

declare(strict_types=1);

namespace Incastro\Saw;

/**
 * What a set of facts from the saw and the shop says, whatever the order in which they arrived: a thing is done when at least one tick of it is not
 * withdrawn. A withdrawal names every tick that its device had seen; one that it had not seen stands.
 */
final class Ticks
{
    public const CUT = 'cut';

    public const AS_CUT = 'as_cut';

    public const SPOILED = 'spoiled';

    public const WITHDRAWAL = 'withdrawal';

    /** Two who measure one piece may differ by so much, nm. */
    private const AGREE = 500_000;

    /** In the shop. */
    public const BOUGHT = 'bought';

    public const AT_THE_SAW = [self::CUT, self::AS_CUT, self::SPOILED];

    /**
     * @template T of array{id: string, kind: string, withdraws: list<string>}
     *
     * @param  list<T>  $facts
     * @return list<T> those that nothing takes back, withdrawals aside
     */
    public static function standing(array $facts): array
    {
        $back = array_flip(array_merge([], ...array_column($facts, 'withdraws')));

        return array_values(array_filter($facts, fn (array $fact) => $fact['kind'] !== self::WITHDRAWAL && ! isset($back[$fact['id']])));
    }

    /**
     * @param  list<array{id: string, kind: string, part: ?string, withdraws: list<string>}>  $facts
     * @return array<string, true> the parts that are freed, spoiled or not
     */
    public static function cut(array $facts): array
    {
        return array_fill_keys(array_filter(array_column(array_filter(self::standing($facts), fn (array $fact) => $fact['kind'] === self::CUT), 'part')), true);
    }

    /**
     * The standing sizes of each part: of one device the newest counts; where two devices say otherwise, neither does.
     *
     * @param  list<array{id: string, kind: string, part: ?string, body: ?array<string, mixed>, withdraws: list<string>, device: string}>  $facts
     * @return array<string, array<string, int>> nm, by part and dimension
     */
    public static function measured(array $facts): array
    {
        $measured = [];
        foreach (self::byDevice($facts) as $part => $dimensions) {
            foreach ($dimensions as $dimension => $sizes) {
                if (! self::isUndecided($sizes)) {
                    $measured[$part][$dimension] = $sizes[array_key_last($sizes)];
                }
            }
        }

        return $measured;
    }

    /**
     * The newest size that each device says of a part.
     *
     * @param  list<array{id: string, kind: string, part: ?string, body: ?array<string, mixed>, withdraws: list<string>, device: string}>  $facts
     * @return array<string, array<string, non-empty-array<string, int>>> nm, by part, dimension and device
     */
    public static function byDevice(array $facts): array
    {
        $sizes = [];
        foreach (self::standing($facts) as $fact) {
            if ($fact['kind'] === self::AS_CUT && $fact['part'] !== null && isset($fact['body']['dimension'], $fact['body']['nm'])) {
                $sizes[$fact['part']][(string) $fact['body']['dimension']][$fact['device']] = (int) $fact['body']['nm'];
            }
        }

        return $sizes;
    }

    /** @param non-empty-array<string, int> $sizes  by device, nm */
    public static function isUndecided(array $sizes): bool
    {
        return max($sizes) - min($sizes) > self::AGREE;
    }

    /**
     * @param  list<array{id: string, kind: string, part: ?string, body: ?array<string, mixed>, withdraws: list<string>}>  $facts
     * @return array<string, list<array{int, int}>> what remains of each part that is spoiled: extents along and across the sheet, nm
     */
    public static function spoiled(array $facts): array
    {
        $spoiled = [];
        foreach (self::standing($facts) as $fact) {
            if ($fact['kind'] === self::SPOILED && $fact['part'] !== null) {
                $spoiled[$fact['part']] = array_values([...$spoiled[$fact['part']] ?? [], ...$fact['body']['remains'] ?? []]);
            }
        }

        return $spoiled;
    }
}
