<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Planning\JobChoices;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Rules\Severity;
use Incastro\Strength\Guard;
use Incastro\Trial\Dice;
use Incastro\Units\Hardware;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

final class BedPlatformTest extends TestCase
{
    /** A bed 2040 long between two walls, 980 deep, boards of 17.8. */
    private static function layout(array $with, float $long = 2040.0, float $deep = 980.0): TestLayout
    {
        $stored = array_map(fn (mixed $value) => is_int($value) || is_float($value) ? TestLayout::mm($value) : $value, $with);
        $materials = array_map(fn (array $material) => in_array($material['id'], ['carcass', 'frame'], true) ? ['thickness' => TestLayout::mm(17.8)] + $material : $material, JobChoices::defaults('Test', 'mm/1')['materials']);

        return TestLayout::of([TestLayout::bay('a', [], [Doc::tier('a-1', ['holds' => Doc::holds('bed-platform', $stored)])])], ['depth' => TestLayout::mm($deep)], $long + 11.0, $deep + 100.0)
            ->with(['members' => []])->changing(['materials' => $materials]);
    }

    /** @return array<string, array{int, float, float}> by the first words of their marks: how many, length and width */
    private static function pieces(SpacePlan $plan): array
    {
        $counted = [];
        foreach ($plan->pieces() as $piece) {
            $mark = (string) preg_replace(['/^L1-/', '/(?<!drawer)-\d+(?=-|$)/', '/drawer-\d/', '/-(left|right|L|R)$/'], ['', '', 'drawer', ''], $piece->mark);
            $counted[$mark] = [($counted[$mark][0] ?? 0) + 1, $piece->length->result->toDouble(), $piece->width->result->toDouble()];
        }

        return $counted;
    }

    /** @return list<string> codes of what is worse than a note */
    private static function wrong(SpacePlan $plan): array
    {
        return array_values(array_map(fn (Finding $finding) => $finding->code->value, array_filter($plan->findings, fn (Finding $finding) => in_array($finding->severity, [Severity::Clash, Severity::Warning], true))));
    }

    public function test_slats_on_ledgers_and_two_drawers_below(): void
    {
        $plan = self::layout(['deck' => 380, 'drawers' => true])->plan();
        self::assertSame([], self::wrong($plan));
        self::assertSame([
            'back-ledger' => [1, 2040.0, 89.0],
            // 980 − 17.8 − 2 × 38 = 886.2
            'side-ledger' => [2, 886.0, 89.0],
            'front-rail' => [1, 2040.0, 89.0],
            // 380 − 28 − 89 = 263
            'front-post' => [3, 263.0, 89.0],
            // 980 − 17.8 − 2 × 3 = 956.2
            'slat' => [14, 956.0, 89.0],
            // 89 + 28 + 30
            'front-board' => [1, 2040.0, 147.0],
            // 962.2 − 17.8 − 10 = 934.4; 263 − 15 − 45 − 12 = 191
            'drawer-side' => [4, 934.0, 191.0],
            // (2040 − 3 × 89)/2 = 886.5; − 2 × 10 = 866.5 → 866; − 2 × 17.8 = 830.4
            'drawer-back' => [2, 830.0, 191.0],
            'drawer-inner-front' => [2, 830.0, 191.0],
            'drawer-bottom' => [2, 866.0, 934.0],
            // 886.5 − 2 × 2.5 = 881.5; 263 − 12 − 2.5 = 248.5
            'drawer-front' => [2, 881.0, 248.0],
        ], self::pieces($plan));
        // (2034 − 14 × 89)/13 = 60.62
        self::assertSame(60.0, $plan->decisions()['Gap between slats: the length of the spacer block']->result->toDouble());
    }

