<?php

declare(strict_types=1);

namespace Incastro\Planning\Recipes;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Planning\Layout\LayoutDocument;
use Incastro\Planning\Layout\LayoutIds;

/** What layouts to begin with are put together of: runs, bays and cells as a document has them, with ids that follow from a seed. */
final readonly class Parts
{
    private LayoutIds $ids;

    public function __construct(string $seed, private LengthFormat $format)
    {
        $this->ids = new LayoutIds($seed);
    }

    public function id(): string
    {
        return $this->ids->next();
    }

    /**
     * @param  list<array<string, mixed>>  $bays
     * @param  'plinth'|'worktop'|'none'  $members  a worktop lies over the lowest tiers, on boxes on a plinth
     * @param  array<string, mixed>  $but
     * @return array<string, mixed>
     */
    public function along(int $wall, array $bays, string $members = 'plinth', array $but = []): array
    {
        $layout = ['runs' => [LayoutDocument::run($this->id(), $wall, $bays, $but)]] + LayoutDocument::none();
        if ($members !== 'none') {
            $layout['members'][] = Recipe::plinth($this->id(), array_column($bays, 'id'));
        }
        if ($members === 'worktop') {
            $layout['members'][] = Recipe::worktop($this->id(), array_map(fn (array $bay) => $bay['tiers'][0]['id'], $bays));
        }

        return $layout;
    }

    /**
     * @param  array<string, mixed>  $first
     * @param  array<string, mixed>  ...$others
     * @return array<string, mixed>
     */
    public function together(array $first, array ...$others): array
    {
        foreach ($others as $other) {
            array_push($first['runs'], ...$other['runs']);
            array_push($first['members'], ...$other['members']);
        }

        return $first;
    }

    /** @return array<string, mixed> */
    public function tall(): array
    {
        return LayoutDocument::bay($this->id(), [$this->tier('box', 1, 4)]);
    }

    /** @return array<string, mixed> */
    public function shelved(int $shelves, string $top = 'sloped'): array
    {
        return LayoutDocument::bay($this->id(), [$this->tier('box', 0, $shelves)], ['top' => $top]);
    }

    /** @return array<string, mixed> a base box under an upper one, each carried in by itself */
    public function stacked(string $top = 'sloped'): array
    {
        return LayoutDocument::bay($this->id(), [['size' => ['share' => 3]] + $this->tier('box', 0, 1), ['size' => ['share' => 5], 'joined' => false] + $this->tier('box', 0, 3)], ['top' => $top]);
    }

    /** @return array<string, mixed> a base box with something above it */
    public function base(string $above, int $shelves, string $top = 'sloped', int $within = 1): array
    {
        return LayoutDocument::bay($this->id(), [['size' => ['share' => 3]] + $this->tier('box', 0, $within), ['size' => ['share' => 5], 'joined' => false] + $this->tier($above, $shelves, 0)], ['top' => $top]);
    }

    /** @return array<string, mixed> */
    public function cell(string $unit, int $shelves): array
    {
        return LayoutDocument::bay($this->id(), [$this->tier($unit, $shelves, 0)]);
    }

    /** @return array<string, mixed> */
    public function tier(string $unit, int $fixed, int $adjustable): array
    {
        return LayoutDocument::tier($this->id(), ['holds' => match ($unit) {
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
    public function bay(array $holds): array
    {
        return LayoutDocument::bay($this->id(), [LayoutDocument::tier($this->id(), ['holds' => $holds])]);
    }

    /**
     * @param  array<string, mixed>  $lower
     * @param  array<string, mixed>  $upper
     * @return array<string, mixed> two cells over each other by their shares, in one box
     */
    public function over(array $lower, array $upper, int $low, int $high): array
    {
        return LayoutDocument::bay($this->id(), [
            LayoutDocument::tier($this->id(), ['holds' => $lower, 'size' => ['share' => $low]]),
            LayoutDocument::tier($this->id(), ['holds' => $upper, 'size' => ['share' => $high]]),
        ]);
    }

    /**
     * The same with doors before everything that has no fronts of its own.
     *
     * @param  array<string, mixed>  $layout
     * @return array<string, mixed>
     */
    public function closed(array $layout, int $leaves = 2, string $build = 'slab'): array
    {
        foreach ($layout['runs'] as $run) {
            foreach (array_merge(...array_column($run['bays'], 'tiers')) as $tier) {
                if (in_array($tier['holds']['kind'], ['shelves', 'hanging-rail'], true)) {
                    $layout['fronts'][] = ['with' => ['leaves' => $leaves] + ($build === 'slab' ? [] : ['build' => $build])] + LayoutDocument::member($this->id(), 'door', [$tier['id']]);
                }
            }
        }

        return $layout;
    }

    /** @return array{nm: int, typed: string} a size to the step that is sawn to */
    public function exact(float $millimetres): array
    {
        $size = Length::ofDouble($millimetres)->rounded($this->format->step);

        return ['nm' => $size->nanometres(), 'typed' => $this->format->write($size)];
    }

    /** @return array{nm: int, typed: string} so many mm, or in a job in inches so many of those */
    public function either(float $millimetres, float $inches): array
    {
        return $this->exact($this->format->unit === Unit::Inch ? $inches * 25.4 : $millimetres);
    }

    /** @return array{nm: int, typed: string} a size that is round in the person's own unit */
    public function size(int $millimetres): array
    {
        $size = Length::ofDouble($this->format->place((float) $millimetres));

        return ['nm' => $size->nanometres(), 'typed' => $this->format->write($size)];
    }
}
