<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\JobFact;
use Illuminate\Support\Carbon;
use Incastro\Saw\Ticks;
use Tests\AlcoveTestCase;
use Tests\NotesFacts;

/** Fitting day over the API: its steps, sessions, checks, studs, and what several devices note of it. */
final class InstallTest extends AlcoveTestCase
{
    use NotesFacts;

    /** @return array<string, mixed> */
    private function station(): array
    {
        return $this->getJson("/api/jobs/{$this->job->id}?station=install")->assertOk()->json('station');
    }

    /** @return array<string, array<string, mixed>> by kind, the first of each */
    private function tasks(): array
    {
        $tasks = [];
        foreach ($this->station()['tasks'] as $task) {
            $tasks[$task['kind']] ??= $task;
        }

        return $tasks;
    }

    public function test_steps_are_ticked_once_and_taken_back(): void
    {
        $strip = $this->tasks()['strip'];
        $answer = $this->getJson("/api/jobs/{$this->job->id}?station=install");
        $all = count($answer->json('station.tasks'));
        self::assertSame("$all steps", $answer->json('tape.install'));
        $tick = $this->fact('task_done', $strip['id'], ['body' => ['minutes' => 14]]);
        $send = fn (array $fact) => $this->postJson("/api/jobs/{$this->job->id}/facts", ['facts' => [$fact], 'station' => 'install']);
        $send($tick)->assertOk()->assertJsonPath('tape.install', "step 2 of $all");
        $again = $send($tick)->assertOk()->assertJsonPath('station.done', 1);
        self::assertStringEndsWith("Step 2 of $all.", $again->json('verdict.sentence'));
        // Another device ticks it too: the first takes back what it saw, and the other’s tick stands.
        $send($this->fact('task_done', $strip['id'], ['device' => '7d8f1f4e-3f0e-4c59-9d0c-0e5a3c8a2b12', 'sequence' => 1]))->assertOk();
        $send($this->fact(Ticks::WITHDRAWAL, null, ['withdraws' => [$tick['id']]]))->assertOk()->assertJsonPath('station.done', 1);
        $send($this->fact('task_done', 'nothing:x'))->assertStatus(422)->assertJsonValidationErrors('facts.0.part');
        $send(['body' => ['minutes' => 99]] + $tick)->assertStatus(409);
    }

    public function test_a_step_that_the_plan_no_longer_has_stands_in_the_log(): void
    {
        $this->noted('install', 'task_done', 'box-in:00000000-0000-4000-8000-000000000000')->assertOk()->assertJsonPath('station.done', 0);
        $log = $this->getJson("/api/jobs/{$this->job->id}?station=log")->assertOk();
        self::assertSame(['Box in its place: done, and no longer in the plan'], $log->json('station.superseded'));
    }

    public function test_sessions_come_by_a_rule_and_are_changed_one_by_one(): void
    {
        Carbon::setTestNow('2027-03-01 12:00:00');
        $this->edited('installing.zone', 'Europe/Berlin')->assertOk();
        $made = $this->edited('installing.sessions.add', ['start' => '2027-03-20T09:00', 'end' => '2027-03-20T13:00', 'people' => 2, 'weeks' => 3, 'note' => ''])->assertOk();
        // The clocks go on on 28 March: nine there is seven in UTC from then on.
        self::assertSame([['Saturday 20 March', '9:00–13:00'], ['Saturday 27 March', '9:00–13:00'], ['Saturday 3 April', '9:00–13:00']], array_map(fn (array $one) => [$one['day'], $one['hours']], $made->json('station.sessions')));
        self::assertNotNull($made->json('station.tasks.0.session'));
        $id = $made->json('station.sessions.1.id');
        $this->edited("installing.sessions.$id", ['end' => '2027-03-27T12:00'])->assertOk()->assertJsonPath('station.sessions.1.hours', '9:00–12:00');
        $gone = $this->edited("installing.sessions.$id", null)->assertOk();
        self::assertCount(2, $gone->json('station.sessions'));
        self::assertTrue($gone->json('job.choices.installing.sessions.1.cancelled'));
        // A calendar is told what is cancelled; moments are those of UTC.
        $ics = (string) $this->get("/api/jobs/{$this->job->id}/install.ics")->assertOk()->assertHeader('Content-Type', 'text/calendar; charset=utf-8')->getContent();
        self::assertStringContainsString("STATUS:CANCELLED\r\n", $ics);
        self::assertStringContainsString("DTSTART:20270320T080000Z\r\n", $ics);
        self::assertStringContainsString("DTSTART:20270403T070000Z\r\n", $ics);
        // Undo brings it back.
        $this->postJson("/api/jobs/{$this->job->id}/undo", ['station' => 'install'])->assertOk()->assertJsonCount(3, 'station.sessions');
    }