    /** One slat spans 886 where they are 28 thick, and 484 where they are 19: then a rail lies in the middle. */
    public function test_thinner_slats_get_a_rail_under_their_middle(): void
    {
        $layout = self::layout(['deck' => 380]);
        $thin = array_map(fn (array $material) => $material['id'] === 'slat' ? ['thickness' => TestLayout::mm(19)] + $material : $material, JobChoices::defaults('Test', 'mm/1')['materials']);
        $pieces = self::pieces($layout->changing(['materials' => $thin])->plan());
        self::assertSame([1, 1964.0, 89.0], $pieces['centre-rail']);
        self::assertArrayNotHasKey('centre-rail', self::pieces($layout->plan()));
        // A centre rail carries half the bed over 1964: it may span 1192, so one leg stands under it.
        self::assertSame(1, $pieces['leg'][0]);
    }

    public function test_a_guard_and_a_ladder_of_a_high_bed(): void
    {
        $plan = self::layout(['deck' => 1300, 'thickness' => 150, 'guard' => 'entry-right', 'ladder' => true, 'rails' => 'beam'])->plan();
        self::assertSame([], self::wrong($plan));
        $pieces = self::pieces($plan);
        // Guard over the deck 150 + 260 = 410: of rails of 140 two leave (410 − 280)/2 = 65; 2040 − (310 + 2 × 38 + 10) = 1644.
        self::assertSame([2, 1644.0, 140.0], $pieces['guard-rail']);
        // 410 + 28 + 140, three of them: ⌈(1644 − 38)/1350⌉ + 1.
        self::assertSame([3, 578.0, 140.0], $pieces['guard-post']);
        // ⌈1300/250⌉ = 6 rises of 216.7; treads 310 + 2 × 12.
        self::assertSame([5, 334.0, 140.0], $pieces['tread']);
        // 1300/sin 70° + 140/tan 70° = 1434.4 up, and one for holding on: 1900/sin 70° + 140/tan 70° = 2072.9.
        $stiles = array_values(array_filter($plan->pieces(), fn ($piece) => $piece->name === 'Ladder stile'));
        self::assertSame([1435.0, 2073.0], array_map(fn ($piece) => $piece->length->result->toDouble(), $stiles));
    }

    public function test_a_high_bed_without_a_guard_clashes_and_a_press_makes_one(): void
    {
        $layout = self::layout(['deck' => 1300, 'thickness' => 150]);
        $missing = array_values(array_filter($layout->plan()->findings, fn (Finding $finding) => $finding->code === Code::GuardMissing));
        self::assertSame(Severity::Clash, $missing[0]->severity);
        self::assertNotContains('guard-missing', self::wrong($layout->edited($missing[0]->waysOut[0]->edit)->plan()));
    }

    public function test_a_roof_on_end_panels_comes_apart(): void
    {
        $layout = self::layout(['canopy' => true, 'deck' => 320], 2080.0, 960.0);
        $plan = $layout->plan();
        self::assertSame([], self::wrong($plan));
        $pieces = self::pieces($plan);
        // 2150 − 17.8 = 2132.2; 2080 − 2 × 17.8 = 2044.4; 960 − 2 × 17.8 = 924.4; ⌈(2044.4 − 17.8)/600⌉ + 1 = 5; 40 + 17.8 = 57.8.
        self::assertSame([2, 2132.0, 960.0], $pieces['end-panel']);
        self::assertSame([1, 2080.0, 960.0], $pieces['roof']);
        self::assertSame([5, 924.0, 120.0], $pieces['cross']);
        self::assertSame([2044.0, 120.0], array_slice($pieces['rib-front'], 1));
        self::assertSame([2044.0, 120.0], array_slice($pieces['back-rail-up'], 1));
        self::assertSame([1, 2080.0, 57.0], $pieces['roof-lip']);
        // The bed stands between the panels.
        self::assertSame([1, 2044.0, 89.0], $pieces['back-ledger']);
        // Board 2.08 × 0.96, ribs 2 × 2.044 × 0.12, supports 5 × 0.924 × 0.12, all × 0.0178 × 680 = 36.8 kg.
        $told = array_values(array_filter($plan->findings, fn (Finding $finding) => $finding->code === Code::RoofHeavy));
        self::assertStringContainsString('The roof weighs 37 kg with its ribs, an end panel 25', $told[0]->sentence);
    }

