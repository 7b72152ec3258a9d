<?php

declare(strict_types=1);

namespace Tests\Core\Exchange;

use Incastro\Exchange\BadFile;
use Incastro\Exchange\CutListCsv;
use Incastro\Exchange\CutSheetPdf;
use Incastro\Exchange\CuttingWriter;
use Incastro\Exchange\Format5;
use Incastro\Exchange\JobFile;
use Incastro\Measure\Unit;
use Incastro\Planning\ExtraChoices;
use Incastro\Planning\JobReader;
use Incastro\Planning\Planner;
use Incastro\Planning\SawChoices;
use Incastro\Rules\Materials\ArticleKind;
use Incastro\Rules\Rule;
use Incastro\Rules\Schools\Schools;
use Incastro\Rules\Tool;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

final class FilesTest extends TestCase
{
    private const DEMO = __DIR__.'/../../examples/landing-alcove-without-doors.json';

    private function csv(string $text): string
    {
        $file = (string) tempnam(sys_get_temp_dir(), 'incastro');
        file_put_contents($file, $text);

        return $file;
    }

    public function test_the_schema_of_a_job_file_knows_every_rule_school_tool_and_article(): void
    {
        $schema = json_decode((string) file_get_contents(__DIR__.'/../../../docs/job.schema.json'), true, flags: JSON_THROW_ON_ERROR);
        $job = $schema['properties']['job']['properties'];
        self::assertEqualsCanonicalizing(array_column(Rule::cases(), 'value'), array_keys($job['rules']['properties']));
        self::assertEqualsCanonicalizing(array_column(Tool::cases(), 'value'), array_keys($job['tools']['properties']));
        self::assertEqualsCanonicalizing(array_column(ArticleKind::cases(), 'value'), $job['articles']['items']['properties']['article']['enum']);
        self::assertEqualsCanonicalizing(array_column(ExtraChoices::KINDS, 'value'), $job['spaces']['items']['properties']['extras']['items']['properties']['kind']['enum']);
        foreach (Schools::ALL as $name => $school) {
            self::assertEqualsCanonicalizing(array_column($school::cases(), 'value'), $job['schools']['properties'][$name]['enum'] ?? null, $name);
        }
    }

    public function test_pieces_are_read_with_units_quotes_and_windows_line_ends(): void
    {
        $file = $this->csv("\u{FEFF}name,quantity,length,width,thickness,material,grain\r\n\"door, left\",2,31 5/8 in,\"40,5 cm\",18,ply,width\r\n\r\n");
        [$piece] = (new CutListCsv(Unit::Millimetre))->pieces($file);
        self::assertSame('door, left', $piece->name);
        self::assertSame(2, $piece->quantity);
        self::assertSame(803.275, $piece->length->toDouble());
        self::assertSame(405.0, $piece->width->toDouble());
    }

    public function test_every_fault_of_a_list_is_named_with_line_and_field(): void
    {
        $file = $this->csv("name,quantity,length,width,thickness,material,grain\nside,0,\"1,203\",0,18,ply,l\n,1,5,5,5,,any\n");
        try {
            (new CutListCsv(Unit::Millimetre))->pieces($file);
            self::fail('It was taken.');
        } catch (BadFile $bad) {
            $places = array_map(fn ($fault) => str_replace($file.':', '', $fault->place), $bad->faults);
            self::assertSame(['2:grain', '2:quantity', '2:length', '2:width', '3:name', '3:material'], $places);
            self::assertStringContainsString('1203 mm or 1.203 mm', $bad->getMessage());
        }
    }

    public function test_a_missing_column_and_a_ragged_row_are_named(): void
    {
        foreach (["name,quantity\n" => ':1:length,width', "name,quantity,length,width,thickness,material,grain\na,1\n" => ':2:row'] as $text => $place) {
            try {
                (new CutListCsv(Unit::Millimetre))->pieces($this->csv($text));
                self::fail('It was taken.');
            } catch (BadFile $bad) {
                self::assertStringContainsString($place, $bad->getMessage());
            }
        }
    }

