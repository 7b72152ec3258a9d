<?php

declare(strict_types=1);

namespace Incastro\Planning\Recipes;

use Incastro\Measure\LengthFormat;
use Incastro\Planning\Layout\LayoutDocument;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;

/**
 * What an empty space can be begun with: four to six plain layouts for its kind, the usual one first, and recipes for what
 * people build furniture for. They are divided by shares, so that each takes up the space as found.
 */
final readonly class StartingLayouts
{
    /** The wall at the other side of a chimney breast. */
    private const BEYOND_BREAST = 4;

    public function __construct(private SpaceShape $shape, private string $seed, private LengthFormat $format)
    {
    }

    /** @return array<string, string> names and what they are called */
    public static function names(SpaceKind $kind): array
    {
        return match ($kind) {
            SpaceKind::UnderStair => ['sloped-bays' => 'Three bays that follow the rake', 'stepped-bays' => 'Square boxes, stepped', 'deep-and-low' => 'Two wide bays that follow the rake', 'low-row' => 'A low row under a worktop', 'tall-end' => 'A tall cupboard at the high end'],
            SpaceKind::RoofSlope => ['knee-row' => 'A low row along the knee wall', 'sloped-row' => 'Boxes that follow the slope', 'stepped-row' => 'Boxes stepped back under the slope', 'platform' => 'A deep platform to lie on', 'desk' => 'A desk between two boxes'],
            SpaceKind::Closet => ['back-run' => 'Two cupboards along the back', 'three-runs' => 'Back and both sides', 'base-shelves' => 'Base cupboards, shelves above', 'wall-to-wall' => 'Shelves from wall to wall', 'one-tall' => 'One tall cupboard'],
            SpaceKind::RoomCorner => ['one-run' => 'Three cupboards along one wall', 'two-runs' => 'Both walls, one through the corner', 'base-shelves' => 'Base cupboards, open above', 'desk' => 'A desk between two boxes'],
            SpaceKind::Chimney => ['both-sides' => 'A cupboard at each side of the breast', 'one-tall' => 'One tall cupboard', 'base-upper' => 'Base and upper cupboards', 'base-shelves' => 'Base cupboards, shelves above', 'wall-to-wall' => 'Shelves from wall to wall'],
            default => ['one-tall' => 'One tall cupboard', 'two-tall' => 'Two tall cupboards', 'base-upper' => 'Base and upper cupboards', 'base-shelves' => 'Base cupboards, shelves above', 'desk' => 'A desk between two boxes', 'wall-to-wall' => 'Shelves from wall to wall'],
        };
    }

    /** @return array<string, array{string, Purpose}> all that a kind of space can be begun with: names, what they are called, and what for */
    public static function recipes(SpaceKind $kind): array
    {
        $plain = array_map(fn (string $name, string $label) => [$label, match ($name) {
            'desk' => Purpose::Work,
            'platform' => Purpose::Sleep,
            default => Purpose::Things,
        }], array_keys(self::names($kind)), self::names($kind));
        $wardrobe = ['wardrobe' => ['Rail over drawers, shelves beside it, doors', Purpose::Clothes]];
        $linen = ['linen-cupboard' => ['Slatted shelves behind doors', Purpose::Linen], 'clad-linen' => ['Slatted shelves between walls clad with boards', Purpose::Linen]];
        $shoes = ['shoe-wall' => ['Cubbies from floor to ceiling', Purpose::Shoes]];
        $toys = ['toy-bins' => ['Loose bins under open shelves', Purpose::Toys]];
        $larder = ['larder' => ['A tall pull-out beside shelves behind a door', Purpose::Kitchen]];
        $screen = ['screen-wall' => ['Drawers and doors below, shelves round a screen above', Purpose::Show]];
        $library = ['books-over-cupboards' => ['Shallow shelves on a deeper base with doors', Purpose::Books]];
        $books = ['wall-of-books' => ['Open shelves from floor to ceiling', Purpose::Books]];
        $bench = ['bench' => ['A bench with lids', Purpose::Sit]];
        $seats = ['window-seat' => ['A seat over drawers', Purpose::Sit], 'nook' => ['A bench with lids and a back to lean on', Purpose::Sit]];
        $desk = ['desk-with-drawers' => ['A desk with drawers', Purpose::Work]];
        $laundry = ['laundry-wall' => ['A machine and a hamper on the floor, cupboards with sliding doors above', Purpose::Laundry]];
        $wash = ['basin' => ['A cupboard round a basin, a step for children below it', Purpose::Wash], 'sink' => ['A cupboard under a sink, open behind', Purpose::Wash]];
        $laundryTop = ['laundry-top' => ['Laundry bags under openings in a worktop', Purpose::Laundry]];
        $bought = ['bought-library' => ['Bought bookcases closed up to the ceiling', Purpose::Books]];
        $fire = ['fire-wall' => ['A framed wall for an electric fire', Purpose::Fire], 'fire-and-books' => ['A framed wall for an electric fire between bookcases', Purpose::Fire]];
        $lowWall = ['low-wall' => ['A low wall into the room, a bench beside it', Purpose::Sit]];
        $stairNook = ['stair-nook' => ['A nook under a stair closed by panels, a hatch over its low end', Purpose::Things]];
        $show = ['sideboard' => ['Low cupboards with doors, open above', Purpose::Show]];

        $hutch = ['hutch' => ['A cupboard to work at, another hung over it', Purpose::Kitchen], 'folding-table' => ['A table that folds up against the wall', Purpose::Work]];
        $bed = ['bed' => ['A bed from wall to wall, drawers below it', Purpose::Sleep], 'canopy-bed' => ['A bed under a roof that is a shelf, in parts that come apart', Purpose::Sleep]];
        $besides = ['bed-and-shelves' => ['A bed along the wall, drawers below and shelves at its foot', Purpose::Sleep]];
        $drawers = ['bed-on-drawers' => ['A bed over boxes with drawers', Purpose::Sleep]];
        $steps = ['bed-with-steps' => ['A bed over cupboards, steps of boxes up to it', Purpose::Sleep]];
        $loft = ['loft' => ['A high bed with a guard and a ladder, free below', Purpose::Sleep]];

        return array_combine(array_keys(self::names($kind)), $plain) + match ($kind) {
            SpaceKind::UnderStair => ['pull-outs' => ['Three deep pull-outs, each with a raked front', Purpose::Things], 'doors-under-the-rake' => ['Four bays with doors to the rake', Purpose::Things]],
            SpaceKind::RoofSlope => $bench + $besides + $drawers + ['books-under-the-slope' => ['A low row for books', Purpose::Books]],
            SpaceKind::Closet => $wardrobe + ['walk-in' => ['Rails on both sides, shelves and cubbies at the back on a plinth with a step', Purpose::Clothes]] + $linen + $shoes,
            SpaceKind::RoomCorner => $wardrobe + $books + $library + $shoes + $toys + $larder + $bench + ['corner-bench' => ['Two seats over drawers, their backs meeting in the corner', Purpose::Sit]] + $show + $screen + $laundry + $laundryTop + $bought + $fire + $lowWall + $stairNook,
            default => $wardrobe + $linen + $books + $library + $shoes + $toys + $larder + $bench + $desk + $show + $screen + $laundry + $laundryTop + $wash + $bought + $fire + $lowWall + $stairNook + $hutch + $seats + $bed + $drawers + $steps + $loft,
        };
    }

    /** @return array<string, mixed> the usual one of the kind */
    public function usual(): array
    {
        return $this->named((string) array_key_first(self::names($this->shape->kind))) ?? LayoutDocument::none();
    }

    /** @return array<string, mixed>|null */
    public function named(string $name): ?array
    {
        if (! isset(self::recipes($this->shape->kind)[$name])) {
            return null;
        }
        [$worktop, $stop] = ['worktop', ['left' => 'stops', 'right' => 'stops']];
        $is = new Parts($this->seed, $this->format);
        $house = new HouseLayouts($is);
        [$living, $storage] = [new LivingLayouts($is, $this->shape->kind), new StorageLayouts($is, $this->shape->kind)];

        return match ($name) {
            'one-tall' => $is->along(0, [$is->tall()]),
            'both-sides' => $is->together($is->along(0, [$is->tall()]), $is->along(self::BEYOND_BREAST, [$is->tall()])),
            'two-tall', 'back-run' => $is->along(0, [$is->tall(), $is->tall()]),
            'one-run' => $is->along(0, [$is->tall(), $is->tall(), $is->tall()]),
            'base-upper' => $is->along(0, [$is->stacked(), $is->stacked()]),
            'base-shelves' => $is->along(0, [$is->base('shelves', 2), $is->base('shelves', 2)], $worktop),
            'wall-to-wall' => $is->along(0, [$is->bay(LayoutDocument::holds('cleat-shelves', ['count' => 5, 'strip' => $is->size(45)]))], 'none'),
            'three-runs' => $is->together($is->along(0, [$is->tall(), $is->tall()]), $is->along(1, [$is->tall()], 'plinth', $stop), $is->along($this->shape->corners() - 1, [$is->tall()], 'plinth', $stop)),
            'two-runs' => $is->together($is->along(0, [$is->tall(), $is->tall()]), $is->along(1, [$is->tall()], 'plinth', $stop)),
            'desk' => $living->desk(),
            'sloped-bays' => $is->along(0, [$is->shelved(1), $is->shelved(2), $is->shelved(3)]),
            'deep-and-low' => $is->along(0, [$is->shelved(1), $is->shelved(3)]),
            'stepped-bays' => $is->along(0, [$is->shelved(1, 'stepped'), $is->shelved(2, 'stepped'), $is->shelved(3, 'stepped')]),
            'low-row' => $is->along(0, [$is->base('open', 0, 'below', 0), $is->base('open', 0, 'below', 0)], $worktop),
            'tall-end' => $is->along(0, [['size' => ['share' => 8]] + $is->shelved(1), ['size' => ['share' => 4]] + $is->shelved(4)]),
            'knee-row' => $is->along(0, [$is->shelved(1, 'below'), $is->shelved(1, 'below'), $is->shelved(1, 'below')]),
            'sloped-row' => $is->along(0, [$is->shelved(2), $is->shelved(2), $is->shelved(2)]),
            'wardrobe' => $is->closed($is->along(0, [$storage->railed(), $is->tall()])),
            'clad-linen' => $house->clad([0, 1, $this->shape->corners() - 1]),
            'linen-cupboard' => $is->closed($is->along(0, [$is->bay($storage->slatted(6))]), 2, 'grooved'),
            'shoe-wall' => $is->along(0, [$is->bay(LayoutDocument::holds('cubbies', ['columns' => 2, 'rows' => 9])), $is->bay(LayoutDocument::holds('cubbies', ['columns' => 2, 'rows' => 9]))]),
            'toy-bins' => $is->along(0, [$is->over(LayoutDocument::holds('bin', ['count' => 1]), Recipe::box(0, 2), 3, 7), $is->over(LayoutDocument::holds('bin', ['count' => 1]), Recipe::box(0, 2), 3, 7)]),
            'larder' => $is->closed($is->along(0, [['size' => ['share' => 3]] + $is->bay(LayoutDocument::holds('pull-out', ['form' => 'open', 'shelves' => 4, 'use' => 'pantry'])), ['size' => ['share' => 5]] + $is->tall()]), 1, 'grooved'),
            'screen-wall' => $storage->screenWall(),
            'books-over-cupboards' => $storage->library(),
            'pull-outs' => $is->along(0, [$is->bay(LayoutDocument::holds('pull-out')), $is->bay(LayoutDocument::holds('pull-out')), $is->bay(LayoutDocument::holds('pull-out', ['use' => 'coats']))]),
            'laundry-wall' => $storage->laundry(),
            'walk-in' => $storage->stepped($is->together(
                $is->along(0, [$is->over($storage->slatted(2), LayoutDocument::holds('cubbies', ['columns' => 2, 'rows' => 3]), 5, 4), $is->over($storage->slatted(2), LayoutDocument::holds('cubbies', ['columns' => 2, 'rows' => 3]), 5, 4)]),
                $is->along(1, [$is->bay(LayoutDocument::holds('hanging-rail', ['hang' => 'double']))], 'plinth', $stop),
                $is->along($this->shape->corners() - 1, [$is->bay(LayoutDocument::holds('hanging-rail', ['hang' => 'double']))], 'plinth', $stop),
            )),
            'wall-of-books' => $is->along(0, [$is->bay(Recipe::books(5)), $is->bay(Recipe::books(5)), $is->bay(Recipe::books(5))]),
            'books-under-the-slope' => $is->along(0, array_map(fn () => ['top' => 'below'] + $is->bay(Recipe::books(1)), range(1, 4))),
            'doors-under-the-rake' => $is->closed($is->along(0, [$is->shelved(1), $is->shelved(1), $is->shelved(2), $is->shelved(3)]), 1),
            'bed' => $living->bed([]),
            'bed-on-drawers' => $living->bedOnDrawers(),
            'bed-with-steps' => $living->bedWithSteps(),
            'canopy-bed' => $living->bed([], ['drawers' => true, 'canopy' => true]),
            'loft' => $living->bed([], ['deck' => $is->size(1300), 'thickness' => $is->size(150), 'guard' => 'entry-right', 'ladder' => true, 'rails' => 'beam']),
            'bed-and-shelves' => $living->bed([$is->shelved(2, 'below')]),
            'bench' => $living->bench(),
            'nook' => $living->bench(['back' => true]),
            'corner-bench' => $living->cornerBench(),
            'window-seat' => $living->windowSeat(),
            'hutch' => $living->hutch(),
            'folding-table' => $living->foldingTable(),
            'desk-with-drawers' => $living->desk(true),
            'basin' => $house->basin(),
            'sink' => $house->sink(),
            'laundry-top' => $house->laundryTop(),
            'bought-library' => $house->boughtLibrary($this->shape->kind === SpaceKind::RoomCorner ? 3 : 2),
            'fire-wall' => $house->fireWall(),
            'fire-and-books' => $house->fireAndBooks($this->shape->kind === SpaceKind::RoomCorner ? 1 : 2),
            'low-wall' => $house->lowWall(),
            'stair-nook' => $house->stairNook(),
            'sideboard' => $is->closed($is->along(0, [$is->base('open', 0), $is->base('open', 0)], $worktop)),
            'stepped-row' => $is->along(0, [$is->stacked('stepped'), $is->stacked('stepped')]),
            default => $living->platform(),
        };
    }
}
