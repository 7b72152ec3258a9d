<?php

declare(strict_types=1);

namespace Tests\Feature;

use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;
use Symfony\Component\Process\Process;

/** The command line as one meets it: JSON on standard output, faults on standard error, and no database anywhere. */
final class DoorsTest extends TestCase
{
    private string $folder;

    protected function setUp(): void
    {
        $this->folder = sys_get_temp_dir().'/doors-'.bin2hex(random_bytes(6));
        mkdir($this->folder);
    }

    protected function tearDown(): void
    {
        array_map(unlink(...), glob($this->folder.'/*') ?: []);
        rmdir($this->folder);
    }

    private function file(string $name, string $text): string
    {
        file_put_contents("$this->folder/$name", $text);

        return "$this->folder/$name";
    }

    private function called(string ...$arguments): Process
    {
        $root = dirname(__DIR__, 2);
        // Nothing answers at this port: a command that asked a database would fail.
        $process = new Process([PHP_BINARY, 'artisan', ...array_values($arguments)], $root, ['DB_HOST' => '127.0.0.1', 'DB_PORT' => '1', 'CACHE_STORE' => 'array'], null, 120);
        $process->run();

        return $process;
    }

    /** @return array<mixed> */
    private function answer(string ...$arguments): array
    {
        $process = $this->called(...$arguments);
        self::assertSame(0, $process->getExitCode(), $process->getErrorOutput());

        return (array) json_decode($process->getOutput(), true, 32, JSON_THROW_ON_ERROR);
    }

    private function refused(string $says, string ...$arguments): void
    {
        $process = $this->called(...$arguments);
        self::assertSame(2, $process->getExitCode());
        self::assertSame('', $process->getOutput());
        self::assertSame($says, rtrim(str_replace("$this->folder/", '', $process->getErrorOutput())));
    }

    public function test_sheets_are_planned_from_two_lists(): void
    {
        $pieces = $this->file('pieces.csv', "name,quantity,length,width,thickness,material,grain\nside,2,2100,350,18,birch,length\nshelf,5,800,340,18,birch,any\n");
        $stock = $this->file('stock.csv', "name,quantity,length,width,thickness,material,price\nfull,,2440,1220,18,birch,64\n");
        $plan = $this->answer('cut:plan', $pieces, $stock, '--json');
        // 2 · 2100 · 350 + 5 · 800 · 340 = 2.83 m² of 2.93: with 6 trimmed off all round, 2.93 m² becomes 2428 · 1208, and two sheets are needed.
        self::assertSame(['unplaced' => [], 'sheets_used' => 2, 'price' => 128], array_intersect_key($plan, ['unplaced' => 1, 'sheets_used' => 1, 'price' => 1]));
        self::assertLessThanOrEqual(2, $plan['bound']['sheets']);
        $first = $plan['sheets'][0]['pieces'][0];
        self::assertSame(['name' => 'side', 'x_mm' => 6, 'y_mm' => 6, 'length_mm' => 2100, 'width_mm' => 350, 'turned' => false], $first);
        self::assertSame(['side' => 2, 'shelf' => 5], array_count_values(array_column(array_merge(...array_column($plan['sheets'], 'pieces')), 'name')));
    }

    public function test_pieces_lie_inside_the_trim_and_a_kerf_apart(): void
    {
        $pieces = $this->file('pieces.csv', "name,quantity,length,width,thickness,material,grain\na,6,700,300,18,birch,any\nb,9,410,220,18,birch,any\n");
        $stock = $this->file('stock.csv', "name,quantity,length,width,thickness,material,price\nfull,,2440,1220,18,birch,64\n");
        foreach ($this->answer('cut:plan', $pieces, $stock, '--kerf=4mm', '--trim=long:8mm,short:5mm')['sheets'] as $sheet) {
            foreach ($sheet['pieces'] as $i => $one) {
                self::assertGreaterThanOrEqual(5.0, $one['x_mm']);
                self::assertGreaterThanOrEqual(8.0, $one['y_mm']);
                self::assertLessThanOrEqual(2440.0, $one['x_mm'] + $one['length_mm']);
                self::assertLessThanOrEqual(1220.0, $one['y_mm'] + $one['width_mm']);
                foreach (array_slice($sheet['pieces'], $i + 1) as $other) {
                    $across = max($other['x_mm'] - $one['x_mm'] - $one['length_mm'], $one['x_mm'] - $other['x_mm'] - $other['length_mm']);
                    $up = max($other['y_mm'] - $one['y_mm'] - $one['width_mm'], $one['y_mm'] - $other['y_mm'] - $other['width_mm']);
                    self::assertGreaterThanOrEqual(4.0 - 1e-6, max($across, $up));
                }
            }
        }
    }

