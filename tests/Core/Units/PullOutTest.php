<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Measure\Length;
use Incastro\Measure\Unit;
use Incastro\Rules\Code;
use Incastro\Rules\Finding;
use Incastro\Rules\Schools\Edges;
use Incastro\Rules\Schools\Mount;
use Incastro\Rules\Schools\Schools;
use Incastro\Rules\Severity;
use Incastro\Trial\Dice;
use Incastro\Units\BodyForm;
use Incastro\Units\Contents;
use Incastro\Units\Hand;
use Incastro\Units\Hardware;
use Incastro\Units\Insides\PullOut;
use Incastro\Units\Options\NoBottom;
use Incastro\Units\Placed;
use Incastro\Units\Pull;
use Incastro\Units\PullOutRun;
use PHPUnit\Framework\TestCase;

final class PullOutTest extends TestCase
{
    private static function pullOut(BodyForm $form = BodyForm::Case, int $shelves = 2, Contents $use = Contents::Cleaning, Mount $mount = Mount::Inset, Unit $unit = Unit::Millimetre): PullOut
    {
        $size = fn (float $mm, float $inches): Length => Length::ofDouble($unit === Unit::Inch ? 25.4 * $inches : $mm);

        return new PullOut($form, Hand::Either, $shelves, $use, Pull::Bar, $mount, $size(120, 4.75), $size(60, 2.375), $size(12, 0.5));
    }

    public function test_under_a_stair_by_hand(): void
    {
        // Face opening 624 wide; its upper edge at 739.325 + 0.75 x over the board below: 800 + 0.75 (x + 17.7) − 45/0.8 − 17.7.
        $box = UnitBox::raked();
        $built = $box->build(self::pullOut());
        $pieces = $box->pieces($built);
        self::assertSame([], $built->findings);
        // Slides of 19.05: 624 − 38.1 − 1 = 584.9, down to 584.5; foot 27.3 + 12; low 769.3625 − 10 − 39.3 = 720.06, down to 720;
        // high 720 + 584.5 · 0.75. 850 − 6 − 18 + 18 − 18 − 17.7 − 10 = 798.3: slides of 750.
        $place = fn (string $role): array => array_map(fn (float $at) => round($at, 3), $pieces[$role][2]);
        self::assertEqualsWithDelta([1158.375, 584.5], array_slice($pieces['pull-out-end-back'], 0, 2), 1e-6);
        self::assertSame([40.05, 624.55, 76.0, 93.7, 39.3, 1197.675], $place('pull-out-end-back'));
        self::assertSame([808.3, 826.0], array_slice($place('pull-out-end-front'), 2, 2));
        // Between the ends 750 − 35.4 = 714.6, down to 714.5; the closed side to its long point 720 + 17.7 · 0.75.
        self::assertEqualsWithDelta([714.5, 733.275], array_slice($pieces['pull-out-side-L'], 0, 2), 1e-6);
        self::assertSame([40.05, 57.75, 93.7, 808.2, 39.3, 772.575], $place('pull-out-side-L'));
        self::assertSame([714.5, 120.0, [606.85, 624.55, 93.7, 808.2, 39.3, 159.3]], $pieces['pull-out-sill-R']);
        self::assertSame([714.5, 549.0, [57.75, 606.75, 93.7, 808.2, 39.3, 57.0]], $pieces['pull-out-bottom']);
        // (720 − 17.7 − 2 · 17.7)/3 = 222.3, down to 222; 584.5 − 17.7 − 12 = 554.8, down to 554.5.
        self::assertSame([714.5, 554.5, [57.75, 612.25, 93.7, 808.2, 279.0, 296.7]], $pieces['pull-out-shelf-1']);
        self::assertSame(518.7, $place('pull-out-shelf-2')[4]);
        self::assertSame([714.5, 60.0, [612.55, 624.55, 93.7, 808.2, 279.0, 339.0]], $pieces['pull-out-guard-1-R']);
        // Its upper edge under the lower face of the end there: 1158.375 − 17.7 · 0.75 = 1145.1 over the foot at 39.3.
        self::assertSame([714.5, 60.0, [606.85, 624.55, 93.7, 808.2, 1124.4, 1184.4]], $pieces['pull-out-stretcher-R']);
        self::assertEqualsWithDelta([1187.75, 619.0], array_slice($pieces['pull-out-face'], 0, 2), 1e-6);
        self::assertSame([22.8, 641.8, 826.0, 844.0, 29.8], array_slice($place('pull-out-face'), 0, 5));
        self::assertSame([750.0, 100.0, [0.0, 17.7, 73.0, 823.0, 49.3, 149.3]], $pieces['pull-out-packer-L']);
        // Some 43 kg of its own and 0.412 m³ · 150: a quarter more is 131 kg.
        self::assertContains('pair of heavy slides 750 mm, 150 kg', array_map(fn (Hardware $one) => $one->name, $built->hardware));
        self::assertEqualsWithDelta(43.2, array_sum(array_map(fn (Placed $one) => str_contains($one->piece->key, 'pull-out') && ! str_contains($one->piece->key, 'packer') ? $one->piece->weight() : 0.0, $built->placed)), 1.0);
    }

