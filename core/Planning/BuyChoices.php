<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Buy\BuyWishes;
use Incastro\Measure\Unreadable;
use Incastro\Rules\Edit;

/** Choices of a job that say how its things are bought: spare, what is left out, and the trips. */
final class BuyChoices
{
    public const LABELS = [
        'buying.lost' => 'Spare of screws, brads and pins, per cent',
        'buying.over' => 'Spare of what is bought by measure, per cent',
        'buying.one_trip' => 'All in one trip',
        'buying.struck' => 'Left out of the list',
    ];

    private const MOST_STRUCK = 100;

    private const LONGEST = 120;

    /** @return array<string, mixed> */
    public static function defaults(): array
    {
        return ['lost' => 10, 'over' => 10, 'one_trip' => false, 'struck' => []];
    }

    /**
     * @param  array<string, mixed>  $document  of the job
     * @return array{array<string, mixed>, Edit}
     *
     * @throws InvalidChoice
     */
    public static function apply(array $document, Edit $edit): array
    {
        $label = self::LABELS[$edit->path] ?? throw new InvalidChoice($edit->path, sprintf('“%s” is not a field of a job.', $edit->path));
        $field = match ($edit->path) {
            'buying.one_trip' => Field::yesNo($label),
            'buying.struck' => Field::of($label, self::struck(...)),
            default => Field::whole($label, 0, 100),
        };

        return DocumentPath::set($document, $edit->path, $field->store($edit->path, $edit->value));
    }

    /** @param array<string, mixed> $buying */
    public static function read(array $buying): BuyWishes
    {
        return new BuyWishes($buying['lost'] / 100, $buying['over'] / 100, array_column($buying['struck'], 'why', 'key'), $buying['one_trip']);
    }

    /** @return list<array{key: string, why: string}> */
    private static function struck(mixed $value): array
    {
        if (! is_array($value) || ! array_is_list($value) || count($value) > self::MOST_STRUCK) {
            throw new Unreadable(sprintf('It is a list of at most %d things.', self::MOST_STRUCK));
        }

        return array_map(function (mixed $one): array {
            $key = is_array($one) ? $one['key'] ?? null : null;
            $why = is_array($one) ? $one['why'] ?? '' : null;
            if (! is_string($key) || $key === '' || mb_strlen($key) > self::LONGEST || ! is_string($why) || mb_strlen($why) > self::LONGEST) {
                throw new Unreadable(sprintf('Each has a key of the list and a reason, up to %d letters.', self::LONGEST));
            }

            return ['key' => $key, 'why' => trim($why)];
        }, $value);
    }
}
