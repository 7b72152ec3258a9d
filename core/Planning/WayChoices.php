<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Check\WayIn;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;

/**
 * The ways in of a home, in the order in which one carries a box through them: doors, turns of a corridor, passages, stairs.
 * They serve all its jobs.
 */
final class WayChoices
{
    private const MOST = 40;

    private const NARROWEST = 100;

    public const KINDS = ['door' => 'Door', 'passage' => 'Passage', 'turn' => 'Turn of a corridor', 'stair' => 'Stair'];

    public static function entries(LengthFormat $format): EntryList
    {
        return new EntryList('ways_in', 'a way in of this home', ['kind', 'name', 'width', 'height', 'second_width'], function (string $name) use ($format): ?Field {
            $size = fn (string $label) => Field::length($label, $format, Length::ofMillimetres(self::NARROWEST), Length::ofMillimetres(10_000));

            return match ($name) {
                'kind' => Field::oneOf('What it is', array_keys(self::KINDS)),
                'name' => Field::text('Name', 60),
                'width' => $size('Clear width'),
                'height' => $size('Clear height'),
                'second_width' => $size('Width after the turn')->orComputed(),
                default => null,
            };
        }, self::MOST, fn (array $entry) => $entry['kind'] === 'turn' && $entry['second_width'] === null ? ['second_width', 'A turn goes from one width into another: give the width after it too.'] : null);
    }

    /** @param array<string, mixed> $entry */
    public static function read(array $entry): WayIn
    {
        $mm = fn (string $name): float => $entry[$name] === null ? 0.0 : Length::ofNanometres($entry[$name]['nm'])->toDouble();

        return new WayIn($entry['kind'], $entry['name'], $mm('width'), $mm('height'), $mm('second_width'));
    }
}
