<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\UsualMaterials;
use Incastro\Units\Make\Opening\Sections;
use PHPUnit\Framework\TestCase;
use Tests\Core\PieceSizes;
use Tests\Core\TestLayout;

final class OpeningFrameTest extends TestCase
{
    /**
     * Three sections under a rake of 33.5°, two posts found at 812 and 1601.
     *
     * @param  array<string, mixed>  $with
     * @param  array{array<string, mixed>, array<string, mixed>}  $posts  what else was found of them
     */
    private static function layout(array $with = [], array $posts = [[], []]): TestLayout
    {
        $usual = (new UsualMaterials(Unit::Millimetre))->document();
        $usual['materials'][1]['thickness'] = TestLayout::mm(19.1);
        $usual['stock'][2]['length'] = TestLayout::mm(3000);
        $on = ['wall' => 0, 'from' => TestLayout::mm(200), 'to' => TestLayout::mm(2612), 'foot' => null, 'head' => null];
        $with += ['left' => TestLayout::mm(520), 'right' => TestLayout::mm(520 + 2412 * tan(deg2rad(33.5))), 'sections' => 3, 'confirmed' => true];

        return TestLayout::of([], width: 2900.0)->changing(['rules' => ['longest_piece' => TestLayout::mm(3000)]] + $usual)->with(['surfaces' => [['id' => 's'] + Doc::holds('opening-frame', $with) + ['on' => $on]], 'runs' => [], 'members' => []])
            ->thing('post-1', 'post', 200 + 812 - 23.5, 0, 47, 900, 0, 'may-be-covered', $posts[0])
            ->thing('post-2', 'post', 200 + 1601 - 23.5, 0, 47, 1500, 0, 'may-be-covered', $posts[1]);
    }

    public function test_three_sections_under_a_rake_cover_the_posts_found(): void
    {
        $layout = self::layout();
        self::assertSame([], array_map(fn ($one) => $one->sentence, $layout->clashes()));
        $plan = $layout->plan();
        $sizes = PieceSizes::byMark($plan);
        // (2412 − 140 − 140)/3 = 710.67, down; 2412 − 70 − 2130 − 140 = 72.
        self::assertSame([710.0, 72.0], [$plan->decisions()['Each section, O1']->result->toDouble(), $plan->decisions()['Right side stile, O1']->result->toDouble()]);
        // 520 + 70 · tan 33.5° = 566.3; 520 + 2412 · tan 33.5° = 2116.5.
        self::assertSame([[566.0, 70.0], [2116.0, 72.0]], [$sizes['stile-L'], $sizes['stile-R']]);
        // 2270/cos 33.5° + 60 · tan 33.5° = 2761.9.
        self::assertSame([[2761.0, 60.0], [2270.0, 95.0]], [$sizes['rail-rake'], $sizes['rail-foot']]);
        // 520 + 850 · tan 33.5° − 60/cos 33.5° − 95 = 915.7; 520 + 1630 · tan 33.5° − 60/cos 33.5° − 95 = 1431.9.
        self::assertSame([[915.0, 70.0], [1431.0, 70.0]], [$sizes['stile-mid-1'], $sizes['stile-mid-2']]);
    }

    public function test_fronts_keep_their_reveal_square_to_each_edge(): void
    {
        $layout = self::layout(['front' => 'panels']);
        self::assertSame([], array_map(fn ($one) => $one->sentence, $layout->clashes()));
        $plan = $layout->plan();
        $fronts = array_values(array_filter($plan->assemblies[0]->placed, fn ($placed) => $placed->piece->name === 'Front'));
        // 710 − 5 = 705 wide; low 520 + (x + 2.5) · tan 33.5° − 62.5/cos 33.5° − 97.5: 395.5, 911.5 and 1428; high 705 · tan 33.5° = 466.6 more.
        foreach ([[395.5, 862.13], [911.5, 1378.13], [1428.0, 1894.63]] as $i => [$low, $high]) {
            self::assertEqualsWithDelta(705.0, $fronts[$i]->piece->width->result->toDouble(), 1e-6);
            self::assertEqualsWithDelta([$low, $high], [$fronts[$i]->piece->outline->outer->points[1]->x, $fronts[$i]->piece->outline->outer->points[2]->x], 0.01);
            self::assertSame(ceil($high), $fronts[$i]->piece->length->result->toDouble());
        }
    }

