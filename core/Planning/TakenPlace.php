<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Measure\Length;
use Incastro\Survey\TakenAt;

/**
 * The place of a take as it is stored, nm, without what it has not: {"height": 100000000, "depth": 20000000}. Spots are pairs
 * of along and out, legs a pair.
 */
final class TakenPlace
{
    private const NAMES = ['height', 'depth', 'along', 'span'];

    /** No place of a room lies further off, nm. */
    private const MOST = 100_000_000_000;

    /** @return array<string, mixed> */
    public static function write(TakenAt $place): array
    {
        $nm = fn (float $mm): int => Length::ofDouble($mm)->nanometres();
        $stored = [];
        foreach (self::NAMES as $name) {
            if ($place->{$name} !== null) {
                $stored[$name] = $nm($place->{$name});
            }
        }
        if ($place->spots !== []) {
            $stored['spots'] = array_map(fn (array $spot) => array_map($nm, $spot), $place->spots);
        }

        return $place->legs === null ? $stored : $stored + ['legs' => array_map($nm, $place->legs)];
    }

    /** @param array<string, mixed> $stored */
    public static function read(array $stored): TakenAt
    {
        $mm = fn (?int $nm): ?float => $nm === null ? null : Length::ofNanometres($nm)->toDouble();
        $pair = fn (array $of): array => [(float) $mm($of[0]), (float) $mm($of[1])];

        return new TakenAt(
            $mm($stored['height'] ?? null),
            $mm($stored['depth'] ?? null),
            $mm($stored['along'] ?? null),
            $mm($stored['span'] ?? null),
            array_values(array_map($pair, $stored['spots'] ?? [])),
            isset($stored['legs']) ? $pair($stored['legs']) : null,
        );
    }

    /** Whether something that came from outside has the shape of a stored place. */
    public static function isOne(mixed $value): bool
    {
        $isNm = fn (mixed $nm): bool => is_int($nm) && abs($nm) <= self::MOST;
        $isPair = fn (mixed $pair): bool => is_array($pair) && array_is_list($pair) && count($pair) === 2 && $isNm($pair[0]) && $isNm($pair[1]);
        foreach (is_array($value) ? $value : [false] as $name => $part) {
            $isGood = match (true) {
                in_array($name, self::NAMES, true) => $isNm($part),
                $name === 'legs' => $isPair($part),
                $name === 'spots' => is_array($part) && count($part) <= 2 && array_filter($part, $isPair) === $part,
                default => false,
            };
            if (! $isGood) {
                return false;
            }
        }

        return true;
    }
}