    public function test_the_demo_job_survives_its_file(): void
    {
        $text = (string) file_get_contents(self::DEMO);
        ['job' => $document, 'record' => $record] = JobFile::read('demo.json', $text);
        self::assertSame(json_decode($text, true), json_decode((string) json_encode(JobFile::write($document, $record['takes'] ?? [])), true));
    }

    #[DataProvider('jobs')]
    public function test_every_job_is_read_again_with_the_marks_that_it_got(string $file): void
    {
        ['job' => $document, 'record' => $record] = JobFile::read($file, (string) file_get_contents($file));
        $text = (string) json_encode(JobFile::write($document, $record['takes'] ?? []));
        self::assertEquals($document, JobFile::read($file, $text)['job']);
    }

    /** @return iterable<string, array{string}> */
    public static function jobs(): iterable
    {
        foreach ([...glob(__DIR__.'/../../../examples/*.json') ?: [], ...glob(__DIR__.'/../../../database/demo/*.json') ?: []] as $file) {
            yield basename($file) => [$file];
        }
    }

    public function test_what_a_take_says_was_typed_is_what_its_value_is(): void
    {
        $data = json_decode((string) file_get_contents(self::DEMO));
        $takes = $data->job->spaces[0]->takes;
        $takes[0]->value = ['nm' => 2_400_000_000, 'typed' => '=1+1'];
        // Typed in inches before the job's unit was changed, it is left as it was: 94 1/2 × 25.4 = 2400.3.
        $takes[1]->value = ['nm' => 2_400_300_000, 'typed' => '94 1/2'];
        ['job' => $job] = JobFile::read('demo.json', (string) json_encode($data));
        self::assertSame('2400 mm', $job['spaces'][0]['takes'][0]['value']['typed']);
        self::assertSame('94 1/2', $job['spaces'][0]['takes'][1]['value']['typed']);
    }

    public function test_a_time_that_is_none_and_a_struck_take_without_its_space_are_named(): void
    {
        $refused = function (\stdClass $data): string {
            try {
                JobFile::read('demo.json', (string) json_encode($data));
            } catch (BadFile $bad) {
                return $bad->getMessage();
            }
            self::fail('It was taken.');
        };
        $data = json_decode((string) file_get_contents(self::DEMO));
        $take = $data->job->spaces[0]->takes[0];
        $take->taken_at = 'next thursday';
        self::assertStringContainsString('demo.json:$.job.spaces[0].takes[0].taken_at: “next thursday” is not a date and time.', $refused($data));
        $take->taken_at = '';
        $data->record = ['takes' => [['space' => 'elsewhere'] + (array) $take]];
        self::assertStringContainsString('demo.json:$.record.takes[0].space: “elsewhere” is none of the spaces of this file.', $refused($data));
    }

    public function test_a_job_of_the_first_format_is_still_taken(): void
    {
        $old = (string) file_get_contents(__DIR__.'/../../examples/job-format-1.json');
        ['job' => $document] = JobFile::read('old.json', $old);
        self::assertSame('flat', $document['spaces'][0]['shape']['ceiling']);
        self::assertSame([], $document['spaces'][0]['things']);
        $takes = json_decode($old, true)['job']['spaces'][0]['takes'];
        self::assertSame(count($takes), count(JobReader::read($document)->spaces[0]->takes));
        self::assertSame(5, JobFile::write($document, [])['format']);
    }

    public function test_a_job_of_the_second_format_gets_its_one_box_as_a_layout(): void
    {
        ['job' => $document] = JobFile::read('old.json', (string) file_get_contents(__DIR__.'/../../examples/job-format-2.json'));
        $run = $document['spaces'][0]['layout']['runs'][0];
        // The box keeps its id, and so its pieces their keys; its chosen width is that of its bay.
        self::assertSame('ad7529df-b404-489e-8131-561c6a51fcdd', $run['bays'][0]['tiers'][0]['id']);
        self::assertSame(1_800_000_000, $run['bays'][0]['size']['nm']);
        self::assertSame([], $document['ways_in']);
        self::assertFalse($document['top_over_sides']);
        $space = (new Planner())->plan(JobReader::read($document))->spaces[0];
        self::assertSame(1800.0, $space->layout?->boxes()[0]->outerWidth()->toDouble());
    }

