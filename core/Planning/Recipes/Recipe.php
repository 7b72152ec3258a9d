<?php

declare(strict_types=1);

namespace Incastro\Planning\Recipes;

use Incastro\Fit\Layout\Size;
use Incastro\Planning\Layout\LayoutDocument;
use Incastro\Rules\Edit;

/** Parts of layouts that are put together of units: what a new cell holds, what a new run stands on. */
final class Recipe
{
    /** @return array{kind: string, v: int, with: array<string, mixed>} a box with so many shelves */
    public static function box(int $fixed = 0, int $adjustable = 0): array
    {
        return LayoutDocument::holds('shelves', ['fixed' => $fixed, 'adjustable' => $adjustable]);
    }

    /** @return array{kind: string, v: int, with: array<string, mixed>} a box with so many shelves that carry books */
    public static function books(int $shelves): array
    {
        return LayoutDocument::holds('shelves', ['fixed' => 0, 'adjustable' => $shelves, 'load' => 'books']);
    }

    /** @return array{kind: string, v: int, with: array<string, mixed>} shelves from wall to wall */
    public static function cleats(int $count): array
    {
        return LayoutDocument::holds('cleat-shelves', ['count' => $count]);
    }

    /** @return array{kind: string, v: int, with: array<string, mixed>} nothing */
    public static function gap(): array
    {
        return LayoutDocument::holds('gap');
    }

    /** @return array{kind: string, v: int, with: array<string, mixed>} room for knees */
    public static function knees(): array
    {
        return LayoutDocument::holds('knee-space');
    }

    /**
     * @param  list<string>  $bays
     * @return array<string, mixed>
     */
    public static function plinth(string $id, array $bays): array
    {
        return LayoutDocument::member($id, 'plinth', $bays);
    }

    /**
     * @param  list<string>  $tiers
     * @return array<string, mixed>
     */
    public static function worktop(string $id, array $tiers): array
    {
        return LayoutDocument::member($id, 'worktop', $tiers);
    }

    /** A panel beside the last bay of a run, wished for. */
    public static function panelBeside(string $bay): Edit
    {
        return new Edit('layout.do', ['action' => 'add', 'kind' => 'end-panel', 'cells' => [$bay], 'seed' => "panel beside $bay"]);
    }

    /**
     * One box in one run along the back wall, on its plinth.
     *
     * @param  array<string, mixed>  $sizes  width, height and depth as stored, or null
     * @return array<string, mixed>
     */
    public static function oneBox(string $run, string $box, array $sizes = [], int $fixed = 1, int $adjustable = 4): array
    {
        $tier = LayoutDocument::tier($box, ['holds' => self::box($fixed, $adjustable)]);
        $bay = LayoutDocument::bay($box.'-bay', [$tier], ['size' => $sizes['width'] ?? ['share' => Size::USUAL]]);

        return [
            'runs' => [LayoutDocument::run($run, 0, [$bay], ['height' => $sizes['height'] ?? null, 'depth' => $sizes['depth'] ?? null])],
            'members' => [self::plinth($box.'/plinth', [$bay['id']])],
        ] + LayoutDocument::none();
    }
}
