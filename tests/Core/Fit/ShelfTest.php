<?php

declare(strict_types=1);

namespace Tests\Core\Fit;

use Incastro\Fit\FittedShelf;
use Incastro\Fit\Tipping;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Planner;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Survey\Network\Normal;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestAlcove;
use Tests\Core\TestLayout;

final class ShelfTest extends TestCase
{
    /** @return list<FittedShelf> in a space whose left wall leans in 24 over 2400 and runs in 12 over its depth of 600 */
    private static function shelves(int $count): array
    {
        $alcove = new TestAlcove(fn (float $v, float $z) => 24.0 * $z / 2400.0 + 12.0 * $v / 600.0, fn () => 1000.0);
        $job = $alcove->job();
        $space = $job->spaces[0];
        $bay = Doc::bay('bay', [Doc::tier('cell', ['holds' => Recipe::cleats($count)])]);
        $layout = ['runs' => [Doc::run('run', 0, [$bay], ['depth' => ['nm' => 300_000_000, 'typed' => '']])]] + Doc::none();
        $chosen = $space->choosing(\Incastro\Planning\Layout\LayoutReader::division($layout), [], ['layout' => $layout] + $space->choices);

        return (new Planner())->space($job, $chosen)->layout?->runs[0]->shelves ?? [];
    }

    public function test_a_shelf_between_two_leaning_walls_has_four_corners_of_its_own(): void
    {
        [$shelf] = self::shelves(1);
        $corners = [$shelf->outline[0], $shelf->outline[count($shelf->outline) - 1], $shelf->outline[count($shelf->outline) - 2]];
        // u counts from the left corner at the plan's height, half way up, where the wall stands in 12; the right wall is at 988.
        $left = fn (float $v): float => 24.0 * ($shelf->z + 18.0) / 2400.0 - 12.0 + 12.0 * $v / 600.0;
        // Its back edge lies 2 before the wall behind.
        $doubt = $corners[0]->x - $left(2.0) - 2.0;
        // 2 mm and half the doubt from each wall; the left wall at its upper face, where it leans in most.
        self::assertGreaterThan(0.0, $doubt);
        self::assertEqualsWithDelta($left(300.0) + 2.0 + $doubt, $corners[1]->x, 0.02);
        self::assertEqualsWithDelta(988.0 - 2.0 - $doubt, $corners[2]->x, 0.02);
        // Longest at the back, between both walls less 4 and twice the doubt.
        self::assertEqualsWithDelta(988.0 - $left(2.0) - 4.0 - 2 * $doubt, $shelf->length->result->toDouble(), 0.02);
    }

    public function test_the_doubt_of_many_shelves_is_taken_off_together(): void
    {
        // 1.645 becomes the quantile for 0.05/5: 2.33 (handbook, "Allowances").
        self::assertEqualsWithDelta(2.326, Normal::together(5), 0.001);
        self::assertSame(1.645, Normal::together(1));
        $doubt = fn (array $shelves) => 988.0 - 2.0 - $shelves[0]->outline[count($shelves[0]->outline) - 2]->x;
        self::assertCount(5, self::shelves(5));
        self::assertGreaterThan(1.2 * $doubt(self::shelves(1)), $doubt(self::shelves(5)));
    }

    public function test_a_shelf_longer_than_the_way_in_is_tipped(): void
    {
        self::assertNull(Tipping::of(950.0, 18.0, 950.0));
        // L = 1000, t = 18, w = 980: the least φ with 1000·cos φ + 18·sin φ ≤ 980 needs 1000·sin φ + 18·cos φ of height.
        $tipping = Tipping::of(1000.0, 18.0, 980.0);
        self::assertNotNull($tipping);
        self::assertEqualsWithDelta(980.0, 1000.0 * cos($tipping->angle) + 18.0 * sin($tipping->angle), 1e-6);
        self::assertEqualsWithDelta(1000.0 * sin($tipping->angle) + 18.0 * cos($tipping->angle), $tipping->height, 1e-9);
        // cos(φ − δ) = 980/√(1000² + 18²), tan δ = 0.018: 11.52° + 1.03°.
        self::assertEqualsWithDelta(12.555, rad2deg($tipping->angle), 0.01);
        // The walls here let the longest part of a shelf past the narrower front only tipped.
        self::assertNotNull(self::shelves(1)[0]->tipping);
    }

    public function test_a_shelf_between_boxes_says_the_distance_between_them(): void
    {
        $run = TestLayout::of([TestLayout::bay('a'), TestLayout::bay('s', ['size' => TestLayout::mm(500)], [Doc::tier('s-1', ['holds' => Recipe::cleats(1)])]), TestLayout::bay('b')], [], 1600.0)->plan()->layout?->runs[0];
        self::assertNotNull($run);
        // 500 between two boxes, less 2 at each end; nothing is in doubt there.
        self::assertSame(496.0, $run->shelves[0]->length->result->toDouble());
        $steps = $run->shelves[0]->length->steps;
        self::assertSame('between the furniture, at its widest', $steps[0]->label);
        self::assertSame(500.0, $steps[0]->value->toDouble());
    }
}
