<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Incastro\Cut\CutPiece;
use Incastro\Cut\FrontsInOrder;
use Incastro\Cut\LockedSheet;
use Incastro\Cut\Objective;
use Incastro\Cut\PlacedPiece;
use Incastro\Cut\PlannedSheet;
use Incastro\Cut\Rectangle;
use Incastro\Cut\SawSetup;
use Incastro\Cut\SheetPlan;
use Incastro\Cut\SheetPlanner;
use Incastro\Cut\SheetWishes;
use Incastro\Cut\Stock;
use Incastro\Exchange\JobFile;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Pieces\Grain;
use Incastro\Planning\CuttingChoices;
use Incastro\Planning\FirstSheets;
use Incastro\Planning\InvalidChoice;
use Incastro\Planning\Job;
use Incastro\Planning\JobChoices;
use Incastro\Planning\JobReader;
use Incastro\Planning\Planner;
use Incastro\Rules\Edit;
use Incastro\Saw\SawSteps;
use PHPUnit\Framework\TestCase;
use Tests\Core\KeptMemory;

/** What somebody wishes of the sheets, and what is kept of their plans. */
final class SheetStageTest extends TestCase
{
    private static function job(string $example = 'cubbies'): Job
    {
        return JobReader::read(JobFile::read("$example.json", (string) file_get_contents(__DIR__."/../../../examples/$example.json"))['job']);
    }

    private static function set(int $settings): SawSteps
    {
        return new SawSteps([], [], $settings, $settings, $settings, true, [], $settings);
    }

    /** @return list<string> */
    private static function laid(PlannedSheet $sheet): array
    {
        return array_map(fn (PlacedPiece $placed) => "{$placed->piece->name} {$placed->at->x} {$placed->at->y}", $sheet->pieces);
    }

    public function test_a_better_plan_is_kept_until_somebody_goes_back_to_the_first(): void
    {
        $planner = new Planner(new KeptMemory());
        $plan = $planner->plan(self::job('bed'), isThorough: true);
        self::assertTrue($planner->sheets->isOpen($plan));
        // At this saw the first plan is set for once more than any other.
        $first = $plan->cut->sheets;
        $planner->sheets->improve($plan, 50, fn (): bool => false, fn (SheetPlan $sheets): SawSteps => self::set($sheets === $first ? 2 : 1));
        self::assertFalse($planner->sheets->isOpen($plan));
        $better = $planner->plan(self::job('bed'), isThorough: true)->cut->sheets;
        self::assertNotEquals($first, $better);
        self::assertLessThanOrEqual($first->price, $better->price);
        self::assertEquals(new FirstSheets($first, 2, 1), $planner->sheets->first($plan));

        $kept = self::job('bed')->wishing(new SheetWishes(keepsFirst: $planner->sheets->hash($plan)));
        self::assertSame($first, $planner->plan($kept, isThorough: true)->cut->sheets);
        // Kept is the plan of these pieces. For others nothing is.
        $other = self::job('bench')->wishing(new SheetWishes(keepsFirst: $planner->sheets->hash($plan)));
        self::assertNull($planner->sheets->first($planner->plan($other, isThorough: true)));
    }

    public function test_where_nothing_is_better_the_plan_stays(): void
    {
        $planner = new Planner(new KeptMemory());
        $plan = $planner->plan(self::job(), isThorough: true);
        $planner->sheets->improve($plan, 50, fn (): bool => true, fn (SheetPlan $sheets): SawSteps => self::set($sheets->settings));
        self::assertSame($plan->cut->sheets, $planner->plan(self::job(), isThorough: true)->cut->sheets);
        self::assertNull($planner->sheets->first($plan));
    }

    public function test_side_by_side_each_plan_has_least_of_its_own(): void
    {
        $planner = new Planner(new KeptMemory());
        $plans = $planner->sheets->sideBySide($planner->plan(self::job('bed'), isThorough: true));
        self::assertSame(['money', 'sheets', 'settings', 'offcut'], array_keys($plans));
        foreach ($plans as $name => $mine) {
            foreach ($plans as $other) {
                $objective = Objective::from($name);
                // Settings are looked for longer from the same seed; the rest is ordered strictly.
                self::assertGreaterThanOrEqual(array_slice($objective->cost($mine, []), 0, 2), array_slice($objective->cost($other, []), 0, 2), $name);
            }
        }
        self::assertGreaterThanOrEqual($plans['money']->greatestOffcut()?->area(), $plans['offcut']->greatestOffcut()?->area());
        self::assertLessThanOrEqual($plans['money']->settings, $plans['settings']->settings);
    }