    public function test_a_roof_in_two_halves_passes_a_turn_and_is_bolted_in_its_place(): void
    {
        $layout = self::layout(['canopy' => true, 'deck' => 320, 'halves' => true], 2080.0, 960.0);
        $plan = $layout->plan();
        self::assertSame([], self::wrong($plan));
        $pieces = [];
        foreach ($plan->pieces() as $piece) {
            $pieces[substr($piece->mark, strpos($piece->mark, '-') + 1)] = [$piece->length->result->toDouble(), $piece->width->result->toDouble()];
        }
        // 2080/2 = 1040; 2044.4/2 = 1022.2; ⌈(1022 − 17.8)/600⌉ + 1 = 3 supports each, those in the middle 4 boards shorter than 960: 888.8.
        self::assertSame([[1040.0, 960.0], [1040.0, 960.0]], [$pieces['roof-L'], $pieces['roof-R']]);
        self::assertSame([[1022.0, 120.0], [1022.0, 120.0]], [$pieces['rib-back-L'], $pieces['rib-front-R']]);
        self::assertSame([[924.0, 120.0], [924.0, 120.0], [888.0, 120.0]], [$pieces['cross-L-1'], $pieces['cross-L-2'], $pieces['cross-L-3']]);
        self::assertSame([888.0, 120.0], $pieces['cross-R-1']);
        self::assertSame([460.0, 120.0], $pieces['plate-back']);
        // Half a roof is lifted by two: what is told of it weighs about half of 37.
        $told = array_values(array_filter($plan->findings, fn (Finding $finding) => $finding->code === Code::RoofHeavy));
        self::assertSame([], array_filter($told, fn (Finding $finding) => ! str_contains($finding->sentence, 'The roof weighs 19 kg')));
        $bolts = array_sum(array_map(fn (Hardware $one) => str_starts_with($one->name, 'connecting bolt') ? $one->quantity : 0, $plan->hardware()));
        // 8 to the panels, 8 of the rails; 4 face to face, and 8 through each plate.
        self::assertSame(16 + 4 + 16, $bolts);
    }

    public function test_a_roof_that_cannot_be_lifted_or_sags(): void
    {
        // 2400 − 120 − 20 = 2260 at most.
        $high = self::layout(['canopy' => true, 'deck' => 320, 'roof' => 2300], 2080.0, 960.0);
        $lift = array_values(array_filter($high->plan()->findings, fn (Finding $finding) => $finding->code === Code::RoofLift));
        self::assertSame([Severity::Clash, 'A roof at 2260 mm'], [$lift[0]->severity, $lift[0]->waysOut[0]->label]);
        self::assertSame([], self::wrong($high->edited($lift[0]->waysOut[0]->edit)->plan()));
        // Of 120 they sag 1.61 of 2044/630 = 3.25; of 80 (120/80)³ as much: 5.2. Ribs of 93 weigh more than those of 80: 94 hold.
        $thin = self::layout(['canopy' => true, 'deck' => 320, 'rib' => 80], 2080.0, 960.0);
        $sags = array_values(array_filter($thin->plan()->findings, fn (Finding $finding) => $finding->code === Code::Sags));
        self::assertStringContainsString('ribs of 94 mm hold', $sags[0]->sentence);
        self::assertSame([], self::wrong($thin->edited($sags[0]->waysOut[0]->edit)->plan()));
    }

