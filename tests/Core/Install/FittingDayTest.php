<?php

declare(strict_types=1);

namespace Tests\Core\Install;

use Incastro\Exchange\FittingCalendar;
use Incastro\Exchange\FittingWriter;
use Incastro\Exchange\JobFile;
use Incastro\Install\Climate;
use Incastro\Install\FittingDay;
use Incastro\Install\FittingFacts;
use Incastro\Install\FittingTask;
use Incastro\Install\FittingWishes;
use Incastro\Install\Need;
use Incastro\Install\Precedence;
use Incastro\Install\Product;
use Incastro\Install\Progress;
use Incastro\Install\Session;
use Incastro\Install\TaskKind;
use Incastro\Install\Zone;
use Incastro\Planning\Fitting;
use Incastro\Planning\JobReader;
use Incastro\Planning\Planner;
use Incastro\Units\Placed;
use PHPUnit\Framework\Attributes\DataProvider;
use PHPUnit\Framework\TestCase;

/** Fitting day of every example: what comes before what, and when. */
final class FittingDayTest extends TestCase
{
    /** 6 March 2027, 8:00 UTC. */
    private const FIRST = 1_804_320_000;

    private const WEEK = 7 * 86400;

    /** @return iterable<string, array{string}> */
    public static function examples(): iterable
    {
        foreach ([...(glob(__DIR__.'/../../../examples/*.json') ?: []), ...(glob(__DIR__.'/../../../database/demo/*.json') ?: [])] as $file) {
            yield basename($file, '.json') => [$file];
        }
    }

    #[DataProvider('examples')]
    public function test_no_step_of_an_example_comes_before_what_it_waits_for(string $file): void
    {
        $fitting = $this->fitting($file);
        $day = $fitting->day;
        foreach ($day->schedule()->placed as $id => $placed) {
            self::assertGreaterThanOrEqual($placed->session->opens(), $placed->start);
            self::assertLessThanOrEqual($placed->session->closes(), $placed->end());
            foreach ($day->precedence->needs[$id] as $need) {
                $before = $day->schedule()->placed[$need->task] ?? null;
                self::assertNotNull($before, "$id waits for $need->task");
                $dry = $need->dry?->seconds($fitting->wishes->climate, null, $need->depth) ?? 0;
                self::assertGreaterThanOrEqual($before->end() + $dry, $placed->start, "$id after $need->task");
            }
        }
        // What is asked by physics is never left out: every hard need of a task that is there is kept.
        foreach ($day->precedence->tasks as $id => $task) {
            foreach ($task->needs as $need) {
                if (! $need->isCustom && isset($day->precedence->tasks[$need->task])) {
                    self::assertArrayHasKey($need->task, $day->precedence->needs[$id], "$id needs $need->task");
                }
            }
        }
        $end = $day->schedule()->end();
        self::assertTrue($end === null || $day->bound() !== null && $day->bound() <= $end);
        self::assertEquals($day->schedule(), $this->fitting($file)->day->schedule());
    }

    #[DataProvider('examples')]
    public function test_all_that_is_built_is_fitted_by_some_step(string $file): void
    {
        $fitting = $this->fitting($file);
        $owners = array_unique(array_map(fn (string $id): string => explode('/', explode(':', $id, 3)[count(explode(':', $id, 3)) - 1])[0], array_keys($fitting->day->precedence->tasks)));
        foreach ($fitting->plan->spaces as $space) {
            foreach ($space->assemblies as $assembly) {
                $missing = array_filter($assembly->placed, fn (Placed $one) => ! in_array(explode('/', $one->owner)[0], $owners, true));
                self::assertSame([], array_values(array_map(fn (Placed $one) => $one->piece->mark, $missing)));
            }
        }
    }

    public function test_two_do_more_at_once_and_what_takes_two_waits_for_two(): void
    {
        $alone = $this->fitting(__DIR__.'/../../../database/demo/landing-alcove.json', new FittingWishes($this->saturdays(10, 1)));
        self::assertContains('B1 stood up and slid home takes 2 people; no session has as many. One session with 2 is enough.', $alone->day->schedule()->unplaced);
        $two = $this->fitting(__DIR__.'/../../../database/demo/landing-alcove.json');
        self::assertNotNull($two->day->schedule()->end());
        // The box is carried by two at once: nothing else goes on meanwhile.
        $carried = array_values(array_filter($two->day->schedule()->placed, fn ($one) => $one->task->people === 2));
        foreach ($carried as $one) {
            self::assertSame([], array_filter($two->day->schedule()->placed, fn ($other) => $other !== $one && $other->start < $one->end() && $other->end() > $one->start));
        }
    }

