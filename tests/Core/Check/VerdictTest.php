<?php

declare(strict_types=1);

namespace Tests\Core\Check;

use Incastro\Planning\Planner;
use Incastro\Planning\SpacePlan;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestAlcove;

final class VerdictTest extends TestCase
{
    /**
     * @param  array<string, mixed>  $layout
     * @param  array<string, mixed>  $changes
     */
    private static function planned(TestAlcove $alcove, array $layout = [], array $changes = []): SpacePlan
    {
        return (new Planner())->plan($alcove->job(layout: $layout, changes: $changes))->spaces[0];
    }

    /** @return array<string, array{TestAlcove, array<string, mixed>, string, string}> */
    public static function verdicts(): array
    {
        $nothing = TestAlcove::leaning()->without('height-left', 'height-right');

        return [
            'all there' => [TestAlcove::leaning(), ['depth' => '400'], 'fits', 'Fits. 3 edges to scribe.'],
            'no height' => [$nothing, [], 'waiting', 'Waits for 2 readings.'],
            'a shelf of a space' => [new TestAlcove(fn () => 0.0, fn () => 1200.0, depth: 30.0), [], 'warning', 'These readings do not make a space. Check heights and depths, and where the widths are taken between them.'],
            'one to go' => [TestAlcove::leaning()->without('fall-across'), [], 'warning', 'Not sure yet: 1 reading to go.'],
            'no diagonal' => [TestAlcove::skewed()->without('diagonal-left', 'diagonal-right'), [], 'warning', 'Not sure yet: 1 reading to go, a diagonal or a corner among them.'],
            'disagreeing' => [TestAlcove::leaning()->reading('plumb-left-high', -16.5), [], 'warning', 'Some readings do not agree with the others.'],
            'too wide' => [TestAlcove::leaning(), ['depth' => '400', 'width' => '1190'], 'clash', 'Does not fit: the box jams between the walls: its width is 1190 mm, and 1185 mm is the most that goes.'],
            'too tall' => [TestAlcove::leaning(), ['depth' => '400', 'height' => '2330'], 'clash', 'Does not fit: box B1 cannot be slid home under the ceiling: 9 mm short.'],
        ];
    }

    /** @param array<string, mixed> $layout */
    #[DataProvider('verdicts')]
    public function test_one_sentence_says_whether_it_fits(TestAlcove $alcove, array $layout, string $state, string $sentence): void
    {
        $verdict = self::planned($alcove, $layout)->verdict;
        self::assertSame($state, $verdict->state);
        self::assertSame($sentence, $verdict->sentence);
    }

    public function test_a_clash_outweighs_what_is_not_sure_yet(): void
    {
        self::assertSame('clash', self::planned(TestAlcove::leaning()->without('fall-across'), ['width' => '1190'])->verdict->state);
    }

    public function test_cautions_stand_where_they_apply(): void
    {
        $codes = fn (SpacePlan $space) => array_map(fn ($finding) => $finding->code->value, $space->findings);
        self::assertSame(['sags', 'anchor', 'heavy', 'strip', 'saw'], $codes(self::planned(new TestAlcove(fn () => 0.0, fn () => 1200.0, skirting: 120.0), ['depth' => '400'])));
        // No skirting there, nothing to take off.
        self::assertSame(['sags', 'anchor', 'heavy', 'saw'], $codes(self::planned(TestAlcove::leaning(), ['depth' => '400'])));
        // Low and light, with the skirting left on: nothing to tip over, nobody to help, nothing to scrape.
        $low = self::planned(new TestAlcove(fn () => 0.0, fn () => 500.0), ['depth' => '200', 'height' => '300', 'fixed_shelves' => 0, 'adjustable_shelves' => 0], ['skirting_stays' => true]);
        self::assertSame(['saw'], $codes($low));
    }

    public function test_the_weight_is_that_of_the_pieces_of_the_heaviest_box(): void
    {
        $space = self::planned(TestAlcove::leaning(), ['depth' => '400']);
        $kilograms = 0.0;
        foreach (array_filter($space->pieces(), fn ($piece) => str_starts_with($piece->mark, 'B1-')) as $piece) {
            $kilograms += $piece->outline->area() * $piece->thickness->toDouble() * 680e-9;
        }
        $heavy = array_values(array_filter($space->findings, fn ($finding) => $finding->code->value === 'heavy'))[0];
        self::assertStringContainsString(sprintf('about %.0f kg', $kilograms), $heavy->sentence);
    }
}