    public function test_the_cuts_of_a_plan_are_put_in_order_for_the_tools_owned(): void
    {
        $pieces = $this->file('pieces.csv', "name,quantity,length,width,thickness,material,grain\nside,2,2100,350,18,birch,length\n");
        $stock = $this->file('stock.csv', "name,quantity,length,width,thickness,material,price\nfull,,2440,1220,18,birch,64\n");
        $plan = $this->file('plan.json', json_encode($this->answer('cut:plan', $pieces, $stock), JSON_THROW_ON_ERROR));
        $tools = $this->file('tools.json', json_encode(['guided_saw' => ['kerf' => 2.2, 'guides' => [1400, 1400], 'run_on' => 150, 'offset' => 92, 'offset_waste' => 36, 'depth' => 55]], JSON_THROW_ON_ERROR));
        $steps = $this->answer('saw:steps', $plan, $tools);
        // A factory edge off along, one across, then two strips of 350, each crosscut at 2100: two settings.
        self::assertSame([2, 2, 2, true], [$steps['settings'], $steps['distinct'], $steps['fewest'], $steps['proven']]);
        self::assertSame([['mark', null, 1], ['mark', null, 1], ['guide on the piece', 350, 2], ['guide on the piece', 2100, 2]], array_map(fn (array $step) => [$step['way'], $step['setting_mm'], count($step['cuts'])], $steps['steps']));
        self::assertSame([], $steps['impossible']);
        $bare = $this->answer('saw:steps', $plan, $this->file('none.json', '{}'));
        self::assertSame('No saw for straight cuts is among the tools.', $bare['impossible'][0]['because']);
        $this->refused('bad.json:$.guided_saw.guides: It must be a list of the lengths of the guides, such as [1400].', 'saw:steps', $plan, $this->file('bad.json', '{"guided_saw": {"guides": []}}'));
        $this->refused("tools.json:\$.kerf_mm: Nothing is not a number from 0 to 100000.\ntools.json:\$.sheets: It must be a list of at most 500 entries.", 'saw:steps', $tools, $tools);
        $this->refused('--window:0:window: “0” is not a whole number of sheets from 1.', 'saw:steps', $plan, $tools, '--window=0');
    }

    public function test_studs_found_say_where_others_are(): void
    {
        $studs = fn (array $readings, array $more = []): string => $this->file('studs.json', json_encode($more + ['to' => 2700, 'readings' => $readings], JSON_THROW_ON_ERROR));
        $found = array_map(fn (int $u) => ['u' => $u], [212, 615, 1018, 1830, 2236]);
        $answer = $this->answer('wall:studs', $studs([...$found, ['u' => 1424, 'hit' => false]]));
        self::assertSame([406.4, 'Studs stand every 406.4 mm.'], [$answer['pitch_mm'], $answer['sentence']]);
        // Expected at 1426 ± 15, and probed there in vain.
        self::assertSame([true, false], array_column($answer['expected'], 'probed'));
        self::assertEqualsWithDelta([1411, 1441], [$answer['expected'][0]['probe_from_mm'], $answer['expected'][0]['probe_to_mm']], 1.0);
        $few = $this->answer('wall:studs', $studs(array_slice($found, 0, 3)));
        self::assertSame([null, [400, 406.4], 'Every 400 mm or 406.4 mm: a stud found near 1815 mm decides.'], [$few['pitch_mm'], $few['undecided_mm'], $few['sentence']]);
        // Two edges felt, 1 1/2 in apart: the middle.
        self::assertEqualsWithDelta(25.4 * 16.75, $this->answer('wall:studs', $studs([['u' => 16, 'other_edge' => 17.5]], ['unit' => 'in', 'to' => 96]))['found'][0]['u_mm'], 0.001);
        $this->refused('studs.json:$.readings[0].u: It lies past the wall’s end (2700).', 'wall:studs', $studs([['u' => 2710]]));
        $this->refused('studs.json:$.readings[1].u: The same stud as at 615? A second take of it, or two studs: leave one of them out.', 'wall:studs', $studs([['u' => 615], ['u' => 630]]));
        $this->refused('studs.json:$.readings[0].other_edge: Edges 70 mm apart are not those of one stud of 38, 45 or 50 mm. Feel for them again.', 'wall:studs', $studs([['u' => 600, 'other_edge' => 670]]));
    }

