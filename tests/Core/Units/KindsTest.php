<?php

declare(strict_types=1);

namespace Tests\Core\Units;

use Incastro\Exchange\UnitWriter;
use Incastro\Planning\Layout\LayoutDocument as Doc;
use Incastro\Planning\Layout\LayoutReader;
use Incastro\Rules\Finding;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\Parameters\Blueprint;
use Incastro\Survey\Space\EdgeKind;
use Incastro\Survey\Things\ThingKind;
use Incastro\Units\Family;
use Incastro\Units\Kinds;
use PHPUnit\Framework\TestCase;
use Tests\Core\TestLayout;

/** Every kind of unit is found by its folder, and nothing outside names one. */
final class KindsTest extends TestCase
{
    public function test_every_class_of_the_families_is_a_kind_with_a_name_of_its_own(): void
    {
        $files = [];
        foreach (Family::cases() as $family) {
            $found = glob(__DIR__.'/../../../core/Units/'.$family->folder().'/*.php') ?: [];
            self::assertCount(count($found), Kinds::standard()->of($family), $family->label());
            array_push($files, ...$found);
        }
        $kinds = array_map(fn (Blueprint $one) => $one->about->kind, Kinds::standard()->of(...Family::cases()));
        self::assertCount(count($files), array_unique($kinds));
        foreach ($kinds as $kind) {
            self::assertMatchesRegularExpression('/^[a-z][a-z0-9-]{0,39}$/', $kind);
        }
    }

    public function test_no_file_outside_units_recipes_and_upgraders_names_one(): void
    {
        $classes = array_map(fn (Blueprint $one) => $one->class, Kinds::standard()->of(...Family::cases()));
        $kinds = array_map(fn (Blueprint $one) => $one->about->kind, Kinds::standard()->of(...Family::cases()));
        // A house has doors too: words of its things, of the edges of a plan and of what materials are for are no units there.
        $kinds = array_filter($kinds, fn (string $kind) => ThingKind::tryFrom($kind) === null && EdgeKind::tryFrom($kind) === null && Purpose::tryFrom($kind) === null);
        $wrong = [];
        foreach (['core' => 'php', 'app' => 'php', 'resources/js' => '(?:vue|ts)'] as $folder => $suffix) {
            $root = dirname(__DIR__, 3)."/$folder";
            foreach (new \RegexIterator(new \RecursiveIteratorIterator(new \RecursiveDirectoryIterator($root, \FilesystemIterator::SKIP_DOTS)), "/\\.$suffix$/") as $file) {
                $path = substr($file->getPathname(), strlen($root) - strlen($folder));
                if (preg_match('~^core/(Units/|Planning/Recipes/|Exchange/Format\d|Exchange/JobUpgrade|Drawing/Style|Units/Part)~', $path) === 1) {
                    continue;
                }
                $text = (string) file_get_contents($file->getPathname());
                foreach ($classes as $class) {
                    if (str_contains($text, "use $class;")) {
                        $wrong[] = "$path uses $class";
                    }
                }
                foreach ($kinds as $kind) {
                    // An array key of that name is no kind.
                    if (preg_match('/([\'"`])'.preg_quote($kind, '/').'\1(?! =>)/', $text) === 1) {
                        $wrong[] = "$path says “{$kind}”";
                    }
                }
            }
        }
        self::assertSame([], $wrong);
    }

    public function test_a_kind_that_is_not_known_stands_as_a_gap_with_a_clash_and_is_kept(): void
    {
        $layout = TestLayout::of([TestLayout::bay('a'), TestLayout::bay('b', [], [Doc::tier('b-1', ['holds' => ['kind' => 'time-machine', 'v' => 3, 'with' => ['years' => 40]]])])]);
        $plan = $layout->plan();
        $clashes = array_values(array_filter($plan->findings, fn (Finding $finding) => $finding->code->value === 'unknown-kind'));
        self::assertSame(['b-1'], array_map(fn (Finding $finding) => $finding->place, $clashes));
        self::assertStringContainsString('“time-machine”', $clashes[0]->sentence);
        self::assertSame([], array_filter($plan->pieces(), fn ($piece) => str_starts_with($piece->key, 'b-1')));
        self::assertNotSame([], $clashes[0]->waysOut);
    }

    public function test_what_is_not_known_beside_the_cells_can_be_taken_away(): void
    {
        $unknown = ['kind' => 'time-machine', 'v' => 1, 'with' => []];
        $lists = [
            'members' => $unknown + ['id' => 'm', 'cells' => ['a']], 'fronts' => $unknown + ['id' => 'f', 'cells' => ['a-1']], 'options' => $unknown + ['id' => 'o', 'cells' => ['a-1']],
            'surfaces' => $unknown + ['id' => 's', 'on' => ['wall' => 0, 'from' => null, 'to' => null, 'foot' => null, 'head' => null]],
        ];
        foreach ($lists as $list => $entry) {
            $layout = TestLayout::of([TestLayout::bay('a')]);
            $layout->layout[$list] = [...$layout->layout[$list], $entry];
            $clash = array_values(array_filter($layout->plan()->findings, fn (Finding $finding) => $finding->code->value === 'unknown-kind'))[0];
            self::assertSame([$entry['id'], "layout.$list.".$entry['id']], [$clash->place, $clash->waysOut[0]->edit->path]);
            self::assertSame([], array_filter($layout->edited($clash->waysOut[0]->edit)->plan()->findings, fn (Finding $finding) => $finding->code->value === 'unknown-kind'));
        }
    }

    public function test_a_stored_value_out_of_its_bounds_is_as_usual(): void
    {
        $tier = Doc::tier('a-1', ['holds' => Doc::holds('shelves', ['fixed' => 99, 'adjustable' => 4, 'made' => null])]);
        $layout = LayoutReader::division(['runs' => [Doc::run('r', 0, [Doc::bay('a', [$tier])])]] + Doc::none());
        self::assertSame(['fixed' => 0, 'adjustable' => 4, 'made' => null], array_slice(get_object_vars($layout->runs[0]->bays[0]->tiers[0]->holds), 0, 3));
    }

    public function test_every_kind_is_told_with_what_it_needs_of_its_place(): void
    {
        $job = TestLayout::of([TestLayout::bay('a')])->job();
        $told = array_column((new UnitWriter($job->format, $job->rules, $job->materials))->all(), null, 'kind');
        // Two shelves of 18 and three openings of 100 that a hand gets into: 336.
        self::assertEquals((object) ['width' => [['nm' => 100_000_000, 'text' => '100 mm'], null], 'height' => [['nm' => 336_000_000, 'text' => '336 mm'], null], 'depth' => [['nm' => 150_000_000, 'text' => '150 mm'], null]], $told['shelves']['demand']);
        self::assertSame(['inside', 'front', 'cell', 'member', 'option', 'surface'], array_values(array_unique(array_column($told, 'family'))));
        self::assertSame(['under', 'over', 'beside'], [$told['plinth']['form'], $told['worktop']['form'], $told['end-panel']['form']]);
    }
}
