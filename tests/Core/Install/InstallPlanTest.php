<?php

declare(strict_types=1);

namespace Tests\Core\Install;

use Incastro\Exchange\BadFile;
use Incastro\Exchange\InstallFile;
use Incastro\Exchange\InstallWriter;
use Incastro\Install\Climate;
use Incastro\Install\Order;
use Incastro\Install\Placed;
use Incastro\Install\Product;
use Incastro\Install\Schedule;
use Incastro\Install\Scheduler;
use Incastro\Install\Session;
use Incastro\Install\Task;
use Incastro\Install\Water;
use PHPUnit\Framework\TestCase;

final class InstallPlanTest extends TestCase
{
    /** Two boxes, a stile and a filler, painted in place, on Saturdays from 9 to 13. */
    private const JOB = [
        'zone' => 'Europe/Berlin', 'climate' => ['celsius' => 16, 'humidity' => 60],
        'tasks' => [
            ['id' => 'strip', 'minutes' => 30], ['id' => 'line', 'minutes' => 25, 'needs' => [['task' => 'strip']]], ['id' => 'plinth', 'minutes' => 60, 'needs' => [['task' => 'line']]],
            ['id' => 'B1', 'minutes' => 20, 'people' => 2, 'needs' => [['task' => 'plinth']]], ['id' => 'B2', 'minutes' => 20, 'people' => 2, 'needs' => [['task' => 'B1']]],
            ['id' => 'join', 'minutes' => 10, 'needs' => [['task' => 'B2']]], ['id' => 'fix', 'minutes' => 20, 'needs' => [['task' => 'join']]],
            ['id' => 'stile', 'minutes' => 40, 'needs' => [['task' => 'fix']]], ['id' => 'filler', 'minutes' => 40, 'needs' => [['task' => 'stile']]], ['id' => 'toe', 'minutes' => 30, 'needs' => [['task' => 'fix']]],
            ['id' => 'fill', 'minutes' => 15, 'needs' => [['task' => 'filler']]], ['id' => 'sand', 'minutes' => 15, 'needs' => [['task' => 'fill', 'dry' => 'filler']]],
            ['id' => 'prime', 'minutes' => 30, 'needs' => [['task' => 'sand']]], ['id' => 'caulk', 'minutes' => 20, 'needs' => [['task' => 'prime', 'dry' => 'primer-water']]],
            ['id' => 'coat1', 'minutes' => 40, 'needs' => [['task' => 'caulk', 'dry' => 'caulk']]], ['id' => 'coat2', 'minutes' => 40, 'needs' => [['task' => 'coat1', 'dry' => 'paint-water-coat']]],
            ['id' => 'doors', 'minutes' => 60, 'needs' => [['task' => 'coat2', 'dry' => 'paint-water-hang']]], ['id' => 'adjust', 'minutes' => 30, 'needs' => [['task' => 'doors']]],
        ],
    ];

    public function test_things_dry_longer_in_cool_and_damp_air(): void
    {
        $cool = new Climate(16, 60);
        // 2^(4/10) = 1.320; 0.5/0.4 = 1.25; 1.649 in all: 2 h become 3 h 18, 4 h 6 h 36, 24 h 39 h 35.
        self::assertEqualsWithDelta(1.649, $cool->factor(Water::All), 0.001);
        self::assertEqualsWithDelta(1.320, $cool->factor(Water::None), 0.001);
        self::assertSame(['3:18', '6:36', '39:35'], array_map(fn (Product $one): string => intdiv((int) round($one->seconds($cool) / 60), 60).':'.sprintf('%02d', (int) round($one->seconds($cool) / 60) % 60), [Product::Filler, Product::PaintCoat, Product::PaintHang]));
        // Twice as deep takes twice as long; the tin goes first; bounds hold.
        self::assertSame(2 * Product::Filler->seconds(new Climate()), Product::Filler->seconds(new Climate(), null, 6.0));
        self::assertSame(3 * 3600, Product::Filler->seconds(new Climate(), 3.0));
        // 0.5/0.01 would be 50 times as long: three times is the most.
        self::assertEqualsWithDelta(3 * 2 ** 1.9, (new Climate(1, 99))->factor(Water::All), 1e-9);
    }

