<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Measure\Length;
use Incastro\Rules\Code;
use Incastro\Rules\Schools\Edges;
use Incastro\Rules\Schools\Schools;
use Incastro\Units\FlapForm;
use Incastro\Units\Fronts\DropDown;
use Incastro\Units\Insides\Shelves;
use Incastro\Units\Joint;
use Incastro\Units\Options\NoBack;
use Incastro\Units\Options\NoBottom;
use PHPUnit\Framework\TestCase;

/** Boxes that something is left out of. */
final class BoxOptionsTest extends TestCase
{
    private static function noBack(bool $passage = false, float $ring = 45.0): NoBack
    {
        return new NoBack($passage, Length::ofDouble($ring));
    }

    /** 640 × 700 of 17.8: 604.4 by 664.4 inside; a ring of 45 leaves 514.4 by 574.4. */
    public function test_a_ring_keeps_a_passage_square(): void
    {
        $box = new UnitBox('640', '700', '560', board: '17.8');
        $built = $box->build(new Shelves(0, 0), null, self::noBack(true));
        $pieces = $box->pieces($built);
        self::assertSame([664.0, 45.0], array_slice($pieces['ring-L'], 0, 2));
        self::assertSame([514.0, 45.0], array_slice($pieces['ring-head'], 0, 2));
        self::assertArrayNotHasKey('nailer-top', $pieces);
        self::assertStringContainsString('514 mm by 574 mm: one gets through it, but not with ease', $built->findings[0]->sentence);
        // 538 − 35.6 − 90 = 412.4
        $narrow = (new UnitBox('538', '700', '560', board: '17.8'))->build(new Shelves(0, 0), null, self::noBack(true));
        self::assertSame('Inside its ring the passage is 412 mm wide; a person needs 450 mm.', $narrow->findings[0]->sentence);
        self::assertSame('B1-shelf-1 lies across the passage.', $box->build(new Shelves(1, 0), null, self::noBack(true))->findings[0]->sentence);
    }

    public function test_without_back_and_bottom_by_hand(): void
    {
        $box = UnitBox::metric();
        $built = $box->build(new Shelves(1, 0), null, new NoBottom(true), self::noBack());
        $pieces = $box->pieces($built);
        // Sides as high as the box, 560 − 18 = 542 deep; 900 − 17.7 = 882.3 clear.
        self::assertSame([900.0, 542.0], array_slice($pieces['side-L'], 0, 2));
        self::assertArrayNotHasKey('bottom', $pieces);
        self::assertArrayNotHasKey('back', $pieces);
        // One shelf in the middle of 882.3: (882.3 − 17.7)/2 = 432.3 under it.
        self::assertEqualsWithDelta(432.3, $pieces['shelf-1'][2][4] + 17.7, 0.5);
        // The strip at its foot stands on what is below.
        self::assertEqualsWithDelta(0.0, $pieces['nailer-bottom'][2][4] + 17.7, 1e-6);
        self::assertSame([], array_filter($built->joints, fn (Joint $joint) => str_contains($joint->a.$joint->b, ':bottom') || str_contains($joint->a.$joint->b, ':back')));
    }

    public function test_without_back_and_bottom_in_inches_by_hand(): void
    {
        $box = UnitBox::banded();
        $pieces = $box->pieces($box->build(new Shelves(0, 1), null, new NoBottom(false), self::noBack()));
        // 22 deep without a back, and no strip at the foot.
        self::assertSame(22.0, $pieces['side-R'][1] / 25.4);
        self::assertArrayNotHasKey('nailer-bottom', $pieces);
        // 34 3/4 − 23/32 = 34 1/32 clear: half of what one shelf leaves of it, 16 21/32, down to a sixteenth.
        self::assertEqualsWithDelta(16.625, ($pieces['shelf-1'][2][4] + 23 / 32 * 25.4) / 25.4, 0.04);
    }

    public function test_a_flap_has_no_board_to_lie_level_with(): void
    {
        $box = new UnitBox('700', '560', '350', schools: new Schools(edges: Edges::Band));
        $found = $box->build(new Shelves(0, 0), new DropDown(FlapForm::Flush, 150, 2, Length::ofMillimetres(200)), new NoBottom(true))->findings;
        self::assertSame(Code::FlapNotLevel, $found[0]->code);
    }
}