    public function test_a_mattress_that_jams_and_air_to_sit_up(): void
    {
        // 2000 + 20 are needed, 2010 are clear: ten less of play goes in.
        $layout = self::layout(['deck' => 380], 2010.0);
        $jams = array_values(array_filter($layout->plan()->findings, fn (Finding $finding) => $finding->code === Code::MattressJams));
        self::assertSame('The mattress and its play take 2020 mm by 920 mm; 2010 mm by 962 mm are clear over its height.', $jams[0]->sentence);
        self::assertSame([], self::wrong($layout->edited($jams[0]->waysOut[0]->edit)->plan()));
        // 2400 − 1500 − 180 = 720: nobody turns there.
        self::assertContains('bed-air', self::wrong(self::layout(['deck' => 1500, 'guard' => 'entry-left'])->plan()));
    }

    public function test_boards_fill_a_gap_that_holds_a_head(): void
    {
        // 2040 − 1900 = 140 beside the mattress: a head goes in.
        $layout = self::layout(['deck' => 380, 'length' => 1900]);
        $trap = array_values(array_filter($layout->plan()->findings, fn (Finding $finding) => $finding->code === Code::BedGapTrap));
        $plan = $layout->edited($trap[0]->waysOut[0]->edit)->plan();
        self::assertSame([], self::wrong($plan));
        $pieces = self::pieces($plan);
        // 2 off the wall: 138 less 20 of play. 962.2 deep; 180 less the board on them.
        self::assertSame([1, 962.0, 118.0], $pieces['filler-beside-top']);
        self::assertSame([2, 962.0, 162.0], $pieces['filler-beside']);
        // The mattress lies in the middle of what is left: 1920.
        self::assertEqualsWithDelta(10.0, $plan->assemblies[0]->fixtures[0]->block->u0 - $plan->assemblies[0]->placed[0]->bounds->u0, 1e-6);
    }

    public function test_one_falls_from_an_end_that_is_open(): void
    {
        $bays = fn (float $low) => [TestLayout::bay('a', [], [Doc::tier('a-1', ['holds' => Doc::holds('bed-platform', ['deck' => TestLayout::mm(1200.0), 'guard' => 'entry-left', 'thickness' => TestLayout::mm(120.0)])])]), TestLayout::bay('b', ['size' => TestLayout::mm(500.0)], $low > 0.0 ? [Doc::tier('b-1', ['size' => TestLayout::mm($low), 'holds' => Recipe::box(0, 2)]), Doc::tier('b-2', ['joined' => false, 'holds' => Recipe::gap()])] : [Doc::tier('b-1', ['holds' => Recipe::gap()])])];
        $falls = fn (float $low) => array_values(array_map(fn (Finding $finding) => $finding->sentence, array_filter(TestLayout::of($bays($low), ['depth' => TestLayout::mm(980)], 2600.0, 1080.0)->with(['members' => []])->plan()->findings, fn (Finding $finding) => $finding->code === Code::GuardMissing)));
        self::assertSame(['One falls from the right end of this bed: neither a wall nor anything as high as a guard stands there.'], $falls(0.0));
        // A box beside it guards where it ends no lower than the guard: 1200 + 120 + 260.
        self::assertCount(1, $falls(1500.0));
        self::assertSame([], $falls(1600.0));
    }

    public function test_off_the_wall_it_stands_on_posts_all_round(): void
    {
        $plan = self::layout(['deck' => 380, 'off' => 400], 2040.0, 1380.0)->plan();
        self::assertSame([], self::wrong($plan));
        $pieces = self::pieces($plan);
        self::assertArrayNotHasKey('back-ledger', $pieces);
        self::assertSame([[1, 2040.0, 89.0], [3, 263.0, 89.0], [3, 263.0, 89.0]], [$pieces['back-rail'], $pieces['back-post'], $pieces['front-post']]);
        // 1380 − 400 − 17.8 − 2 × 3 = 956.2: as if the wall stood there.
        self::assertSame([14, 956.0, 89.0], $pieces['slat']);
        self::assertSame(['bed-gap-trap'], self::wrong(self::layout(['deck' => 380, 'off' => 150], 2040.0, 1130.0)->plan()));
        self::assertContains('guard-missing', self::wrong(self::layout(['deck' => 1300, 'off' => 400, 'guard' => 'entry-left', 'thickness' => 120], 2040.0, 1380.0)->plan()));
    }

