<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\Layout\LayoutChoices;
use Incastro\Planning\Layout\LayoutDocument;
use Incastro\Rules\Edit;
use Incastro\Survey\SheetChoices;
use Incastro\Survey\Slot;
use Incastro\Survey\Space\CeilingKind;
use Incastro\Survey\Space\EdgeKind;
use Incastro\Survey\Space\Sheet;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Survey\Texture;

/** The choices of one space: its name, where its readings are taken, and the layout of its run. */
final class SpaceChoices
{
    /**
     * The document of a new space, in which nothing is planned yet.
     *
     * @return array<string, mixed>
     */
    public static function defaults(string $name, LengthFormat $format, SpaceKind $kind = SpaceKind::Alcove): array
    {
        $edges = array_map(fn (EdgeKind $edge) => $edge->value, $kind->edges());
        $sheet = SheetChoices::defaults($format->unit);
        $stored = fn (?Length $length) => $length === null ? null : ['nm' => $length->nanometres(), 'typed' => $format->write($length)];

        return [
            'name' => $name,
            'kind' => $kind->value,
            'shape' => ['ceiling' => $kind->ceiling()->value, 'edges' => $edges, 'outside' => SpaceShape::of($kind)->outside],
            'extras' => [],
            'skipped' => [],
            'asks_front' => $sheet->asksFront,
            'texture' => null,
            'textures' => [],
            'things' => [],
            'practice' => null,
            'sheet' => array_map($stored, [
                'low' => $sheet->low, 'middle' => $sheet->middle, 'high' => $sheet->high,
                'back' => $sheet->back, 'front' => $sheet->front, 'level' => $sheet->level,
            ]),
            'layout' => LayoutDocument::none(),
        ];
    }

    /**
     * @param  array<string, mixed>  $document
     * @param  Length  $board  thickness of the boards that cells share
     * @return array{array<string, mixed>, Edit} the changed document, and the edit that undoes it
     *
     * @throws InvalidChoice
     */
    public static function apply(array $document, Edit $edit, LengthFormat $format, Length $board): array
    {
        $shape = self::shape($document);
        $list = explode('.', $edit->path)[0];
        if ($list === 'things' || $list === 'extras') {
            return ($list === 'things' ? ThingChoices::entries($format, $shape) : ExtraChoices::entries($format, $shape))->apply($document, $edit);
        }
        if ($list === 'layout') {
            [$document['layout'], $inverse] = (new LayoutChoices($format, $shape, $board))->apply($document['layout'], $edit);

            return [$document, $inverse];
        }
        $field = self::field($edit->path, $format, $shape)
            ?? throw new InvalidChoice($edit->path, sprintf('“%s” is not a field of a space.', $edit->path));

        [$changed, $inverse] = DocumentPath::set($document, $edit->path, $field->store($edit->path, $edit->value));
        foreach (WallPlaces::beyond($changed, self::shape($changed)->corners()) as [$what, $wall]) {
            throw new InvalidChoice($edit->path, sprintf('%s stands at the %s, which would go. Move it or take it away first.', $what, $shape->wallName($wall)));
        }

        return [$changed, $inverse];
    }

    /**
     * What a space has had since the second format of the job file; before, every space was an alcove.
     *
     * @return array<string, mixed>
     */
    public static function sinceFormat2(): array
    {
        $kind = SpaceKind::Alcove;

        return [
            'shape' => ['ceiling' => $kind->ceiling()->value, 'edges' => array_map(fn (EdgeKind $edge) => $edge->value, $kind->edges()), 'outside' => []],
            'extras' => [], 'skipped' => [], 'things' => [], 'practice' => null,
        ];
    }

    /**
     * What an edit touched, for telling whether somebody changed the same since.
     *
     * @param  array<string, mixed>  $before
     * @param  array<string, mixed>  $after
     * @return list<string>
     */
    public static function touched(array $before, array $after, Edit $edit): array
    {
        return str_starts_with($edit->path, 'layout') ? LayoutChoices::touched($before['layout'], $after['layout'], $edit) : [$edit->path];
    }

    /** @param array<string, mixed> $document */
    public static function shape(array $document): SpaceShape
    {
        $kind = SpaceKind::from($document['kind']);
        $ceiling = CeilingKind::from($document['shape']['ceiling']);

        return $kind === SpaceKind::Other
            ? SpaceShape::any(array_map(EdgeKind::from(...), array_values($document['shape']['edges'])), array_values($document['shape']['outside']), $ceiling)
            : SpaceShape::of($kind, $ceiling);
    }

    private static function field(string $path, LengthFormat $format, SpaceShape $shape): ?Field
    {
        $mm = Length::ofMillimetres(...);

        return match ($path) {
            'name' => Field::text('Name of the space'),
            'shape.ceiling' => Field::oneOf('Ceiling', array_map(fn (CeilingKind $ceiling) => $ceiling->value, CeilingKind::cases())),
            'shape.edges' => $shape->kind !== SpaceKind::Other ? null : Field::listOf('Corners', array_map(fn (EdgeKind $edge) => $edge->value, EdgeKind::cases()), SpaceShape::LEAST_CORNERS, SpaceShape::MOST_CORNERS),
            'shape.outside' => $shape->kind !== SpaceKind::Other ? null : Field::numbersBelow('Outside corners', $shape->corners(), $shape->corners() - 3),
            'skipped' => Field::listOf('Readings that cannot be taken', array_map(fn (Slot $slot) => $slot->id, (new Sheet($shape, SheetChoices::defaults($format->unit)))->slots()), 0, 100),
            'texture' => Field::oneOf('How even the walls are', array_column(Texture::cases(), 'value'))->orComputed(),
            'textures' => Field::listOf('How even each wall is', ['same', ...array_column(Texture::cases(), 'value')], 0, $shape->corners()),
            'sheet.low' => Field::length('Height of the lowest widths above the floor', $format, $mm(0), $mm(1000)),
            'sheet.middle' => Field::length('Height of the middle widths above the floor', $format, $mm(100), $mm(5000))->orComputed(),
            'sheet.high' => Field::length('Distance of the highest widths from the ceiling', $format, $mm(0), $mm(1000)),
            'sheet.back' => Field::length('Depth of the widths at the back', $format, $mm(0), $mm(500)),
            'sheet.front' => Field::length('Distance of the widths in front from the front line', $format, $mm(0), $mm(500)),
            'sheet.level' => Field::length('Length of the level', $format, $mm(200), $mm(3000)),
            default => null,
        };
    }
}
