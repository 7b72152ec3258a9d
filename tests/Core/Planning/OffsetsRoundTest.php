<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Incastro\Measure\LengthFormat;
use Incastro\Planning\InvalidChoice;
use Incastro\Planning\OffsetsRound;
use Incastro\Planning\ThingChoices;
use Incastro\Survey\Things\Face;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

final class OffsetsRoundTest extends TestCase
{
    private const TYPED = '400; 328 x 181; 373 x 140; 418 x 129.5; 463 x 139.5; 508 x 179';

    /** @return array{typed: string, line: int, stations: list<array{int, int}>} */
    private static function stored(string $typed): array
    {
        return OffsetsRound::field(LengthFormat::millimetres())->store('things.p.offsets', $typed);
    }

    private static function refused(string $typed): string
    {
        try {
            self::stored($typed);
        } catch (InvalidChoice $refused) {
            return $refused->getMessage();
        }
        self::fail('It was taken.');
    }

    public function test_five_offsets_give_the_foot_of_a_basin(): void
    {
        $stored = self::stored(self::TYPED);
        self::assertSame([400_000_000, [328_000_000, 181_000_000]], [$stored['line'], $stored['stations'][0]]);
        $round = OffsetsRound::round($stored);
        // The line is 400 out: its middle is (418.6, 164.9), its radius 105.5.
        self::assertEqualsWithDelta([418.6, 164.9, 105.5], [$round?->centre->x, $round?->centre->y, $round?->radius], 0.1);
    }

    public function test_the_thing_stands_where_its_offsets_say_as_large_as_it_may_be(): void
    {
        $entry = [
            'id' => 'p', 'kind' => 'pedestal', 'name' => 'Pedestal', 'face' => 'floor', 'wall' => 0, 'along' => TestLayout::mm(0), 'along_from' => 'right', 'up' => TestLayout::mm(0), 'up_from' => 'floor',
            'width' => TestLayout::mm(200), 'height' => TestLayout::mm(200), 'stands_out' => TestLayout::mm(700), 'rule' => 'may-be-covered', 'reach_from' => null, 'hand_room' => null, 'clearance' => null, 'swing' => null, 'direction' => null,
            'offsets' => self::stored(self::TYPED),
        ];
        $thing = ThingChoices::read($entry);
        self::assertSame([Face::Floor, false], [$thing->face, $thing->fromRight]);
        self::assertEqualsWithDelta([418.6, 164.9], [$thing->along + $thing->width / 2, $thing->up + $thing->height / 2], 0.1);
        // Its doubts are in its size: 105.5 and 1 to 2.
        self::assertGreaterThan(106.0, $thing->width / 2);
        self::assertLessThan(108.0, $thing->width / 2);
    }

    public function test_what_is_not_round_or_seen_too_little_is_said_with_what_to_do(): void
    {
        self::assertStringContainsString('Station 2 was understood as “373”.', self::refused('400; 328 x 181; 373'));
        self::assertStringContainsString('There are 2 stations.', self::refused('400; 328 x 181; 373 x 140'));
        self::assertStringContainsString('lie on a line', self::refused('400; 300 x 100; 400 x 100; 500 x 100'));
        self::assertMatchesRegularExpression('~Station \d lies [\d.]+ mm off the circle of the others: take it again~', self::refused('400; 328 x 181; 373 x 155; 418 x 129.5; 463 x 139.5; 508 x 179'));
        self::assertStringContainsString('Take stations further round', self::refused('400; 390 x 133.4; 418.6 x 129.6; 447 x 133.4'));
    }
}
