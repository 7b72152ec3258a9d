<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Incastro\Fit\FittedRun;
use Incastro\Geometry\Convex;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Purpose;
use Incastro\Planning\Recipes\StartingLayouts;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\Finding;
use Incastro\Rules\Severity;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Units\Placed;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestKind;

/** What is offered for an empty space, put into a crooked one of its kind. */
final class StartingLayoutsTest extends TestCase
{
    /** @return array<string, SpacePlan> by name */
    private static function plans(SpaceKind $kind, int $seed): array
    {
        $space = new TestKind($kind, $seed);
        $plans = [];
        foreach (array_keys(StartingLayouts::names($kind)) as $name) {
            $layout = (new StartingLayouts(SpaceShape::of($kind), "starting-$name", LengthFormat::millimetres('1')))->named($name);
            self::assertNotNull($layout);
            $plans[$name] = $space->plan($layout);
        }

        return $plans;
    }

    #[DataProviderExternal(TestKind::class, 'all')]
    public function test_each_is_built_in_the_space_as_found(SpaceKind $kind): void
    {
        foreach ([21, 27, 29] as $seed) {
            foreach (self::plans($kind, $seed) as $name => $plan) {
                $this->isBuilt($plan, "$name in room $seed");
            }
        }
    }

    #[DataProviderExternal(TestKind::class, 'all')]
    public function test_recipes_say_what_they_are_for_and_most_fit_as_they_are(SpaceKind $kind): void
    {
        $recipes = StartingLayouts::recipes($kind);
        self::assertSame(array_keys(StartingLayouts::names($kind)), array_slice(array_keys($recipes), 0, count(StartingLayouts::names($kind))));
        $fit = $all = 0;
        foreach (array_diff_key($recipes, StartingLayouts::names($kind)) as $name => [$label, $purpose]) {
            self::assertNotSame('', $label);
            foreach ([21, 22, 23] as $seed) {
                $layout = (new StartingLayouts(SpaceShape::of($kind), "recipe-$name", LengthFormat::millimetres('1')))->named($name);
                self::assertNotNull($layout);
                $plan = (new TestKind($kind, $seed))->plan($layout);
                if ($purpose === Purpose::Sleep && $plan->pieces() === []) {
                    // A bed is as long as its mattress: what is too short for it says so.
                    self::assertSame('clash', $plan->verdict->state, "$name in room $seed");
                    continue;
                }
                if ($purpose === Purpose::Fire && array_filter($plan->layout->runs ?? [], fn (FittedRun $run) => $run->left >= $run->right) !== []) {
                    // A wall for a fire is as wide as that needs: where nothing is left beside it for books, that is said.
                    self::assertSame('clash', $plan->verdict->state, "$name in room $seed");
                    continue;
                }
                $this->isBuilt($plan, "$name in room $seed");
                $all++;
                $fit += $plan->verdict->state === 'fits' ? 1 : 0;
            }
        }
        self::assertGreaterThanOrEqual($all / 2, $fit, "$fit of $all in $kind->value");
    }

    private function isBuilt(SpacePlan $plan, string $name): void
    {
        self::assertNotNull($plan->layout);
        self::assertNotSame([], $plan->pieces(), $name);
        foreach ($plan->findings as $finding) {
            if ($finding->severity === Severity::Clash) {
                self::assertNotSame('', $finding->place, $finding->sentence);
            }
        }
        foreach ($plan->layout->runs as $r => $run) {
            // Every bay has its width, from left to right, and nothing is negative.
            $at = $run->left;
            foreach ($run->bays as $bay) {
                self::assertGreaterThan(0.0, $bay->width->result->toDouble(), $name);
                self::assertGreaterThanOrEqual($at - 1e-6, $bay->u);
                $at = $bay->u;
            }
            foreach ($run->boxes as $box) {
                self::assertGreaterThanOrEqual($run->left - 1e-6, $box->u, $name);
                self::assertLessThanOrEqual($run->right + 1e-6, $box->right(), $name);
            }
            $this->standsUnderTheCeiling($plan, $r, $name);
            $this->standsBetweenTheWalls($plan, $r, $name);
        }
    }

