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
    public function test_without_back_and_bottom_by_hand(): void
    {
        $box = UnitBox::metric();
        $built = $box->build(new Shelves(1, 0), null, new NoBottom(true), new NoBack());
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
        $pieces = $box->pieces($box->build(new Shelves(0, 1), null, new NoBottom(false), new NoBack()));
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
