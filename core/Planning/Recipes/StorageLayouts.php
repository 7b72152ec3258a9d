<?php

declare(strict_types=1);

namespace Incastro\Planning\Recipes;

use Incastro\Planning\Layout\LayoutDocument;
use Incastro\Survey\Space\SpaceKind;

/** What people keep things in, as far as it takes more than bays side by side. */
final readonly class StorageLayouts
{
    public function __construct(private Parts $parts, private SpaceKind $kind)
    {
    }

    /** @return array<string, mixed> drawers, and over them a rail */
    public function railed(): array
    {
        return LayoutDocument::bay($this->parts->id(), [['size' => ['share' => 3]] + $this->parts->tier('drawers', 0, 0), ['size' => ['share' => 7]] + $this->parts->tier('rail', 0, 0)]);
    }

    /** @return array<string, mixed> so many shelves of slats */
    public function slatted(int $shelves): array
    {
        return LayoutDocument::holds('shelves', ['fixed' => 0, 'adjustable' => $shelves, 'form' => 'slatted']);
    }

    /**
     * The same with a step along the first run: its plinth stands out before its boxes.
     *
     * @param  array<string, mixed>  $layout
     * @return array<string, mixed>
     */
    public function stepped(array $layout): array
    {
        $layout['members'][0]['with'] = ['ledge' => $this->parts->size(120)];

        return $layout;
    }

    /** @return array<string, mixed> a machine and what rolls beside it on the floor, and boxes with sliding leaves hung over both */
    public function laundry(): array
    {
        $over = fn (array $holds, array $size) => LayoutDocument::bay($this->parts->id(), [
            LayoutDocument::tier($this->parts->id(), ['holds' => $holds, 'size' => $this->parts->size(900)]),
            LayoutDocument::tier($this->parts->id(), ['holds' => Recipe::gap(), 'size' => ['share' => 4], 'joined' => false]),
            LayoutDocument::tier($this->parts->id(), ['holds' => Recipe::box(0, 1), 'size' => ['share' => 5], 'depth' => $this->parts->size(350), 'joined' => false]),
        ], ['size' => $size]);
        $bays = [$over(LayoutDocument::holds('appliance', ['depth' => $this->parts->size(500)]), $this->parts->size(630)), $over(LayoutDocument::holds('hamper-cart'), ['share' => 12])];
        if ($this->kind === SpaceKind::RoomCorner) {
            $bays = [$bays[0], $over(LayoutDocument::holds('cart', ['lid' => 'lift-off']), $this->parts->size(300)), $over(LayoutDocument::holds('hamper-cart'), $this->parts->size(500)), $over(Recipe::box(0, 2), ['share' => 12])];
        }
        $layout = $this->parts->along(0, $bays, 'none');
        foreach ($bays as $bay) {
            $layout['fronts'][] = LayoutDocument::member($this->parts->id(), 'sliding', [$bay['tiers'][2]['id']]);
        }

        return $layout;
    }

    /** @return array<string, mixed> drawers beside a cupboard under a worktop, shelves from wall to wall over it with room for a screen */
    public function screenWall(): array
    {
        $base = fn (array $holds) => LayoutDocument::bay($this->parts->id(), [
            LayoutDocument::tier($this->parts->id(), ['holds' => $holds, 'size' => ['share' => 3]]),
            LayoutDocument::tier($this->parts->id(), ['holds' => Recipe::gap(), 'size' => ['share' => 4], 'joined' => false]),
            LayoutDocument::tier($this->parts->id(), ['holds' => Recipe::cleats(2), 'size' => ['share' => 3], 'joined' => false]),
        ]);

        return $this->parts->closed($this->parts->along(0, [$base(LayoutDocument::holds('drawers', ['count' => 3])), $base(Recipe::box(0, 1))], 'worktop'), 1);
    }

    /** @return array<string, mixed> shallow boxes for books standing on deeper ones with doors */
    public function library(): array
    {
        $part = fn () => LayoutDocument::bay($this->parts->id(), [
            LayoutDocument::tier($this->parts->id(), ['holds' => Recipe::box(0, 1), 'size' => ['share' => 3]]),
            LayoutDocument::tier($this->parts->id(), ['holds' => Recipe::books(4), 'size' => ['share' => 7], 'depth' => $this->parts->size(250), 'joined' => false]),
        ]);
        $layout = $this->parts->along(0, [$part(), $part()], 'worktop', ['depth' => $this->parts->size(380)]);
        $low = array_map(fn (array $bay) => $bay['tiers'][0]['id'], $layout['runs'][0]['bays']);
        foreach ($low as $tier) {
            $layout['fronts'][] = ['with' => ['leaves' => 1, 'build' => 'grooved']] + LayoutDocument::member($this->parts->id(), 'door', [$tier]);
        }

        return $layout;
    }
}
