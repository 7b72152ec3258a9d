<?php

declare(strict_types=1);

namespace Tests\Core\Saw;

use Incastro\Saw\LabelCode;
use PHPUnit\Framework\TestCase;
use Random\Engine\Xoshiro256StarStar;
use Random\Randomizer;

final class LabelCodeTest extends TestCase
{
    public function test_the_check_sign_by_hand(): void
    {
        // 7K3QX9M2T: 7·1 + 19·3 + 3·5 + 23·7 + 29·9 + 9·11 + 20·13 + 2·15 + 26·17 = 1332; 1332 mod 32 = 20, which is M.
        self::assertSame('7K3QX9M2TM', LabelCode::read('7k3qx9m2tm'));
        self::assertNull(LabelCode::read('7K3QX9M2TD'));
        // I and L are read as 1, O as 0.
        self::assertSame('1010000006', LabelCode::read('IOLOOOOOO6'));
        self::assertNull(LabelCode::read('7K3QX9M2T'));
        self::assertNull(LabelCode::read('U000000000'));
    }

    public function test_one_sign_misread_is_noticed(): void
    {
        $chance = new Randomizer(new Xoshiro256StarStar(1));
        for ($i = 0; $i < 200; $i++) {
            $code = LabelCode::make($chance->getInt(...));
            self::assertSame($code, LabelCode::read($code));
            $at = $chance->getInt(0, 9);
            $wrong = $code;
            $wrong[$at] = $code[$at] === '7' ? 'X' : '7';
            self::assertNull(LabelCode::read($wrong), "$code as $wrong");
        }
    }
}
