<?php

declare(strict_types=1);

namespace Tests\Core\Measure;

use Eris\Generators;
use Eris\TestTrait;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unit;
use Incastro\Measure\Unreadable;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class LengthReaderTest extends TestCase
{
    use TestTrait;

    /** @return iterable<string, array{string, string, ?int, ?string}> */
    public static function vectors(): iterable
    {
        $file = json_decode((string) file_get_contents(__DIR__.'/../../vectors/lengths.json'), true, 8, JSON_THROW_ON_ERROR);
        foreach ($file['vectors'] as $i => $vector) {
            yield "$i {$vector['unit']}: {$vector['text']}" => [$vector['text'], $vector['unit'], $vector['nm'] ?? null, $vector['refused'] ?? null];
        }
    }

    #[DataProvider('vectors')]
    public function test_it_passes_the_vectors_that_the_browser_passes(string $text, string $unit, ?int $nanometres, ?string $refused): void
    {
        if ($refused !== null) {
            $this->expectException(Unreadable::class);
            $this->expectExceptionMessage($refused);
        }
        self::assertSame($nanometres, (new LengthReader(Unit::from($unit)))->read($text)->nanometres());
    }

    public function test_a_lean_may_be_negative(): void
    {
        self::assertSame(-7_000_000, (new LengthReader(Unit::Millimetre))->readSigned('3 - 10')->nanometres());
    }

    public function test_what_is_written_is_read_back_as_the_same_length(): void
    {
        $this->forAll(Generators::elements(...LengthFormat::names()), Generators::choose(0, 60_000))
            ->then(function (string $name, int $steps): void {
                $format = LengthFormat::of($name);
                $length = Length::ofNanometres(min($steps * $format->step->nanometres(), 30_000_000_000 - 30_000_000_000 % $format->step->nanometres()));
                self::assertSame($length->nanometres(), (new LengthReader($format->unit))->read($format->write($length))->nanometres());
            });
    }

    public function test_adding_two_tape_readings_is_exact(): void
    {
        $this->forAll(Generators::choose(0, 12_000), Generators::choose(0, 12_000))
            ->then(function (int $a, int $b): void {
                $format = LengthFormat::inches(64);
                $first = Length::ofNanometres($a * 396_875);
                $second = Length::ofNanometres($b * 396_875);
                $read = (new LengthReader(Unit::Inch))->read($format->write($first).' + '.$format->write($second));
                self::assertTrue($read->isEqualTo($first->plus($second)));
            });
    }

    public function test_no_text_makes_it_fail_in_any_other_way_than_with_a_sentence(): void
    {
        $signs = ['3', '12', '5/8', '.', ',', '/', '-', '+', '*', '(', ')', ' ', 'mm', 'in', "'", '"', 'ft', '⅝', 'x'];
        $this->forAll(Generators::seq(Generators::elements(...$signs)))->then(function (array $parts): void {
            try {
                $length = (new LengthReader(Unit::Millimetre))->read(implode('', $parts));
                self::assertFalse($length->isNegative());
            } catch (Unreadable $unreadable) {
                self::assertMatchesRegularExpression('/[.]$/u', $unreadable->getMessage());
            }
        });
    }
}
