<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Measure\Length;
use Incastro\Measure\Unit;
use Incastro\Planning\JobChoices;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Planning\UsualMaterials;
use Incastro\Rules\Edit;
use Incastro\Rules\Finding;
use Incastro\Rules\Severity;
use PHPUnit\Framework\TestCase;
use Tests\Core\PieceSizes;
use Tests\Core\TestLayout;

final class FeatureWallTest extends TestCase
{
    private const FIRE = ['hole' => 'fire', 'frame' => 'plates'];

    /** A wall 2000 wide in the middle of one of 3000, 2400 high, its sides as they are: studs of 38 × 63, a skin of 11.9. */
    private static function layout(array $with, array $beside = [], float $wide = 3000.0): TestLayout
    {
        $usual = (new UsualMaterials(Unit::Millimetre))->document();
        foreach ($usual['materials'] as $i => $material) {
            $usual['materials'][$i]['width'] = $material['id'] === 'rail' ? TestLayout::mm(63) : $material['width'];
            $usual['materials'][$i]['thickness'] = $material['id'] === 'drawer' ? TestLayout::mm(11.9) : $material['thickness'];
        }
        $on = ['wall' => 0, 'from' => TestLayout::mm(500), 'to' => TestLayout::mm(2500), 'foot' => null, 'head' => null];

        return TestLayout::of([], width: $wide)->changing($usual)->with(['surfaces' => [['id' => 's'] + Doc::holds('feature-wall', $with + ['returned' => false]) + ['on' => $on], ...$beside], 'runs' => [], 'members' => []]);
    }

    /** @return array<string, mixed> the fire of 1275 × 415 × 152, with 25 behind it and 300 over it */
    private static function fire(): array
    {
        return self::FIRE + ['wide' => TestLayout::mm(1275), 'high' => TestLayout::mm(415), 'foot' => TestLayout::mm(700), 'fireDepth' => TestLayout::mm(152), 'fireAir' => TestLayout::mm(25), 'fireClear' => TestLayout::mm(300), 'cladding' => TestLayout::mm(9.5)];
    }

    public function test_studs_between_plates_round_an_electric_fire(): void
    {
        $plan = self::layout(self::fire())->plan();
        self::assertSame([], array_map(fn (Finding $one) => $one->sentence, array_filter($plan->findings, fn (Finding $one) => $one->severity === Severity::Clash)));
        $sizes = PieceSizes::counted($plan);
        // 152 + 25 − 11.9 − 9.5 = 155.6, up to 156; with skin and cladding 177.4.
        $decisions = $plan->decisions();
        self::assertSame(156.0, $decisions['Front of the frame, F1']->result->toDouble());
        self::assertSame(177.4, $decisions['Finished plane, F1']->result->toDouble());
        self::assertSame(['2000 × 63' => 1], $sizes['Foot plate']);
        // 2400 − 2 · 38 = 2324: two ends and two kings; studs at 400, 800, 1200 and 1600 fall into the opening of 1300 at 350.
        self::assertSame(['2324 × 63' => 4], $sizes['Stud']);
        // 700 + 440 − 38 = 1102; 1300 + 2 · 38 = 1376, twice over more than 1200.
        self::assertSame(['1102 × 63' => 2], $sizes['Trimmer']);
        self::assertSame(['1376 × 63' => 2], $sizes['Header']);
        self::assertSame(['1300 × 63' => 1], $sizes['Sill']);
        // 2400 − 38 − 1140 − 76 = 1146, and 700 − 76 = 624.
        self::assertSame(['1146 × 63' => 4], $sizes['Cripple over the header']);
        self::assertSame(['624 × 63' => 4], $sizes['Cripple under the sill']);
        // 156 − 63 − 38 = 55: ties at the first end, at 781, at 1581 and at the last end.
        self::assertSame(['2000 × 63' => 1], $sizes['Wall rail']);
        self::assertSame(['55 × 63' => 4], $sizes['Tie']);
        // 2400 − 10 − 5 = 2385; 1200 and the 800 that are left.
        self::assertSame(['2385 × 1200' => 1, '2385 × 800' => 1], $sizes['Board of the skin']);
        // Jambs 440 high, 63 + 11.9 = 74.9, up; head and sill between them 1300 − 25 = 1275.
        self::assertSame(['440 × 75' => 2], $sizes['Lining, jamb']);
        self::assertSame(['1275 × 75' => 1], $sizes['Lining, head']);
        self::assertSame(['1275 × 75' => 1], $sizes['Lining, sill']);
    }

