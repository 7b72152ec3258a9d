<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Units\Placed;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

final class PelmetTest extends TestCase
{
    /** @param array<string, mixed> $with */
    private static function layout(array $with = [], float $below = 1300.0): TestLayout
    {
        $tiers = [
            Doc::tier('low', ['size' => TestLayout::mm($below), 'holds' => Recipe::gap()]),
            Doc::tier('box', ['joined' => false, 'size' => TestLayout::mm(600), 'holds' => Recipe::box(1, 0), 'depth' => TestLayout::mm(330)]),
            Doc::tier('over', ['joined' => false, 'holds' => Recipe::gap()]),
        ];
        $layout = TestLayout::of([TestLayout::bay('a', ['size' => TestLayout::mm(800)], $tiers), TestLayout::bay('b', [], [Doc::tier('b-1', ['holds' => Recipe::gap()])])], ['depth' => TestLayout::mm(500)]);
        $layout->layout['options'] = [Doc::member('hung', 'wall-hung', ['box']), array_replace(Doc::member('pelmet', 'pelmet', ['box']), ['with' => $with])];
        $layout->layout['members'] = [];

        return $layout;
    }

    /** @return array<string, list<Placed>> by the name of the piece */
    private static function placed(TestLayout $layout): array
    {
        $byName = [];
        foreach ($layout->plan()->assemblies[0]->placed as $placed) {
            $byName[$placed->piece->name][] = $placed;
        }

        return $byName;
    }

    public function test_two_returns_and_blocks_under_a_hung_box(): void
    {
        $layout = self::layout();
        self::assertSame([], array_map(fn ($finding) => $finding->sentence, $layout->clashes()));
        $placed = self::placed($layout);
        [$front] = $placed['Pelmet'];
        // The box is 800 wide and hangs at 1300: the pelmet lies from 1255 to 1300 with its face in that of the box.
        self::assertSame([800.0, 45.0], [$front->piece->length->result->toDouble(), $front->piece->width->result->toDouble()]);
        self::assertSame([1255.0, 1300.0], [$front->bounds->z0, $front->bounds->z1]);
        self::assertCount(2, $placed['Pelmet return']);
        foreach ($placed['Pelmet return'] as $return) {
            // As deep as the box, mitred to the front: both reach to its face.
            self::assertEqualsWithDelta($front->bounds->v1, $return->bounds->v1, 1e-6);
        }
        // ⌈800/500⌉ + 1 = 3 blocks, each with two screws up into the bottom.
        self::assertCount(3, $placed['Block of the pelmet']);
        $joints = array_filter($layout->plan()->assemblies[0]->joints, fn ($joint) => $joint->use === 'pelmets' && $joint->kind->value === 'screws');
        self::assertCount(3, $joints);
    }

    public function test_between_walls_and_behind_doors_it_is_one_strip_set_back(): void
    {
        $placed = self::placed(self::layout(['left' => false, 'right' => false, 'back' => TestLayout::mm(22)]));
        self::assertArrayNotHasKey('Pelmet return', $placed);
        [$whole] = self::placed(self::layout())['Pelmet'];
        self::assertEqualsWithDelta($whole->bounds->v1 - 22.0, $placed['Pelmet'][0]->bounds->v1, 1e-6);
        self::assertCount(1, $placed['Pelmet'][0]->piece->works);
    }

    public function test_under_a_box_on_the_floor_there_is_no_room(): void
    {
        $layout = self::layout([], 60.0);
        $clash = array_values(array_filter($layout->clashes(), fn ($finding) => $finding->code->value === 'member-no-room'))[0];
        self::assertSame('There is no room under B1 for a pelmet of 45 mm: it is 60 mm off the floor.', $clash->sentence);
        self::assertSame('Take the pelmet away', $clash->waysOut[0]->label);
    }
}
