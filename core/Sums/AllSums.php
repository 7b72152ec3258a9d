<?php

declare(strict_types=1);

namespace Incastro\Sums;

use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unreadable;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Parameters\Blueprint;

/** The sums that there are, by the word that addresses and doors have for them. */
final class AllSums
{
    /** @var non-empty-list<class-string<Sum>> in the order in which they are offered */
    private const ALL = [Spacing::class, Divide::class, Mitre::class, BoardCount::class, Square::class, Slope::class, Circle::class, Screw::class, DrawerSum::class, DoorPair::class, Weight::class, Paint::class, Tape::class];

    /** @return list<Blueprint> */
    public static function blueprints(): array
    {
        return array_map(Blueprint::of(...), self::ALL);
    }

    public static function find(string $name): ?Blueprint
    {
        foreach (self::blueprints() as $blueprint) {
            if ($blueprint->about->kind === $name) {
                return $blueprint;
            }
        }

        return null;
    }

    /**
     * The sum with what was typed; all else as in its example.
     *
     * @param  array<string, mixed>  $typed
     * @return array{Worked|null, array<string, string>} its answers, or a sentence for each field that cannot be read
     */
    public static function worked(Blueprint $blueprint, array $typed, LengthFormat $format): array
    {
        $with = $faults = [];
        foreach ($typed as $name => $given) {
            if ($given === null || $given === '') {
                continue;
            }
            try {
                $with[(string) $name] = $blueprint->stored((string) $name, $given, $format);
            } catch (Unreadable $unreadable) {
                $faults[(string) $name] = $unreadable->getMessage();
            }
        }
        if ($faults !== []) {
            return [null, $faults];
        }
        $sum = $blueprint->make($with, new HouseRules($format->unit));
        try {
            return [$sum instanceof Sum ? $sum->work($format)->by($sum->formula()) : null, []];
        } catch (CannotBe $cannot) {
            return [null, [$cannot->field => $cannot->getMessage()]];
        }
    }
}
