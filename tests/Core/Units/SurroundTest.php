<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Pieces\Piece;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Recipes\Recipe;
use Incastro\Rules\Finding;
use Incastro\Rules\Schools\BoxJoint;
use Incastro\Rules\Schools\Edges;
use Incastro\Rules\Schools\Schools;
use Incastro\Units\Insides\Shelves;
use Incastro\Units\Options\Surround;
use PHPUnit\Framework\TestCase;
use Tests\Core\PieceSizes;
use Tests\Core\TestLayout;

/** Round the foot of a basin: its radius 105.5 and 0.9 of doubt, its middle 418.6 along and 164.9 out; 860 wide, 640 high, 540 deep. */
final class SurroundTest extends TestCase
{
    private const RADIUS = 106.4;

    /**
     * @param  array<string, mixed>  $top
     * @param  array{float, float}|null  $rim  how wide the basin is and how far it comes out; null: none
     */
    private static function layout(array $top = [], float $wide = 2400.0, ?array $rim = null, float $out = 164.9): TestLayout
    {
        $at = ($wide - 860) / 2;
        $free = fn (string $id): array => TestLayout::bay($id, [], [Doc::tier("$id-1", ['holds' => Recipe::gap()])]);
        $box = TestLayout::bay('b', $at > 1.0 ? ['size' => TestLayout::mm(860), 'top' => 'below'] : ['top' => 'below'], [Doc::tier('b-1', ['holds' => Recipe::box(0, 0), 'size' => TestLayout::mm(622)]), Doc::tier('b-2', ['holds' => Recipe::gap(), 'joined' => false])]);
        $layout = TestLayout::of($at > 1.0 ? [$free('a'), $box, $free('c')] : [$box], ['depth' => TestLayout::mm(540)], $wide, 900.0)->with([
            'members' => [array_replace(Recipe::worktop('w', ['b-1']), ['with' => $top + ['ends' => TestLayout::mm(15)]])],
            'options' => [Doc::member('s', 'surround', ['b-1'])],
        ])->thing('foot', 'pedestal', $at + 418.6 - self::RADIUS, $out - self::RADIUS, 2 * self::RADIUS, 2 * self::RADIUS, 700, 'may-be-covered', ['face' => 'floor']);

        return $rim === null ? $layout : $layout->thing('basin', 'basin', $at + 418.6 - $rim[0] / 2, 700, $rim[0], 150, $rim[1], 'uncovered');
    }

    public function test_its_carcass_slides_home_and_its_top_is_split_through_the_foot(): void
    {
        $layout = self::layout();
        self::assertSame([], $layout->clashes());
        $sizes = PieceSizes::byMark($layout->plan());
        // 640 − 18; 540 − 18, with a face frame of 18. Nothing below, above or behind but the stretcher, 860 − 2·18, and the nailers.
        self::assertSame([622.0, 522.0], $sizes['side-L']);
        self::assertSame([824.0, 90.0], $sizes['top']);
        self::assertArrayNotHasKey('bottom', $sizes);
        // They end 3 beside what passes between them: 312.2 − 3 − 18 = 291.2, and 860 − 18 − 525 − 3 = 314.
        self::assertSame([[291.0, 90.0], [314.0, 90.0]], [$sizes['nailer-top-a'], $sizes['nailer-top-b']]);
        self::assertSame([[622.0, 38.0], [784.0, 45.0], [784.0, 45.0]], [$sizes['stile-L'], $sizes['rail-top'], $sizes['rail-bottom']]);
        // Split at 419 from its left: 419 + 15 and 860 − 419 + 15; 540 + 20 deep and what is scribed to the wall.
        self::assertSame([434.0, 456.0], [$sizes['top-L'][0], $sizes['top-R'][0]]);
        // The hole is 106.4 + 5, up to 112; under the split 540 − 18 − 90 − 164.9 − 112 − 10 = 145.1 are left for a joiner.
        self::assertSame(112.0, $layout->plan()->assemblies[0]->decisions['Radius of the hole, W1']->result->toDouble());
        self::assertSame([145.0, 80.0], $sizes['joiner']);
        $parts = array_map(fn (Piece $piece) => implode('; ', $piece->told(LengthFormat::millimetres())), array_filter($layout->plan()->pieces(), fn (Piece $piece) => str_starts_with($piece->key, 'w:top-')));
        self::assertCount(2, array_filter($parts, fn (string $told) => str_contains($told, 'split through the centre of a hole for foot, 224 mm across')));
    }

