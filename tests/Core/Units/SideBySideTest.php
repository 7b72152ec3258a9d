<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Rules\Parameters\Blueprint;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Trial\Dice;
use Incastro\Units\Family;
use Incastro\Units\Kinds;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestKind;
use Tests\Core\TestLayout;

/** Any two units beside and over each other, in one box or in two, with fronts before them: their pieces never stand in each other. */
final class SideBySideTest extends TestCase
{
    use StandsFree;

    private const PAIRS = 140;

    public function test_any_two_units_leave_each_other_their_room(): void
    {
        $dice = new Dice(20261129);
        $of = fn (Family ...$families): array => array_map(fn (Blueprint $one) => $one->about->kind, Kinds::standard()->of(...$families));
        [$held, $fronts] = [$of(Family::Inside, Family::Cell), $of(Family::Front)];
        $rooms = array_map(fn (SpaceKind $kind) => new TestKind($kind, 41, $kind === SpaceKind::Closet ? 'in/16' : 'mm/1', ['schools' => $kind === SpaceKind::RoomCorner ? ['edges' => 'band', 'doors' => 'overlay'] : []]), [SpaceKind::Alcove, SpaceKind::Closet, SpaceKind::UnderStair, SpaceKind::RoomCorner]);
        $fits = 0;
        for ($i = 0; $i < self::PAIRS; $i++) {
            [$left, $right, $over] = [$dice->pick($held), $dice->pick($held), $dice->pick($held)];
            $isInside = fn (string $kind): bool => Kinds::standard()->family($kind) === Family::Inside;
            $low = ['size' => TestLayout::mm($dice->whole(300, 900))];
            $tier = fn (string $id, string $kind, array $more = []) => Doc::tier($id, ['holds' => Doc::holds($kind), 'joined' => $isInside($kind) && $dice->chance(0.5)] + $more);
            $bays = [
                Doc::bay('a', [$tier('a-1', $left, $low), $tier('a-2', $over)]),
                Doc::bay('b', [$tier('b-1', $right, $low), $tier('b-2', 'shelves')], ['joined' => $isInside($left) && $isInside($right) && $isInside($over) && $dice->chance(0.5)]),
            ];
            $layout = ['runs' => [Doc::run('r', 0, $bays)], 'members' => $dice->chance(0.7) ? [Recipe::plinth('p', ['a', 'b'])] : []] + Doc::none();
            foreach (['a-1' => $left, 'b-1' => $right, 'b-2' => 'shelves'] as $id => $kind) {
                if ($kind === 'shelves' && $dice->chance(0.7)) {
                    $layout['fronts'][] = Doc::member("front-$id", $dice->pick($fronts), [$id]);
                }
            }
            $plan = $dice->pick($rooms)->plan($layout);
            self::assertSame([], self::faults($plan), sprintf('%s beside %s, under %s: %s', $left, $right, $over, json_encode($layout)));
            $fits += $plan->verdict->state === 'fits' ? 1 : 0;
        }
        // It is not made free by being refused everywhere.
        self::assertGreaterThan(6, $fits);
    }
}
