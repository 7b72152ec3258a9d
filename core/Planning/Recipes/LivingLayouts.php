<?php

declare(strict_types=1);

namespace Incastro\Planning\Recipes;

use Incastro\Planning\Layout\LayoutDocument;
use Incastro\Survey\Space\SpaceKind;

/** What one sits, sleeps and works on, as it is begun. */
final readonly class LivingLayouts
{
    public function __construct(private Parts $parts, private SpaceKind $kind)
    {
    }

    /** @return array<string, mixed> a worktop on two boxes with room for knees between them, or on drawers beside it, and nothing above */
    public function desk(bool $hasDrawers = false): array
    {
        $low = ['size' => $this->parts->size(680)];
        $part = fn (string $unit, int $share) => LayoutDocument::bay($this->parts->id(), [$low + $this->parts->tier($unit, 0, $unit === 'box' ? 2 : 0), ['joined' => false] + $this->parts->tier('open', 0, 0)], ['size' => ['share' => $share]]);

        $layout = $this->parts->along(0, $hasDrawers ? [$part('knee', 8), $part('drawers', 4)] : [$part('box', 4), $part('knee', 8), $part('box', 4)], 'worktop');
        $layout['members'][1]['with'] = ['strip' => $this->parts->size(60), 'hole' => true];

        return $layout;
    }

    /**
     * A bed, alone from wall to wall or before other bays: then as long as a mattress with its play.
     *
     * @param  list<array<string, mixed>>  $beside
     * @param  array<string, mixed>  $with
     * @return array<string, mixed>
     */
    public function bed(array $beside, array $with = ['drawers' => true]): array
    {
        $bed = ['top' => 'below'] + $this->parts->bay(LayoutDocument::holds('bed-platform', $with));
        $layout = $this->parts->along(0, [$beside === [] ? $bed : ['size' => $this->parts->size(2040)] + $bed, ...$beside], 'none', ['depth' => $this->parts->either(980.0, 39.5)]);
        if ($beside !== []) {
            $layout['members'][] = Recipe::plinth($this->parts->id(), array_column($beside, 'id'));
        }

        return $layout;
    }

    /** @return array<string, mixed> boxes with a drawer each under the deck of a bed */
    public function bedOnDrawers(): array
    {
        $part = fn () => LayoutDocument::bay($this->parts->id(), [
            LayoutDocument::tier($this->parts->id(), ['holds' => LayoutDocument::holds('drawers', ['count' => 1]), 'size' => $this->parts->size(260)]),
            LayoutDocument::tier($this->parts->id(), ['holds' => Recipe::gap(), 'joined' => false]),
        ], ['top' => 'below']);
        $bays = [$part(), $part(), $part()];
        $layout = $this->parts->along(0, $bays, 'plinth', ['depth' => $this->parts->either(940.0, 39.5)]);
        $layout['members'][] = LayoutDocument::member($this->parts->id(), 'bed-deck', array_map(fn (array $bay) => $bay['tiers'][0]['id'], $bays));

        return $layout;
    }

    /** @return array<string, mixed> a bed over cupboards, with steps of boxes up to it at its foot */
    public function bedWithSteps(): array
    {
        $bay = fn (array $holds, array $high, array $size) => LayoutDocument::bay($this->parts->id(), [
            LayoutDocument::tier($this->parts->id(), ['holds' => $holds, 'size' => $high]),
            LayoutDocument::tier($this->parts->id(), ['holds' => Recipe::gap(), 'joined' => false]),
        ], ['top' => 'below'] + $size);
        $bed = array_map(fn () => $bay(Recipe::box(0, 1), $this->parts->size(700), []), [0, 1, 2]);
        // Four equal rises to the deck; each box stands on the plinth, 70 high, under its tread, 18 thick, as the bed's do under the deck.
        $deck = 70 + $this->parts->size(700)['nm'] / 1e6 + 18;
        $steps = array_map(fn (int $step) => $bay(Recipe::box(0, 0), $this->parts->exact($deck * $step / 4 - 18 - 70), ['size' => $this->parts->size(260)]), [3, 2, 1]);
        $layout = $this->parts->along(0, [...$bed, ...$steps], 'plinth', ['depth' => $this->parts->either(940.0, 39.5)]);
        $cells = fn (array $bays): array => array_values(array_map(fn (array $bay) => (string) $bay['tiers'][0]['id'], $bays));
        array_push($layout['members'], LayoutDocument::member($this->parts->id(), 'bed-deck', $cells($bed)), LayoutDocument::member($this->parts->id(), 'step-treads', $cells($steps)));

        return $layout;
    }

    /**
     * @param  array<string, mixed>  $holds
     * @return array<string, mixed> a bay with a low box, free above
     */
    private function low(array $holds): array
    {
        return LayoutDocument::bay($this->parts->id(), [['size' => $this->parts->size(280)] + LayoutDocument::tier($this->parts->id(), ['holds' => $holds]), ['joined' => false] + $this->parts->tier('open', 0, 0)], ['top' => 'below']);
    }

    /** @return array<string, mixed> a drawer in each bay under a seat, and nothing above */
    public function windowSeat(): array
    {
        $bays = array_map(fn () => $this->low(LayoutDocument::holds('drawers', ['count' => 1])), [0, 1]);
        $layout = $this->parts->along(0, $bays);
        $layout['members'][] = LayoutDocument::member($this->parts->id(), 'bench-seat', array_map(fn (array $bay) => $bay['tiers'][0]['id'], $bays));

        return $layout;
    }

    /**
     * Seats along two walls with backs that meet in the corner; the one along the first wall goes through it. A drawer only where it
     * strikes nothing; the box in the corner is reached through what the other leaves open.
     *
     * @return array<string, mixed>
     */
    public function cornerBench(): array
    {
        return $this->parts->together(
            $this->seated(0, ['size' => ['share' => 8]] + $this->low(Recipe::box(0, 0)), ['size' => ['share' => 4]] + $this->low(LayoutDocument::holds('drawers', ['count' => 1]))),
            $this->seated(1, $this->low(Recipe::box(0, 0))),
        );
    }

    /**
     * @param  array<string, mixed>  ...$bays
     * @return array<string, mixed> a seat over bays along a wall, whose back goes round the corner
     */
    private function seated(int $wall, array ...$bays): array
    {
        $layout = $this->parts->along($wall, array_values($bays), 'plinth', ['left' => 'stops', 'right' => 'stops']);
        $layout['members'][] = ['with' => ['back' => true, 'round' => true]] + LayoutDocument::member($this->parts->id(), 'bench-seat', array_map(fn (array $bay) => $bay['tiers'][0]['id'], array_values($bays)));

        return $layout;
    }

    /**
     * Low chests under lids, and nothing above.
     *
     * @param  array<string, mixed>  $with  what the lids are besides
     * @return array<string, mixed>
     */
    public function bench(array $with = []): array
    {
        $part = fn () => LayoutDocument::bay($this->parts->id(), [['size' => $this->parts->size(350)] + $this->parts->tier('box', 0, 0), ['joined' => false] + $this->parts->tier('open', 0, 0)], ['top' => 'below']);
        $bays = [$part(), $part()];
        // Under a slope a deep lid would meet it.
        $layout = $this->parts->along(0, $bays, 'plinth', $this->kind === SpaceKind::RoofSlope ? ['depth' => $this->parts->size(450)] : []);
        $layout['members'][] = ['with' => $with] + LayoutDocument::member($this->parts->id(), 'bench-lid', array_map(fn (array $bay) => $bay['tiers'][0]['id'], $bays));

        return $layout;
    }

    /** @return array<string, mixed> boxes as deep as a bed, low under the slope, with a worktop to lie on */
    public function platform(): array
    {
        $part = fn () => LayoutDocument::bay($this->parts->id(), [['size' => $this->parts->size(320)] + $this->parts->tier('box', 0, 0), ['joined' => false] + $this->parts->tier('open', 0, 0)], ['top' => 'below']);

        return $this->parts->along(0, [$part(), $part(), $part()], 'worktop', ['depth' => $this->parts->size(900)]);
    }

    /** @return array<string, mixed> a cupboard, a height to work at over it, and a shallower cupboard hung on the wall over that */
    public function hutch(): array
    {
        $bay = fn () => LayoutDocument::bay($this->parts->id(), [
            LayoutDocument::tier($this->parts->id(), ['holds' => Recipe::box(0, 1), 'size' => $this->parts->size(780)]),
            LayoutDocument::tier($this->parts->id(), ['holds' => LayoutDocument::holds('hutch-opening'), 'size' => $this->parts->size(450), 'joined' => false]),
            LayoutDocument::tier($this->parts->id(), ['holds' => Recipe::box(0, 2), 'depth' => $this->parts->size(300), 'joined' => false]),
        ]);
        $bays = [$bay(), $bay()];
        $layout = $this->parts->closed($this->parts->along(0, $bays, 'worktop'), 1);
        $layout['options'] = array_map(fn (array $bay) => LayoutDocument::member($this->parts->id(), 'wall-hung', [$bay['tiers'][2]['id']]), $bays);

        return $layout;
    }

    /** @return array<string, mixed> a table that folds up against the wall, and nothing beside it */
    public function foldingTable(): array
    {
        return $this->parts->along(0, [['size' => $this->parts->size(750)] + $this->parts->bay(LayoutDocument::holds('flap-table')), $this->parts->cell('open', 0)], 'none', ['depth' => $this->parts->size(250)]);
    }
}