    public function test_a_rim_that_hides_it_leaves_it_in_one_and_so_do_walls_at_both_ends(): void
    {
        // 2 · (112 + 5) = 234 is hidden by a rim of 460, not by one of 220.
        self::assertArrayHasKey('top-L', PieceSizes::byMark(self::layout(rim: [220.0, 420.0])->plan()));
        self::assertArrayNotHasKey('top-L', PieceSizes::byMark(self::layout(rim: [460.0, 420.0])->plan()));
        self::assertSame([], self::layout(wide: 860.0)->clashes());
        self::assertArrayNotHasKey('top-L', PieceSizes::byMark(self::layout(wide: 860.0)->plan()));
        // Between walls neither half can be held 106.4 ± 0.4 + 5 off.
        $between = self::layout(['split' => 'left-right'], 860.0);
        $clash = array_values(array_filter($between->clashes(), fn (Finding $one) => $one->code->value === 'half-cannot-pass'))[0] ?? self::fail('Nothing was said of the halves.');
        self::assertStringContainsString('half of W1 must be held 112 mm off to pass foot', $clash->sentence);
        self::assertSame([], $between->edited($clash->waysOut[0]->edit)->clashes());
    }

    public function test_a_strip_behind_the_foot_comes_in_from_a_free_end(): void
    {
        $layout = self::layout(['split' => 'front-back'], 3200.0, null, 200.0);
        self::assertSame([], $layout->clashes());
        $sizes = PieceSizes::byMark($layout->plan());
        // 200 − 106.4 − 5 = 88.6, down to 88, and 15 to scribe; in front of it 560 − 88.
        self::assertSame([890.0, 88.0 + 15.0], $sizes['top-back']);
        self::assertSame([890.0, 472.0], $sizes['top-front']);
        // 164.9 − 106.4 − 5 = 53.5 is too narrow for a strip.
        $near = self::layout(['split' => 'front-back'], 3200.0);
        self::assertStringContainsString('it must be 60 mm deep at least', $near->clashes()[0]->sentence);
        self::assertSame([], $near->edited($near->clashes()[0]->waysOut[0]->edit)->clashes());
    }

    public function test_too_little_in_front_of_the_foot_is_said(): void
    {
        $clash = array_values(array_filter(self::layout(out: 430.0)->clashes(), fn (Finding $one) => $one->code->value === 'thin-bridge'))[0] ?? self::fail('Nothing was said of what is left.');
        // 560 − 430 − 112.
        self::assertStringContainsString('Only 18 mm of W1 would be left in front of foot', $clash->sentence);
    }

    public function test_round_a_machine_in_inches_with_dadoes_and_banded_edges(): void
    {
        // A washer of 23 1/2 with 3/8 at both sides: 25 11/16 over sides of 23/32; 34 31/32 under a top; 29 1/2 deep with 4 behind it.
        $box = new UnitBox('25 11/16', '34 31/32', '29 1/2', Unit::Inch, BoxJoint::Dado, schools: new Schools(edges: Edges::Band, boxJoint: BoxJoint::Dado));
        $pieces = array_map(fn (array $piece) => [round($piece[0] / 25.4, 6), round($piece[1] / 25.4, 6)], $box->pieces($box->build(new Shelves(0, 0), null, new Surround(false))));
        self::assertSame([34.9375, 29.5], $pieces['side-L']);
        // 25 11/16 − 2 · 23/32 + 2 · 7/32 in both sides.
        self::assertSame([24.6875, 3.5], $pieces['top']);
        self::assertArrayNotHasKey('back', $pieces);
    }
}
