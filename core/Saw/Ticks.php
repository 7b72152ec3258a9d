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
        return self::of(self::CUT, $facts);
    }

    /**
     * @param  list<array{id: string, kind: string, part: ?string, withdraws: list<string>}>  $facts
     * @return array<string, true>
     */
    public static function spoiled(array $facts): array
    {
        return self::of(self::SPOILED, $facts);
    }

    /**
     * @param  list<array{id: string, kind: string, part: ?string, withdraws: list<string>}>  $facts
     * @return array<string, true> parts
     */
    private static function of(string $kind, array $facts): array
    {
        return array_fill_keys(array_filter(array_column(array_filter(self::standing($facts), fn (array $fact) => $fact['kind'] === $kind), 'part')), true);
    }
}