    public function test_what_cannot_be_a_session_is_named(): void
    {
        Carbon::setTestNow('2027-03-01 12:00:00');
        $refused = fn (array $rule, string $sentence) => self::assertStringContainsString($sentence, implode(' ', $this->edited('installing.sessions.add', $rule + ['start' => '2027-03-20T09:00', 'end' => '2027-03-20T13:00', 'people' => 1, 'weeks' => 1])->assertStatus(422)->json('errors')['installing.sessions.add']));
        $refused(['end' => '2027-03-20T08:00'], 'End: 2027-03-20 08:00 is before it begins, at 2027-03-20 09:00.');
        $refused(['end' => '2027-03-21T09:00'], 'End: That is 24 hours. A session is no longer than 14.');
        $refused(['start' => '2027-02-20T09:00', 'end' => '2027-02-20T13:00'], 'End: 2027-02-20 13:00 is over already.');
        $refused(['start' => 'soon'], 'Start: “soon” is not a day and an hour');
        $refused(['people' => 9], 'People: 1, 2 or 3.');
        $refused(['weeks' => 99], 'Weeks: “99” is not a whole number from 1 to 52.');
        $this->edited('installing.sessions.add', ['start' => '2027-03-20T09:00', 'end' => '2027-03-20T13:00', 'people' => 1, 'weeks' => 1])->assertOk();
        $refused(['start' => '2027-03-20T12:00', 'end' => '2027-03-20T15:00'], 'Start: The session of 2027-03-20 12:00 lies over the one that begins at 2027-03-20 09:00.');
        $this->edited('installing.zone', 'Nowhere/Land')->assertStatus(422);
        self::assertSame('UTC', $this->job->refresh()->choices['installing']['zone']);
        foreach ([['celsius', '-40', 'Room air is 1–45 °C here.'], ['celsius', '60', 'Room air is 1–45 °C here.'], ['humidity', '0', 'It is 1–100 %.'], ['humidity', '101', 'It is 1–100 %.']] as [$field, $typed, $sentence]) {
            self::assertStringContainsString($sentence, $this->edited("installing.$field", $typed)->assertStatus(422)->json('errors')["installing.$field"][0]);
        }
    }

    public function test_a_wish_that_closes_a_circle_is_refused_and_the_circle_named(): void
    {
        $tasks = $this->tasks();
        $refused = $this->edited('installing.before', [[$tasks['fixed']['id'], $tasks['plumb']['id']]])->assertStatus(422);
        self::assertStringContainsString('waits for “B1 plumb and square”', $refused->json('errors')['installing.before'][0]);
        // Toe board before the face frame is a matter of taste.
        $this->edited('installing.before', [[$tasks['toe']['id'], $tasks['edge']['id']]])->assertOk();
        self::assertContains($tasks['toe']['id'], $this->tasks()['edge']['needs']);
    }

    public function test_readings_of_checks_are_judged(): void
    {
        $plumb = $this->tasks()['plumb'];
        $read = function (array $body) use ($plumb) {
            $answer = $this->noted('install', 'check', $plumb['id'], $body);

            return $answer;
        };
        $out = $read(['check' => 'square', 'texts' => ['2474', '2470']])->assertOk();
        $check = array_values(array_filter($out->json('station.tasks'), fn (array $task) => $task['id'] === $plumb['id']))[0]['checks'][0];
        self::assertSame('out', $check['read']['is']);
        self::assertStringContainsString('too far right', $check['read']['says']);
        // Equal to the tenth on both tries is no finding; read again, the reading before is taken back.
        $ids = $check['read']['ids'];
        $this->postJson("/api/jobs/{$this->job->id}/facts", ['facts' => [$this->fact('check', $plumb['id'], ['body' => ['check' => 'square', 'texts' => ['2472', '2472']], 'withdraws' => $ids])], 'station' => 'install'])->assertOk();
        self::assertSame('within', $this->tasks()['plumb']['checks'][0]['read']['is']);
        $read(['check' => 'plumb-side', 'texts' => ['90'], 'end' => 1])->assertStatus(422)->assertJsonPath('errors', ['facts.0.body.texts' => ['A gap of 90 mm is more than a level shows: sign, or unit?']]);
        $read(['check' => 'plumb-side', 'texts' => ['two'], 'end' => 1])->assertStatus(422);
        $read(['check' => 'plumb-side', 'texts' => []])->assertStatus(422)->assertJsonPath('errors', ['facts.0.body.texts' => ['Type what you read.']]);
        // Left so, it is kept as a problem in the log.
        $read(['check' => 'plumb-side', 'texts' => ['3'], 'end' => 0, 'left' => true])->assertOk();
        $log = $this->getJson("/api/jobs/{$this->job->id}/log")->assertOk();
        // Of two readings of the diagonals the one that was taken back is gone.
        self::assertSame([['B1 plumb and square', 'Diagonals of the face', '2472 · 2472', true], ['B1 plumb and square', 'Plumb, to its side', '3', false]], array_map(array_values(...), $log->json('checks')));
        self::assertSame($plumb['id'], array_values(array_filter($this->getJson("/api/jobs/{$this->job->id}/install")->assertOk()->json('tasks'), fn (array $task) => $task['kind'] === 'plumb'))[0]['id']);
        $problems = $log->json('problems');
        self::assertSame(['Out of its limit and left so', 'B1 plumb and square', '3'], [$problems[0]['what'], $problems[0]['where'], $problems[0]['words']]);
    }

