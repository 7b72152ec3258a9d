<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Cut\LockedSheet;
use Incastro\Cut\Objective;
use Incastro\Cut\PlacedPiece;
use Incastro\Cut\PlannedSheet;
use Incastro\Cut\Rectangle;
use Incastro\Cut\SheetWishes;
use Incastro\Measure\Unreadable;
use Incastro\Rules\Edit;

/** Choices of a job that say how its sheets are planned: what for, which plan is kept, and what lies on sheets that are locked. */
final class CuttingChoices
{
    public const LABELS = [
        'sheets.objective' => 'What the sheets are planned for',
        'sheets.keeps_first' => 'The plan of the sheets that is kept',
        'sheets.fronts_in_order' => 'Fronts in order from one strip',
        'sheets.boxes_together' => 'Each box from one sheet',
        'sheets.seconds' => 'Seconds for a better plan',
        'sheets.locked' => 'Locked sheets',
    ];

    /** For which a better plan is looked for, while somebody looks at the one that there is. */
    private const SECONDS = 20;

    private const MOST_SHEETS = 40;

    private const MOST_PIECES = 200;

    /** No sheet is longer, nm. */
    private const LONGEST = 8_000_000_000;

    /** @return array<string, mixed> */
    public static function defaults(): array
    {
        return ['objective' => Objective::Money->value, 'keeps_first' => null, 'fronts_in_order' => false, 'boxes_together' => false, 'seconds' => self::SECONDS, 'locked' => []];
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
            'sheets.objective' => Field::oneOf($label, array_column(Objective::cases(), 'value')),
            'sheets.keeps_first' => Field::text($label, 64)->orComputed(),
            'sheets.seconds' => Field::whole($label, 0, 60),
            'sheets.fronts_in_order', 'sheets.boxes_together' => Field::yesNo($label),
            default => Field::of($label, self::locked(...)),
        };

        return DocumentPath::set($document, $edit->path, $field->store($edit->path, $edit->value));
    }

    /** @param array<string, mixed> $sheets */
    public static function read(array $sheets): SheetWishes
    {
        return new SheetWishes(Objective::from($sheets['objective']), $sheets['keeps_first'], array_map(self::sheet(...), array_values($sheets['locked'])), $sheets['fronts_in_order'], $sheets['boxes_together'], $sheets['seconds']);
    }

    /** @param array<string, mixed> $sheet  as `lock` writes it */
    public static function sheet(array $sheet): LockedSheet
    {
        $at = fn (array $at): Rectangle => new Rectangle($at['x'], $at['y'], $at['along_x'], $at['along_y']);

        return new LockedSheet(
            $sheet['material'],
            $sheet['stock'],
            array_map(fn (array $piece): array => [(string) $piece['name'], $at($piece), (bool) $piece['turned']], array_values($sheet['pieces'])),
            array_map($at, array_values($sheet['offcuts'])),
        );
    }

    /**
     * A sheet as it is kept where it is locked.
     *
     * @return array<string, mixed>
     */
    public static function lock(PlannedSheet $sheet): array
    {
        $at = fn (Rectangle $at): array => ['x' => $at->x, 'y' => $at->y, 'along_x' => $at->alongX, 'along_y' => $at->alongY];

        return [
            'material' => $sheet->stock->material, 'stock' => $sheet->stock->name,
            'pieces' => array_map(fn (PlacedPiece $placed) => ['name' => $placed->piece->name] + $at($placed->at) + ['turned' => $placed->turned], $sheet->pieces),
            'offcuts' => array_map($at, $sheet->offcuts),
        ];
    }

    /** @return list<array<string, mixed>> */
    private static function locked(mixed $value): array
    {
        if (! is_array($value) || ! array_is_list($value) || count($value) > self::MOST_SHEETS) {
            throw new Unreadable(sprintf('It is a list of at most %d sheets.', self::MOST_SHEETS));
        }

        return array_map(function (mixed $sheet): array {
            $pieces = is_array($sheet) ? $sheet['pieces'] ?? null : null;
            $offcuts = is_array($sheet) ? $sheet['offcuts'] ?? null : null;
            if (! is_array($sheet) || ! self::isName($sheet['material'] ?? null) || ! self::isName($sheet['stock'] ?? null) || ! is_array($pieces) || $pieces === [] || ! is_array($offcuts) || max(count($pieces), count($offcuts)) > self::MOST_PIECES) {
                throw new Unreadable(sprintf('A sheet has a material, what is in stock, 1 to %d pieces and what is left over. Lock it where it is drawn.', self::MOST_PIECES));
            }

            return [
                'material' => $sheet['material'], 'stock' => $sheet['stock'],
                'pieces' => array_map(fn (mixed $piece): array => is_array($piece) && self::isName($piece['name'] ?? null) && is_bool($piece['turned'] ?? null)
                    ? ['name' => $piece['name']] + self::at($piece) + ['turned' => $piece['turned']]
                    : throw new Unreadable('A piece on a sheet has a name, a place and a turn.'), array_values($pieces)),
                'offcuts' => array_map(self::at(...), array_values($offcuts)),
            ];
        }, $value);
    }

    /** @return array{x: int, y: int, along_x: int, along_y: int} */
    private static function at(mixed $at): array
    {
        $place = [];
        foreach (['x', 'y', 'along_x', 'along_y'] as $name) {
            $nm = is_array($at) ? $at[$name] ?? null : null;
            if (! is_int($nm) || $nm < 0 || $nm > self::LONGEST) {
                throw new Unreadable('A place on a sheet is told in whole nanometres from its corner.');
            }
            $place[$name] = $nm;
        }

        return $place;
    }

    /** @phpstan-assert-if-true string $name */
    private static function isName(mixed $name): bool
    {
        return is_string($name) && $name !== '' && mb_strlen($name) <= 80;
    }
}