    public function test_a_larder_in_inches_by_hand(): void
    {
        // 13 9/16 × 58 9/16 clear, banded, face at 23 25/32: 13 9/16 − 2 · 3/4 − 1/32 = 12 1/32 on heavy slides.
        $box = new UnitBox('15', '60', '24', Unit::Inch, schools: new Schools(edges: Edges::Band));
        $built = $box->build(self::pullOut(BodyForm::Open, 4, Contents::Books, Mount::Overlay, Unit::Inch));
        $pieces = array_map(fn (array $piece) => array_map(fn (float $mm) => round($mm / 25.4, 6), array_slice($piece, 0, 2)), $box->pieces($built));
        self::assertSame([], array_filter($built->findings, fn (Finding $finding) => $finding->severity->value === 'clash'));
        // 58 9/16 − 1/2 − 3/8 = 57 11/16 high; 23 25/32 − 23/32 − 3/8 = 22 11/16: slides of 22.
        self::assertSame([57.6875, 12.03125], $pieces['pull-out-end-back']);
        self::assertSame([20.5625, 4.75], $pieces['pull-out-sill-L']);
        self::assertSame([20.5625, 10.59375], $pieces['pull-out-bottom']);
        self::assertSame([20.5625, 11.09375], $pieces['pull-out-shelf-4']);
        self::assertSame([20.5625, 2.375], $pieces['pull-out-guard-4-R']);
        self::assertSame([20.5625, 4.0], $pieces['pull-out-stretcher-L']);
        self::assertSame([59.875, 14.875], $pieces['pull-out-face']);
        // (57 11/16 − 5 · 23/32)/5 = 10.82, down to 10 13/16.
        self::assertEqualsWithDelta(10.8125 * 25.4, $built->decisions['Clear between shelves of the pull-out, B1']->result->toDouble(), 1e-6);
        // Higher than 35 in: two pairs.
        self::assertSame(2, array_sum(array_map(fn (Hardware $one) => str_contains($one->name, 'slides') ? $one->quantity : 0, $built->hardware)));
    }

    public function test_without_a_front_it_passes_the_open_door_before_it(): void
    {
        $box = new UnitBox('500', '900', '560');
        $unit = new PullOut(BodyForm::Open, Hand::Either, 2, Contents::Cleaning, Pull::Bar, Mount::Inset, Length::ofMillimetres(120), Length::ofMillimetres(60), Length::ofMillimetres(12), false);
        $built = $box->build($unit, UnitBox::door(1, Hand::Left, Pull::Bar));
        // Between the stiles 464.6 − 2 · 20.3 = 424; the leaf, open, takes 18 + 2.5 + 3 at the left: 400.5 − 2 · 12.7 − 1 = 374.1, down to 374.
        self::assertSame(374.0, $box->pieces($built)['pull-out-end-front'][1]);
        self::assertArrayNotHasKey('pull-out-face', $box->pieces($built));
        self::assertSame([], $built->findings);
        self::assertGreaterThanOrEqual(17.7 + 22.8 + 18.0 + 3.0 - 1e-6, $built->movements[0]->swept[0]->bounds->u0);
    }