    public function test_sides_that_are_seen_are_skinned_and_the_frame_is_narrower_by_them(): void
    {
        $plan = self::layout(['returned' => true] + self::fire())->plan();
        self::assertSame([], array_map(fn (Finding $one) => $one->sentence, array_filter($plan->findings, fn (Finding $one) => $one->severity === Severity::Clash)));
        $sizes = PieceSizes::counted($plan);
        // 2400 − 15, as wide as the frame is deep; the frame 2000 − 2 · 11.9 = 1976.2, down.
        self::assertSame(['2385 × 156' => 2], $sizes['Return of the skin']);
        self::assertSame(['1976 × 63' => 1], $sizes['Foot plate']);
        // Boards still cover all of it, their joint on an upright whose middle is 1200 from the edge; the opening stays where it was.
        self::assertSame(['2385 × 1200' => 1, '2385 × 800' => 1], $sizes['Board of the skin']);
        $placed = $plan->assemblies[0]->placed;
        $middles = array_map(fn ($one) => round(($one->bounds->u0 + $one->bounds->u1) / 2 - 500.0, 3), array_filter($placed, fn ($one) => in_array($one->piece->name, ['Stud', 'Cripple over the header'], true)));
        self::assertContains(1200.0, $middles);
        $sill = array_values(array_filter($placed, fn ($one) => $one->piece->name === 'Sill'))[0];
        self::assertEqualsWithDelta([850.0, 2150.0], [$sill->bounds->u0, $sill->bounds->u1], 1e-6);
    }

    public function test_where_a_last_board_would_be_a_sliver_the_first_ends_on_an_upright_sooner(): void
    {
        $layout = self::layout(['frame' => 'plates', 'hole' => 'none']);
        $layout->layout['surfaces'][0]['on']['to'] = TestLayout::mm(1800);
        $placed = $layout->plan()->assemblies[0]->placed;
        $boards = array_values(array_filter($placed, fn ($one) => $one->piece->name === 'Board of the skin'));
        // 1300 would leave 100 beside one of 1200: the first goes to 800, where a stud stands, and 500 are left.
        self::assertSame([800.0, 500.0], array_map(fn ($one) => $one->piece->width->result->toDouble(), $boards));
        $middles = array_map(fn ($one) => round(($one->bounds->u0 + $one->bounds->u1) / 2 - 500.0, 3), array_filter($placed, fn ($one) => $one->piece->name === 'Stud'));
        self::assertContains(800.0, $middles);
    }

    public function test_rails_and_uprights_lie_flat_where_it_is_shallow(): void
    {
        // 76 + 25 at most: 100 lies on rails, packed 24 off the wall.
        $sizes = PieceSizes::counted(self::layout(['hole' => 'niche', 'wide' => TestLayout::mm(600), 'high' => TestLayout::mm(400), 'foot' => TestLayout::mm(1100)])->plan());
        // (2400 − 63)/600 = 3.9: five rails, 584.25 apart: at 0, 584.25, 1168.5, 1752.75 and 2337; the third lies behind the niche.
        // 600 + 2 · 18 + 2 · 3 = 642 wide in the middle: 679 beside it, down, and 679.
        self::assertSame(['2000 × 63' => 4], $sizes['Rail']);
        self::assertSame(['679 × 63' => 1], $sizes['Rail, left of the opening']);
        self::assertSame(['679 × 63' => 1], $sizes['Rail, right of it']);
        // Behind each of the six its length of packing, 100 − 2 · 38 = 24 thick, ripped from timber.
        self::assertSame(['2000 × 24' => 4, '679 × 24' => 2], $sizes['Packing strip']);
        // Ends, and beside the niche; at 400 and 1600 of the grid: 800 and 1200 fall into it.
        self::assertSame(['2400 × 63' => 6], $sizes['Upright']);
        self::assertSame(['642 × 63' => 1], $sizes['Header']);
        self::assertSame(2, array_sum($sizes['Short upright over the header']));
        // 2400 − 1100 − 442 − 63 = 795; 1100 − 63 = 1037.
        self::assertSame(['795 × 63' => 2], $sizes['Short upright over the header']);
        self::assertSame(['1037 × 63' => 2], $sizes['Short upright under the sill']);
        // 442 − 2 · 3 − 2 = 434, 642 − 8 = 634.
        self::assertSame(['434 × 634' => 1], $sizes['Back of the niche']);
    }

    public function test_what_the_sheet_of_a_fire_does_not_say_is_asked_for_and_a_burning_one_is_left_to_others(): void
    {
        $said = fn (array $with): string => self::layout($with)->clashes()[0]->sentence;
        self::assertSame('The maker’s sheet of the fire is needed first: the width of the opening, its height, the depth of the fire, the air behind it, what is clear over it.', $said(self::FIRE));
        self::assertStringStartsWith('A burning fire is not framed in', $said(['electric' => false] + self::fire()));
        self::assertSame('The opening of F1 leaves 84 mm too little for the timbers beside, over or under it.', $said(['at' => TestLayout::mm(30)] + self::fire()));
    }

