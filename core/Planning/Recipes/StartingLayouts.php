<?php

declare(strict_types=1);

namespace Incastro\Planning\Recipes;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\Layout\LayoutDocument;
use Incastro\Planning\Layout\LayoutIds;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;

/**
 * What an empty space can be begun with: four to six plain layouts for its kind, the usual one first, and recipes for what
 * people build furniture for. They are divided by shares, so that each takes up the space as found.
 */
final readonly class StartingLayouts
{
    private LayoutIds $ids;

    public function __construct(private SpaceShape $shape, string $seed, private LengthFormat $format)
    {
        $this->ids = new LayoutIds($seed);
    }

    /** @return array<string, string> names and what they are called */
    public static function names(SpaceKind $kind): array
    {
        return match ($kind) {
            SpaceKind::UnderStair => ['sloped-bays' => 'Three bays that follow the rake', 'stepped-bays' => 'Square boxes, stepped', 'deep-and-low' => 'Two wide bays that follow the rake', 'low-row' => 'A low row under a worktop', 'tall-end' => 'A tall cupboard at the high end'],
            SpaceKind::RoofSlope => ['knee-row' => 'A low row along the knee wall', 'sloped-row' => 'Boxes that follow the slope', 'stepped-row' => 'Boxes stepped back under the slope', 'platform' => 'A deep platform to lie on', 'desk' => 'A desk between two boxes'],
            SpaceKind::Closet => ['back-run' => 'Two cupboards along the back', 'three-runs' => 'Back and both sides', 'base-shelves' => 'Base cupboards, shelves above', 'wall-to-wall' => 'Shelves from wall to wall', 'one-tall' => 'One tall cupboard'],
            SpaceKind::RoomCorner => ['one-run' => 'Three cupboards along one wall', 'two-runs' => 'Both walls, one through the corner', 'base-shelves' => 'Base cupboards, open above', 'desk' => 'A desk between two boxes'],
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
        $linen = ['linen-cupboard' => ['Slatted shelves behind doors', Purpose::Linen]];
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
        $show = ['sideboard' => ['Low cupboards with doors, open above', Purpose::Show]];

        $bed = ['bed' => ['A bed from wall to wall, drawers below it', Purpose::Sleep]];
        $besides = ['bed-and-shelves' => ['A bed along the wall, drawers below and shelves at its foot', Purpose::Sleep]];
        $loft = ['loft' => ['A high bed with a guard and a ladder, free below', Purpose::Sleep]];

        return array_combine(array_keys(self::names($kind)), $plain) + match ($kind) {
            SpaceKind::UnderStair => ['pull-outs' => ['Three deep pull-outs, each with a raked front', Purpose::Things], 'doors-under-the-rake' => ['Four bays with doors to the rake', Purpose::Things]],
            SpaceKind::RoofSlope => $bench + $besides + ['books-under-the-slope' => ['A low row for books', Purpose::Books]],
            SpaceKind::Closet => $wardrobe + ['walk-in' => ['Rails on both sides, shelves and cubbies at the back on a plinth with a step', Purpose::Clothes]] + $linen + $shoes,
            SpaceKind::RoomCorner => $wardrobe + $books + $library + $shoes + $toys + $larder + $bench + $show + $screen + $laundry,
            default => $wardrobe + $linen + $books + $library + $shoes + $toys + $larder + $bench + $desk + $show + $screen + $laundry + $seats + $bed + $loft,
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

        return match ($name) {
            'one-tall' => $this->along(0, [$this->tall()]),
            'two-tall', 'back-run' => $this->along(0, [$this->tall(), $this->tall()]),
            'one-run' => $this->along(0, [$this->tall(), $this->tall(), $this->tall()]),
            'base-upper' => $this->along(0, [$this->stacked(), $this->stacked()]),
            'base-shelves' => $this->along(0, [$this->base('shelves', 2), $this->base('shelves', 2)], $worktop),
            'wall-to-wall' => $this->along(0, [$this->cell('shelves', 5)], 'none'),
            'three-runs' => $this->together($this->along(0, [$this->tall(), $this->tall()]), $this->along(1, [$this->tall()], 'plinth', $stop), $this->along($this->shape->corners() - 1, [$this->tall()], 'plinth', $stop)),
            'two-runs' => $this->together($this->along(0, [$this->tall(), $this->tall()]), $this->along(1, [$this->tall()], 'plinth', $stop)),
            'desk' => $this->desk(),
            'sloped-bays' => $this->along(0, [$this->shelved(1), $this->shelved(2), $this->shelved(3)]),
            'deep-and-low' => $this->along(0, [$this->shelved(1), $this->shelved(3)]),
            'stepped-bays' => $this->along(0, [$this->shelved(1, 'stepped'), $this->shelved(2, 'stepped'), $this->shelved(3, 'stepped')]),
            'low-row' => $this->along(0, [$this->base('open', 0, 'below', 0), $this->base('open', 0, 'below', 0)], $worktop),
            'tall-end' => $this->along(0, [['size' => ['share' => 8]] + $this->shelved(1), ['size' => ['share' => 4]] + $this->shelved(4)]),
            'knee-row' => $this->along(0, [$this->shelved(1, 'below'), $this->shelved(1, 'below'), $this->shelved(1, 'below')]),
            'sloped-row' => $this->along(0, [$this->shelved(2), $this->shelved(2), $this->shelved(2)]),
            'wardrobe' => $this->closed($this->along(0, [$this->railed(), $this->tall()])),
            'linen-cupboard' => $this->closed($this->along(0, [$this->bay($this->slatted(6))]), 2, 'grooved'),
            'shoe-wall' => $this->along(0, [$this->bay(LayoutDocument::holds('cubbies', ['columns' => 2, 'rows' => 9])), $this->bay(LayoutDocument::holds('cubbies', ['columns' => 2, 'rows' => 9]))]),
            'toy-bins' => $this->along(0, [$this->over(LayoutDocument::holds('bin', ['count' => 1]), Recipe::box(0, 2), 3, 7), $this->over(LayoutDocument::holds('bin', ['count' => 1]), Recipe::box(0, 2), 3, 7)]),
            'larder' => $this->closed($this->along(0, [['size' => ['share' => 3]] + $this->bay(LayoutDocument::holds('pull-out', ['form' => 'open', 'shelves' => 4, 'use' => 'pantry'])), ['size' => ['share' => 5]] + $this->tall()]), 1, 'grooved'),
            'screen-wall' => $this->screenWall(),
            'books-over-cupboards' => $this->library(),
            'pull-outs' => $this->along(0, [$this->bay(LayoutDocument::holds('pull-out')), $this->bay(LayoutDocument::holds('pull-out')), $this->bay(LayoutDocument::holds('pull-out', ['use' => 'coats']))]),
            'laundry-wall' => $this->laundry(),
            'walk-in' => $this->stepped($this->together(
                $this->along(0, [$this->over($this->slatted(2), LayoutDocument::holds('cubbies', ['columns' => 2, 'rows' => 3]), 5, 4), $this->over($this->slatted(2), LayoutDocument::holds('cubbies', ['columns' => 2, 'rows' => 3]), 5, 4)]),
                $this->along(1, [$this->bay(LayoutDocument::holds('hanging-rail', ['hang' => 'double']))], 'plinth', $stop),
                $this->along($this->shape->corners() - 1, [$this->bay(LayoutDocument::holds('hanging-rail', ['hang' => 'double']))], 'plinth', $stop),
            )),
            'wall-of-books' => $this->along(0, [$this->bay(Recipe::books(5)), $this->bay(Recipe::books(5)), $this->bay(Recipe::books(5))]),
            'books-under-the-slope' => $this->along(0, array_map(fn () => ['top' => 'below'] + $this->bay(Recipe::books(1)), range(1, 4))),
            'doors-under-the-rake' => $this->closed($this->along(0, [$this->shelved(1), $this->shelved(1), $this->shelved(2), $this->shelved(3)]), 1),
            'bed' => $this->bed([]),
            'loft' => $this->bed([], ['deck' => $this->size(1300), 'thickness' => $this->size(150), 'guard' => 'entry-right', 'ladder' => true, 'rails' => 'beam']),
            'bed-and-shelves' => $this->bed([$this->shelved(2, 'below')]),
            'bench' => $this->bench(),
            'nook' => $this->bench(['back' => true]),
            'window-seat' => $this->windowSeat(),
            'desk-with-drawers' => $this->desk(true),
            'sideboard' => $this->closed($this->along(0, [$this->base('open', 0), $this->base('open', 0)], $worktop)),
            'stepped-row' => $this->along(0, [$this->stacked('stepped'), $this->stacked('stepped')]),
            default => $this->platform(),
        };
    }

    /**
     * @param  list<array<string, mixed>>  $bays
     * @param  'plinth'|'worktop'|'none'  $members  a worktop lies over the lowest tiers, on boxes on a plinth
     * @param  array<string, mixed>  $but
     * @return array<string, mixed>
     */
    private function along(int $wall, array $bays, string $members = 'plinth', array $but = []): array
    {
        $layout = ['runs' => [LayoutDocument::run($this->ids->next(), $wall, $bays, $but)]] + LayoutDocument::none();
        if ($members !== 'none') {
            $layout['members'][] = Recipe::plinth($this->ids->next(), array_column($bays, 'id'));
        }
        if ($members === 'worktop') {
            $layout['members'][] = Recipe::worktop($this->ids->next(), array_map(fn (array $bay) => $bay['tiers'][0]['id'], $bays));
        }

        return $layout;
    }

    /**
     * @param  array<string, mixed>  $first
     * @param  array<string, mixed>  ...$others
     * @return array<string, mixed>
     */
    private function together(array $first, array ...$others): array
    {
        foreach ($others as $other) {
            array_push($first['runs'], ...$other['runs']);
            array_push($first['members'], ...$other['members']);
        }

        return $first;
    }

    /** @return array<string, mixed> */
    private function tall(): array
    {
        return LayoutDocument::bay($this->ids->next(), [$this->tier('box', 1, 4)]);
    }

    /** @return array<string, mixed> */
    private function shelved(int $shelves, string $top = 'sloped'): array
    {
        return LayoutDocument::bay($this->ids->next(), [$this->tier('box', 0, $shelves)], ['top' => $top]);
    }

    /** @return array<string, mixed> a base box under an upper one, each carried in by itself */
    private function stacked(string $top = 'sloped'): array
    {
        return LayoutDocument::bay($this->ids->next(), [['size' => ['share' => 3]] + $this->tier('box', 0, 1), ['size' => ['share' => 5], 'joined' => false] + $this->tier('box', 0, 3)], ['top' => $top]);
    }

    /** @return array<string, mixed> a base box with something above it */
    private function base(string $above, int $shelves, string $top = 'sloped', int $within = 1): array
    {
        return LayoutDocument::bay($this->ids->next(), [['size' => ['share' => 3]] + $this->tier('box', 0, $within), ['size' => ['share' => 5], 'joined' => false] + $this->tier($above, $shelves, 0)], ['top' => $top]);
    }

    /** @return array<string, mixed> */
    private function cell(string $unit, int $shelves): array
    {
        return LayoutDocument::bay($this->ids->next(), [$this->tier($unit, $shelves, 0)]);
    }

    /** @return array<string, mixed> */
    private function tier(string $unit, int $fixed, int $adjustable): array
    {
        return LayoutDocument::tier($this->ids->next(), ['holds' => match ($unit) {
            'box' => Recipe::box($fixed, $adjustable),
            'shelves' => Recipe::cleats($fixed),
            'knee' => Recipe::knees(),
            'drawers' => LayoutDocument::holds('drawers'),
            'rail' => LayoutDocument::holds('hanging-rail'),
            default => Recipe::gap(),
        }]);
    }

    /**
     * @param  array<string, mixed>  $holds
     * @return array<string, mixed> one cell from foot to head
     */
    private function bay(array $holds): array
    {
        return LayoutDocument::bay($this->ids->next(), [LayoutDocument::tier($this->ids->next(), ['holds' => $holds])]);
    }

    /** @return array<string, mixed> so many shelves of slats */
    private function slatted(int $shelves): array
    {
        return LayoutDocument::holds('shelves', ['fixed' => 0, 'adjustable' => $shelves, 'form' => 'slatted']);
    }

    /**
     * @param  array<string, mixed>  $lower
     * @param  array<string, mixed>  $upper
     * @return array<string, mixed> two cells over each other by their shares, in one box
     */
    private function over(array $lower, array $upper, int $low, int $high): array
    {
        return LayoutDocument::bay($this->ids->next(), [
            LayoutDocument::tier($this->ids->next(), ['holds' => $lower, 'size' => ['share' => $low]]),
            LayoutDocument::tier($this->ids->next(), ['holds' => $upper, 'size' => ['share' => $high]]),
        ]);
    }

    /**
     * The same with a step along the first run: its plinth stands out before its boxes.
     *
     * @param  array<string, mixed>  $layout
     * @return array<string, mixed>
     */
    private function stepped(array $layout): array
    {
        $layout['members'][0]['with'] = ['ledge' => $this->size(120)];

        return $layout;
    }

    /** @return array<string, mixed> a machine and what rolls beside it on the floor, and boxes with sliding leaves hung over both */
    private function laundry(): array
    {
        $over = fn (array $holds, array $size) => LayoutDocument::bay($this->ids->next(), [
            LayoutDocument::tier($this->ids->next(), ['holds' => $holds, 'size' => $this->size(900)]),
            LayoutDocument::tier($this->ids->next(), ['holds' => Recipe::gap(), 'size' => ['share' => 4], 'joined' => false]),
            LayoutDocument::tier($this->ids->next(), ['holds' => Recipe::box(0, 1), 'size' => ['share' => 5], 'depth' => $this->size(350), 'joined' => false]),
        ], ['size' => $size]);
        $bays = [$over(LayoutDocument::holds('appliance', ['depth' => $this->size(500)]), $this->size(630)), $over(LayoutDocument::holds('hamper-cart'), ['share' => 12])];
        if ($this->shape->kind === SpaceKind::RoomCorner) {
            $bays = [$bays[0], $over(LayoutDocument::holds('cart', ['lid' => 'lift-off']), $this->size(300)), $over(LayoutDocument::holds('hamper-cart'), $this->size(500)), $over(Recipe::box(0, 2), ['share' => 12])];
        }
        $layout = $this->along(0, $bays, 'none');
        foreach ($bays as $bay) {
            $layout['fronts'][] = LayoutDocument::member($this->ids->next(), 'sliding', [$bay['tiers'][2]['id']]);
        }

        return $layout;
    }

    /** @return array<string, mixed> drawers beside a cupboard under a worktop, shelves from wall to wall over it with room for a screen */
    private function screenWall(): array
    {
        $base = fn (array $holds) => LayoutDocument::bay($this->ids->next(), [
            LayoutDocument::tier($this->ids->next(), ['holds' => $holds, 'size' => ['share' => 3]]),
            LayoutDocument::tier($this->ids->next(), ['holds' => Recipe::gap(), 'size' => ['share' => 4], 'joined' => false]),
            LayoutDocument::tier($this->ids->next(), ['holds' => Recipe::cleats(2), 'size' => ['share' => 3], 'joined' => false]),
        ]);

        return $this->closed($this->along(0, [$base(LayoutDocument::holds('drawers', ['count' => 3])), $base(Recipe::box(0, 1))], 'worktop'), 1);
    }

    /** @return array<string, mixed> shallow boxes for books standing on deeper ones with doors */
    private function library(): array
    {
        $part = fn () => LayoutDocument::bay($this->ids->next(), [
            LayoutDocument::tier($this->ids->next(), ['holds' => Recipe::box(0, 1), 'size' => ['share' => 3]]),
            LayoutDocument::tier($this->ids->next(), ['holds' => Recipe::books(4), 'size' => ['share' => 7], 'depth' => $this->size(250), 'joined' => false]),
        ]);
        $layout = $this->along(0, [$part(), $part()], 'worktop', ['depth' => $this->size(380)]);
        $low = array_map(fn (array $bay) => $bay['tiers'][0]['id'], $layout['runs'][0]['bays']);
        foreach ($low as $tier) {
            $layout['fronts'][] = ['with' => ['leaves' => 1, 'build' => 'grooved']] + LayoutDocument::member($this->ids->next(), 'door', [$tier]);
        }

        return $layout;
    }

    /** @return array<string, mixed> a worktop on two boxes with room for knees between them, or on drawers beside it, and nothing above */
    private function desk(bool $hasDrawers = false): array
    {
        $low = ['size' => $this->size(680)];
        $part = fn (string $unit, int $share) => LayoutDocument::bay($this->ids->next(), [$low + $this->tier($unit, 0, $unit === 'box' ? 2 : 0), ['joined' => false] + $this->tier('open', 0, 0)], ['size' => ['share' => $share]]);

        $layout = $this->along(0, $hasDrawers ? [$part('knee', 8), $part('drawers', 4)] : [$part('box', 4), $part('knee', 8), $part('box', 4)], 'worktop');
        $layout['members'][1]['with'] = ['strip' => $this->size(60), 'hole' => true];

        return $layout;
    }

    /** @return array<string, mixed> drawers, and over them a rail */
    private function railed(): array
    {
        return LayoutDocument::bay($this->ids->next(), [['size' => ['share' => 3]] + $this->tier('drawers', 0, 0), ['size' => ['share' => 7]] + $this->tier('rail', 0, 0)]);
    }

    /**
     * A bed, alone from wall to wall or before other bays: then as long as a mattress with its play.
     *
     * @param  list<array<string, mixed>>  $beside
     * @param  array<string, mixed>  $with
     * @return array<string, mixed>
     */
    private function bed(array $beside, array $with = ['drawers' => true]): array
    {
        $bed = ['top' => 'below'] + $this->bay(LayoutDocument::holds('bed-platform', $with));
        $layout = $this->along(0, [$beside === [] ? $bed : ['size' => $this->size(2040)] + $bed, ...$beside], 'none', ['depth' => $this->size(980)]);
        if ($beside !== []) {
            $layout['members'][] = Recipe::plinth($this->ids->next(), array_column($beside, 'id'));
        }

        return $layout;
    }

    /** @return array<string, mixed> a drawer in each bay under a seat, and nothing above */
    private function windowSeat(): array
    {
        $part = fn () => LayoutDocument::bay($this->ids->next(), [['size' => $this->size(280)] + LayoutDocument::tier($this->ids->next(), ['holds' => LayoutDocument::holds('drawers', ['count' => 1])]), ['joined' => false] + $this->tier('open', 0, 0)], ['top' => 'below']);
        $bays = [$part(), $part()];
        $layout = $this->along(0, $bays);
        $layout['members'][] = LayoutDocument::member($this->ids->next(), 'bench-seat', array_map(fn (array $bay) => $bay['tiers'][0]['id'], $bays));

        return $layout;
    }

    /**
     * Low chests under lids, and nothing above.
     *
     * @param  array<string, mixed>  $with  what the lids are besides
     * @return array<string, mixed>
     */
    private function bench(array $with = []): array
    {
        $part = fn () => LayoutDocument::bay($this->ids->next(), [['size' => $this->size(350)] + $this->tier('box', 0, 0), ['joined' => false] + $this->tier('open', 0, 0)], ['top' => 'below']);
        $bays = [$part(), $part()];
        // Under a slope a deep lid would meet it.
        $layout = $this->along(0, $bays, 'plinth', $this->shape->kind === SpaceKind::RoofSlope ? ['depth' => $this->size(450)] : []);
        $layout['members'][] = ['with' => $with] + LayoutDocument::member($this->ids->next(), 'bench-lid', array_map(fn (array $bay) => $bay['tiers'][0]['id'], $bays));

        return $layout;
    }

    /**
     * The same with doors before everything that has no fronts of its own.
     *
     * @param  array<string, mixed>  $layout
     * @return array<string, mixed>
     */
    private function closed(array $layout, int $leaves = 2, string $build = 'slab'): array
    {
        foreach ($layout['runs'] as $run) {
            foreach (array_merge(...array_column($run['bays'], 'tiers')) as $tier) {
                if (in_array($tier['holds']['kind'], ['shelves', 'hanging-rail'], true)) {
                    $layout['fronts'][] = ['with' => ['leaves' => $leaves] + ($build === 'slab' ? [] : ['build' => $build])] + LayoutDocument::member($this->ids->next(), 'door', [$tier['id']]);
                }
            }
        }

        return $layout;
    }

    /** @return array<string, mixed> boxes as deep as a bed, low under the slope, with a worktop to lie on */
    private function platform(): array
    {
        $part = fn () => LayoutDocument::bay($this->ids->next(), [['size' => $this->size(320)] + $this->tier('box', 0, 0), ['joined' => false] + $this->tier('open', 0, 0)], ['top' => 'below']);

        return $this->along(0, [$part(), $part(), $part()], 'worktop', ['depth' => $this->size(900)]);
    }

    /** @return array{nm: int, typed: string} a size that is round in the person's own unit */
    private function size(int $millimetres): array
    {
        $size = Length::ofDouble($this->format->place((float) $millimetres));

        return ['nm' => $size->nanometres(), 'typed' => $this->format->write($size)];
    }
}
