<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Rules\Edit;
use Incastro\Rules\Rule;
use Incastro\Rules\Schools\School;
use Incastro\Rules\Schools\Schools;
use Incastro\Rules\Tool;

/**
 * The choices of a job that are not of one space: name, unit, rules, materials, stock, articles. A plain document, changed by
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
        $unit = LengthFormat::of($measure)->unit;

        return [
            'name' => $name,
            'measure' => $measure,
            'currency' => $currency ?? ($unit === Unit::Inch ? '$' : '€'),
            'skirting_stays' => false,
            'painted' => true,
            'top_over_sides' => false,
            'schools' => [],
            'tools' => [],
            'rules' => [],
            'sheets' => CuttingChoices::defaults(),
            'buying' => BuyChoices::defaults(),
            'installing' => FittingChoices::defaults(),
        ] + (new UsualMaterials($unit))->document();
    }

    /**
     * What a job that was written before says of what came since: it is built as it was.
     *
     * @param  array<string, mixed>  $document
     * @return array<string, mixed>
     */
    public static function since(array $document): array
    {
        return ['schools' => [], 'tools' => [], 'articles' => self::defaults('', $document['measure'])['articles'], 'sheets' => CuttingChoices::defaults(), 'buying' => BuyChoices::defaults(), 'installing' => FittingChoices::defaults()];
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
        if ($parts[0] === 'sheets') {
            return CuttingChoices::apply($document, $edit);
        }
        if ($parts[0] === 'buying') {
            return BuyChoices::apply($document, $edit);
        }
        if ($parts[0] === 'installing') {
            return FittingChoices::apply($document, $edit, $format);
        }
        if ($parts[0] === 'articles') {
            return ArticleChoices::apply($document, $edit, $format);
        }
        if ($edit->path === 'materials.usual') {
            return (new MaterialChoices($format))->usual($document, $edit);
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
            $parts[0] === 'schools' && count($parts) === 2 && isset(Schools::ALL[$parts[1]]) => self::schoolField(Schools::ALL[$parts[1]]),
            $parts[0] === 'tools' && count($parts) === 2 && Tool::tryFrom($parts[1]) !== null => Field::yesNo(Tool::from($parts[1])->label()),
            $parts[0] === 'rules' && count($parts) === 2 && Rule::tryFrom($parts[1]) !== null => self::ruleField(Rule::from($parts[1]), $format),
            default => null,
        };
        if ($field === null) {
            throw new InvalidChoice($edit->path, sprintf('“%s” is not a field of a job.', $edit->path));
        }

        return DocumentPath::set($document, $edit->path, $field->store($edit->path, $edit->value));
    }

    /** @param class-string<School> $school */
    private static function schoolField(string $school): Field
    {
        return Field::oneOf($school::question(), array_map(fn (School $one) => (string) $one->value, $school::cases()))->orComputed();
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