    public function test_a_job_of_the_third_format_gets_its_places_and_keeps_its_marks(): void
    {
        ['job' => $document] = JobFile::read('old.json', (string) file_get_contents(__DIR__.'/../../examples/job-format-3.json'));
        $space = $document['spaces'][0];
        foreach ($space['takes'] as $take) {
            self::assertIsArray($take['place'], $take['slot']);
        }
        $heights = array_column(array_column($space['takes'], 'place'), 'height');
        self::assertNotSame([], $heights);
        // Counted as they were before marks were kept: boxes from 1 in the order in which they stand.
        $tiers = array_column(array_merge(...array_column($space['layout']['runs'][0]['bays'], 'tiers')), 'id');
        self::assertSame('B1', $space['layout']['marks'][$tiers[0]]);
        self::assertSame([], array_filter($space['things'], fn (array $thing) => $thing['hot']));
        self::assertStringStartsWith('Fits.', (new Planner())->plan(JobReader::read($document))->spaces[0]->verdict->sentence);
    }

    public function test_a_job_of_the_fourth_format_says_what_stands_where_as_units_and_keeps_its_pieces(): void
    {
        ['job' => $document] = JobFile::read('old.json', (string) file_get_contents(__DIR__.'/../../examples/job-format-4.json'));
        ['job' => $now] = JobFile::read('new.json', (string) file_get_contents(__DIR__.'/../../examples/oar-store-with-shelves.json'));
        // Nobody was asked then how even walls are, nor for heights at the front.
        unset($now['spaces'][0]['texture'], $now['spaces'][0]['asks_front']);
        self::assertEquals($now, $document);
        $tiers = array_merge(...array_column($document['spaces'][0]['layout']['runs'][0]['bays'], 'tiers'));
        self::assertSame(['kind', 'v', 'with'], array_keys($tiers[0]['holds']));
        // What is in the newest form already stays as it is.
        self::assertSame($document['spaces'][0]['layout'], Format5::layout($document['spaces'][0]['layout']));
    }

    /** @return array<string, array{string, mixed, string, mixed}> an edit of the fourth format, and what it is now */
    public static function oldEdits(): array
    {
        return [
            'another use' => ['layout.tiers.t.unit', 'knee', 'layout.tiers.t.holds', 'knee-space'],
            'a box' => ['layout.tiers.t.unit', 'box', 'layout.tiers.t.holds', 'shelves'],
            'shelves on cleats' => ['layout.tiers.t.unit', 'shelves', 'layout.tiers.t.holds', 'cleat-shelves'],
            'a count' => ['layout.tiers.t.fixed_shelves', 2, 'layout.tiers.t.with.fixed', 2],
            'both counts' => ['layout.tiers.t.shelves', ['fixed' => 1, 'adjustable' => 2], 'layout.tiers.t.with', ['fixed' => 1, 'adjustable' => 2]],
            'an overhang' => ['layout.members.m.overhang', null, 'layout.members.m.with.overhang', null],
            'a member more' => ['layout.do', ['action' => 'add-member', 'kind' => 'plinth', 'cells' => ['b']], 'layout.do', ['action' => 'add', 'kind' => 'plinth', 'cells' => ['b']]],
            'a depth' => ['layout.tiers.t.depth', '300', 'layout.tiers.t.depth', '300'],
            'a rule' => ['rules.reach', '500', 'rules.reach', '500'],
        ];
    }

    #[DataProvider('oldEdits')]
    public function test_edits_of_the_fourth_format_can_still_be_undone(string $path, mixed $value, string $now, mixed $is): void
    {
        self::assertSame(['path' => $now, 'value' => $is], array_replace(['path' => '', 'value' => null], Format5::edit(['path' => $path, 'value' => $value])));
    }