    public function test_under_a_ceiling_that_falls_to_the_wall_it_rises_outwards_and_passes_its_opening(): void
    {
        $dice = new Dice(20261130);
        $higher = 0;
        for ($i = 0; $i < 150; $i++) {
            [$high, $deep] = [$dice->whole(500, 1000), $dice->whole(400, 1000)];
            $back = $dice->whole(330, $high - 50);
            $box = new UnitBox((string) $dice->whole(260, 800), (string) $high, (string) $deep, schools: new Schools(edges: $dice->pick([Edges::Frame, Edges::Band])), back: (string) $back, breaks: (string) $dice->whole((int) ($deep / 3), $deep));
            $built = $box->build(self::pullOut($dice->pick(BodyForm::cases()), $dice->whole(0, 3), Contents::Toys, $dice->pick([Mount::Inset, Mount::Overlay])));
            if (array_filter($built->findings, fn (Finding $finding) => $finding->severity === Severity::Clash) !== []) {
                continue;
            }
            $movement = $built->movements[0];
            $ends = [];
            foreach ($built->placed as $k => $placed) {
                if (in_array($placed->piece->key, $movement->moving, true)) {
                    $ends += str_contains($placed->piece->key, 'end-') ? [$placed->piece->key => $placed->piece->length->result->toDouble()] : [];
                    foreach (array_slice($built->placed, $k + 1) as $other) {
                        if ($i % 5 === 0 && in_array($other->piece->key, $movement->moving, true)) {
                            self::assertLessThan(0.05, $placed->overlap($other, 0.01), $placed->piece->key.' in '.$other->piece->key);
                        }
                    }

                    continue;
                }
                foreach ($movement->swept as $swept) {
                    self::assertLessThan(0.05, $swept->overlap($placed->solid(), 0.01), "$high, $back behind, $deep deep: it meets {$placed->piece->key}");
                }
            }
            $higher += $ends['tier:pull-out-end-front'] > $ends['tier:pull-out-end-back'] + 10.0 ? 1 : 0;
        }
        self::assertGreaterThan(30, $higher);
    }

    public function test_on_castors_it_rolls_on_the_floor(): void
    {
        $unit = new PullOut(BodyForm::Case, Hand::Either, 2, Contents::Books, Pull::Bar, Mount::Inset, Length::ofMillimetres(120), Length::ofMillimetres(60), Length::ofMillimetres(12), true, PullOutRun::Castor);
        $box = new UnitBox('800', '1200', '700', schools: new Schools(edges: Edges::Band));
        self::assertSame([Code::CastorNeedsFloor], array_map(fn (Finding $finding) => $finding->code, $box->build($unit)->findings));
        $built = $box->build($unit, null, new NoBottom(false));
        $pieces = $box->pieces($built);
        // 764.6 − 2 · 3 = 758.6, down to 758.5; 694 − 18 − 17.7 behind − 10 = 648.3, down to 648, and its ends take 2 · 17.7.
        self::assertSame(758.5, $pieces['pull-out-end-front'][1]);
        self::assertSame(612.5, $pieces['pull-out-bottom'][0]);
        // On castors of 65, its front 12 over the floor: 1182.3 − 12 − 2.5 = 1167.8, down to 1167.5.
        self::assertEqualsWithDelta([65.0 - 17.7, 12.0 - 17.7], [$pieces['pull-out-bottom'][2][4], $pieces['pull-out-face'][2][4]], 1e-6);
        self::assertSame(1167.5, $pieces['pull-out-face'][0]);
        self::assertSame([648.0, 20.0], array_slice($pieces['pull-out-batten-L'], 0, 2));
        self::assertSame([], $built->findings);
        self::assertSame(4, array_sum(array_map(fn (Hardware $one) => str_contains($one->name, 'castor') ? $one->quantity : 0, $built->hardware)));
        foreach ($built->placed as $placed) {
            foreach (in_array($placed->piece->key, $built->movements[0]->moving, true) ? [] : $built->movements[0]->swept as $swept) {
                self::assertLessThan(0.05, $swept->overlap($placed->solid(), 0.01), $placed->piece->key);
            }
        }
    }

