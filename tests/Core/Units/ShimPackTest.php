<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Drawing\FurniturePlan;
use Incastro\Drawing\Label;
use Incastro\Drawing\Shape;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Measure\Working;
use Incastro\Measure\WorkingStep;
use Incastro\Planning\Recipes\StartingLayouts;
use Incastro\Rules\HouseRules;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Units\Make\ShimPack;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestKind;

final class ShimPackTest extends TestCase
{
    /** @return array<string, array{Unit, float, list<float>}> a gap in mm or in, and what lies in it */
    public static function packs(): array
    {
        return [
            'less than half a millimetre' => [Unit::Millimetre, 0.4, []],
            'a tapered pair alone' => [Unit::Millimetre, 0.7, [0.7]],
            '2.28: a shim of 2, and the pair for 0.28' => [Unit::Millimetre, 2.28, [2.0, 0.28]],
            '4.1: 3 + 1, not 2 + 2; a tenth is nothing' => [Unit::Millimetre, 4.1, [3.0, 1.0]],
            '7.6: 5 + 2 and the pair' => [Unit::Millimetre, 7.6, [5.0, 2.0, 0.6]],
            '14: 5 + 5 + 3 + 1' => [Unit::Millimetre, 14.0, [5.0, 5.0, 3.0, 1.0]],
            'a solid board under 15.2' => [Unit::Millimetre, 15.2, [15.2]],
            '7/32 in: 1/8 + 1/16 + 1/32' => [Unit::Inch, 7 / 32, [1 / 8, 1 / 16, 1 / 32]],
            '0.27 in: 1/4 and the pair' => [Unit::Inch, 0.27, [0.25, 0.02]],
        ];
    }

    /** @param list<float> $pieces */
    #[DataProvider('packs')]
    public function test_the_greatest_stack_of_the_fewest(Unit $unit, float $gap, array $pieces): void
    {
        $mm = $unit === Unit::Inch ? 25.4 : 1.0;
        $pack = ShimPack::under($gap * $mm, new HouseRules($unit));
        self::assertSame(count($pieces), count($pack->steps ?? []));
        foreach ($pieces as $i => $piece) {
            self::assertEqualsWithDelta($piece * $mm, $pack?->steps[$i]->value->toDouble(), 1e-3);
        }
    }

    public function test_much_more_is_ripped(): void
    {
        self::assertSame('ripped higher by as much as the floor is lower', ShimPack::under(41.0, new HouseRules(Unit::Millimetre))?->steps[0]->label);
    }

    /** The floor of a crooked alcove falls: its plinth needs none where it is highest, and under every bearer what is open there. */
    public function test_under_every_bearer_lies_what_is_open_there(): void
    {
        $layout = (new StartingLayouts(SpaceShape::of(SpaceKind::Alcove), 'shims', LengthFormat::millimetres()))->named('two-tall');
        self::assertNotNull($layout);
        $plan = (new TestKind(SpaceKind::Alcove, 31))->plan($layout);
        $run = $plan->layout?->runs[0];
        self::assertNotNull($run);
        $shims = array_filter($plan->decisions(), fn (string $name) => str_starts_with($name, 'Under P1, '), ARRAY_FILTER_USE_KEY);
        self::assertNotSame([], $shims);
        $open = [];
        foreach ($plan->assemblies[0]->placed as $placed) {
            if ($placed->piece->name === 'Plinth bearer') {
                foreach (['back', 'front'] as $at) {
                    // The rails stand a board's thickness before and behind it.
                    $v = $at === 'back' ? $placed->bounds->v0 - 18.0 : $placed->bounds->v1 + 18.0;
                    $gap = -$run->frame->floorAt(($placed->bounds->u0 + $placed->bounds->u1) / 2, $v);
                    $open[sprintf('Under P1, bearer %s, %s', substr($placed->piece->mark, -1), $at)] = $gap < 0.5 ? null : $gap;
                }
            }
        }
        self::assertSame(array_keys(array_filter($open)), array_keys($shims));
        foreach ($shims as $name => $pack) {
            // A rest of two tenths is left to the wood.
            self::assertEqualsWithDelta($open[$name], array_sum(array_map(fn (WorkingStep $step) => $step->value->toDouble(), $pack->steps)), 0.21, $name);
            self::assertInstanceOf(Working::class, $pack);
        }
        // And they stand in the plan, each beside its end of its bearer.
        $room = $plan->survey->room;
        self::assertNotNull($room);
        self::assertNotNull($plan->layout);
        $drawn = (new FurniturePlan($plan->layout, $room, LengthFormat::millimetres(), $plan->assemblies))->draw()->layers['plinths'];
        $texts = array_map(fn (Label $label) => $label->text, array_values(array_filter($drawn, fn (Shape $shape) => $shape instanceof Label)));
        self::assertSame(array_map(fn (Working $pack) => 'shim '.LengthFormat::millimetres()->write($pack->result), array_values($shims)), $texts);
    }
}