    public function test_fitting_day_is_planned_and_told_to_a_calendar(): void
    {
        $plan = $this->file('install.json', json_encode([
            'tasks' => [['id' => 'fill', 'minutes' => 15], ['id' => 'sand', 'minutes' => 15, 'needs' => [['task' => 'fill', 'dry' => 'filler']]]],
            'sessions' => [['start' => '2027-03-06T09:00', 'end' => '2027-03-06T13:00']],
        ], JSON_THROW_ON_ERROR));
        $answer = $this->answer('install:plan', $plan);
        // 9:10 to 9:25, two hours to dry.
        self::assertSame(['2027-03-06 11:25', '2027-03-06 11:40', true], [$answer['placed'][1]['start'], $answer['end'], $answer['proven']]);
        $calendar = $this->called('install:plan', $plan, '--ics');
        self::assertSame(0, $calendar->getExitCode());
        self::assertStringStartsWith("BEGIN:VCALENDAR\r\n", $calendar->getOutput());
        self::assertStringContainsString("DTSTART:20270306T090000Z\r\n", $calendar->getOutput());
        $bad = $this->file('bad.json', '{"tasks": [], "sessions": [{"start": "noon", "end": "2027-03-06T13:00"}]}');
        $this->refused('bad.json:$.sessions[0].start: “noon” is not a day and an hour, such as 2027-03-06T09:00.', 'install:plan', $bad);
        $this->refused('bad.json:$.sessions[0].start: “noon” is not a day and an hour, such as 2027-03-06T09:00.', 'install:plan', $bad, '--ics');
    }

    public function test_a_quick_sum_answers_with_its_working_and_refuses_by_field(): void
    {
        $sum = $this->answer('sum', 'divide', 'width=1203', 'count=4', 'board=18.1');
        // (1203 − 3·18.1)/4 = 287.175, down to 287; 287 + 18.1 + 287 = 592.1; 897.2.
        self::assertSame(['287 mm', '287.7 mm', '287  592.1  897.2'], array_column($sum['answers'], 'text'));
        self::assertSame(['1203 mm', '18.1 mm', '287.2 mm', '287 mm'], array_column(array_column($sum['answers'][0]['working']['steps'], 'value'), 'text'));
        self::assertSame([287_000_000, 592_100_000, 897_200_000], array_column($sum['answers'][2]['marks'], 'nm'));
        self::assertSame('11 3/8 in', $this->answer('sum', 'divide', 'width=35 5/8', 'count=3', '--unit=in')['answers'][0]['text']);
        $this->refused("spacing:0:length: “x” in “x” is not known. Type numbers, fractions, + − × and units (mm, cm, m, in, ft).\nspacing:0:count: “2.5” is not a whole number from 0 to 200.", 'sum', 'spacing', 'length=x', 'count=2.5');
        $this->refused('spacing:0:depth: Equal spacing has no “depth”. It has: length, width, gap, count, ends.', 'sum', 'spacing', 'depth=5');
        $this->refused('sum:0:name: “halve” is no sum. There are: spacing, divide, mitre, boards, square, slope, circle, screw, drawer, doors, weight, paint, tape.', 'sum', 'halve');
        $this->refused('sum:0:width: “width” has no value. Type field=value, such as length=1900.', 'sum', 'divide', 'width');
        $this->refused('--unit:0:unit: “yd” is not a unit here. It is mm or in.', 'sum', 'divide', '--unit=yd');
    }

