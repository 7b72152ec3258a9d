<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Rules\Edit;
use Incastro\Rules\Rule;
use Incastro\Rules\Schools\BoxJoint;
use Incastro\Rules\Tool;

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

        $ply = fn (string $id, string $called, string $mm, string $inch, float $density) => [
            'id' => $id, 'kind' => 'sheet', 'name' => $called, 'thickness' => $length($mm, $inch), 'width' => null, 'cover' => null, 'density' => $density,
        ];

        $lumber = fn (string $id, string $called, array $thick, array $wide, ?array $cover) => [
            'id' => $id, 'kind' => 'board', 'name' => $called, 'thickness' => $length(...$thick), 'width' => $length(...$wide), 'cover' => $cover === null ? null : $length(...$cover), 'density' => 480.0,
        ];
        $long = fn (string $id, string $material, string $mm, string $inch, float $price) => [
            'id' => $id, 'material' => $material, 'name' => $isInch ? "$inch in long" : "$mm long", 'length' => $length($mm, $inch), 'width' => null, 'price' => $price, 'quantity' => null,
        ];

        return [
            'name' => $name,
            'measure' => $measure,
            'currency' => $currency ?? ($isInch ? '$' : '€'),
            'skirting_stays' => false,
            'painted' => true,
            'top_over_sides' => false,
            'schools' => [],
            'tools' => [],
            'rules' => [],
            'materials' => [
                $ply('carcass', $isInch ? 'Birch plywood 3/4' : 'Birch plywood 18', '18', '23/32', 680.0),
                $ply('frame', $isInch ? 'Poplar board 3/4' : 'Birch plywood 18, faced', '18', '3/4', $isInch ? 450.0 : 680.0),
                $ply('back', $isInch ? 'Birch plywood 1/4' : 'Birch plywood 6', '6', '7/32', 680.0),
                $ply('drawer', $isInch ? 'Birch plywood 1/2' : 'Birch plywood 12', '12', '15/32', 680.0),
                $lumber('framing', $isInch ? 'Batten 3/4 × 1 3/4' : 'Batten 20 × 45', ['20', '3/4'], ['45', '1 3/4'], null),
                $lumber('cladding', $isInch ? 'Tongue-and-groove board 3/8' : 'Tongue-and-groove board 9', ['9', '3/8'], ['96', '5 3/8'], ['90', '5 1/8']),
            ],
            'uses' => ['carcass' => 'carcass', 'frame' => 'frame', 'back' => 'back', 'drawer' => 'drawer', 'framing' => 'framing', 'cladding' => 'cladding'],
            'stock' => [
                $sheet('carcass-full', 'carcass', 84.0), $half('carcass-half', 'carcass', 46.0),
                $sheet('frame-full', 'frame', 92.0), $half('frame-half', 'frame', 50.0),
                $sheet('back-full', 'back', 38.0), $half('back-half', 'back', 21.0),
                $sheet('drawer-full', 'drawer', 62.0),
                $long('framing-2400', 'framing', '2400', '96', 4.0), $long('cladding-2400', 'cladding', '2400', '96', 7.0), $long('cladding-3000', 'cladding', '3000', '120', 9.0),
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
            return StockChoices::apply($document, $edit, $format);
        }
        if ($parts[0] === 'materials') {
            return (new MaterialChoices($format))->apply($document, $edit);
        }
        if ($parts[0] === 'uses' && count($parts) === 2) {
            return (new MaterialChoices($format))->use($document, $edit);
        }
        $field = match (true) {
            $edit->path === 'name' => Field::text('Name of the job'),
            $edit->path === 'measure' => Field::oneOf('Unit and working fraction', LengthFormat::names()),
            $edit->path === 'currency' => Field::text('Currency', 4),
            $edit->path === 'skirting_stays' => Field::yesNo('Skirting stays'),
            $edit->path === 'painted' => Field::yesNo('Painted'),
            $edit->path === 'top_over_sides' => Field::yesNo('Raked tops lie over the sides'),
            $edit->path === 'schools.box_joint' => Field::oneOf('How boxes are joined', array_column(BoxJoint::cases(), 'value'))->orComputed(),
            $parts[0] === 'tools' && count($parts) === 2 && Tool::tryFrom($parts[1]) !== null => Field::yesNo(Tool::from($parts[1])->label()),
            $parts[0] === 'rules' && count($parts) === 2 && Rule::tryFrom($parts[1]) !== null => self::ruleField(Rule::from($parts[1]), $format),
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

    /** @return array{nm: int, typed: string} */
    public static function stored(string $typed, Unit $unit): array
    {
        return ['nm' => (new LengthReader($unit))->read($typed)->nanometres(), 'typed' => $typed];
    }
}