    /** Nothing reaches into the ceiling, and all lies in its blank. */
    private function standsUnderTheCeiling(SpacePlan $plan, int $r, string $name): void
    {
        $run = $plan->layout?->runs[$r] ?? null;
        self::assertNotNull($run);
        foreach ($plan->assemblies[$r]->placed as $placed) {
            $piece = $placed->piece;
            [$minX, $maxX, $minY, $maxY] = $piece->outline->bounds();
            self::assertGreaterThanOrEqual(-1e-6, min($minX, $minY), "$name: $piece->mark");
            self::assertLessThanOrEqual($piece->length->result->toDouble() + 1e-6, $maxX, "$name: $piece->mark");
            self::assertLessThanOrEqual($piece->width->result->toDouble() + 1e-6, $maxY, "$name: $piece->mark");
            foreach ($placed->solid()->parts as $part) {
                foreach ($part->corners() as [$u, $v, $z]) {
                    self::assertLessThan($run->frame->ceilingAt($u, $v) + 0.5, $z, "$name: $piece->mark at $u, $v");
                }
            }
        }
    }

    /** Nothing reaches into a wall: at its own depth and height each corner lies between the walls beside and before the one behind. */
    private function standsBetweenTheWalls(SpacePlan $plan, int $r, string $name): void
    {
        $run = $plan->layout?->runs[$r] ?? null;
        self::assertNotNull($run);
        foreach ($plan->assemblies[$r]->placed as $placed) {
            foreach (array_merge([], ...array_map(fn (Convex $part) => $part->corners(), $placed->solid()->parts)) as [$u, $v, $z]) {
                $where = sprintf('%s: %s at %.1f, %.1f, %.1f', $name, $placed->piece->mark, $u, $v, $z);
                // What stands out of the space goes on past the ends of its walls.
                if ($v < $run->frame->mouth()) {
                    self::assertGreaterThan($run->frame->leftAt($v, max(1.0, $z)) - 0.6, $u, $where);
                    self::assertLessThan($run->frame->rightAt($v, max(1.0, $z)) + 0.6, $u, $where);
                }
                self::assertGreaterThan($run->frame->backAt($u, max(0.0, $z)) - 0.6, $v, $where);
            }
        }
    }

    #[DataProviderExternal(TestKind::class, 'all')]
    public function test_most_of_them_fit_without_another_touch(SpaceKind $kind): void
    {
        $fit = $all = 0;
        foreach ([21, 22, 23] as $seed) {
            foreach (self::plans($kind, $seed) as $plan) {
                $all++;
                $fit += array_filter($plan->findings, fn (Finding $finding) => $finding->severity === Severity::Clash) === [] ? 1 : 0;
            }
        }
        self::assertGreaterThanOrEqual(0.6, $fit / $all);
    }

    public function test_an_end_panel_covers_the_side_of_its_box_where_no_wall_is(): void
    {
        $space = new TestKind(SpaceKind::RoomCorner);
        $layout = (new StartingLayouts(SpaceShape::of(SpaceKind::RoomCorner), 'with a panel', LengthFormat::millimetres('1')))->named('one-run');
        self::assertNotNull($layout);
        $run = $space->plan($layout)->layout?->runs[0];
        self::assertNotNull($run);
        $side = $run->frame->isOpen('left') ? 'left' : 'right';
        self::assertTrue($run->frame->isOpen($side));
        $bays = $layout['runs'][0]['bays'];
        $bay = $side === 'left' ? $bays[0] : $bays[count($bays) - 1];
        $plan = $space->plan(['members' => [...$layout['members'], Doc::member('end', 'end-panel', [$bay['id']])]] + $layout);
        $panels = array_values(array_filter($plan->assemblies[0]->placed, fn (Placed $one) => $one->piece->mark === 'E1-panel'));
        self::assertCount(1, $panels);
        $boxes = $plan->layout?->runs[0]->boxes ?? [];
        $box = $side === 'left' ? $boxes[0] : $boxes[count($boxes) - 1];
        // Beside the box, a board thick, from the floor to its top.
        self::assertEqualsWithDelta($side === 'left' ? $box->u : $box->right() + 18.0, $panels[0]->bounds->u1, 1e-6);
        self::assertEqualsWithDelta(18.0, $panels[0]->bounds->u1 - $panels[0]->bounds->u0, 1e-6);
        self::assertEqualsWithDelta(0.0, $panels[0]->bounds->z0, 1e-6);
        self::assertEqualsWithDelta($box->highest(), $panels[0]->bounds->z1, 1.0);
    }
}