    public function test_tools_and_the_yard_choose_among_plans_of_one_price(): void
    {
        $rows = implode('', array_map(fn (int $i) => sprintf("p%d,2,%d,%d,18,birch,length\n", $i, 300 + 97 * $i, 120 + 31 * ($i % 5)), range(1, 12)));
        $pieces = $this->file('pieces.csv', "name,quantity,length,width,thickness,material,grain\n$rows");
        $stock = $this->file('stock.csv', "name,quantity,length,width,thickness,material,price\nfull,,2440,1220,18,birch,64\n");
        $tools = $this->file('tools.json', json_encode(['table_saw' => ['rip' => 610, 'outfeed' => true], 'guided_saw' => ['guides' => [1400]]], JSON_THROW_ON_ERROR));
        $impossible = fn (array $plan, string $by): int => count($this->answer('saw:steps', $this->file('plan.json', json_encode($plan, JSON_THROW_ON_ERROR)), $by, '--window=20')['impossible']);
        $plain = $this->answer('cut:plan', $pieces, $stock);
        $sawn = $this->answer('cut:plan', $pieces, $stock, "--tools=$tools");
        self::assertSame($plain['price'], $sawn['price']);
        self::assertLessThanOrEqual($impossible($plain, $tools), $impossible($sawn, $tools));
        // With the yard nothing is left that cannot be cut.
        $yard = $this->file('yard.json', json_encode(['yard' => ['cuts' => 3]] + json_decode((string) file_get_contents($tools), true), JSON_THROW_ON_ERROR));
        self::assertLessThan($impossible($sawn, $tools), $impossible($this->answer('cut:plan', $pieces, $stock, "--tools=$tools", '--yard=3', '--objective=yard'), $yard));
        $this->refused('--objective:0:objective: Nobody said what the yard does. Add --yard=3, or a yard to the tools.', 'cut:plan', $pieces, $stock, '--objective=yard');
        $this->refused('none.json:0:tools: There is no such file.', 'cut:plan', $pieces, $stock, '--tools=none.json');
    }

    public function test_fronts_come_from_one_strip_in_their_order_and_a_group_from_one_sheet(): void
    {
        $stock = $this->file('stock.csv', "name,quantity,length,width,thickness,material,price\nfull,,2440,1220,18,birch,64\n");
        $head = "name,quantity,length,width,thickness,material,grain,front,group\n";
        $plan = $this->answer('cut:plan', $this->file('pieces.csv', $head."right,1,700,400,18,birch,length,A2,\nleft,1,700,300,18,birch,length,A1,\nlong,4,2300,500,18,birch,length,,\nx,1,600,400,18,birch,length,,box\ny,1,600,400,18,birch,length,,box\n"), $stock);
        $at = $on = [];
        foreach ($plan['sheets'] as $s => $sheet) {
            foreach ($sheet['pieces'] as $piece) {
                [$at[$piece['name']], $on[$piece['name']]] = [[$piece['x_mm'], $piece['y_mm']], $s];
            }
        }
        // 300 and a kerf of 3.2 above the left one.
        self::assertSame([$at['left'][0], $at['left'][1] + 303.2], $at['right']);
        self::assertSame($on['x'], $on['y']);
        $this->refused("pieces.csv:2:front: “1A” is not a strip and a place. Type letters and a number, such as A1.\npieces.csv:3:quantity: Pieces that stay together are named one by one: the quantity is 1.", 'cut:plan', $this->file('pieces.csv', $head."a,1,700,400,18,birch,length,1A,\nb,2,700,300,18,birch,length,A2,\n"), $stock);
        $this->refused('pieces.csv:1:front: The fronts of strip A differ. They have one length, thickness and material, and grain length.', 'cut:plan', $this->file('pieces.csv', $head."a,1,700,400,18,birch,length,A1,\nb,1,710,300,18,birch,length,A2,\n"), $stock);
    }

