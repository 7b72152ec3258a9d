<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\Edit;
use Incastro\Rules\MaterialRole;

/**
 * Edits of a job's stock list: `stock.ID.price` changes a field, `stock.ID` with a whole entry adds it, and with null
 * takes it out.
 */
final class StockChoices
{
    /**
     * @param  array<string, mixed>  $document
     * @return array{array<string, mixed>, Edit}
     *
     * @throws InvalidChoice
     */
    public static function apply(array $document, Edit $edit, LengthFormat $format): array
    {
        $parts = explode('.', $edit->path);
        $id = $parts[1] ?? '';
        $at = array_search($id, array_column($document['stock'], 'id'), true);
        if (count($parts) === 2 && preg_match('/^[A-Za-z0-9-]{1,40}$/', $id)) {
            return self::replace($document, $edit, $at, $format);
        }
        $field = $at !== false && count($parts) === 3 ? self::field($parts[2], $format) : null;
        if ($field === null) {
            throw new InvalidChoice($edit->path, sprintf('“%s” is not a sheet in stock.', $edit->path));
        }
        $inverse = new Edit($edit->path, $document['stock'][$at][$parts[2]]);
        $document['stock'][$at][$parts[2]] = $field->store($edit->path, $edit->value);

        return [$document, $inverse];
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array{array<string, mixed>, Edit}
     */
    private static function replace(array $document, Edit $edit, int|string|false $at, LengthFormat $format): array
    {
        // An entry that is put back goes back to its place in the list.
        $inverse = new Edit($edit->path, $at === false ? null : $document['stock'][$at] + ['at' => $at]);
        $entries = array_values(array_filter($document['stock'], fn (array $entry) => $entry['id'] !== explode('.', $edit->path)[1]));
        if ($edit->value !== null) {
            $entry = ['id' => explode('.', $edit->path)[1]];
            foreach (['material', 'name', 'length', 'width', 'price', 'quantity'] as $name) {
                $entry[$name] = self::field($name, $format)?->store($edit->path.'.'.$name, is_array($edit->value) ? ($edit->value[$name] ?? null) : null);
            }
            $place = $at === false ? ($edit->value['at'] ?? count($entries)) : $at;
            array_splice($entries, is_int($place) ? $place : count($entries), 0, [$entry]);
        }
        $document['stock'] = $entries;

        return [$document, $inverse];
    }

    private static function field(string $name, LengthFormat $format): ?Field
    {
        return match ($name) {
            'material' => Field::oneOf('Material', array_map(fn (MaterialRole $role) => $role->value, MaterialRole::cases())),
            'name' => Field::text('Name of the sheet', 40),
            'length' => Field::length('Length of the sheet', $format, Length::ofMillimetres(100), Length::ofMillimetres(5000)),
            'width' => Field::length('Width of the sheet', $format, Length::ofMillimetres(100), Length::ofMillimetres(3000)),
            'price' => Field::number('Price', 0, 100_000),
            'quantity' => Field::whole('Sheets in stock', 0, 10_000)->orComputed(),
            default => null,
        };
    }
}