    public function test_a_lining_beside_a_fire_does_not_burn(): void
    {
        $layout = self::layout(self::fire());
        $usual = (new UsualMaterials(Unit::Millimetre))->document();
        unset($usual['uses']['fire-board']);
        $sentences = array_map(fn (Finding $one) => $one->sentence, $layout->changing($usual)->clashes());
        self::assertContains('Birch plywood 12 would line the fire: choose a board that does not burn for “Linings beside a fire”, under the materials of the job.', $sentences);
        $ways = array_merge(...array_map(fn (Finding $one) => $one->waysOut, $layout->changing($usual)->clashes()));
        self::assertSame(['Take cement board to the materials', true], [$ways[0]->label, $ways[0]->isOfJob]);
    }

    public function test_a_job_without_timber_takes_the_usual_to_its_materials_and_back(): void
    {
        $usual = (new UsualMaterials(Unit::Millimetre))->document();
        unset($usual['uses']['rail'], $usual['uses']['framing']);
        $other = fn (array $entries, string $key): array => array_values(array_filter($entries, fn (array $entry) => ! in_array($entry[$key], ['rail', 'framing'], true)));
        $usual = ['materials' => $other($usual['materials'], 'id'), 'stock' => $other($usual['stock'], 'material')] + $usual;
        $layout = self::layout([])->changing($usual);
        [$clash] = $layout->clashes();
        self::assertSame('The frame of F1 would be of timbers 18 mm thick; a wall is framed of 28 mm at least.', $clash->sentence);
        self::assertSame('Take timber for studs to the materials', $clash->waysOut[0]->label);
        $document = JobChoices::defaults('Test', 'mm/1') + [];
        $before = array_replace($document, $usual);
        [$after, $inverse] = JobChoices::apply($before, $clash->waysOut[0]->edit);
        self::assertContains('rail', array_column($after['materials'], 'id'));
        self::assertSame('rail', $after['uses']['rail']);
        self::assertNotSame([], array_filter($after['stock'], fn (array $one) => $one['material'] === 'rail'));
        [$undone, $redone] = JobChoices::apply($after, $inverse);
        self::assertEquals($before, $undone);
        self::assertEquals($after, JobChoices::apply($undone, $redone)[0]);
    }

    public function test_a_mantel_hangs_clear_of_the_fire_on_the_face_of_the_wall(): void
    {
        $mantel = fn (float $foot): array => ['id' => 'm'] + Doc::holds('mantel', ['length' => TestLayout::mm(1600)]) + ['on' => ['wall' => 0, 'from' => TestLayout::mm(200), 'to' => null, 'foot' => TestLayout::mm($foot), 'head' => null, 'of' => 's']];
        // 700 + 12.5 + 415 + 300 = 1427.5, up to 1428.
        $plan = self::layout(self::fire(), [$mantel(1428.0)])->plan();
        self::assertSame('fits', $plan->verdict->state, implode(' ', array_map(fn (Finding $one) => $one->sentence, $plan->findings)));
        $front = array_values(array_filter($plan->assemblies[1]->placed, fn ($placed) => $placed->piece->name === 'Mantel front'))[0];
        // It lies on the skin: 156 + 11.9, and is 180 deep.
        self::assertEqualsWithDelta([156.0 + 11.9 + 180.0, 700.0], [$front->bounds->v1, $front->bounds->u0], 1e-6);
        $sizes = PieceSizes::counted($plan);
        self::assertSame(['1600 × 120' => 1], $sizes['Mantel front']);
        self::assertSame(['1600 × 180' => 1], $sizes['Mantel top']);
        self::assertSame(['180 × 120' => 2], $sizes['Mantel end']);
        // 1600 − 2 · 18 − 10 = 1554; 120 − 36 − 1 = 83, of a timber of 63.
        self::assertSame(['1554 × 63' => 1], $sizes['Wall cleat']);
        $low = self::layout(self::fire(), [$mantel(1400.0)]);
        self::assertSame('M1 hangs 28 mm too low over the fire, whose sheet keeps that clear.', $low->clashes()[0]->sentence);
        self::assertSame('Its foot 1428 mm over the floor', $low->clashes()[0]->waysOut[0]->label);
    }