    public function test_saturdays_are_filled_by_what_is_dry(): void
    {
        $answer = $this->answer(self::JOB + ['sessions' => self::saturdays()]);
        $at = array_column($answer['placed'], 'start', 'task');
        $ends = array_column($answer['placed'], 'end', 'task');
        // 9:10 + 30 + 25 + 60 + 20 + 20 + 10 + 20 = 12:15; the stile takes 40 and 30 are left: the toe board goes in.
        self::assertSame(['2027-03-06 12:15', '2027-03-06 12:45'], [$at['toe'], $ends['toe']]);
        self::assertSame(['2027-03-13 09:10', '2027-03-13 09:50', '2027-03-13 10:45'], [$at['stile'], $at['filler'], $ends['fill']]);
        // 10:45 + 3 h 18 is after the session; 9:55 + 6 h 36 = 16:30; 9:30 + 3 h 18 = 12:47.
        $ready = array_column($answer['placed'], 'ready', 'task');
        self::assertSame(['2027-03-13 14:02', '2027-03-20 16:30', '2027-03-27 12:47'], [$ready['sand'], $ready['caulk'], $ready['coat1']]);
        self::assertSame(['2027-03-20 09:10', '2027-03-27 09:10', '2027-04-03 09:10', '2027-04-10 09:10', '2027-04-17 09:10'], [$at['sand'], $at['caulk'], $at['coat1'], $at['coat2'], $at['doors']]);
        self::assertSame(['2027-04-17 10:40', '2027-04-17 10:40', true], [$answer['end'], $answer['bound'], $answer['proven']]);
        self::assertSame(['strip', 'line', 'plinth', 'B1', 'B2', 'join', 'fix', 'stile', 'filler', 'fill', 'sand', 'prime', 'caulk', 'coat1', 'coat2', 'doors', 'adjust'], $answer['chain']);
    }

    public function test_in_warm_dry_air_it_ends_a_week_earlier(): void
    {
        $answer = $this->answer(['climate' => ['celsius' => 20, 'humidity' => 50]] + self::JOB + ['sessions' => self::saturdays()]);
        self::assertStringStartsWith('2027-04-10', $answer['end']);
    }

    public function test_short_visits_when_something_is_dry_save_weeks(): void
    {
        $answer = $this->answer(self::JOB + ['sessions' => self::saturdays()]);
        // The filler is dry at 14:02: ten minutes to set up, 15 + 30 of work, 15 to clear.
        self::assertContains(['start' => '2027-03-13 14:00', 'minutes' => 75, 'end' => '2027-04-10 10:40', 'sentence' => 'A visit of 1 h 15 at 2027-03-13 14:00: it ends 2027-04-10 10:40.'], $answer['helps']);
        // By the clock of that day, before and after it changes.
        $first = $this->answer(self::JOB + ['sessions' => [...self::saturdays(), ['start' => '2027-03-13T14:00', 'end' => '2027-03-13T15:15']]]);
        self::assertContains('2027-03-14 08:00', array_column($first['helps'], 'start'));
        self::assertContains('2027-03-20 13:00', array_column($first['helps'], 'start'));
        $with = $this->answer(self::JOB + ['sessions' => [...self::saturdays(), ['start' => '2027-03-13T14:00', 'end' => '2027-03-13T15:15'], ['start' => '2027-03-20T13:00', 'end' => '2027-03-20T14:30']]]);
        $at = array_column($with['placed'], 'start', 'task');
        self::assertSame(['2027-03-13 14:10', '2027-03-13 14:25', '2027-03-20 13:10'], [$at['sand'], $at['prime'], $at['coat1']]);
        self::assertStringStartsWith('2027-04-03', $with['end']);
    }

    public function test_two_people_do_two_things_at_once_and_one_alone_cannot_lift_for_two(): void
    {
        $tasks = [['id' => 'shelves', 'minutes' => 60], ['id' => 'pulls', 'minutes' => 60], ['id' => 'lift', 'minutes' => 20, 'people' => 2, 'name' => 'The tall box']];
        $session = fn (int $people): array => [['start' => '2027-03-06T09:00', 'end' => '2027-03-06T13:00', 'people' => $people]];
        $two = array_column($this->answer(['tasks' => $tasks, 'sessions' => $session(2)])['placed'], 'start', 'task');
        self::assertSame($two['shelves'], $two['pulls']);
        $one = $this->answer(['tasks' => $tasks, 'sessions' => $session(1)]);
        self::assertSame([['task' => 'lift', 'because' => 'The tall box takes 2 people; no session has as many. One session with 2 is enough.']], $one['unplaced']);
        self::assertNull($one['end']);
        $long = $this->answer(['tasks' => [['id' => 'top', 'minutes' => 60, 'name' => 'Scribing the top'], ['id' => 'sink', 'minutes' => 5, 'name' => 'The sink', 'needs' => [['task' => 'top']]]], 'sessions' => [['start' => '2027-03-06T09:00', 'end' => '2027-03-06T10:00']]]);
        self::assertSame(['Scribing the top takes 60 min; your longest session leaves 35. Split it or lengthen one.', 'The sink waits for Scribing the top.'], array_column($long['unplaced'], 'because'));
        self::assertSame('Say when you have time, and dates appear.', $this->answer(['tasks' => $tasks, 'sessions' => []])['unplaced'][0]['because']);
        $none = $this->answer(['tasks' => array_map(fn (int $i) => ['id' => "t$i", 'minutes' => 30, 'name' => "Task $i"], [1, 2]), 'sessions' => [['start' => '2027-03-06T09:00', 'end' => '2027-03-06T10:00']]]);
        self::assertSame('The last session is over before Task 2 can begin: add one.', $none['unplaced'][0]['because']);
    }

