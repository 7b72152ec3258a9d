<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Rules\Finding;
use Incastro\Rules\Schools\Edges;
use Incastro\Rules\Schools\Schools;
use Incastro\Rules\Severity;
use Incastro\Trial\Dice;
use Incastro\Units\Insides\TiltOut;
use Incastro\Units\Pull;
use PHPUnit\Framework\TestCase;

final class TiltOutTest extends TestCase
{
    public function test_a_bin_that_clears_its_opening_by_hand(): void
    {
        // 424 × 310 between the frame of 500 × 400 × 400; the leaf laps 12.7: its foot at 27.3 − 12.7 = 14.6.
        $box = new UnitBox('500', '400', '400');
        $built = $box->build(new TiltOut(Pull::Bar, 30));
        $pieces = $box->pieces($built);
        self::assertSame([335.0, 449.0], array_slice($pieces['tilt-out'], 0, 2));
        // From the hinge 337.3 − 14.6 − 10 = 312.7 is clear. 240 high it would be √(312.7² − 262.7²) = 169 deep; two thirds of that, 160, reach
        // 37.3 − 14.6 + 160 = 182.7 over the hinge and leave √(312.7² − 182.7²) = 253.8, down to 253. It is 424 − 2 · 6 = 412 wide.
        self::assertSame([253.0, 160.0], array_slice($pieces['drawer-tilt-side-L'], 0, 2));
        self::assertSame(388.0, $pieces['drawer-tilt-front'][0]);
        self::assertSame([], $built->findings);
    }

    public function test_turned_out_it_meets_nothing_of_its_box(): void
    {
        $dice = new Dice(20261128);
        $made = 0;
        for ($i = 0; $i < 150; $i++) {
            $box = new UnitBox((string) $dice->whole(300, 1000), (string) $dice->whole(300, 700), (string) $dice->whole(200, 650), schools: new Schools(edges: $dice->pick([Edges::Frame, Edges::Band])));
            $built = $box->build(new TiltOut($dice->pick(Pull::cases()), $dice->whole(15, 45)));
            if (array_filter($built->findings, fn (Finding $finding) => $finding->severity === Severity::Clash) !== []) {
                continue;
            }
            $made++;
            foreach ($built->movements[0]->swept as $swept) {
                foreach ($built->placed as $placed) {
                    if (! in_array($placed->piece->key, $built->movements[0]->moving, true)) {
                        self::assertLessThan(0.05, $swept->overlap($placed->solid(), 0.01), $placed->piece->key);
                    }
                }
            }
        }
        self::assertGreaterThan(100, $made);
    }
}
