<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Rules\Edit;
use Incastro\Rules\MaterialRole;
use Incastro\Rules\Rule;

/**
 * The choices of a job that are not of one space: name, unit, rules, materials, stock. A plain document, changed by
 * edits alone; every edit returns its inverse.
 */
final class JobChoices
{
    /**
     * The document of a new job.
     *
     * @param  string  $measure  a name of LengthFormat
     * @param  ?string  $currency  null: the one that usually goes with the unit
     * @return array<string, mixed>
     */
    public static function defaults(string $name, string $measure, ?string $currency = null): array
    {
        $isInch = LengthFormat::of($measure)->unit === Unit::Inch;
        $length = fn (string $mm, string $inch) => self::stored($isInch ? $inch : $mm, $isInch ? Unit::Inch : Unit::Millimetre);
        $sheet = fn (string $id, string $material, float $price) => [
            'id' => $id, 'material' => $material, 'name' => $isInch ? '4 × 8 sheet' : 'full sheet',
            'length' => $length('2440', '96'), 'width' => $length('1220', '48'), 'price' => $price, 'quantity' => null,
        ];
        $half = fn (string $id, string $material, float $price) => [
            'id' => $id, 'material' => $material, 'name' => 'half sheet',
            'length' => $length('1220', '48'), 'width' => $length('1220', '48'), 'price' => $price, 'quantity' => null,
        ];

        return [
            'name' => $name,
            'measure' => $measure,
            'currency' => $currency ?? ($isInch ? '$' : '€'),
            'skirting_stays' => false,
            'painted' => true,
            'top_over_sides' => false,
            'rules' => [],
            'materials' => [
                'carcass' => ['name' => $isInch ? 'Birch plywood 3/4' : 'Birch plywood 18', 'thickness' => $length('18', '23/32'), 'density' => 680.0],
                'frame' => ['name' => $isInch ? 'Poplar board 3/4' : 'Birch plywood 18, faced', 'thickness' => $length('18', '3/4'), 'density' => $isInch ? 450.0 : 680.0],
                'back' => ['name' => $isInch ? 'Birch plywood 1/4' : 'Birch plywood 6', 'thickness' => $length('6', '7/32'), 'density' => 680.0],
            ],
            'stock' => [
                $sheet('carcass-full', 'carcass', 84.0), $half('carcass-half', 'carcass', 46.0),
                $sheet('frame-full', 'frame', 92.0), $half('frame-half', 'frame', 50.0),
                $sheet('back-full', 'back', 38.0), $half('back-half', 'back', 21.0),
            ],
        ];
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array{array<string, mixed>, Edit} the changed document, and the edit that undoes it
     *
     * @throws InvalidChoice
     */
    public static function apply(array $document, Edit $edit): array
    {
        $parts = explode('.', $edit->path);
        $format = LengthFormat::of($document['measure']);
        if ($parts[0] === 'stock') {
            return StockChoices::entries($format)->apply($document, $edit);
        }
        $field = match (true) {
            $edit->path === 'name' => Field::text('Name of the job'),
            $edit->path === 'measure' => Field::oneOf('Unit and working fraction', LengthFormat::names()),
            $edit->path === 'currency' => Field::text('Currency', 4),
            $edit->path === 'skirting_stays' => Field::yesNo('Skirting stays'),
            $edit->path === 'painted' => Field::yesNo('Painted'),
            $edit->path === 'top_over_sides' => Field::yesNo('Raked tops lie over the sides'),
            $parts[0] === 'rules' && count($parts) === 2 && Rule::tryFrom($parts[1]) !== null => self::ruleField(Rule::from($parts[1]), $format),
            $parts[0] === 'materials' && count($parts) === 3 && MaterialRole::tryFrom($parts[1]) !== null => self::materialField(MaterialRole::from($parts[1]), $parts[2], $format),
            default => null,
        };
        if ($field === null) {
            throw new InvalidChoice($edit->path, sprintf('“%s” is not a field of a job.', $edit->path));
        }

        return DocumentPath::set($document, $edit->path, $field->store($edit->path, $edit->value));
    }

    private static function ruleField(Rule $rule, LengthFormat $format): Field
    {
        return Field::length($rule->label(), $format, $rule->least(), $rule->most())->orComputed();
    }

    private static function materialField(MaterialRole $role, string $field, LengthFormat $format): ?Field
    {
        return match ($field) {
            'name' => Field::text($role->label().': name'),
            'thickness' => Field::length($role->label().': thickness', $format, Length::ofMillimetres(2), Length::ofMillimetres(60)),
            'density' => Field::number($role->label().': density', 100, 1500),
            default => null,
        };
    }

    /** @return array{nm: int, typed: string} */
    public static function stored(string $typed, Unit $unit): array
    {
        return ['nm' => (new LengthReader($unit))->read($typed)->nanometres(), 'typed' => $typed];
    }
}