    /** In any order of work nothing begins before it is dry, no session is overfilled, and no end is before its bound. */
    public function test_random_plans_keep_every_rule(): void
    {
        mt_srand(13);
        for ($i = 0; $i < 300; $i++) {
            $tasks = [];
            for ($t = 0; $t < mt_rand(2, 24); $t++) {
                $needs = [];
                foreach ($t === 0 ? [] : (array) array_rand(array_fill(0, $t, 0), min($t, mt_rand(1, 3))) as $n) {
                    $needs["t$n"] = mt_rand(0, 2) === 0 ? mt_rand(600, 100_000) : 0;
                }
                $tasks[] = new Task("t$t", mt_rand(5, 90), mt_rand(1, 5) === 1 ? 2 : 1, mt_rand(0, 3) === 0 ? [] : $needs);
            }
            $sessions = array_map(fn (int $day): Session => new Session("s$day", $day * 86_400, $day * 86_400 + mt_rand(2, 6) * 3600, mt_rand(1, 3)), range(1, 14));
            $scheduler = new Scheduler(new Order($tasks), $sessions);
            $schedule = $scheduler->schedule();
            self::assertCount(count($tasks), [...$schedule->placed, ...$schedule->unplaced]);
            $this->keepsTheRules($schedule);
            self::assertEquals($schedule, (new Scheduler(new Order($tasks), $sessions))->schedule());
            if ($schedule->end() !== null) {
                self::assertLessThanOrEqual($schedule->end(), (int) $scheduler->bound());
                foreach ($scheduler->helps(fn (): int => 0) as $help) {
                    self::assertLessThan($schedule->end(), $help['end']);
                }
            }
        }
    }

    private function keepsTheRules(Schedule $schedule): void
    {
        foreach ($schedule->placed as $one) {
            self::assertGreaterThanOrEqual($one->session->opens(), $one->start);
            self::assertLessThanOrEqual($one->session->closes(), $one->end());
            foreach ($one->task->needs as $id => $dry) {
                self::assertGreaterThanOrEqual($schedule->placed[$id]->end() + $dry, $one->start);
            }
            $with = array_filter($schedule->placed, fn (Placed $other) => $other->session->id === $one->session->id && $other->start <= $one->start && $other->end() > $one->start);
            self::assertLessThanOrEqual($one->session->people, array_sum(array_map(fn (Placed $other) => $other->task->people, $with)));
        }
    }

    public function test_sessions_are_told_to_a_calendar_in_utc(): void
    {
        $file = self::JOB;
        $file['tasks'][0]['name'] = str_repeat('a', 56).'×b, and; so on';
        $sessions = self::saturdays();
        $sessions[0] += ['id' => 'first', 'sequence' => 3];
        $sessions[6] += ['id' => 'last', 'cancelled' => true];
        $ics = (new InstallWriter(new InstallFile('job.json', (string) json_encode($file + ['sessions' => $sessions]))))->calendar(1_800_000_000);
        self::assertSame([], array_filter(explode("\r\n", $ics), fn (string $line) => strlen($line) > 75));
        self::assertStringNotContainsString("\n", str_replace("\r\n", '', $ics));
        $events = self::events($ics);
        // 10:45 + 2 h · 1.6494 = 14:02:56. One hour before UTC in March, two from the 28th: 9:00 is 8:00 and then 7:00.
        self::assertSame(['20270306T080000Z', '20270306T120000Z', '3', 'CONFIRMED'], [$events['first@incastro']['DTSTART'], $events['first@incastro']['DTEND'], $events['first@incastro']['SEQUENCE'], $events['first@incastro']['STATUS']]);
        self::assertContains('20270403T070000Z', array_column($events, 'DTSTART'));
        self::assertStringStartsWith('09:10 '.str_repeat('a', 56).'×b, and; so on'."\n09:40 line", $events['first@incastro']['DESCRIPTION']);
        self::assertSame('CANCELLED', $events['last@incastro']['STATUS']);
        self::assertSame(['20270313T130256Z', 'TRANSPARENT'], [$events['fill-dry-for-sand@incastro']['DTSTART'], $events['fill-dry-for-sand@incastro']['TRANSP']]);
        // Imported again, each has the name that it had.
        self::assertSame(array_keys($events), array_unique(array_keys($events)));
        self::assertSame(substr_count($ics, 'BEGIN:VEVENT'), count($events));
    }

