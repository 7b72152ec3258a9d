<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Survey\ReadingKind;
use Incastro\Survey\Space\ExtraSlot;
use Incastro\Survey\Space\SpaceShape;

/** Edits of the readings that a person added to the sheet. */
final class ExtraChoices
{
    private const MOST = 200;

    /** What may be added to a sheet. */
    public const KINDS = [ReadingKind::Side, ReadingKind::Diagonal, ReadingKind::Tie, ReadingKind::Corner, ReadingKind::ThreeFourFive, ReadingKind::Plumb, ReadingKind::Height, ReadingKind::Fall, ReadingKind::Offset];

    private const NAMES = ['kind', 'from', 'to', 'wall', 'along', 'height', 'depth', 'level', 'plane'];

    public static function entries(LengthFormat $format, SpaceShape $shape): EntryList
    {
        $last = $shape->corners() - 1;

        return new EntryList('extras', 'an added reading', self::NAMES, function (string $name) use ($format, $shape, $last): ?Field {
            $mm = Length::ofMillimetres(...);
            $place = fn (string $label) => Field::length($label, $format, $mm(0), $mm(20_000))->orComputed();

            return match ($name) {
                'kind' => Field::oneOf('Kind of reading', array_map(fn (ReadingKind $kind) => $kind->value, self::KINDS)),
                'from' => Field::whole('From corner', 0, $last)->orComputed(),
                'to' => Field::whole('To corner', 0, $last)->orComputed(),
                'wall' => Field::whole('Wall', 0, $last)->orComputed(),
                'along' => $place('Distance from the wall’s left end'),
                'height' => $place('Height above the floor'),
                'depth' => $place('Distance out from the wall'),
                'level' => Field::yesNo('Straightedge held level'),
                'plane' => Field::whole('Plane of the ceiling', 0, count($shape->ceiling->planes()) - 1),
                default => null,
            };
        }, self::MOST, fn (array $entry) => self::fault($entry, $shape));
    }

    /**
     * @param  array<string, mixed>  $entry
     * @return array{string, string}|null
     */
    private static function fault(array $entry, SpaceShape $shape): ?array
    {
        $kind = ReadingKind::from($entry['kind']);
        $needs = match ($kind) {
            ReadingKind::Side, ReadingKind::Corner, ReadingKind::ThreeFourFive => ['from'],
            ReadingKind::Diagonal => ['from', 'to'],
            ReadingKind::Tie => ['from', 'wall', 'along'],
            ReadingKind::Height => ['wall', 'along', 'depth'],
            ReadingKind::Fall => ['wall', 'along', 'depth', 'height'],
            ReadingKind::Offset => ['wall', $entry['level'] ? 'height' : 'along'],
            default => ['wall', 'along', 'height'],
        };
        foreach ($needs as $name) {
            if ($entry[$name] === null) {
                return [$name, sprintf('This reading needs %s.', ['from' => 'a corner', 'to' => 'a second corner', 'wall' => 'a wall', 'along' => 'its distance from the wall’s left end', 'height' => 'its height above the floor', 'depth' => 'its distance out from the wall'][$name])];
            }
        }
        if ($kind === ReadingKind::Diagonal && $entry['from'] === $entry['to']) {
            return ['to', 'A diagonal runs between two different corners.'];
        }
        if ($kind === ReadingKind::Diagonal && $shape->isNeighbour((int) $entry['from'], (int) $entry['to'])) {
            return ['to', sprintf('%s and %s are neighbours: that is a side.', SpaceShape::name((int) $entry['from']), SpaceShape::name((int) $entry['to']))];
        }

        return null;
    }

    /** @param array<string, mixed> $entry */
    public static function read(array $entry): ExtraSlot
    {
        $mm = fn (?array $stored): ?float => $stored === null ? null : Length::ofNanometres($stored['nm'])->toDouble();

        return new ExtraSlot($entry['id'], ReadingKind::from($entry['kind']), $entry['from'], $entry['to'], $entry['wall'], $mm($entry['along']), $mm($entry['height']), $mm($entry['depth']), $entry['level'], $entry['plane']);
    }
}
