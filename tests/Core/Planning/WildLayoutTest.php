<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Incastro\Drawing\FurniturePlan;
use Incastro\Drawing\ScreenWriter;
use Incastro\Drawing\SectionDrawing;
use Incastro\Drawing\SolidDrawing;
use Incastro\Exchange\FitWriter;
use Incastro\Exchange\Templates;
use Incastro\Fit\Closing\Closing;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\SpacePlan;
use Incastro\Rules\Severity;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Survey\Things\ThingKind;
use Incastro\Survey\Things\ThingRule;
use Incastro\Trial\Dice;
use PHPUnit\Framework\Attributes\DataProviderExternal;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestKind;
use Tests\Core\TestLayout;

/** No layout, however wrong, stops the planner: sizes beyond all rooms, runs along every side, members over anything. */
final class WildLayoutTest extends TestCase
{
    private int $ids = 0;

    #[DataProviderExternal(TestKind::class, 'all')]
    public function test_every_layout_gets_its_verdict_and_its_drawings(SpaceKind $kind): void
    {
        $space = new TestKind($kind, 5);
        $corners = $space->survey->sheet->shape->corners();
        for ($seed = 0; $seed < 12; $seed++) {
            $dice = new Dice(7000 + $seed);
            $plan = $space->plan($this->layout($dice, $corners), $this->things($dice, $corners));
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
        self::assertNotSame('', $plan->verdict->sentence, $name);
        $millimetres = LengthFormat::millimetres();
        $told = [(new FitWriter($plan, $millimetres))->station()];
        $room = $plan->survey->room?->with($plan->space->things);
        self::assertNotNull($room);
        self::assertNotNull($plan->layout);
        $told[] = ScreenWriter::write((new FurniturePlan($plan->layout, $room, $millimetres))->draw());
        foreach ($plan->layout->runs as $r => $run) {
            $told[] = ScreenWriter::write((new SectionDrawing($run, $plan->assemblies[$r], $room, $millimetres))->at(($run->left + $run->right) / 2));
            $told[] = ScreenWriter::write((new SolidDrawing($run, $plan->assemblies[$r]))->draw(true));
        }
        self::assertNotSame('', json_encode($told, JSON_THROW_ON_ERROR), $name);
        self::assertStringNotContainsString('nan', strtolower((new Templates($plan, $millimetres))->dxf()), $name);
    }

    private function id(): string
    {
        return 'c'.++$this->ids;
    }

    /** @return array<string, mixed> */
    private function layout(Dice $dice, int $corners): array
    {
        $this->ids = 0;
        $mm = fn (float ...$sizes) => TestLayout::mm($dice->pick(array_values($sizes)));
        $size = fn (float ...$sizes) => $dice->chance(0.67) ? ['share' => $dice->whole(1, 24)] : $mm(...$sizes);
        $layout = Doc::none();
        for ($r = $dice->whole(1, 3); $r > 0; $r--) {
            $bays = [];
            for ($b = $dice->whole(1, $dice->pick([2, 4, 9])); $b > 0; $b--) {
                $tiers = [];
                for ($t = $dice->whole(1, $dice->pick([1, 3, 6])); $t > 0; $t--) {
                    $tiers[] = Doc::tier($this->id(), [
                        'size' => $size(10, 40, 300, 700, 2500, 6000), 'joined' => $dice->chance(0.5), 'unit' => $dice->pick(['box', 'box', 'open', 'knee', 'filler', 'shelves']),
                        'fixed_shelves' => $dice->whole(0, 3), 'adjustable_shelves' => $dice->pick([0, 1, 4, 20]),
                        'depth' => $dice->chance(0.75) ? null : $mm(50, 200, 900, 3000), 'snap' => $dice->chance(0.8) ? null : 'c'.$dice->whole(1, 20),
                    ]);
                }
                $bays[] = Doc::bay($this->id(), $tiers, ['size' => $size(10, 60, 400, 900, 3000), 'joined' => $dice->chance(0.5), 'top' => $dice->pick(['sloped', 'stepped', 'below']), 'snap' => $dice->chance(0.75) ? null : $dice->pick(['t1', 't2', 'c2'])]);
            }
            $ends = ['through', 'stops', 'corner'];
            $run = Doc::run($this->id(), $dice->whole(0, $corners - 1), $bays, [
                'height' => $dice->chance(0.67) ? null : $mm(100, 500, 2000, 6000), 'depth' => $dice->chance(0.67) ? null : $mm(100, 250, 600, 1200, 3000),
                'left' => $dice->pick($ends), 'right' => $dice->pick($ends),
            ]);
            $layout['runs'][] = $run;
            $cells = Doc::idsOfRun($run);
            foreach (['plinth', 'worktop', 'end-panel'] as $member) {
                if ($dice->chance(0.5)) {
                    $layout['members'][] = ['overhang' => $dice->chance(0.5) ? null : $mm(0, 20, 400)] + Doc::member($this->id(), $member, [$cells[1], ...array_values(array_filter($cells, fn () => $dice->chance(0.67)))]);
                }
            }
            foreach ($cells as $cell) {
                if ($dice->chance(0.25)) {
                    $layout['closings'][$dice->pick(['left', 'right', 'top']).':'.$cell] = $dice->pick(Closing::cases())->value;
                }
            }
        }

        return ['openings' => $dice->chance(0.5) ? ['t1', 't2'] : []] + $layout;
    }

    /** @return list<array<string, mixed>> */
    private function things(Dice $dice, int $corners): array
    {
        $mm = fn (float ...$sizes) => TestLayout::mm($dice->pick(array_values($sizes)));
        $things = [];
        for ($i = $dice->whole(0, 3); $i > 0; $i--) {
            $kind = $dice->pick(ThingKind::cases());
            $things[] = [
                'id' => "t$i", 'kind' => $kind->value, 'name' => "Thing $i", 'face' => $dice->pick(['wall', 'wall', 'floor', 'ceiling']), 'wall' => $dice->whole(0, $corners - 1),
                'along' => $mm(0, 100, 700, 5000), 'along_from' => $dice->pick(['left', 'right']), 'up' => $mm(0, 300, 1500, 4000), 'up_from' => $dice->pick(['floor', 'ceiling']),
                'width' => $mm(100, 300, 2000), 'height' => $mm(1, 80, 1000, 3000), 'stands_out' => $mm(0, 5, 80, 700), 'rule' => $dice->pick(ThingRule::cases())->value,
                'reach_from' => $dice->pick([null, 'front', 'above', 'side', 'inside']), 'hand_room' => $dice->chance(0.5) ? null : $mm(100), 'clearance' => $dice->chance(0.5) ? null : $mm(50),
                'swing' => $dice->pick([null, 'left', 'right', 'slides']), 'direction' => $dice->pick([null, 'up', 'along', 'out']), 'traced' => null,
            ];
        }

        return $things;
    }

    /** A row of bays of which one asks for more than there is, under a worktop that all of them carry. */
    public function test_bays_that_get_nothing_are_named_and_nothing_is_made_of_them(): void
    {
        $bay = fn (string $id, array $but, string $unit) => TestLayout::bay($id, $but, [Doc::tier("$id-1", ['unit' => $unit])]);
        $layout = TestLayout::of([$bay('a', ['size' => TestLayout::mm(3000)], 'box'), $bay('b', [], 'filler'), $bay('c', [], 'shelves'), $bay('d', [], 'box')]);
        $layout = $layout->with(['members' => [...$layout->layout['members'], Doc::member('top', 'worktop', ['b-1', 'c-1'])]]);
        $clashes = $layout->clashes();
        $thin = array_values(array_filter($clashes, fn ($clash) => $clash->code === 'too-thin'));
        self::assertSame(['b-1', 'c-1', 'd-1'], array_map(fn ($clash) => $clash->place, $thin));
        self::assertStringMatchesFormat('A filler panel cannot be made 0 mm wide, %d mm high and 400 mm deep. Give it more, or leave an open gap.', $thin[0]->sentence);
        self::assertStringMatchesFormat('A shelf cannot be made 0 mm wide, %d mm high and 400 mm deep. Give it more, or leave an open gap.', $thin[1]->sentence);
        self::assertSame([], array_filter($layout->plan()->pieces(), fn ($piece) => in_array(explode(':', $piece->key)[0], ['b-1', 'c-1', 'd-1', 'top'], true)));
        // An open gap instead is a way out for both.
        self::assertSame(Severity::Clash, $thin[0]->severity);
        self::assertContains('Leave an open gap instead', array_map(fn ($way) => $way->label, $thin[1]->waysOut));
    }
}