    public function test_a_list_in_inches_and_one_with_faults(): void
    {
        $stock = $this->file('stock.csv', "name,quantity,length,width,thickness,material,price\nfull,1,96,48,3/4,ply,80\n");
        $plan = $this->answer('cut:plan', $this->file('inches.csv', "name,quantity,length,width,thickness,material,grain\npanel,1,24 1/2,12,3/4,ply,any\n"), $stock, '--unit=in', '--trim=0', '--kerf=1/8');
        // 24 1/2 · 25.4 = 622.3; 12 · 25.4 = 304.8.
        self::assertEqualsCanonicalizing([622.3, 304.8], [$plan['sheets'][0]['pieces'][0]['length_mm'], $plan['sheets'][0]['pieces'][0]['width_mm']]);
        $bad = $this->file('bad.csv', "name,quantity,length,width,thickness,material,grain\nside,two,2100,350,18,birch,length\nshelf,5,8OO,340,18,birch,across\n");
        $this->refused(
            "bad.csv:2:quantity: “two” is not a quantity. Type a whole number from 1 to 10000.\n"
            ."bad.csv:3:grain: “across” is not a grain. It is length, width or any.\n"
            .'bad.csv:3:length: “OO” in “8OO” is not known. Type numbers, fractions, + − × and units (mm, cm, m, in, ft).',
            'cut:plan',
            $bad,
            $stock,
        );
        $this->refused('--unit:0:unit: “ft” is not a unit here. It is mm or in.', 'cut:plan', $bad, $stock, '--unit=ft');
        $this->refused('command:0:arguments: The "--blade" option does not exist.', 'cut:plan', $bad, $stock, '--blade=3');
    }

    public function test_a_survey_is_solved(): void
    {
        $readings = array_map(fn (array $reading) => array_combine(['id', 'kind', 'from', 'to', 'value'], $reading), [
            ['r1', 'side', 'A', 'B', '1200'], ['r2', 'side', 'B', 'C', '500'], ['r3', 'side', 'C', 'D', '1200'], ['r4', 'side', 'D', 'A', '500'],
            ['r5', 'diagonal', 'A', 'C', '1300'], ['r6', 'diagonal', 'B', 'D', '1300'],
        ]);
        $solved = $this->answer('survey:solve', $this->file('survey.json', json_encode(['unit' => 'mm', 'corners' => ['A', 'B', 'C', 'D'], 'readings' => $readings], JSON_THROW_ON_ERROR)));
        // 1200² + 500² = 1300²: a rectangle, with one reading more than its five unknowns need.
        self::assertTrue($solved['consistent']);
        self::assertSame(1, $solved['degrees_of_freedom']);
        self::assertEqualsWithDelta([1200.0, 500.0], [$solved['corners']['C']['x_mm'], $solved['corners']['C']['y_mm']], 0.01);
        self::assertSame([], $solved['suspects']);
        $this->refused('nowhere.json:$: The file cannot be read.', 'survey:solve', "$this->folder/nowhere.json");
    }

    /** @return array<string, array{string}> */
    public static function demos(): array
    {
        $files = glob(dirname(__DIR__, 2).'/database/demo/*.json') ?: [];

        return array_combine(array_map(fn (string $file) => basename($file, '.json'), $files), array_map(fn (string $file) => [$file], $files));
    }

    #[DataProvider('demos')]
    public function test_a_job_is_planned_from_its_file(string $file): void
    {
        $plan = $this->answer('job:plan', $file);
        self::assertSame('fits', $plan['verdict']['state'], $plan['verdict']['sentence']);
        $space = $plan['spaces'][0];
        self::assertNotSame([], $space['pieces']);
        foreach ($space['going_in'] as $carried) {
            self::assertSame([true, null], [$carried['goes'], $carried['fails']], $carried['mark']);
        }
        // Every piece is on a sheet or on a board, once.
        $placed = array_merge(...array_map(fn (array $sheet) => array_column($sheet['pieces'], 'name'), [...$plan['sheets']['sheets'], ...$plan['boards']['boards']]));
        self::assertSame(count($space['pieces']), count($placed) + array_sum(array_column($plan['sheets']['unplaced'], 'quantity')));
    }