    public function test_a_layout_that_an_undo_puts_back_is_of_the_newest_format(): void
    {
        $tier = ['id' => 't', 'size' => ['share' => 4], 'joined' => true, 'unit' => 'shelves', 'fixed_shelves' => 2, 'adjustable_shelves' => 1, 'depth' => null, 'snap' => null];
        $old = ['runs' => [['id' => 'r', 'wall' => 0, 'height' => null, 'depth' => null, 'left' => 'through', 'right' => 'through', 'bays' => [['id' => 'b', 'size' => ['share' => 4], 'joined' => false, 'top' => 'sloped', 'snap' => null, 'tiers' => [$tier]]]]], 'members' => [['id' => 'm', 'kind' => 'worktop', 'cells' => ['t'], 'overhang' => ['nm' => 35_000_000, 'typed' => '35']]]];
        $new = Format5::edit(['path' => 'layout.put', 'value' => $old])['value'];
        self::assertSame(['kind' => 'cleat-shelves', 'v' => 1, 'with' => ['count' => 3]], $new['runs'][0]['bays'][0]['tiers'][0]['holds']);
        self::assertSame(['overhang' => ['nm' => 35_000_000, 'typed' => '35']], $new['members'][0]['with']);
    }

    public function test_marks_that_a_file_leaves_out_are_given(): void
    {
        $file = json_decode((string) file_get_contents(__DIR__.'/../../examples/landing-alcove-without-doors.json'), false, 512, JSON_THROW_ON_ERROR);
        unset($file->job->spaces[0]->layout->marks);
        ['job' => $document] = JobFile::read('job.json', json_encode($file, JSON_THROW_ON_ERROR));
        self::assertContains('B1', $document['spaces'][0]['layout']['marks']);
    }

    /** The closings of a box until the third format. */
    private const OPEN = ['left' => null, 'right' => null, 'top' => null];

    /** @return array<string, array{string, mixed, string}> */
    public static function faults(): array
    {
        return [
            'a text for a number' => ['job.spaces.0.layout.runs.0.bays.0.tiers.0.joined', 'two', '$.job.spaces[0].layout.runs[0].bays[0].tiers[0].joined: This is string; it must be boolean.'],
            'a unit of no kind' => ['job.spaces.0.layout.runs.0.bays.0.tiers.0.holds.kind', 'fridge', '$.job.spaces[0].layout.runs[0].bays[0].tiers[0].holds.kind: “fridge” is not something that stands there. There are: drawers, hanging-rail, shelves, apron, '],
            'a parameter that it has not' => ['job.spaces.0.layout.runs.0.bays.0.tiers.0.holds.with', ['doors' => 2], '$.job.spaces[0].layout.runs[0].bays[0].tiers[0].holds.with.doors: Shelves has no “doors”. It has: fixed, adjustable'],
            'a parameter out of its bounds' => ['job.spaces.0.layout.runs.0.bays.0.tiers.0.holds.with', ['fixed' => 21], '$.job.spaces[0].layout.runs[0].bays[0].tiers[0].holds.with.fixed: “21” is not a whole number from 0 to 20.'],
            'half a layout' => ['job.spaces.0.layout', ['members' => []], '$.job.spaces[0].layout: runs, closings, openings is missing.'],
            'the layout of an older format' => ['job.spaces.0.layout', ['run' => 'a', 'box' => 'b', 'width' => null, 'height' => null, 'depth' => null, 'fixed_shelves' => 1, 'adjustable_shelves' => 2, 'closings' => self::OPEN], '$.job.spaces[0].layout: runs is missing.'],
            'a length below nothing' => ['job.spaces.0.takes.3.value.nm', -1, '$.job.spaces[0].takes[3].value.nm: This is below the least, 0.'],
            'an unknown slot' => ['job.spaces.0.takes.2.slot', 'width-sideways', '$.job.spaces[0].takes[2].slot: “width-sideways” is not a reading'],
            'a plumb reading without its end' => ['job.spaces.0.takes.12.end', null, '$.job.spaces[0].takes[12].end: It must be bottom or top.'],
            'a run along no wall' => ['job.spaces.0.layout.runs.0.wall', 4, '$.job.spaces[0].layout.runs[0].wall: The plan of this space has 4 corners and as many sides, counted from 0; 4 is none of them.'],
            'one id twice' => ['job.spaces.0.layout.members.0.id', '@tier', '$.job.spaces[0].layout: Every part of a layout has an id of its own; two bear “'],
            'another format' => ['format', 7, '$.format: This is not one of the allowed values.'],
            'a zone that is none' => ['job.installing.zone', 'Nowhere/Land', '$.job.installing: “Nowhere/Land” is not a time zone'],
            'a session that ends first' => ['job.installing.sessions', [['id' => 'a', 'start' => '2027-03-06T09:00', 'end' => '2027-03-06T08:00', 'people' => 1, 'note' => '', 'cancelled' => false]], '$.job.installing: End: 2027-03-06 08:00 is before it begins'],
            'an unknown rule' => ['job.rules', ['glue' => 1], '$.job.rules: glue is not known here.'],
        ];
    }