    public function test_bookcases_stand_beside_it_and_what_lies_on_it_goes_with_it(): void
    {
        $layout = self::layout(self::fire());
        $run = fn (string $id, array $but): array => Doc::run($id, 0, [TestLayout::bay("$id-bay")], $but + ['depth' => TestLayout::mm(300)]);
        $with = $layout->with(['runs' => [$run('left', ['to' => 's']), $run('right', ['from' => 's'])], 'members' => [Recipe::plinth('p', ['left-bay', 'right-bay'])]]);
        $plan = $with->plan();
        self::assertSame([], array_map(fn (Finding $one) => $one->sentence, array_filter($plan->findings, fn (Finding $one) => $one->severity === Severity::Clash)));
        [$left, $right] = $plan->layout->runs ?? self::fail('It has no runs.');
        self::assertLessThanOrEqual(500.0, $left->right);
        self::assertGreaterThan(450.0, $left->right);
        self::assertGreaterThanOrEqual(2500.0, $right->left);
        self::assertLessThan(2550.0, $right->left);
        // Taken away, both go on to the walls.
        $without = $with->edited(new Edit('layout.surfaces.s', null))->layout;
        self::assertSame([[], false, false], [$without['surfaces'], isset($without['runs'][0]['to']), isset($without['runs'][1]['from'])]);
    }

    public function test_it_is_open_round_a_window_that_stands_behind_it(): void
    {
        // A window of 900 × 1000, its frame 20 out from the wall, 900 over the floor and 1050 from the left: its lining of 18 begins before it.
        $layout = self::layout(['hole' => 'window', 'depth' => TestLayout::mm(110), 'frame' => 'plates']);
        $plan = $layout->thing('w', 'window', 1050.0, 900.0, 900.0, 1000.0, 20.0, 'uncovered')->plan();
        self::assertSame([], array_map(fn (Finding $one) => $one->sentence, array_filter($plan->findings, fn (Finding $one) => $one->severity === Severity::Clash)));
        $sizes = PieceSizes::counted($plan);
        // The hole is 900 + 2 · (18 + 3) = 942 wide and 1042 high; 110 − 20 + 11.9 = 101.9 deep, up to 102; jambs 1042 − 6, head and sill 900.
        self::assertSame(['1036 × 102' => 2], $sizes['Lining, jamb']);
        self::assertSame([['900 × 102' => 1], ['900 × 102' => 1]], [$sizes['Lining, head'], $sizes['Lining, sill']]);
        self::assertSame(['942 × 63' => 1], $sizes['Sill']);
        // Without a window there is nothing to go round.
        $without = $layout->plan();
        self::assertSame(['No window stands behind F1: note it on its wall in the tape book.'], array_values(array_map(fn (Finding $one) => $one->sentence, array_filter($without->findings, fn (Finding $one) => $one->severity === Severity::Clash))));
    }

    public function test_one_walks_through_it_where_a_door_stands_behind_it(): void
    {
        $plan = self::layout(['hole' => 'passage', 'depth' => TestLayout::mm(110), 'frame' => 'plates'])->thing('d', 'door', 1100.0, 0.0, 800.0, 2000.0, 0.0, 'uncovered')->plan();
        self::assertSame([], array_map(fn (Finding $one) => $one->sentence, array_filter($plan->findings, fn (Finding $one) => $one->severity === Severity::Clash)));
        $sizes = PieceSizes::counted($plan);
        // From the floor: 2000 + 18 + 3 = 2021 high, 842 wide at 1100 − 500 − 21 = 579; the foot plate stops beside it, 2000 − 579 − 842 = 579. 110 − 2 that the door stands out + 11.9, up.
        self::assertSame(['579 × 63' => 1], $sizes['Foot plate, left']);
        self::assertSame(['579 × 63' => 1], $sizes['Foot plate, right']);
        self::assertSame(['2015 × 120' => 2], $sizes['Lining, jamb']);
        self::assertArrayNotHasKey('Lining, sill', $sizes);
        self::assertArrayNotHasKey('Sill', $sizes);
    }

    public function test_what_is_longer_than_a_piece_is_made_meets_over_a_stud(): void
    {
        $on = ['wall' => 0, 'from' => null, 'to' => null, 'foot' => null, 'head' => null];
        $plan = self::layout([], wide: 3000.0)->with(['surfaces' => [['id' => 's'] + Doc::holds('feature-wall', ['frame' => 'plates', 'depth' => TestLayout::mm(110)]) + ['on' => $on]]])->plan();
        $sizes = PieceSizes::counted($plan);
        // 3000 is longer than 2400: the last upright that is no further is the one at 2400, its middle.
        self::assertSame(['2400 × 63' => 1, '600 × 63' => 1], $sizes['Foot plate']);
        self::assertSame($sizes['Foot plate'], $sizes['Head plate']);
    }

    public function test_it_is_as_deep_as_its_timbers_at_least(): void
    {
        // 38 asked, two flat timbers are 76.
        self::assertSame(76.0, self::layout(['depth' => TestLayout::mm(38)])->plan()->decisions()['Front of the frame, F1']->result->toDouble());
        self::assertTrue(Length::ofMillimetres(63)->isEqualTo(self::layout(['depth' => TestLayout::mm(38), 'frame' => 'plates'])->plan()->decisions()['Front of the frame, F1']->result));
    }
}
