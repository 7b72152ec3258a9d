<?php

declare(strict_types=1);

namespace Tests\Core\Planning;

use Incastro\Fit\Box;
use Incastro\Fit\FittedRun;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\InvalidChoice;
use Incastro\Planning\SpaceChoices;
use Incastro\Rules\Edit;
use Incastro\Rules\Finding;
use Incastro\Rules\Severity;
use Incastro\Survey\Space\SpaceKind;
use Incastro\Trial\Dice;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestKind;

/** People press keys in every order: whatever comes of it is planned, and what is planned keeps its laws. */
final class RandomLayoutTest extends TestCase
{
    private const ACTIONS = ['split-bay', 'split-tier', 'remove-bay', 'remove-tier', 'swap-bay', 'swap-tier', 'copy-bay', 'copy-tier', 'mirror', 'base-upper', 'whole'];

    private const UNITS = ['shelves', 'shelves', 'shelves', 'gap', 'knee-space', 'filler-panel', 'cleat-shelves'];

    /** @return array<string, array{SpaceKind, int}> */
    public static function walks(): array
    {
        $walks = [];
        foreach ([SpaceKind::Alcove, SpaceKind::Closet, SpaceKind::UnderStair, SpaceKind::RoofSlope] as $i => $kind) {
            foreach ([1, 2] as $n) {
                $walks["$kind->value $n"] = [$kind, 100 * $i + $n];
            }
        }

        return $walks;
    }

    /** @param array<string, mixed> $choices */
    private static function anyEdit(array $choices, Dice $dice, int $step): Edit
    {
        $pick = fn (array $list) => $list[min(count($list) - 1, (int) floor($dice->fraction() * count($list)))];
        $run = $pick($choices['layout']['runs']);
        $bay = $pick($run['bays']);
        $tier = $pick($bay['tiers']);
        $mm = ['nm' => (int) (round($dice->between(60.0, 1400.0)) * 1e6), 'typed' => ''];

        return match ($step % 7) {
            3 => new Edit("layout.tiers.{$tier['id']}.holds", $pick(self::UNITS)),
            4 => new Edit("layout.bays.{$bay['id']}.size", $dice->fraction() < 0.5 ? null : $mm),
            5 => new Edit("layout.tiers.{$tier['id']}.".$pick(['size', 'depth']), $dice->fraction() < 0.5 ? null : $mm),
            6 => new Edit("layout.tiers.{$tier['id']}.with", ['fixed' => (int) $dice->between(0.0, 3.0), 'adjustable' => (int) $dice->between(0.0, 5.0)]),
            default => new Edit('layout.do', ['action' => $pick(self::ACTIONS), 'cell' => $tier['id'], 'seed' => "seed-of-step-$step"]),
        };
    }

    #[DataProvider('walks')]
    public function test_any_row_of_edits_is_planned_and_undone(SpaceKind $kind, int $seed): void
    {
        $space = new TestKind($kind);
        $format = LengthFormat::millimetres();
        $dice = new Dice($seed);
        $choices = $space->space(['runs' => [], 'members' => [], 'closings' => [], 'openings' => []])->choices;
        $start = array_key_first(\Incastro\Planning\Recipes\StartingLayouts::names($kind));
        [$choices] = SpaceChoices::apply($choices, new Edit('layout.do', ['action' => 'start', 'name' => $start, 'seed' => 'where it begins']), $format, Length::ofMillimetres(18));
        $undo = [];
        $first = $choices;
        for ($step = 0; $step < 40; $step++) {
            $edit = self::anyEdit($choices, $dice, $step);
            try {
                [$next, $inverse] = SpaceChoices::apply($choices, $edit, $format, Length::ofMillimetres(18));
            } catch (InvalidChoice $refused) {
                self::assertMatchesRegularExpression('/^\p{Lu}.*[.]$/u', $refused->getMessage());
                continue;
            }
            // Layouts beyond what anyone builds only make the walk slow.
            if (count($next['layout']['runs'][0]['bays']) > 5) {
                continue;
            }
            $choices = $next;
            $undo[] = $inverse;
            $plan = $space->plan($choices['layout']);
            foreach ($plan->layout->runs ?? [] as $run) {
                $this->keepsItsLaws($run, $format);
            }
            foreach ($plan->findings as $finding) {
                $this->isWorded($finding);
            }
        }
        self::assertGreaterThan(15, count($undo));
        foreach (array_reverse($undo) as $inverse) {
            [$choices] = SpaceChoices::apply($choices, $inverse, $format, Length::ofMillimetres(18));
        }
        self::assertEquals($first['layout'], $choices['layout']);
    }

    private function keepsItsLaws(FittedRun $run, LengthFormat $format): void
    {
        foreach ($run->boxes as $i => $box) {
            // What a box is cut to is on the tape, and it stands between the ends of its run.
            foreach ([$box->width, $box->height] as $size) {
                self::assertSame(0, $size->result->nanometres() % $format->step->nanometres(), json_encode($size));
            }
            self::assertGreaterThan(0.0, min($box->outerWidth()->toDouble(), $box->outerHeight()->toDouble(), $box->outerDepth()->toDouble()));
            foreach (array_slice($run->boxes, $i + 1) as $other) {
                self::assertFalse($this->stack($box, $other), $box->mark.' and '.$other->mark);
            }
            // Clear openings and the boards between them make up the width inside.
            $inside = array_sum(array_map(fn ($column) => $column->width->result->toDouble(), $box->columns)) + 18.0 * (count($box->columns) + 1);
            self::assertEqualsWithDelta($box->outerWidth()->toDouble(), $inside, 1.0 + 1e-6);
        }
        $cells = array_map(fn ($cell) => $cell->tier->id, $run->cells);
        self::assertSame($cells, array_values(array_unique($cells)));
        foreach ($run->edges as $edge) {
            self::assertGreaterThanOrEqual($edge->gap->least, $edge->gap->most);
            if ($edge->scribe !== null) {
                // o ≥ g_max + reserve: the deepest cut is o − g_min, the shallowest never less than the reserve.
                self::assertGreaterThanOrEqual(5.0 - 1e-6, $edge->scribe->shallowest()->toDouble());
                self::assertEqualsWithDelta($edge->scribe->blank()->toDouble() - $edge->gap->least, $edge->scribe->setting()->toDouble(), 1e-3);
            }
        }
    }

    /** Whether two boxes of a run stand in one another, seen from the front and from the side. */
    private function stack(Box $a, Box $b): bool
    {
        return $a->block()->meets($b->block(), 0.6);
    }

    private function isWorded(Finding $finding): void
    {
        self::assertMatchesRegularExpression('/^[\p{Lu}\d].*[.]$/u', $finding->sentence);
        if ($finding->severity === Severity::Clash) {
            self::assertNotSame('', $finding->place, $finding->sentence);
        }
    }
}