    public function test_furring_brings_posts_behind_the_straightedge_into_the_plane_of_the_trim(): void
    {
        $mm = TestLayout::mm(...);
        $layout = self::layout([], [['behind' => $mm(10.9), 'behind_head' => $mm(13.9)], ['behind' => $mm(20.9), 'behind_head' => $mm(16.4)]]);
        $plan = $layout->plan();
        $strips = array_values(array_filter($plan->assemblies[0]->placed, fn ($placed) => $placed->piece->name === 'Furring strip'));
        self::assertCount(2, $strips);
        // As long as its post, or to 20 under the rail, 520 + 1582 · tan 33.5° − 60/cos 33.5° − 20 = 1475.1; as deep as its farther end, down to
        // half a millimetre, and tapered between both: 13.5 from 10.5, 20.5 to 16.
        self::assertSame([[900.0, 13.5], [1475.0, 20.5]], array_map(fn ($placed) => [$placed->piece->length->result->toDouble(), $placed->piece->width->result->toDouble()], $strips));
        self::assertEqualsWithDelta([10.5, 13.5], [$strips[0]->piece->outline->outer->points[3]->y, $strips[0]->piece->outline->outer->points[2]->y], 0.01);
        self::assertEqualsWithDelta([20.5, 16.0], [$strips[1]->piece->outline->outer->points[3]->y, $strips[1]->piece->outline->outer->points[2]->y], 0.01);
        self::assertSame([], array_map(fn ($one) => $one->sentence, $layout->clashes()));
        // Stiles of 70 from 780 and 1560: 812 − 23.5 − 780 = 8.5, 850 − 835.5 = 14.5.
        self::assertEqualsWithDelta([8.5, 14.5], [$plan->decisions()['Slides left of post 1 of O1 packed']->result->toDouble(), $plan->decisions()['Slides right of post 1 of O1 packed']->result->toDouble()], 1e-6);
    }

    public function test_a_post_that_stands_out_brings_the_trim_before_it_and_one_that_bears_is_said(): void
    {
        $proud = self::layout()->thing('post-3', 'post', 200 + 795, 0, 47, 900, 6, 'may-be-covered', ['bears' => 'bears']);
        $plan = $proud->plan();
        $said = array_map(fn ($one) => $one->sentence, $plan->findings);
        self::assertContains('A post in O1 stands 6 mm out: the trim stands as far before the wall.', $said);
        self::assertNotSame([], array_filter($said, fn (string $one) => str_starts_with($one, 'Post-3 carries the house: nothing is cut from it')));
        $stile = array_values(array_filter($plan->assemblies[0]->placed, fn ($placed) => str_ends_with($placed->piece->key, ':stile-L')))[0];
        self::assertEqualsWithDelta(6.0, $stile->bounds->v0, 1e-6);
        // What somebody who knows found to carry nothing is not asked about again.
        $asked = fn (array $post): array => array_filter(self::layout(['confirmed' => false], [$post, $post])->plan()->findings, fn ($one) => $one->code->value === 'wall-may-bear');
        self::assertSame([1, 0], [count($asked([])), count($asked(['bears' => 'does-not']))]);
    }

    public function test_a_square_opening_in_two(): void
    {
        $read = fn (string $typed): Length => (new LengthReader(Unit::Inch))->read($typed);
        // (71 1/4 − 5 − 2)/2 = 32 1/8; the post at 35 3/8 lies 1/4 off the middle: 1 1/2 + 2 · 1/4 = 2.
        $sections = Sections::covering($read('71 1/4'), 2, $read('2 1/2'), $read('2'), [[$read('35 3/8')->toDouble(), $read('1 1/2')->toDouble()]], LengthFormat::inches());
        self::assertSame([$read('32 1/8')->nanometres(), $read('2 1/2')->nanometres(), $read('2')->nanometres()], [$sections->clear->result->nanometres(), $sections->last->result->nanometres(), $sections->middle->nanometres()]);
        self::assertEqualsWithDelta($read('2')->toDouble(), $sections->needs([[$read('35 3/8')->toDouble(), $read('1 1/2')->toDouble()]]), 1e-6);
    }

    public function test_a_stile_grows_over_a_post_off_its_place_as_far_as_stiles_grow(): void
    {
        // 20 off the middle of 1000: 47 + 2 · 20 = 87; wider stiles move no middle of two sections.
        $at = fn (float $x): Sections => Sections::covering(Length::ofMillimetres(1000), 2, Length::ofMillimetres(70), Length::ofMillimetres(70), [[$x, 47.0]], LengthFormat::millimetres());
        self::assertEqualsWithDelta(88.0, $at(520.0)->middle->toDouble(), 1.0);
        self::assertLessThanOrEqual($at(520.0)->middle->toDouble() + 1e-6, $at(520.0)->needs([[520.0, 47.0]]));
        $layout = self::layout()->thing('post-3', 'post', 200 + 400, 0, 47, 400, 0, 'may-be-covered');
        self::assertStringStartsWith('A post in O1 stands so far off its place', $layout->clashes()[0]->sentence);
    }

    public function test_doors_turn_on_their_higher_side(): void
    {
        $plan = self::layout(['front' => 'doors'])->plan();
        $movements = $plan->assemblies[0]->movements;
        self::assertCount(3, $movements);
        $first = array_values(array_filter($plan->assemblies[0]->placed, fn ($placed) => $placed->piece->name === 'Front'))[0];
        // The rake rises to the right: so hinged.
        self::assertEqualsWithDelta($first->bounds->u1, $movements[0]->motion->at->x, 1e-6);
    }
}