    public function test_a_locked_sheet_stays_as_it_is_and_the_rest_is_planned_round_it(): void
    {
        $planner = new Planner(new KeptMemory());
        $job = self::job('bed');
        $before = $planner->plan($job, isThorough: true)->cut->sheets;
        $sheet = $before->sheets[array_key_last($before->sheets)];
        $lock = CuttingChoices::sheet((array) json_decode((string) json_encode(CuttingChoices::lock($sheet)), true));

        $locked = $planner->plan($job->wishing(new SheetWishes(Objective::Offcut, null, [$lock])), isThorough: true)->cut->sheets;
        self::assertSame(self::laid($sheet), self::laid($locked->sheets[0]));
        self::assertEquals($sheet->offcuts, $locked->sheets[0]->offcuts);
        $names = function (SheetPlan $plan): array {
            $names = array_merge([], ...array_map(fn (PlannedSheet $one) => array_map(fn (PlacedPiece $placed) => $placed->piece->name, $one->pieces), $plan->sheets));
            sort($names);

            return $names;
        };
        self::assertSame($names($before), $names($locked));
        self::assertEqualsWithDelta(array_sum(array_map(fn (PlannedSheet $one) => $one->stock->price, $locked->sheets)), $locked->price, 1e-9);
        self::assertStringEndsWith('sheet 1 is locked', $locked->because);

        // A piece that has another size, or a saw with another kerf, and the sheet is laid out like all others.
        $narrow = [...$lock->pieces];
        $narrow[0][1] = new Rectangle($narrow[0][1]->x, $narrow[0][1]->y, $narrow[0][1]->alongX - 1_000_000, $narrow[0][1]->alongY);
        $other = new LockedSheet($lock->material, $lock->stock, $narrow, $lock->offcuts);
        self::assertEquals($before->sheets, $planner->plan($job->wishing(new SheetWishes(locked: [$other])), isThorough: true)->cut->sheets->sheets);
        // Two pieces in one place cannot be sawn apart.
        $twice = array_map(fn (array $piece) => [$piece[0], new Rectangle($lock->pieces[0][1]->x, $lock->pieces[0][1]->y, $piece[1]->alongX, $piece[1]->alongY), $piece[2]], $lock->pieces);
        $other = new LockedSheet($lock->material, $lock->stock, $twice, $lock->offcuts);
        self::assertEquals($before->sheets, $planner->plan($job->wishing(new SheetWishes(locked: [$other])), isThorough: true)->cut->sheets->sheets);
    }

    public function test_what_is_wished_is_an_edit_with_its_inverse(): void
    {
        $document = JobChoices::defaults('Map wall', 'mm/1');
        [$changed, $back] = JobChoices::apply($document, new Edit('sheets.objective', 'offcut'));
        self::assertSame('offcut', $changed['sheets']['objective']);
        self::assertSame($document, JobChoices::apply($changed, $back)[0]);
        foreach ([
            ['sheets.objective', 'beauty', 'What the sheets are planned for: “beauty” is not one of money, sheets, settings, offcut.'],
            ['sheets.locked', [['material' => 'ply', 'stock' => 'full', 'pieces' => [], 'offcuts' => []]], 'Locked sheets: A sheet has a material, what is in stock, 1 to 200 pieces and what is left over. Lock it where it is drawn.'],
            ['sheets.locked', [['material' => 'ply', 'stock' => 'full', 'pieces' => [['name' => 'a', 'x' => -1, 'y' => 0, 'along_x' => 5, 'along_y' => 5, 'turned' => false]], 'offcuts' => []]], 'Locked sheets: A place on a sheet is told in whole nanometres from its corner.'],
            ['sheets.beauty', 1, '“sheets.beauty” is not a field of a job.'],
        ] as [$path, $value, $sentence]) {
            try {
                JobChoices::apply($document, new Edit($path, $value));
                self::fail($path);
            } catch (InvalidChoice $refused) {
                self::assertSame($sentence, $refused->getMessage());
            }
        }
    }

    public function test_fronts_of_one_height_lie_side_by_side_in_their_order(): void
    {
        $mm = Length::ofDouble(...);
        $front = fn (string $name, float $height, float $width, Grain $grain = Grain::Length): CutPiece => new CutPiece($name, 1, $mm($height), $mm($width), $mm(18), 'ply', $grain);
        $saw = SawSetup::allEdges($mm(3), $mm(6));
        $stock = [new Stock('full', null, $mm(2440), $mm(1220), $mm(18), 'ply', 60.0)];
        // 397 + 3 + 397 + 3 + 397 = 1197 goes onto 1208; a fourth does not: 1597. The flap lies otherwise, and the low one alone.
        $rows = (new FrontsInOrder($saw, $stock))->rows([$front('A', 700, 397), $front('B', 700, 397), $front('low', 300, 397), $front('C', 700, 397), $front('flap', 700, 397, Grain::Width), $front('D', 700, 397)]);
        $byName = array_column(array_map(fn (CutPiece $row) => [$row->name, $row->width->toDouble()], $rows), 1, 0);
        self::assertEqualsCanonicalizing(['A + B + C' => 1197.0, 'flap' => 397.0, 'low' => 397.0, 'D' => 397.0], $byName);

        $sheet = (new SheetPlanner($saw, LengthFormat::millimetres()))->plan($rows, $stock)->sheets[0];
        $at = array_column(array_map(fn (PlacedPiece $placed) => [$placed->piece->name, $placed->at], $sheet->pieces), 1, 0);
        self::assertSame([$at['A']->x, $at['A']->x], [$at['B']->x, $at['C']->x]);
        self::assertSame([400_000_000, 400_000_000], [$at['B']->y - $at['A']->y, $at['C']->y - $at['B']->y]);
    }
}