    public function test_studs_are_noted_by_their_middle_or_both_edges(): void
    {
        $wall = $this->station()['walls'][0]['key'];
        $this->noted('install', 'stud', $wall, ['u' => '120'])->assertOk();
        $this->noted('install', 'stud', $wall, ['u' => '501', 'other' => '539'])->assertOk()->assertJsonPath('station.walls.0.studs.found', ['120 mm', '520 mm']);
        $this->noted('install', 'stud', $wall, ['u' => '2410'])->assertStatus(422)->assertJsonPath('errors', ['facts.0.body.u' => ['Along the wall: 2410 mm is past the wall’s end (905 mm).']]);
        $same = $this->noted('install', 'stud', $wall, ['u' => '535'])->assertStatus(422);
        self::assertStringContainsString('same stud as at 520 mm?', $same->json('errors')['facts.0.body.u'][0]);
        $this->noted('install', 'stud', $wall, ['u' => '535', 'anyway' => true])->assertOk();
        $this->noted('install', 'stud', $wall, ['u' => '700', 'other' => '790'])->assertStatus(422);
        $this->noted('install', 'stud', $wall, ['u' => '800', 'hit' => false])->assertOk();
        $this->noted('install', 'stud', 'no/1', ['u' => '80'])->assertStatus(422)->assertJsonValidationErrors('facts.0.part');
        // Screws go into what was found.
        $held = $this->tasks()['held'];
        self::assertSame(['B1-nailer-top: 120 mm along the wall', 'B1-nailer-top: 520 mm along the wall'], array_map(fn (array $screw) => explode(', ', $screw['at'])[0], array_slice($held['screws'], 0, 2)));
    }

    public function test_what_was_applied_dries_by_the_newest_air(): void
    {
        Carbon::setTestNow('2027-03-06 10:00:00');
        $tasks = $this->tasks();
        $this->noted('install', 'task_done', $tasks['fill']['id'])->assertOk();
        $until = fn (): int => $this->station()['drying'][0]['until']['at'] - now()->getTimestamp();
        self::assertSame(2 * 3600, $until());
        $this->noted('install', 'climate', null, ['celsius' => '16', 'humidity' => '60'])->assertOk();
        self::assertSame(3 * 3600 + 18 * 60, $until());
        $this->noted('install', 'climate', null, ['celsius' => '-40', 'humidity' => '60'])->assertStatus(422)->assertJsonPath('errors', ['facts.0.body.celsius' => ['“-40” was typed. Room air is 1–45 °C here.']]);
        Carbon::setTestNow('2027-03-06 13:00:00');
        $this->noted('install', 'touch', $tasks['fill']['id'], ['says' => 'tacky'])->assertOk();
        // A quarter of 3:18 from one o’clock on: 49.5 min, later than 13:18.
        self::assertSame(3 * 3600 + 50 * 60, $until() + 3 * 3600);
        $this->noted('install', 'touch', $tasks['fill']['id'], ['says' => 'wet'])->assertStatus(422);
    }

    public function test_a_floor_that_is_read_on_the_day_decides_what_lies_under_a_plinth(): void
    {
        $plinth = $this->tasks()['foot'];
        $packs = fn (): array => array_column($this->tasks()['foot']['packs'], 'text', 'place');
        $surveyed = $packs();
        $send = fn (string $place, string $text) => $this->noted('install', 'level', $plinth['id'], ['place' => $place, 'text' => $text]);
        $send('1/back', '1000')->assertOk();
        self::assertSame($surveyed, $packs(), 'One place does not tell how a floor falls.');
        // Fronts of bearers lie 3.8 lower; under the rear rail, 18 further back, it is a quarter of a millimetre higher still: 4.05 is 3 + 1.
        foreach (array_keys($surveyed) as $place) {
            $place === '1/back' || $send($place, str_ends_with($place, 'back') ? '1000' : '1003.8')->assertOk();
        }
        self::assertSame(array_map(fn (string $place): string => str_ends_with($place, 'back') ? '–' : '3 + 1', array_combine(array_keys($surveyed), array_keys($surveyed))), $packs());
        self::assertContains('The packs are by the floor as it was read under the line.', $this->tasks()['foot']['words']);
        $send('1/side', '1000')->assertStatus(422)->assertJsonValidationErrors('facts.0.body.place');
        $send('1/back', 'low')->assertStatus(422)->assertJsonValidationErrors('facts.0.body.text');
    }

    public function test_a_clock_that_is_off_is_put_right(): void
    {
        Carbon::setTestNow('2027-03-06 11:30:00');
        $tick = $this->fact('task_done', $this->tasks()['strip']['id'], ['at' => '2027-03-06T12:10:00Z']);
        $this->postJson("/api/jobs/{$this->job->id}/facts", ['facts' => [$tick], 'station' => 'install', 'sent_at' => '2027-03-06T12:10:05Z'])->assertOk();
        // Forty minutes fast: it was 11:30.
        self::assertSame('2027-03-06T11:29:55Z', JobFact::query()->whereKey($tick['id'])->firstOrFail()->at->toIso8601ZuluString());
    }
}
