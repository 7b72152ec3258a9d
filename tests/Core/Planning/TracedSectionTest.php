<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Incastro\Measure\LengthFormat;
use Incastro\Planning\InvalidChoice;
use Incastro\Planning\TracedSection;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** A section that was traced with a card, typed corner by corner. */
final class TracedSectionTest extends TestCase
{
    /** @return array{typed: string, corners: list<array{int, int}>} */
    private static function stored(string $typed, ?LengthFormat $format = null): array
    {
        return TracedSection::field($format ?? LengthFormat::millimetres())->store('traced', $typed);
    }

    public function test_corners_are_kept_as_they_were_typed_and_as_lengths(): void
    {
        $stored = self::stored(' 0 x 0; 60 × 0;60x50 ; 0 x 30; ');
        self::assertSame('0 x 0; 60 × 0;60x50 ; 0 x 30;', $stored['typed']);
        self::assertSame([[0, 0], [60_000_000, 0], [60_000_000, 50_000_000], [0, 30_000_000]], $stored['corners']);
        // A trapezium: 60 · (50 + 30)/2.
        self::assertEqualsWithDelta(2400.0, TracedSection::read($stored, [60.0, 50.0])?->area(), 1e-9);
        // Inches: 2 1/2 · 25.4.
        self::assertSame(63_500_000, self::stored('0 x 0; 2 1/2 x 0; 1 x 2', LengthFormat::inches())['corners'][1][0]);
    }

    public function test_an_oval_is_as_large_as_its_thing(): void
    {
        $stored = self::stored('Oval');
        self::assertSame([], $stored['corners']);
        // 24 sides: 24/2 · sin(360°/24) · 30 · 20.
        self::assertEqualsWithDelta(12.0 * sin(2 * M_PI / 24) * 30.0 * 20.0, TracedSection::read($stored, [60.0, 40.0])?->area(), 1e-6);
        self::assertNull(TracedSection::read(null, [60.0, 40.0]));
    }

    /** @return array<string, array{string, string}> */
    public static function refusals(): array
    {
        return [
            'too many' => [implode('; ', array_map(fn (int $i) => "$i x ".$i * $i, range(1, 41))), 'There are 41 corners.'],
            'all on a line' => ['0 x 0; 30 x 0; 60 x 0', 'lie on one line'],
            'no number' => ['0 x 0; wide x 0; 60 x 50', '“wide”'],
        ];
    }

    #[DataProvider('refusals')]
    public function test_what_is_no_section_is_refused_in_words(string $typed, string $words): void
    {
        $this->expectException(InvalidChoice::class);
        $this->expectExceptionMessage($words);
        self::stored($typed);
    }
}