    public function test_a_plan_says_what_moves_what_is_marked_and_what_sizes_are_good_for(): void
    {
        $job = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/tests/examples/landing-alcove-without-doors.json'));
        $job->job->spaces[0]->layout->runs[0]->bays[0]->tiers[0]->holds = (object) ['kind' => 'drawers', 'v' => 1, 'with' => (object) ['count' => 4]];
        $file = (string) tempnam(sys_get_temp_dir(), 'job');
        file_put_contents($file, (string) json_encode($job));
        $space = $this->answer('job:plan', $file)['spaces'][0];
        self::assertSame(4, count($space['movements']));
        self::assertSame('Drawer 4 of B1', $space['movements'][0]['name']);
        // A box as long as its slides, and the front before it: two convex parts of eight corners each.
        self::assertSame([8, 8], array_map('count', $space['movements'][0]['swept']));
        self::assertSame(array_fill(0, 4, 'play of drawer slides'), array_column($space['measures'], 'name'));
        $kinds = array_unique(array_merge(...array_map(fn (array $piece) => array_column($piece['marks'], 'kind'), $space['pieces'])));
        sort($kinds);
        self::assertSame(['groove', 'hole', 'line', 'pilot', 'pocket', 'screw', 'slide-line'], $kinds);
        self::assertContains('slide', array_column($space['joints'], 'kind'));
        // What lies under each bearer of the plinth, from the floor as found: it falls 7 in this alcove.
        $shims = array_filter($space['decisions'], fn (string $name) => str_starts_with($name, 'Under P1, bearer '), ARRAY_FILTER_USE_KEY);
        self::assertNotSame([], $shims);
        self::assertContains('shim', array_column(array_merge(...array_column(array_values($shims), 'steps')), 'label'));
    }

    public function test_a_job_file_with_a_fault_says_where_it_is(): void
    {
        $this->refused('half.json:$: job is missing.', 'job:plan', $this->file('half.json', '{"format": 3}'));
        $job = json_decode((string) file_get_contents(dirname(__DIR__, 2).'/database/demo/oar-store.json'), true, 32, JSON_THROW_ON_ERROR);
        $job['job']['spaces'][0]['layout']['runs'][0]['bays'][0]['top'] = 'pointed';
        $process = $this->called('job:plan', $this->file('pointed.json', json_encode($job, JSON_THROW_ON_ERROR)));
        self::assertSame(2, $process->getExitCode());
        self::assertStringContainsString('pointed.json:$.job.spaces[0].layout.runs[0].bays[0].top: ', $process->getErrorOutput());
    }

    public function test_made_up_rooms_are_tried(): void
    {
        $report = $this->answer('trial:rooms', '--count=3', '--seed=40', '--kind=alcove', '--slips=0');
        self::assertSame(['alcove', 3, 40], [$report['kind'], $report['rooms'], $report['seed']]);
        self::assertSame(['made' => 0, 'named' => 0, 'missed' => 0], array_diff_key($report['slips'], ['false' => 0]));
        self::assertSame(['kind', 'rooms', 'seed', 'seconds', 'first_time_fit', 'template_gap_mm', 'rule_gap_mm', 'in_place_gap_mm', 'gaps_covered', 'padded'], array_slice(array_keys($report), 0, 10));
        self::assertEquals(1, $report['first_time_fit']);
        self::assertSame('mild and old', $report['grade']);
        self::assertSame('plane', $this->answer('trial:rooms', '--count=1', '--seed=40', '--kind=alcove', '--grade=plane', '--optional=0')['grade']);
        foreach (['asked', 'struck_honest', 'span_claim', 'height_claim', 'within_said'] as $share) {
            self::assertGreaterThanOrEqual(0, $report[$share]);
            self::assertLessThanOrEqual(1, $report[$share]);
        }
        $all = $this->answer('trial:rooms', '--count=1', '--seed=7');
        self::assertSame(['alcove', 'closet', 'under-stair', 'roof-slope', 'chimney'], array_column($all, 'kind'));
        $this->refused(
            "command:0:count: “0” is not a whole number from 1 to 100000.\ncommand:0:slips: “2” is not a share from 0 to 1.\ncommand:0:kind: “attic” is not one of alcove, closet, under-stair, roof-slope, chimney.",
            'trial:rooms',
            '--count=0',
            '--kind=attic',
            '--slips=2',
        );
    }

    public function test_one_made_up_room_is_drawn(): void
    {
        $process = $this->called('trial:rooms', '--draw=12', '--kind=under-stair', '--slips=0');
        self::assertSame(0, $process->getExitCode());
        $svg = simplexml_load_string($process->getOutput());
        self::assertNotFalse($svg);
        self::assertStringContainsString('Seed 12: all went in.', $process->getOutput());
        // Three bays under a rake, from above and from the front.
        self::assertSame(2, substr_count($process->getOutput(), 'data-ref="B3"'));
    }
}