    public function test_what_cannot_be_is_refused_by_its_place(): void
    {
        $refused = function (array $file): string {
            try {
                new InstallFile('job.json', (string) json_encode($file));
            } catch (BadFile $bad) {
                return $bad->getMessage();
            }

            return '';
        };
        $two = [['id' => 'a', 'minutes' => 5, 'needs' => [['task' => 'b']]], ['id' => 'b', 'minutes' => 5, 'needs' => [['task' => 'a']]]];
        self::assertSame('job.json:$.tasks: These wait for each other: a after b after a.', $refused(['tasks' => $two, 'sessions' => []]));
        self::assertSame('job.json:$.zone: “Nowhere” is not a time zone, such as UTC or a name of an area.', $refused(['zone' => 'Nowhere', 'tasks' => [], 'sessions' => []]));
        self::assertSame('job.json:$.climate.celsius: “60” is not a number from 1 to 45.', $refused(['climate' => ['celsius' => 60], 'tasks' => [], 'sessions' => []]));
        self::assertSame('job.json:$.climate.humidity: Nothing is applied in air damper than 85 %.', $refused(['climate' => ['humidity' => 90], 'tasks' => [], 'sessions' => []]));
        self::assertSame('job.json:$.tasks[0].needs[0].task: There is no task “x”.', $refused(['tasks' => [['id' => 'a', 'minutes' => 5, 'needs' => [['task' => 'x']]]], 'sessions' => []]));
        self::assertStringStartsWith('job.json:$.tasks[1].needs[0].dry: “mud” is not among what dries: wood-glue-clamps, ', $refused(['tasks' => [['id' => 'a', 'minutes' => 5], ['id' => 'b', 'minutes' => 5, 'needs' => [['task' => 'a', 'dry' => 'mud']]]], 'sessions' => []]));
        $at = fn (string $start, string $end): array => ['start' => $start, 'end' => $end];
        self::assertSame('job.json:$.sessions[0].end: It ends before it begins.', $refused(['tasks' => [], 'sessions' => [$at('2027-03-06T09:00', '2027-03-06T08:00')]]));
        self::assertSame('job.json:$.sessions[0].end: It is longer than 14 hours.', $refused(['tasks' => [], 'sessions' => [$at('2027-03-06T06:00', '2027-03-06T21:00')]]));
        self::assertSame('job.json:$.sessions[1].start: It lies over the session that begins at 2027-03-06 09:00.', $refused(['tasks' => [], 'sessions' => [$at('2027-03-06T09:00', '2027-03-06T12:00'), $at('2027-03-06T11:00', '2027-03-06T13:00')]]));
        self::assertStringContainsString('“2027-02-30 09:00” is not a day and an hour', $refused(['tasks' => [], 'sessions' => [$at('2027-02-30T09:00', '2027-03-06T13:00')]]));
    }

    /** @return list<array<string, mixed>> eight Saturdays, two people on the first */
    private static function saturdays(): array
    {
        return array_map(fn (string $day, int $i): array => ['start' => "{$day}T09:00", 'end' => "{$day}T13:00", 'people' => $i === 0 ? 2 : 1], ['2027-03-06', '2027-03-13', '2027-03-20', '2027-03-27', '2027-04-03', '2027-04-10', '2027-04-17', '2027-04-24'], range(0, 7));
    }

    /**
     * @param  array<string, mixed>  $file
     * @return array<string, mixed>
     */
    private function answer(array $file): array
    {
        return (new InstallWriter(new InstallFile('job.json', (string) json_encode($file))))->answer();
    }

    /**
     * A reader of calendars for this test: unfolds, and takes escapes away.
     *
     * @return array<string, array<string, string>> the properties of each event by its UID
     */
    private static function events(string $ics): array
    {
        $events = [];
        foreach (array_slice(explode("BEGIN:VEVENT\r\n", str_replace("\r\n ", '', $ics)), 1) as $text) {
            $event = [];
            foreach (explode("\r\n", explode('END:VEVENT', $text)[0]) as $line) {
                [$name, $value] = [...explode(':', $line, 2), ''];
                $event[$name] = strtr($value, ['\\n' => "\n", '\\N' => "\n", '\\,' => ',', '\\;' => ';', '\\\\' => '\\']);
            }
            $events[$event['UID']] = $event;
        }

        return $events;
    }
}