    public function test_a_curtain_by_hand(): void
    {
        // An opening of 1500 under a ceiling at 2400: 0.12 × 1500 + 50; 1.8 × 1500 + 80; 2400 − 20; and 150 more to cut.
        $decisions = self::layout(['length' => 1400, 'curtain' => true], 1500.0)->plan()->assemblies[0]->decisions;
        $result = fn (string $name): float => $decisions["Curtain, $name"]->result->toDouble();
        self::assertSame([230.0, 1270.0, 2780.0], [$result('drawn aside'), $result('clear when it is drawn aside'), $result('width of the cloth')]);
        self::assertSame([2380.0, 2530.0], [$result('drop'), $result('cut length of the cloth')]);
        // Before drawers it ends over the deck: 2400 − 380 − 50.
        $inside = self::layout(['length' => 1400, 'curtain' => true, 'drawers' => true, 'deck' => 380], 1500.0)->plan()->assemblies[0]->decisions;
        self::assertSame(1970.0, $inside['Curtain, drop']->result->toDouble());
    }

    /** Gaps of slats are equal to the working step and never wider than the limit; a guard's hold no head, or it says so. */
    public function test_gaps_of_random_beds_stay_within_their_limits(): void
    {
        $dice = new Dice(11);
        for ($i = 0; $i < 300; $i++) {
            $long = round($dice->between(1250, 2400));
            $with = ['length' => $long - 30, 'width' => round($dice->between(500, 900)), 'thickness' => round($dice->between(80, 300)), 'gap' => round($dice->between(20, 70)), 'deck' => round($dice->between(250, 1400)), 'guard' => $dice->chance(0.5) ? 'entry-left' : 'entry-right', 'over' => round($dice->between(160, 400)), 'rails' => $dice->chance(0.5) ? 'beam' : 'rail'];
            $plan = self::layout($with, $long)->plan();
            $codes = array_map(fn (Finding $finding) => $finding->code->value, $plan->findings);
            $slats = array_values(array_filter($plan->pieces(), fn ($piece) => $piece->name === 'Slat'));
            self::assertNotSame([], $slats, json_encode([$with, $codes], JSON_THROW_ON_ERROR));
            $gaps = self::between($plan, 'Slat', 'u0', 'u1');
            self::assertLessThanOrEqual($with['gap'] + 1e-6, max($gaps));
            self::assertLessThan(1e-6, max($gaps) - min($gaps));
            foreach (self::between($plan, 'Guard rail', 'z0', 'z1') as $gap) {
                self::assertTrue(($gap >= 59.0 && $gap <= 75.0) || $gap <= 25.0 || in_array('guard-gap', $codes, true), "gap $gap of ".json_encode($with));
            }
            $posts = array_values(array_filter($plan->pieces(), fn ($piece) => $piece->name === 'Guard post'));
            $broken = Guard::postStress($with['thickness'] + $with['over'] + 28 + $posts[0]->width->result->toDouble() / 2, 38, $posts[0]->width->result->toDouble()) > 8.0;
            self::assertSame($broken, in_array('guard-weak', $codes, true));
        }
    }

    /** @return list<float> between one and the next of a name, mm */
    private static function between(SpacePlan $plan, string $name, string $from, string $to): array
    {
        $bounds = [];
        foreach ($plan->assemblies[0]->placed as $placed) {
            if ($placed->piece->name === $name) {
                $bounds[] = $placed->bounds;
            }
        }
        usort($bounds, fn ($a, $b) => $a->$from <=> $b->$from);

        return array_map(fn (int $i) => $bounds[$i]->$from - $bounds[$i - 1]->$to, count($bounds) > 1 ? range(1, count($bounds) - 1) : []);
    }
}