    #[DataProvider('faults')]
    public function test_a_bad_job_file_is_refused_with_the_path_inside_it(string $path, mixed $value, string $fault): void
    {
        $data = json_decode((string) file_get_contents(self::DEMO), true);
        self::set($data, explode('.', $path), $value === '@tier' ? $data['job']['spaces'][0]['layout']['runs'][0]['bays'][0]['tiers'][0]['id'] : $value);
        // Empty maps are objects in a file.
        foreach (['rules', 'schools', 'tools'] as $map) {
            $data['job'][$map] = (object) $data['job'][$map];
        }
        foreach (['hours', 'minutes', 'dates', 'walls'] as $map) {
            $data['job']['installing'][$map] = (object) $data['job']['installing'][$map];
        }
        if (($data['job']['spaces'][0]['layout']['closings'] ?? null) === []) {
            $data['job']['spaces'][0]['layout']['closings'] = (object) [];
        }
        if (($data['job']['spaces'][0]['layout']['marks'] ?? null) === []) {
            $data['job']['spaces'][0]['layout']['marks'] = (object) [];
        }
        foreach ($data['job']['spaces'][0]['layout']['members'] ?? [] as $m => $member) {
            $data['job']['spaces'][0]['layout']['members'][$m]['with'] = (object) ($member['with'] ?? []);
        }
        foreach ($data['job']['spaces'][0]['takes'] as $t => $take) {
            $data['job']['spaces'][0]['takes'][$t]['place'] = (object) ($take['place'] ?? []);
        }
        try {
            JobFile::read('job.json', (string) json_encode($data));
            self::fail('It was taken.');
        } catch (BadFile $bad) {
            self::assertStringContainsString('job.json:'.$fault, $bad->getMessage());
        }
    }

    public function test_what_is_not_json_says_so(): void
    {
        $this->expectExceptionMessage('job.json:$: This is not JSON');
        JobFile::read('job.json', '{"format": 1');
    }

    public function test_the_cut_sheet_has_a_page_for_every_sheet_and_a_line_to_check_the_printer(): void
    {
        $plan = (new Planner())->plan(JobReader::read(JobFile::read('demo.json', (string) file_get_contents(self::DEMO))['job']));
        $cutting = (array) json_decode((string) json_encode((new CuttingWriter($plan, SawChoices::read(SawChoices::defaults(Unit::Millimetre)), 2))->write()), true);
        $file = $this->csv((new CutSheetPdf($plan, $cutting, 3))->write());
        $pages = explode("\f", (string) shell_exec('pdftotext -layout '.escapeshellarg($file).' -'));
        self::assertSame('', trim(array_pop($pages)));
        foreach ($pages as $page) {
            self::assertSame(1, substr_count($page, 'This line is 100 mm long'));
        }
        foreach ($plan->cut->sheets->sheets as $i => $sheet) {
            self::assertStringContainsString(sprintf('Sheet %d of %d', $i + 1, count($plan->cut->sheets->sheets)), implode($pages));
        }
        foreach ($plan->pieces() as $piece) {
            self::assertStringContainsString($piece->mark, implode($pages));
        }
        self::assertStringContainsString('release 3', implode($pages));
        // Every step stands on it with its number.
        foreach ($cutting['steps'] as $i => $step) {
            self::assertMatchesRegularExpression(sprintf('/^\s*%d\s+%s\s/m', $i + 1, $step['tool']), implode($pages));
        }
    }

    /**
     * @param  array<string|int, mixed>  $data
     * @param  list<string>  $path
     */
    private static function set(array &$data, array $path, mixed $value): void
    {
        $at = &$data;
        foreach ($path as $part) {
            $at = &$at[ctype_digit($part) ? (int) $part : $part];
        }
        $at = $value;
    }
}
