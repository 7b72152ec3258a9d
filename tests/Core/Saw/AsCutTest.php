<?php

declare(strict_types=1);

namespace Tests\Core\Saw;

use Incastro\Measure\LengthFormat;
use Incastro\Saw\AsCut;
use PHPUnit\Framework\TestCase;

final class AsCutTest extends TestCase
{
    private static function nm(float $mm): int
    {
        return (int) round($mm * 1e6);
    }

    /**
     * @param  list<array{least: int, most: int, sentence: string}>  $uses
     * @return array{state: string, sentence: string}
     */
    private static function judged(float $planned, float $measured, string $sort = 'board', array $uses = []): array
    {
        return (new AsCut(LengthFormat::millimetres('0.5')))->judge('B1-bottom', self::nm($planned), self::nm($measured), AsCut::band($sort, 'length', self::nm($planned)), $uses);
    }

    public function test_what_a_board_allows(): void
    {
        self::assertSame(['state' => 'good', 'sentence' => 'As planned.'], self::judged(563, 563));
        self::assertSame(['state' => 'good', 'sentence' => '0.5 mm more than planned: that is good.'], self::judged(563, 563.5));
        self::assertSame(['state' => 'long', 'sentence' => '2 mm too long: up to 563.5 mm is good. Set the same again, and take it off.'], self::judged(563, 565));
        self::assertSame('short', self::judged(563, 561)['state']);
        // A shelf on pins may be shorter than a board that ties the sides together.
        self::assertSame('good', self::judged(560, 558.5, 'shelf')['state']);
    }

    public function test_another_piece_and_another_unit(): void
    {
        self::assertSame('531 mm is 32 mm less than 563 mm. Is it another piece, or spoiled?', self::judged(563, 531)['sentence']);
        // 563 mm are 22 3/16 in: typed without a unit it was read as 22.2 mm.
        self::assertSame('22.2 mm? B1-bottom is planned as 563 mm. Was it read in the other unit? Type it again with its unit.', self::judged(563, 22.2)['sentence']);
    }

    public function test_a_size_is_judged_by_what_it_is_good_for(): void
    {
        // A shelf of 560 between sides on a bottom of 563 has a play of 3, good from 1 to 5: the bottom may be 561 to 565, the shelf 558 to 562.
        self::assertSame([self::nm(561), self::nm(565)], AsCut::limits(self::nm(563), 3.0, 1.0, 1.0, 5.0));
        self::assertSame([self::nm(558), self::nm(562)], AsCut::limits(self::nm(560), 3.0, -1.0, 1.0, 5.0));
        $use = ['least' => self::nm(558), 'most' => self::nm(562), 'sentence' => 'The shelf does not drop in.'];
        self::assertSame(['state' => 'long', 'sentence' => '3 mm too long: up to 560.5 mm is good. Set the same again, and take it off. The shelf does not drop in.'], self::judged(560, 563, 'shelf', [$use]));
        self::assertSame('good', self::judged(560, 560.5, 'shelf', [$use])['state']);
        // Within what a slat allows, and yet too much for what it stands between.
        self::assertSame('short', self::judged(560, 558.5, 'slat', [['least' => self::nm(559)] + $use])['state']);
    }
}