    public function test_drawn_out_it_meets_nothing_under_any_rake(): void
    {
        $dice = new Dice(20261127);
        $free = 0;
        for ($i = 0; $i < 500; $i++) {
            [$wide, $low, $deep] = [$dice->whole(260, 900), $dice->whole(300, 1100), $dice->whole(340, 1300)];
            $high = $low + (int) round($wide * $dice->whole(0, 140) / 100);
            $schools = new Schools(edges: $dice->pick([Edges::Frame, Edges::Band]));
            $box = new UnitBox((string) $wide, (string) $high, (string) $deep, schools: $schools, low: (string) $low, fallsRight: $dice->pick([true, false]));
            $built = $box->build(self::pullOut($dice->pick(BodyForm::cases()), $dice->whole(0, 4), $dice->pick([Contents::Toys, Contents::Cleaning]), $dice->pick([Mount::Inset, Mount::Overlay])));
            $what = "$wide × $low … $high × $deep";
            if (array_filter($built->findings, fn (Finding $finding) => $finding->severity === Severity::Clash) !== []) {
                continue;
            }
            $free++;
            $movement = $built->movements[0];
            foreach ($built->placed as $placed) {
                if (in_array($placed->piece->key, $movement->moving, true)) {
                    continue;
                }
                foreach ($movement->swept as $swept) {
                    self::assertLessThan(0.05, $swept->overlap($placed->solid(), 0.01), "$what: on its way it meets {$placed->piece->key}");
                }
            }
            // And closed, its own pieces stand beside each other: looked at in every fourth.
            if ($i % 4 !== 0) {
                continue;
            }
            $grants = $built->grants();
            $own = array_values(array_filter($built->placed, fn (Placed $one) => in_array($one->piece->key, $movement->moving, true)));
            foreach ($own as $k => $one) {
                foreach (array_slice($own, $k + 1) as $other) {
                    self::assertLessThan(0.05 + ($grants[$one->piece->key.'|'.$other->piece->key] ?? 0.0), $one->overlap($other, 0.01), "$what: {$one->piece->key} stands in {$other->piece->key}");
                }
            }
        }
        self::assertGreaterThan(250, $free);
    }

    public function test_where_it_cannot_be_it_says_why(): void
    {
        $codes = fn (UnitBox $box, PullOut $unit): array => array_map(fn (Finding $finding) => $finding->code, array_values(array_filter($box->build($unit)->findings, fn (Finding $finding) => $finding->severity === Severity::Clash)));
        self::assertSame([Code::RakeHit], $codes(new UnitBox('700', '700', '850', low: '320'), self::pullOut()));
        self::assertSame([Code::NoSlideFits], $codes(new UnitBox('700', '900', '280'), self::pullOut()));
        // 0.9 · 2.3 · 1.4 m of books weigh more than a ton.
        self::assertSame([Code::SlidesWeak], $codes(new UnitBox('900', '2300', '1400'), self::pullOut(use: Contents::Books)));
        $front = (new UnitBox('700', '900', '600'))->build(self::pullOut(), UnitBox::door(1, Hand::Left, Pull::Bar));
        self::assertSame(Code::FrontTwice, $front->findings[0]->code);
    }
}
