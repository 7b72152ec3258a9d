<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\Edit;

/** Edits of a job's stock list: sheets, and boards by length. */
final class StockChoices
{
    private const MOST = 200;

    /**
     * @param  array<string, mixed>  $document
     * @return array{array<string, mixed>, Edit}
     *
     * @throws InvalidChoice
     */
    public static function apply(array $document, Edit $edit, LengthFormat $format): array
    {
        $kinds = array_column($document['materials'], 'kind', 'id');

        return (new EntryList('stock', 'something in stock', ['material', 'name', 'length', 'width', 'price', 'quantity'], fn (string $name) => match ($name) {
            'material' => Field::oneOf('Material', array_map(strval(...), array_keys($kinds))),
            'name' => Field::text('Name of the sheet', 40),
            'length' => Field::length('Length', $format, Length::ofMillimetres(100), Length::ofMillimetres(8000)),
            'width' => Field::length('Width of the sheet', $format, Length::ofMillimetres(100), Length::ofMillimetres(3000))->orComputed(),
            'price' => Field::number('Price', 0, 100_000),
            'quantity' => Field::whole('How many are in stock', 0, 10_000)->orComputed(),
            default => null,
        }, self::MOST, fn (array $entry) => $entry['width'] === null && ($kinds[$entry['material']] ?? null) === 'sheet' ? ['width', 'A sheet has a width. Type it as it is sold.'] : null))->apply($document, $edit);
    }
}
