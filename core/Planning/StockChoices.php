<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\MaterialRole;

/** Edits of a job's stock list. */
final class StockChoices
{
    private const MOST = 200;

    public static function entries(LengthFormat $format): EntryList
    {
        return new EntryList('stock', 'a sheet in stock', ['material', 'name', 'length', 'width', 'price', 'quantity'], fn (string $name) => match ($name) {
            'material' => Field::oneOf('Material', array_map(fn (MaterialRole $role) => $role->value, MaterialRole::cases())),
            'name' => Field::text('Name of the sheet', 40),
            'length' => Field::length('Length of the sheet', $format, Length::ofMillimetres(100), Length::ofMillimetres(5000)),
            'width' => Field::length('Width of the sheet', $format, Length::ofMillimetres(100), Length::ofMillimetres(3000)),
            'price' => Field::number('Price', 0, 100_000),
            'quantity' => Field::whole('Sheets in stock', 0, 10_000)->orComputed(),
            default => null,
        }, self::MOST);
    }
}