    public function test_what_is_done_stays_done_and_the_rest_follows_from_it(): void
    {
        $file = __DIR__.'/../../../database/demo/landing-alcove.json';
        $whole = $this->fitting($file);
        $first = $whole->day->now();
        self::assertCount(1, $first);
        self::assertSame(TaskKind::Strip, $whole->day->precedence->tasks[$first[0]]->kind);
        $then = $this->fitting($file, null, new Progress(self::FIRST, [$first[0] => self::FIRST - 60, 'box-in:one-that-is-gone' => self::FIRST - 60]));
        self::assertSame(1, $then->day->countDone());
        self::assertSame('Step 2 of 25.', $then->day->sentence());
        self::assertArrayNotHasKey($first[0], $then->day->schedule()->placed);
        $all = $this->fitting($file, null, new Progress(self::FIRST, array_fill_keys(array_keys($whole->day->precedence->tasks), self::FIRST)));
        self::assertSame('All fitted.', $all->day->sentence());
    }

    public function test_a_finger_and_the_air_say_when_a_coat_is_dry(): void
    {
        $fill = new FittingTask(TaskKind::Fill, 'x', 'Fill', 15.0, applies: Product::Filler);
        $sand = new FittingTask(TaskKind::Sand, 'x', 'Sand', 15.0, needs: [new Need($fill->id, false, Product::Filler)]);
        $coat = new FittingTask(TaskKind::Coat, 'x', 'Coat', 20.0, applies: Product::PaintCoat);
        $hung = new FittingTask(TaskKind::Hung, 'x', 'Doors', 20.0, needs: [new Need($coat->id, true, Product::PaintHang)]);
        $at = self::FIRST;
        $day = fn (array $touches = [], ?Climate $air = null): FittingDay => new FittingDay([$fill, $sand, $coat, $hung], new FittingWishes([], $air ?? new Climate()), new Progress($at, [$fill->id => $at, $coat->id => $at], $touches));
        // Two hours at 20 °C and 50 %; 3 h 18 at 16 and 60, up to the full minute: 3:17:51 is 3:18.
        self::assertSame(2 * 3600, $day()->readyAt($sand->id) - $at);
        self::assertSame(3 * 3600 + 18 * 60, $day([], new Climate(16, 60))->readyAt($sand->id) - $at);
        // Still tacky after two hours: a quarter of them more from then on.
        self::assertSame(2 * 3600 + 1800, $day([$fill->id => [['at' => $at + 7200, 'isDry' => false]]])->readyAt($sand->id) - $at);
        // Dry to touch after one hour: it is sanded; doors wait their day all the same.
        self::assertSame(3600, $day([$fill->id => [['at' => $at + 3600, 'isDry' => true]]])->readyAt($sand->id) - $at);
        self::assertSame(24 * 3600, $day([$coat->id => [['at' => $at + 3600, 'isDry' => true]]])->readyAt($hung->id) - $at);
        // Too cold, too damp: it is not applied at all.
        $open = new FittingDay([$fill], new FittingWishes([], new Climate(6)), new Progress($at));
        self::assertSame([[], 'Fill: at 6 °C it is not applied; 8 °C is the least.'], [$open->now(), $open->held($fill)]);
        self::assertStringContainsString('at 90 % it is not applied', (new FittingDay([$fill], new FittingWishes([], new Climate(20, 90)), new Progress($at)))->held($fill));
    }

    public function test_long_painting_is_done_in_parts_by_two_at_once(): void
    {
        $file = __DIR__.'/../../../examples/fire-wall.json';
        $one = $this->fitting($file)->day;
        // Twenty minutes a square metre: some 102 for each coat, in two parts of 51.
        $many = $this->fitting($file, new FittingWishes($this->saturdays(30, 2), minutes: ['coat' => 20]))->day;
        $coats = fn (FittingDay $day): array => array_values(array_filter($day->precedence->tasks, fn (FittingTask $task) => $task->kind === TaskKind::Coat));
        $minutes = fn (FittingDay $day): float => array_sum(array_map(fn (FittingTask $task): float => $task->minutes, $coats($day)));
        self::assertSame([2, 4], [count($coats($one)), count($coats($many))]);
        self::assertEqualsWithDelta(2 * $minutes($one), $minutes($many), 1e-6, 'All of it is painted, and nothing twice.');
        // The first part is the step that it was before: what was ticked stays ticked.
        self::assertSame([$coats($one)[0]->id, $coats($one)[1]->id], [$coats($many)[0]->id, $coats($many)[2]->id]);
        [$first, $beside, $second] = $coats($many);
        $placed = $many->schedule()->placed;
        self::assertSame($placed[$first->id]->start, $placed[$beside->id]->start, 'Two people paint at once.');
        self::assertGreaterThanOrEqual($placed[$first->id]->end() + 4 * 3600, $placed[$second->id]->start);
        // What is hung waits for every part of the last coat.
        foreach (array_filter($many->precedence->tasks, fn (FittingTask $task) => $task->kind === TaskKind::Hung) as $hung) {
            self::assertSame([], array_diff([$coats($many)[2]->id, $coats($many)[3]->id], array_keys($many->precedence->needs[$hung->id])));
        }
    }

