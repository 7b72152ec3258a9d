<?php

declare(strict_types=1);

namespace Tests\Core\Rules;

use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Measure\Unreadable;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Blueprint;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Choosable;
use Incastro\Rules\Parameters\Count;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Toggle;
use Incastro\Rules\Parameters\When;
use Incastro\Rules\Rule;
use Incastro\Units\Insides\Shelves;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

enum Hook: string implements Choosable
{
    case Brass = 'brass';
    case Peg = 'peg';

    public function label(): string
    {
        return ucfirst($this->value);
    }
}

#[About('hooks', 'Hooks', 'For coats.', 'Hall', 'H', 2)]
final readonly class Hooks
{
    public function __construct(
        #[Count('Hooks', 4, 1, 12)] public int $count,
        #[Size('Height', ['1500', '59'], 900, 2000)] public Length $height,
        #[Size('Overhang', Rule::WorktopOverhang, 0, 400)] public Length $overhang,
        #[Size('Apart', null, 50, 400)] public ?Length $apart,
        #[Choice('Made of', Hook::Peg)] public Hook $hook,
        #[Toggle('With a shelf', false)] public bool $shelf,
        #[Size('Depth of the shelf', ['200', '8'], 100, 300)]
        #[When('shelf', true)]
        public Length $depth,
    ) {
    }
}

/** A kind as its class declares it: parameters with what they take, and a unit of what was chosen. */
final class BlueprintTest extends TestCase
{
    private static function rules(Unit $unit = Unit::Millimetre): HouseRules
    {
        return new HouseRules($unit, ['worktop_overhang' => Length::ofMillimetres(30)]);
    }

    private static function hooks(array $with, Unit $unit = Unit::Millimetre): Hooks
    {
        $made = Blueprint::of(Hooks::class)->make($with, self::rules($unit));
        self::assertInstanceOf(Hooks::class, $made);

        return $made;
    }

    public function test_what_is_not_chosen_is_as_usual_by_the_rules_and_in_the_jobs_own_unit(): void
    {
        $usual = self::hooks([]);
        self::assertSame([4, 1500.0, 30.0, null, Hook::Peg, false], [$usual->count, $usual->height->toDouble(), $usual->overhang->toDouble(), $usual->apart, $usual->hook, $usual->shelf]);
        // 59 in = 1498.6 mm.
        self::assertSame(1498.6, self::hooks([], Unit::Inch)->height->toDouble());
        $chosen = self::hooks(['count' => 6, 'height' => ['nm' => 1_600_000_000, 'typed' => '1600'], 'hook' => 'brass', 'shelf' => true]);
        self::assertSame([6, 1600.0, Hook::Brass, true], [$chosen->count, $chosen->height->toDouble(), $chosen->hook, $chosen->shelf]);
    }

    public function test_what_is_stored_and_not_taken_any_more_counts_as_not_chosen(): void
    {
        $kept = self::hooks(['count' => 400, 'hook' => 'gold', 'height' => 'high', 'colour' => 'red', 'shelf' => true]);
        self::assertSame([4, Hook::Peg, 1500.0, true], [$kept->count, $kept->hook, $kept->height->toDouble(), $kept->shelf]);
        self::assertSame(['count', 'hook', 'height', 'colour'], array_keys(Blueprint::of(Hooks::class)->faults(['count' => 400, 'hook' => 'gold', 'height' => 'high', 'colour' => 'red', 'shelf' => true], LengthFormat::millimetres())));
    }

    /** @return array<string, array{string, mixed, string}> a parameter, what was given, and words of the sentence */
    public static function refusals(): array
    {
        return [
            'too many' => ['count', 13, '“13” is not a whole number from 1 to 12.'],
            'no number' => ['count', 'a few', '“a few” is not a whole number'],
            'half a hook' => ['count', 2.5, '“2.5” is not a whole number'],
            'too high' => ['height', '2100', '“2100” was understood as 2100 mm. It must be between 900 mm and 2000 mm.'],
            'no length' => ['height', 'shoulder', 'shoulder'],
            'no such choice' => ['hook', 'gold', '“gold” is not one of brass, peg.'],
            'neither yes nor no' => ['shelf', 'perhaps', '“perhaps” is not yes or no.'],
            'no such parameter' => ['colour', 'red', 'Hooks has no “colour”. It has: count, height, overhang, apart, hook, shelf, depth.'],
        ];
    }

    #[DataProvider('refusals')]
    public function test_what_a_parameter_does_not_take_is_refused_in_words(string $name, mixed $given, string $words): void
    {
        try {
            Blueprint::of(Hooks::class)->stored($name, $given, LengthFormat::millimetres());
            self::fail('It was taken.');
        } catch (Unreadable $refused) {
            self::assertStringContainsString(rtrim($words, '.'), $refused->getMessage());
        }
    }

    public function test_bounds_themselves_are_taken(): void
    {
        $blueprint = Blueprint::of(Hooks::class);
        foreach ([['count', 1], ['count', 12], ['height', '900'], ['height', '2000 mm'], ['apart', '5 cm']] as [$name, $given]) {
            $stored = $blueprint->stored($name, $given, LengthFormat::millimetres());
            // What is stored is taken again: it is what an inverse edit carries.
            self::assertSame($stored, $blueprint->stored($name, $stored, LengthFormat::millimetres()), $name);
        }
    }

    public function test_it_is_described_for_a_screen(): void
    {
        $described = array_column(Blueprint::of(Hooks::class)->described(self::rules(), LengthFormat::millimetres()), null, 'name');
        self::assertSame(['name' => 'count', 'type' => 'count', 'label' => 'Hooks', 'help' => '', 'default' => 4, 'default_text' => '4', 'when' => null, 'unless' => null, 'least' => 1, 'most' => 12], $described['count']);
        self::assertSame(['nm' => 1_500_000_000, 'text' => '1500 mm'], $described['height']['default']);
        self::assertSame([null, ''], [$described['apart']['default'], $described['apart']['default_text']]);
        self::assertSame([['value' => 'brass', 'label' => 'Brass'], ['value' => 'peg', 'label' => 'Peg']], $described['hook']['choices']);
        self::assertSame(['shelf' => true], $described['depth']['when']);
        // The height of a strip means nothing where there is none.
        self::assertSame(['lip' => 'none'], array_column(Blueprint::of(Shelves::class)->described(self::rules(), LengthFormat::millimetres()), null, 'name')['strip']['unless']);
        $shown = Blueprint::of(Hooks::class)->shown(self::hooks(['count' => 6]), self::rules(), LengthFormat::millimetres());
        self::assertSame(['value' => 6, 'text' => '6', 'usual' => false], $shown['count']);
        self::assertSame(['value' => 'peg', 'text' => 'Peg', 'usual' => true], $shown['hook']);
        self::assertSame('30 mm', $shown['overhang']['text']);
    }

    public function test_a_kind_keeps_of_anothers_values_what_it_takes_too(): void
    {
        self::assertSame(['count' => 5], Blueprint::of(Hooks::class)->keeping(['count' => 5, 'fixed' => 2, 'hook' => 'gold'], LengthFormat::millimetres()));
    }
}
