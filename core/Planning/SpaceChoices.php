<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Fit\Closing;
use Incastro\Fit\Edge;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\Edit;
use Incastro\Survey\SheetChoices;
use Incastro\Survey\Slot;
use Incastro\Survey\Space\CeilingKind;
use Incastro\Survey\Space\EdgeKind;
use Incastro\Survey\Space\Sheet;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;

/** The choices of one space: its name, where its readings are taken, and the layout of its run. */
final class SpaceChoices
{
    private const MOST_SHELVES = 20;

    /**
     * The document of a new space. The ids name the run and its box; pieces are keyed by them.
     *
     * @return array<string, mixed>
     */
    public static function defaults(string $name, string $runId, string $boxId, LengthFormat $format, SpaceKind $kind = SpaceKind::Alcove): array
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
            'things' => [],
            'practice' => null,
            'sheet' => array_map($stored, [
                'low' => $sheet->low, 'middle' => $sheet->middle, 'high' => $sheet->high,
                'back' => $sheet->back, 'front' => $sheet->front, 'level' => $sheet->level,
            ]),
            'layout' => [
                'run' => $runId, 'box' => $boxId,
                'width' => null, 'height' => null, 'depth' => null,
                'fixed_shelves' => 1, 'adjustable_shelves' => 4,
                'closings' => ['left' => null, 'right' => null, 'top' => null],
            ],
        ];
    }

    /**
     * @param  array<string, mixed>  $document
     * @return array{array<string, mixed>, Edit} the changed document, and the edit that undoes it
     *
     * @throws InvalidChoice
     */
    public static function apply(array $document, Edit $edit, LengthFormat $format): array
    {
        $shape = self::shape($document);
        $list = explode('.', $edit->path)[0];
        if ($list === 'things' || $list === 'extras') {
            return ($list === 'things' ? ThingChoices::entries($format, $shape) : ExtraChoices::entries($format, $shape))->apply($document, $edit);
        }
        $field = self::field($edit->path, $format, $shape)
            ?? throw new InvalidChoice($edit->path, sprintf('“%s” is not a field of a space.', $edit->path));

        return DocumentPath::set($document, $edit->path, $field->store($edit->path, $edit->value));
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
        $box = fn (string $label) => Field::length($label, $format, $mm(150), $mm(6000))->orComputed();
        $closing = fn (Edge $edge) => Field::oneOf($edge->label(), array_map(fn (Closing $closing) => $closing->value, Closing::cases()))->orComputed();

        return match ($path) {
            'name' => Field::text('Name of the space'),
            'shape.ceiling' => Field::oneOf('Ceiling', array_map(fn (CeilingKind $ceiling) => $ceiling->value, CeilingKind::cases())),
            'shape.edges' => $shape->kind !== SpaceKind::Other ? null : Field::listOf('Corners', array_map(fn (EdgeKind $edge) => $edge->value, EdgeKind::cases()), SpaceShape::LEAST_CORNERS, SpaceShape::MOST_CORNERS),
            'shape.outside' => $shape->kind !== SpaceKind::Other ? null : Field::numbersBelow('Outside corners', $shape->corners(), $shape->corners() - 3),
            'skipped' => Field::listOf('Readings that cannot be taken', array_map(fn (Slot $slot) => $slot->id, (new Sheet($shape, SheetChoices::defaults($format->unit)))->slots()), 0, 100),
            'sheet.low' => Field::length('Height of the lowest widths above the floor', $format, $mm(0), $mm(1000)),
            'sheet.middle' => Field::length('Height of the middle widths above the floor', $format, $mm(100), $mm(5000))->orComputed(),
            'sheet.high' => Field::length('Distance of the highest widths from the ceiling', $format, $mm(0), $mm(1000)),
            'sheet.back' => Field::length('Depth of the widths at the back', $format, $mm(0), $mm(500)),
            'sheet.front' => Field::length('Distance of the widths in front from the front line', $format, $mm(0), $mm(500)),
            'sheet.level' => Field::length('Length of the level', $format, $mm(200), $mm(3000)),
            'layout.width' => $box('Width of the box'),
            'layout.height' => $box('Height of the box'),
            'layout.depth' => $box('Depth of the box'),
            'layout.fixed_shelves' => Field::whole('Fixed shelves', 0, self::MOST_SHELVES),
            'layout.adjustable_shelves' => Field::whole('Adjustable shelves', 0, self::MOST_SHELVES),
            'layout.closings.left' => $closing(Edge::Left),
            'layout.closings.right' => $closing(Edge::Right),
            'layout.closings.top' => $closing(Edge::Top),
            default => null,
        };
    }
}