    public function test_what_dries_is_told_while_something_waits_for_it(): void
    {
        $file = __DIR__.'/../../../examples/hutch.json';
        $all = $this->fitting($file)->day->precedence->tasks;
        $of = fn (TaskKind $kind): string => array_values(array_filter(array_keys($all), fn (string $id) => $all[$id]->kind === $kind))[0];
        $told = fn (array $done): array => array_column($this->fitting($file, progress: new Progress(self::FIRST, array_fill_keys($done, self::FIRST - 60)))->day->drying(), 'task');
        self::assertContains($of(TaskKind::Fill), $told([$of(TaskKind::Fill)]));
        self::assertNotContains($of(TaskKind::Fill), $told([$of(TaskKind::Fill), $of(TaskKind::Sand)]), 'It was sanded: nobody waits for it.');
    }

    public function test_a_wish_reverses_what_is_custom_and_closes_no_circle(): void
    {
        $task = fn (string $owner, Need ...$needs): FittingTask => new FittingTask(TaskKind::Unit, $owner, "Task $owner", 10.0, needs: array_values($needs));
        $id = fn (string $owner): string => FittingTask::id(TaskKind::Unit, $owner);
        $tasks = [$task('a'), $task('b', Need::custom($id('a'))), $task('c', new Need($id('b')))];
        self::assertSame([$id('a')], array_keys((new Precedence($tasks))->needs[$id('b')]));
        $wished = new Precedence($tasks, [[$id('b'), $id('a')]]);
        self::assertSame([[], [$id('b')]], [$wished->needs[$id('b')], array_keys($wished->needs[$id('a')])]);
        // C before B: B would wait for C, which waits for B.
        self::assertSame(['Task c', 'Task b'], (new Precedence($tasks))->circle($id('c'), $id('b')));
        self::assertSame([[$id('c'), $id('b')]], (new Precedence($tasks, [[$id('c'), $id('b')]]))->refused);
        self::assertNull((new Precedence($tasks))->circle($id('b'), $id('a')));
    }

    public function test_facts_say_the_same_in_any_order_and_twice(): void
    {
        $fact = fn (string $id, string $kind, ?string $part, ?array $body, int $at): array => ['id' => $id, 'kind' => $kind, 'part' => $part, 'body' => $body, 'at' => gmdate('Y-m-d\TH:i:s\Z', $at)];
        $facts = [
            $fact('1', 'task_done', 'strip:x', null, self::FIRST + 60), $fact('2', 'task_done', 'strip:x', null, self::FIRST),
            $fact('3', 'check', 'plumb:x', ['check' => 'square', 'texts' => ['1', '2'], 'reading' => -1.0], self::FIRST), $fact('4', 'check', 'plumb:x', ['check' => 'square', 'texts' => ['4', '1'], 'reading' => 3.0], self::FIRST + 5),
            $fact('5', 'climate', null, ['celsius' => 12.0, 'humidity' => 70.0], self::FIRST), $fact('6', 'climate', null, ['celsius' => 16.0, 'humidity' => 60.0], self::FIRST + 9),
        ];
        $said = new FittingFacts($facts);
        // Ticked twice it was done when it was ticked first; of two readings that stand the worse counts; the newest air is the air.
        self::assertSame(['strip:x' => self::FIRST], $said->progress(self::FIRST)->done);
        self::assertSame(3.0, $said->checks()['plumb:x#square']['reading']);
        self::assertEquals(new Climate(16, 60), $said->climate());
        mt_srand(7);
        for ($i = 0; $i < 50; $i++) {
            shuffle($facts);
            $again = new FittingFacts($facts);
            self::assertEquals($said->progress(1), $again->progress(1));
            self::assertSame($said->checks()['plumb:x#square']['reading'], $again->checks()['plumb:x#square']['reading']);
            self::assertEquals($said->climate(), $again->climate());
        }
    }

