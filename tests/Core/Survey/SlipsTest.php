<?php

declare(strict_types=1);

namespace Tests\Core\Survey;

use Incastro\Survey\Slips;
use Incastro\Survey\Tool;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Each typical blunder explains its own error, and nothing explains what is none. */
final class SlipsTest extends TestCase
{
    /** @return array<string, array{float, float, string, Tool, bool, ?float, ?string}> error, value, typed, tool, inches, other side, words */
    public static function blunders(): array
    {
        return [
            'an inch' => [25.1, 1225.4, '1225', Tool::Tape, false, null, 'one inch too long'],
            'an inch short' => [-25.6, 1174.6, '1175', Tool::Tape, false, null, 'one inch too short'],
            '10 mm' => [10.3, 1210.0, '1210', Tool::Tape, false, null, '10 mm too long'],
            'a foot' => [-304.2, 895.0, '895', Tool::Tape, false, null, 'one foot too short'],
            '100 mm' => [100.4, 1300.0, '1300', Tool::Tape, false, null, '100 mm too long'],
            // 916 read as 919 is 3; 1196 typed 1199: 3 too long. In the hundreds: 1603 read 1903.
            '6 for 9' => [300.5, 1903.0, '1903', Tool::Tape, false, null, '1903 for 1603: a 6 read as 9'],
            'swapped digits' => [-18.2, 1235.0, '1235', Tool::Tape, false, null, '1235 for 1253: digits swapped'],
            'the body' => [-76.0, 820.0, '820', Tool::Inside, false, null, 'the tape’s body not added'],
            'an eighth' => [3.2, 804.0, '31 5/8', Tool::Rule, true, null, 'an eighth of an inch too long'],
            'left for right' => [42.0, 650.0, '650', Tool::Inside, false, 608.0, 'left and right swapped'],
            'the level upside down' => [-8.1, -4.0, '4', Tool::Level1200, false, null, 'the level’s sign the wrong way round'],
            'nothing of the kind' => [47.0, 1247.0, '1247', Tool::Tape, false, null, null],
        ];
    }

    #[DataProvider('blunders')]
    public function test_a_blunder_is_named_by_its_size(float $error, float $value, string $typed, Tool $tool, bool $isInch, ?float $other, ?string $words): void
    {
        $sigma = $tool->isLevel() ? 0.6 : ($tool === Tool::Rule ? 0.4 : 1.5);
        self::assertSame($words, Slips::explain($error, $sigma, $value, $typed, $tool, $isInch, $other)?->words);
    }

    public function test_an_error_within_its_doubt_is_no_slip(): void
    {
        // ± 12 mm: an inch would explain 25, but 10 mm is no more than the doubt itself.
        self::assertNull(Slips::explain(10.0, 12.0, 1210.0, '1210', Tool::Tape, false));
    }
}
