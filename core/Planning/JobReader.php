<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Cut\BoardStock;
use Incastro\Cut\Stock;
use Incastro\Measure\Angle;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\Layout\LayoutReader;
use Incastro\Rules\Edit;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Lineal;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Materials\SheetGood;
use Incastro\Rules\Schools\Schools;
use Incastro\Rules\Tool;
use Incastro\Survey\Room\WallKind;
use Incastro\Survey\SheetChoices;
use Incastro\Survey\Space\Sheet;
use Incastro\Survey\Take;
use Incastro\Survey\Texture;
use Incastro\Survey\Textures;

/** Reads the planner's input from its document, whose shape was checked before (docs/job.schema.json). */
final class JobReader
{
    /** @param array<string, mixed> $document choices of the job, with `spaces` and their `takes` */
    public static function read(array $document): Job
    {
        $format = LengthFormat::of($document['measure']);
        $rules = new HouseRules(
            $format->unit,
            array_map(self::length(...), $document['rules']),
            $document['skirting_stays'],
            $document['painted'],
            $document['top_over_sides'],
            Schools::of($document['schools']),
            array_map(Tool::from(...), array_keys(array_filter($document['tools'], fn (bool $isThere) => ! $isThere))),
        );
        $materials = MaterialChoices::read($document);

        return new Job(
            $document['name'],
            $format,
            $document['currency'],
            $rules,
            $materials,
            [...self::offcuts($document['offcuts'] ?? [], $materials), ...self::stock($document['stock'], $materials)],
            self::boards($document['stock'], $materials),
            array_map(fn (array $space) => self::space($space, $format, $rules, $document['installing']['walls'] ?? []), array_values($document['spaces'])),
            array_values(array_map(WayChoices::read(...), $document['ways_in'])),
            CuttingChoices::read($document['sheets']),
            BuyChoices::read($document['buying']),
        );
    }

    /** A job with an edit of its rules, schools or materials, as ways out make it. */
    public static function choosing(Job $job, Edit $edit): Job
    {
        $purpose = $edit->path === 'materials.usual' && is_string($edit->value) ? Purpose::tryFrom($edit->value) : null;
        $usual = $purpose === null ? null : (new UsualMaterials($job->rules->unit))->serving($purpose);
        if ($purpose === null || $usual === null) {
            return $job->by($job->rules->choosing($edit));
        }
        $materials = $job->materials->with(MaterialChoices::material($usual['material']), $purpose);

        return $job->madeOf($materials, self::stock($usual['stock'], $materials), self::boards($usual['stock'], $materials));
    }

    /**
     * @param  array<array<string, mixed>>  $entries
     * @return list<Stock>
     */
    private static function stock(array $entries, Catalogue $materials): array
    {
        $stock = [];
        foreach ($entries as $entry) {
            $material = $materials->find($entry['material']);
            if ($material instanceof SheetGood) {
                $stock[] = new Stock($entry['name'], $entry['quantity'], self::length($entry['length']), self::length($entry['width']), $material->thickness, $material->id, (float) $entry['price']);
            }
        }

        return $stock;
    }

    /**
     * What lies on the shelf of the home: it costs nothing, and is not trimmed again.
     *
     * @param  list<array<string, mixed>>  $entries
     * @return list<Stock>
     */
    private static function offcuts(array $entries, Catalogue $materials): array
    {
        $stock = [];
        foreach ($entries as $entry) {
            if ($materials->find($entry['material']) instanceof SheetGood) {
                $stock[] = new Stock($entry['code'], 1, Length::ofNanometres($entry['length']), Length::ofNanometres($entry['width']), Length::ofNanometres($entry['thickness']), $entry['material'], 0.0, true);
            }
        }

        return $stock;
    }

    /**
     * @param  array<array<string, mixed>>  $entries
     * @return list<BoardStock>
     */
    private static function boards(array $entries, Catalogue $materials): array
    {
        $boards = [];
        foreach ($entries as $entry) {
            $material = $materials->find($entry['material']);
            if ($material instanceof Lineal) {
                $boards[] = new BoardStock($entry['name'], $entry['quantity'], self::length($entry['length']), $material, (float) $entry['price']);
            }
        }

        return $boards;
    }

    /**
     * @param  array<string, mixed>  $space
     * @param  array<string, string>  $walls  what those of the job are made of, by space and wall
     */
    private static function space(array $space, LengthFormat $format, HouseRules $rules, array $walls): Space
    {
        $sheet = $space['sheet'];
        $optional = fn (?array $length) => $length === null ? null : self::length($length);

        return new Space(
            $space['id'],
            $space['name'],
            new Sheet(
                SpaceChoices::shape($space),
                new SheetChoices(self::length($sheet['low']), $optional($sheet['middle']), self::length($sheet['high']), self::length($sheet['back']), self::length($sheet['front']), self::length($sheet['level']), $format, $space['asks_front'] ?? false),
                array_map(ExtraChoices::read(...), array_values($space['extras'])),
                $space['skipped'],
            ),
            array_map(self::take(...), array_values($space['takes'])),
            LayoutReader::read($space['layout'], $rules),
            array_map(ThingChoices::read(...), array_values($space['things'])),
            array_map(self::take(...), array_values($space['withdrawn'] ?? [])),
            array_diff_key($space, ['takes' => 1, 'withdrawn' => 1, 'id' => 1]),
            Textures::stated(Texture::tryFrom($space['texture'] ?? ''), $space['textures'] ?? []),
            self::walls($space['id'], $walls),
        );
    }

    /**
     * @param  array<string, string>  $kinds
     * @return array<int, WallKind>
     */
    private static function walls(string $space, array $kinds): array
    {
        $walls = [];
        foreach ($kinds as $key => $kind) {
            [$of, $wall] = explode('/', $key) + [1 => ''];
            if ($of === $space && is_numeric($wall)) {
                $walls[(int) $wall] = WallKind::from($kind);
            }
        }

        return $walls;
    }

    /** @param array<string, mixed> $take */
    private static function take(array $take): Take
    {
        $value = $take['value'];

        return new Take(
            $take['id'],
            $take['slot'],
            isset($value['microdegrees']) ? Angle::ofMicrodegrees($value['microdegrees']) : self::length($value),
            $take['end'] ?? null,
            $value['typed'],
            $take['taken_at'] ?? '',
            isset($take['place']) ? TakenPlace::read($take['place']) : null,
        );
    }

    /** @param array<string, mixed> $stored */
    private static function length(array $stored): Length
    {
        return Length::ofNanometres($stored['nm']);
    }
}