    public function test_a_calendar_taken_in_twice_has_one_event_for_each_session(): void
    {
        $file = __DIR__.'/../../../database/demo/landing-alcove.json';
        $zone = Zone::named('Europe/Berlin') ?? self::fail('There is no such zone.');
        $write = function (array $sessions, int $version) use ($file, $zone): string {
            $fitting = $this->fitting($file, new FittingWishes(array_values(array_filter($sessions, fn (Session $one) => $one->id !== 's3'))));

            return (new FittingCalendar($fitting->day->schedule(), $zone, 'job'))->write(array_map(fn (Session $one): array => ['session' => $one, 'sequence' => $version, 'cancelled' => $version > 1 && $one->id === 's3'], $sessions), self::FIRST, 'Landing alcove', array_map(fn (FittingTask $task): array => $task->kind->tools(), $fitting->day->precedence->tasks), [], $version);
        };
        $kept = [];
        foreach ([1, 2] as $version) {
            foreach (self::events($write($this->saturdays(10), $version)) as $event) {
                // A calendar keeps the event of a name whose sequence is higher.
                $kept[$event['UID']] = $event;
            }
        }
        $sessions = array_filter($kept, fn (array $event) => ! isset($event['TRANSP']));
        self::assertCount(10, $sessions);
        self::assertSame(['CANCELLED', '2'], [$kept['job-s3@incastro']['STATUS'], $kept['job-s3@incastro']['SEQUENCE']]);
        self::assertStringContainsString('Bring: knife\, flat bar', $kept['job-s0@incastro']['DESCRIPTION']);
        self::assertStringContainsString('09:10 Skirting and trim off', $kept['job-s0@incastro']['DESCRIPTION']);
        self::assertSame('20270306T080000Z', $kept['job-s0@incastro']['DTSTART']);
        self::assertNotSame([], array_filter($kept, fn (array $event) => ($event['TRANSP'] ?? '') === 'TRANSPARENT'));
    }

    public function test_a_page_has_all_that_a_phone_needs_without_a_network(): void
    {
        $fitting = $this->fitting(__DIR__.'/../../../database/demo/map-wall.json');
        $page = (new FittingWriter($fitting, Zone::named('UTC') ?? self::fail()))->write();
        self::assertLessThan(1_000_000, strlen((string) json_encode($page)));
        $plumb = array_values(array_filter($page['tasks'], fn (array $task) => $task['kind'] === 'plumb'))[0];
        self::assertCount(81, $plumb['checks'][0]['table']);
        // Its socket waits for somebody licensed, and says so.
        $refit = array_values(array_filter($page['tasks'], fn (array $task) => $task['kind'] === 'refit'))[0];
        self::assertSame(['Socket brought forward waits for a date.', false], [$refit['held'], $refit['ready']]);
        self::assertArrayHasKey($refit['id'], (array) $page['unplaced']);
        foreach ($page['walls'] as $wall) {
            self::assertContains('wall', array_column($wall['drawing']['layers'], 'name'));
        }
    }

    /** @return list<array<string, string>> events of a calendar, read line by line: what is folded is joined */
    private static function events(string $ics): array
    {
        $lines = explode("\r\n", str_replace("\r\n ", '', $ics));
        $events = [];
        foreach ($lines as $line) {
            if ($line === 'BEGIN:VEVENT') {
                $events[] = [];
            } elseif ($events !== [] && str_contains($line, ':')) {
                [$name, $value] = explode(':', $line, 2);
                $events[count($events) - 1] += [explode(';', $name)[0] => $value];
            }
        }

        return $events;
    }

    private function fitting(string $file, ?FittingWishes $wishes = null, ?Progress $progress = null): Fitting
    {
        $plan = (new Planner())->plan(JobReader::read(JobFile::read($file, (string) file_get_contents($file))['job']), saysNotStated: false);
        $dates = [];
        foreach ($plan->spaces as $space) {
            foreach ($wishes === null && ! str_contains($file, 'map-wall') ? $space->space->things : [] as $thing) {
                $dates[$thing->id] = self::FIRST + self::WEEK;
            }
        }

        return new Fitting($plan, $wishes ?? new FittingWishes($this->saturdays(30, 3), dates: $dates), $progress ?? new Progress(self::FIRST - 86400));
    }

    /** @return list<Session> from 8 to 12 UTC */
    private function saturdays(int $count, int $people = 2): array
    {
        return array_map(fn (int $i) => new Session("s$i", self::FIRST + $i * self::WEEK, self::FIRST + $i * self::WEEK + 4 * 3600, $people), range(0, $count - 1));
    }
}
