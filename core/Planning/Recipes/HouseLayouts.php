<?php

declare(strict_types=1);

namespace Incastro\Planning\Recipes;

use Incastro\Planning\Layout\LayoutDocument;

/** What is built round a house's own things: basins, fires, laundry, cabinets that were bought, low walls, and boards on walls. */
final readonly class HouseLayouts
{
    public function __construct(private Parts $parts)
    {
    }

    /**
     * @param  array<string, mixed>  $with
     * @param  array<string, mixed>  $on
     * @return array<string, mixed>
     */
    private function surface(string $kind, array $with = [], array $on = []): array
    {
        return ['id' => $this->parts->id()] + LayoutDocument::holds($kind, $with) + ['on' => $on + ['wall' => 0, 'from' => null, 'to' => null, 'foot' => null, 'head' => null]];
    }

    /**
     * @param  non-empty-list<array<string, mixed>>  $tiers
     * @return array<string, mixed> a bay of a low box, free above
     */
    private function base(array $tiers): array
    {
        return LayoutDocument::bay($this->parts->id(), [...$tiers, LayoutDocument::tier($this->parts->id(), ['holds' => Recipe::gap(), 'joined' => false])], ['top' => 'below']);
    }

    /** @return array<string, mixed> a cupboard open behind round the foot of a basin, a step for children below it */
    public function basin(): array
    {
        $step = LayoutDocument::tier($this->parts->id(), ['holds' => LayoutDocument::holds('step-drawer'), 'size' => $this->parts->size(200)]);
        $cupboard = LayoutDocument::tier($this->parts->id(), ['holds' => Recipe::box(0, 1), 'size' => $this->parts->size(420)]);
        $layout = $this->parts->along(0, [$this->base([$step, $cupboard])], 'none');
        $layout['members'][] = Recipe::worktop($this->parts->id(), [$cupboard['id']]);
        $layout['options'] = [LayoutDocument::member($this->parts->id(), 'no-back', [$step['id'], $cupboard['id']]), LayoutDocument::member($this->parts->id(), 'no-bottom', [$step['id']])];
        $layout['fronts'][] = ['with' => ['leaves' => 2]] + LayoutDocument::member($this->parts->id(), 'door', [$cupboard['id']]);

        return $layout;
    }

    /** @return array<string, mixed> a cupboard open behind, with a shelf that is cut round trap and pipes */
    public function sink(): array
    {
        $cupboard = LayoutDocument::tier($this->parts->id(), ['holds' => Recipe::box(0, 1), 'size' => $this->parts->size(760)]);
        $layout = $this->parts->along(0, [$this->base([$cupboard])], 'worktop');
        $layout['options'] = [LayoutDocument::member($this->parts->id(), 'no-back', [$cupboard['id']])];
        $layout['fronts'][] = ['with' => ['leaves' => 2]] + LayoutDocument::member($this->parts->id(), 'door', [$cupboard['id']]);

        return $layout;
    }

    /** @return array<string, mixed> bags on raised floors under openings in a worktop */
    public function laundryTop(): array
    {
        $bay = fn (): array => $this->base([LayoutDocument::tier($this->parts->id(), ['holds' => LayoutDocument::holds('raised-floor'), 'size' => $this->parts->size(790)])]);
        $bays = [$bay(), $bay()];
        $layout = $this->parts->along(0, $bays, 'worktop');
        $layout['options'] = array_map(fn (array $bay) => array_replace(LayoutDocument::member($this->parts->id(), 'top-opening', [$bay['tiers'][0]['id']]), ['with' => ['across' => $this->parts->size(260)]]), $bays);

        return $layout;
    }

    /** @return array<string, mixed> a wall before the wall, as wide as that, for an electric fire */
    public function fireWall(): array
    {
        return array_replace(LayoutDocument::none(), ['surfaces' => [$this->surface('feature-wall', ['hole' => 'fire', 'frame' => 'plates'])]]);
    }

    /** @return array<string, mixed> a framed wall for an electric fire, a mantel on it, and shelves for books at both sides */
    public function fireAndBooks(int $bays): array
    {
        $wall = $this->surface('feature-wall', ['hole' => 'fire', 'frame' => 'plates', 'long' => $this->parts->either(1200, 48)]);
        $mantel = $this->surface('mantel', ['length' => $this->parts->either(1000, 40)], ['foot' => $this->parts->either(1500, 60), 'of' => $wall['id']]);
        $books = fn (array $beside): array => LayoutDocument::run($this->parts->id(), 0, array_map(fn () => $this->parts->bay(Recipe::books(5)), range(1, $bays)), $beside + ['depth' => $this->parts->size(300)]);
        $runs = [$books(['to' => $wall['id']]), $books(['from' => $wall['id']])];

        return ['runs' => $runs, 'surfaces' => [$wall, $mantel], 'members' => [Recipe::plinth($this->parts->id(), array_merge(...array_map(fn (array $run) => array_column($run['bays'], 'id'), $runs)))]] + LayoutDocument::none();
    }

    /** @return array<string, mixed> what was found under a stair, closed by panels under its rake, and a panel to what lies behind over its low end */
    public function stairNook(): array
    {
        $either = $this->parts->either(...);
        $frame = $this->surface('opening-frame', ['left' => $either(600, 24), 'right' => $either(1800, 72), 'front' => 'panels']);
        $panel = $this->surface('lift-off', ['left' => $either(400, 16), 'held' => 'buttons'], ['from' => $either(100, 4), 'to' => $either(450, 18), 'foot' => $either(1400, 55)]);

        return array_replace(LayoutDocument::none(), ['surfaces' => [$frame, $panel]]);
    }

    /**
     * @param  list<int>  $walls  that are clad, the one that shelves stand before first
     * @return array<string, mixed> boards on the walls round shelves of slats, from wall to wall
     */
    public function clad(array $walls): array
    {
        $layout = $this->parts->along($walls[0], [$this->parts->bay(LayoutDocument::holds('slat-shelves', ['count' => 5]))], 'none');
        $layout['surfaces'] = array_map(fn (int $wall): array => $this->surface('cladding', [], ['wall' => $wall]), $walls);

        return $layout;
    }

    /** @return array<string, mixed> a low wall that stands out into the room, with a bench beside it */
    public function lowWall(): array
    {
        $wall = $this->surface('half-wall');
        $low = LayoutDocument::tier($this->parts->id(), ['holds' => Recipe::box(0, 0), 'size' => $this->parts->size(350)]);
        $layout = $this->parts->along(0, [$this->base([$low])], 'plinth', ['to' => $wall['id'], 'depth' => $this->parts->size(450)]);
        $layout['members'][] = LayoutDocument::member($this->parts->id(), 'bench-lid', [$low['id']]);
        $layout['surfaces'] = [$wall];

        return $layout;
    }

    /** @return array<string, mixed> bookcases that were bought, side by side, closed up to the ceiling */
    public function boughtLibrary(int $cases): array
    {
        $size = ['width' => $this->parts->either(400, 16), 'height' => $this->parts->either(2020, 79.5), 'depth' => $this->parts->either(280, 11)];
        $bays = array_map(fn () => LayoutDocument::bay($this->parts->id(), [
            LayoutDocument::tier($this->parts->id(), ['holds' => Recipe::box(0, 4), 'size' => $size['height']]),
            LayoutDocument::tier($this->parts->id(), ['holds' => Recipe::gap(), 'joined' => false]),
        ], ['size' => $size['width']]), range(1, $cases));
        $cells = array_map(fn (array $bay) => $bay['tiers'][0]['id'], $bays);
        $layout = $this->parts->along(0, $bays, 'plinth', ['depth' => $size['depth']]);
        $layout['members'][] = LayoutDocument::member($this->parts->id(), 'top-bridge', $cells);
        $layout['options'] = array_map(fn (string $cell) => array_replace(LayoutDocument::member($this->parts->id(), 'ready-made', [$cell]), ['with' => $size]), $cells);

        return $layout;
    }
}
