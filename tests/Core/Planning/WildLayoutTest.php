<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Incastro\Drawing\FurniturePlan;
use Incastro\Drawing\ScreenWriter;
use Incastro\Drawing\SectionDrawing;
use Incastro\Drawing\SolidDrawing;
use Incastro\Exchange\FitWriter;
use Incastro\Exchange\Templates;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Severity;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Trial\Dice;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestKind;
use Tests\Core\TestLayout;
use Tests\Core\WildLayouts;

/** No layout, however wrong, stops the planner: sizes beyond all rooms, runs along every side, members over anything. */
final class WildLayoutTest extends TestCase
{
    #[DataProviderExternal(TestKind::class, 'all')]
    public function test_every_layout_gets_its_verdict_and_its_drawings(SpaceKind $kind): void
    {
        $space = new TestKind($kind, 5);
        $corners = $space->survey->sheet->shape->corners();
        for ($seed = 0; $seed < 12; $seed++) {
            $dice = new Dice(7000 + $seed);
            $plan = $space->plan((new WildLayouts())->layout($dice, $corners), WildLayouts::things($dice, $corners));
            $this->isTold($plan, "$kind->value $seed");
            foreach ($plan->pieces() as $piece) {
                $name = "$kind->value $seed: $piece->mark";
                self::assertGreaterThan(0.0, min($piece->length->result->toDouble(), $piece->width->result->toDouble(), $piece->thickness->toDouble()), $name);
            }
        }
    }

    /** What is written for a screen or a plotter must be numbers. */
    private function isTold(SpacePlan $plan, string $name): void
    {
        self::assertMatchesRegularExpression('/^\p{Lu}.*[.]$/u', $plan->verdict->sentence, $name);
        $millimetres = LengthFormat::millimetres();
        $told = [(new FitWriter($plan, $millimetres, new HouseRules($millimetres->unit)))->station()];
        $room = $plan->survey->room?->with($plan->space->things);
        self::assertNotNull($room);
        self::assertNotNull($plan->layout);
        $told[] = ScreenWriter::write((new FurniturePlan($plan->layout, $room, $millimetres))->draw());
        foreach ($plan->layout->runs as $r => $run) {
            $told[] = ScreenWriter::write((new SectionDrawing($run, $plan->assemblies[$r], $room, $millimetres))->at(($run->left + $run->right) / 2));
            $told[] = ScreenWriter::write((new SolidDrawing($run, $plan->assemblies[$r]))->draw(true));
        }
        self::assertStringNotContainsString('null,null', json_encode(array_map(fn (array $drawing) => $drawing['bounds'] ?? [], $told), JSON_THROW_ON_ERROR), $name);
        self::assertStringNotContainsString('nan', strtolower((new Templates($plan, $millimetres))->dxf()), $name);
    }

    /** A row of bays of which one asks for more than there is, under a worktop that all of them carry. */
    public function test_bays_that_get_nothing_are_named_and_nothing_is_made_of_them(): void
    {
        $bay = fn (string $id, array $but, string $kind) => TestLayout::bay($id, $but, [Doc::tier("$id-1", ['holds' => Doc::holds($kind)])]);
        $layout = TestLayout::of([$bay('a', ['size' => TestLayout::mm(3000)], 'shelves'), $bay('b', [], 'filler-panel'), $bay('c', [], 'cleat-shelves'), $bay('d', [], 'shelves')]);
        $layout = $layout->with(['members' => [...$layout->layout['members'], Doc::member('top', 'worktop', ['b-1', 'c-1'])]]);
        $clashes = $layout->clashes();
        $thin = array_values(array_filter($clashes, fn ($clash) => $clash->code->value === 'too-thin'));
        self::assertSame(['b-1', 'c-1', 'd-1'], array_map(fn ($clash) => $clash->place, $thin));
        self::assertStringMatchesFormat('Filler panel cannot be made 0 mm wide, %d mm high and 400 mm deep: a panel of less than 10 mm is not sawn. Give it more, or leave an open gap.', $thin[0]->sentence);
        self::assertStringMatchesFormat('Shelves between walls cannot be made 0 mm wide, %d mm high and 400 mm deep: its cleats need 80 mm. Give it more, or leave an open gap.', $thin[1]->sentence);
        self::assertSame([], array_filter($layout->plan()->pieces(), fn ($piece) => in_array(explode(':', $piece->key)[0], ['b-1', 'c-1', 'd-1', 'top'], true)));
        // An open gap instead is a way out for both.
        self::assertSame(Severity::Clash, $thin[0]->severity);
        self::assertContains('Leave an open gap instead', array_map(fn ($way) => $way->label, $thin[1]->waysOut));
    }
}
