<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Fact;
use App\Models\Job;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Str;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** Spaces of every kind over the API, their paper, their practice rooms, and the ways in of a home. */
final class SurveyTest extends TestCase
{
    private function job(string $kind, bool $practice = false): Job
    {
        $user = $this->person();
        $home = $user->homes()->create(['name' => 'Home']);
        $id = $this->actingAs($user)->postJson("/api/homes/$home->id/jobs", ['name' => 'Job', 'measure' => 'mm/1', 'space' => 'Space', 'kind' => $kind, 'practice' => $practice])->assertCreated()->json('id');

        return Job::query()->with('spaces')->findOrFail($id);
    }

    /** @return array<string, mixed> */
    private function fact(string $slot, string $text, ?string $end = null, array $extra = []): array
    {
        return $extra + ['id' => (string) Str::uuid(), 'device' => (string) Str::uuid(), 'sequence' => 1, 'kind' => 'take', 'taken_at' => now()->toIso8601String(), 'slot' => $slot, 'text' => $text, 'end' => $end];
    }

    /** @return array<string, array{string, int}> */
    public static function kinds(): array
    {
        return ['closet' => ['closet', 34], 'under a stair' => ['under-stair', 24], 'roof slope' => ['roof-slope', 26], 'chimney' => ['chimney', 39], 'corner' => ['room-corner', 17]];
    }

    #[DataProvider('kinds')]
    public function test_a_space_of_any_kind_begins_with_its_sheet_and_a_drawing_of_its_usual_shape(string $kind, int $required): void
    {
        $job = $this->job($kind);
        $answer = $this->getJson("/api/jobs/$job->id?station=measure")->assertOk();
        self::assertSame($required, $answer->json('station.to_go'));
        self::assertSame($kind, $answer->json('station.shape.kind'));
        self::assertNotEmpty($answer->json('station.drawings.plan.layers'));
        self::assertSame(count(array_filter($answer->json('station.shape.edges'), fn (array $edge) => $edge['kind'] === 'wall')), count($answer->json('station.drawings.walls')));
    }

    public function test_an_unknown_kind_is_refused_at_its_field(): void
    {
        $job = $this->job('alcove');
        $this->postJson("/api/jobs/$job->id/spaces", ['name' => 'Space', 'kind' => 'balloon'])->assertUnprocessable()->assertJsonValidationErrors('kind');
    }

    public function test_a_struck_take_and_one_taken_back_stay_in_the_book(): void
    {
        $user = $this->person();
        $job = $this->alcove($user);
        $space = $this->space($job);
        $this->actingAs($user);
        $old = Fact::query()->where(['space_id' => $space->id, 'slot' => 'width-low-back', 'kind' => Fact::TAKE])->firstOrFail();
        $wrong = $this->fact('width-low-back', '1003');
        $again = $this->fact('width-low-back', '903');
        $this->postJson("/api/spaces/$space->id/facts", ['facts' => [$wrong, $again], 'station' => 'measure'])->assertOk();
        $reading = fn (array $answer) => array_values(array_filter($answer['station']['readings'], fn (array $one) => $one['slot'] === 'width-low-back'))[0];
        $answer = $this->getJson("/api/jobs/$job->id?station=measure")->json();
        self::assertSame([$wrong['id']], array_column(array_filter($reading($answer)['takes'], fn (array $take) => $take['struck']), 'id'));
        self::assertSame('fits', $answer['verdict']['state']);
        // Taken back by hand, the first one is still there to be seen.
        $back = ['id' => (string) Str::uuid(), 'device' => (string) Str::uuid(), 'sequence' => 1, 'kind' => 'withdrawal', 'taken_at' => now()->toIso8601String(), 'withdraws' => $old->id];
        $answer = $this->postJson("/api/spaces/$space->id/facts", ['facts' => [$back], 'station' => 'measure'])->assertOk()->json();
        self::assertSame([$old->id], array_column($reading($answer)['withdrawn'], 'id'));
        self::assertSame(3, Fact::query()->where(['space_id' => $space->id, 'slot' => 'width-low-back', 'kind' => Fact::TAKE])->count());
    }

    public function test_things_and_shapes_are_edited_and_undone_like_any_choice(): void
    {
        $job = $this->job('other');
        $space = $this->space($job);
        $edit = fn (string $path, mixed $value) => $this->postJson("/api/jobs/$job->id/edits", ['target' => $space->id, 'version' => $space->refresh()->version, 'path' => $path, 'value' => $value, 'station' => 'measure', 'space' => $space->id]);
        $edit('shape.edges', ['wall', 'wall', 'wall', 'open', 'wall'])->assertOk()->assertJsonCount(5, 'station.shape.corners');
        $edit('shape.edges', ['wall'])->assertUnprocessable()->assertJsonValidationErrors('shape.edges');
        $socket = ['kind' => 'socket', 'name' => 'Socket', 'face' => 'wall', 'wall' => 1, 'along' => '12 cm', 'along_from' => 'left', 'up' => '300', 'up_from' => 'floor', 'width' => '80', 'height' => '80', 'stands_out' => '10', 'rule' => 'reachable', 'reach_from' => 'front', 'hand_room' => null, 'clearance' => null, 'swing' => null, 'direction' => null];
        $edit('things.socket', $socket)->assertOk()->assertJsonPath('station.things.0.rule', 'must stay reachable');
        $edit('things.socket.width', '0')->assertUnprocessable()->assertJsonValidationErrors('things.socket.width');
        $this->postJson("/api/jobs/$job->id/undo", ['station' => 'measure', 'space' => $space->id])->assertOk()->assertJsonCount(0, 'station.things');
    }

    public function test_the_measuring_sheet_and_the_csv_are_files(): void
    {
        $user = $this->person();
        $space = $this->space($this->alcove($user));
        $this->actingAs($user);
        $blank = $this->get("/api/spaces/$space->id/measuring-sheet?blank=1")->assertOk();
        self::assertSame('%PDF-', substr((string) $blank->getContent(), 0, 5));
        self::assertStringContainsString('landing-alcove-readings-blank.pdf', (string) $blank->headers->get('Content-Disposition'));
        $csv = (string) $this->get("/api/spaces/$space->id/readings.csv")->assertOk()->getContent();
        self::assertStringContainsString('width-low-back', $csv);
        // Coming in, the same file adds every line that says when it was taken once, however often it comes.
        $count = fn () => Fact::query()->where(['space_id' => $space->id, 'kind' => Fact::TAKE])->count();
        $before = $count();
        $bring = fn () => $this->post("/api/spaces/$space->id/readings.csv", ['file' => UploadedFile::fake()->createWithContent('readings.csv', $csv)], ['Accept' => 'application/json'])->assertOk();
        $bring();
        $once = $count();
        $bring();
        self::assertSame($once, $count());
        self::assertSame(2 * $before, $once);
    }

    public function test_a_practice_room_is_read_by_its_device_and_compared_when_there_is_enough(): void
    {
        $job = $this->job('alcove', practice: true);
        $space = $this->space($job);
        $this->getJson("/api/spaces/$space->id/practice/report")->assertConflict();
        $slots = array_column($this->getJson("/api/jobs/$job->id?station=measure")->json('station.readings'), 'slot');
        foreach ($slots as $slot) {
            $reading = $this->postJson("/api/spaces/$space->id/practice/reading", ['slot' => $slot])->assertOk()->json();
            $this->postJson("/api/spaces/$space->id/facts", ['facts' => [$this->fact($slot, $reading['text'], $reading['end'])]])->assertOk();
        }
        $report = $this->getJson("/api/spaces/$space->id/practice/report")->assertOk()->json();
        self::assertArrayHasKey('text', $report['span']['true']);
        self::assertSame([], $report['skipped']);
        $this->postJson("/api/spaces/$space->id/practice/reading", ['slot' => 'no-such'])->assertNotFound();
    }

    public function test_a_real_space_has_no_hidden_room(): void
    {
        $space = $this->space($this->job('alcove'));
        $this->postJson("/api/spaces/$space->id/practice/reading", ['slot' => 'height-left'])->assertNotFound();
    }

    public function test_a_book_that_is_full_says_so_and_loses_nothing(): void
    {
        $job = $this->job('alcove');
        $space = $this->space($job);
        $rows = [];
        for ($i = 0; $i < 700; $i++) {
            $rows[] = ['id' => (string) Str::uuid(), 'space_id' => $space->id, 'user_id' => $job->home->user_id, 'device' => '00000000-0000-4000-8000-000000000001', 'sequence' => $i, 'kind' => Fact::TAKE, 'slot' => 'height-left', 'value' => json_encode(['nm' => 2_400_000_000, 'typed' => '2400']), 'taken_at' => now()];
        }
        Fact::query()->insert($rows);
        $this->postJson("/api/spaces/$space->id/facts", ['facts' => [$this->fact('height-right', '2400')]])->assertUnprocessable()->assertJsonPath('errors.facts.0', 'This tape book holds 700 readings, which is as many as it takes. Take some back, or begin another space for more.');
        // A fuller book than there may be opens, and readings are taken back from it.
        $withdrawals = array_map(fn (array $row) => $this->fact('', '', extra: ['kind' => Fact::WITHDRAWAL, 'withdraws' => $row['id']]), array_slice($rows, 0, 110));
        $this->postJson("/api/spaces/$space->id/facts", ['facts' => $withdrawals])->assertOk();
        $this->postJson("/api/spaces/$space->id/facts", ['facts' => [$this->fact('height-right', '2400')]])->assertOk();
        $this->postJson("/api/spaces/$space->id/facts", ['facts' => [$this->fact('height-left', '2401')]])->assertUnprocessable()->assertJsonPath('errors.facts.0', 'This place was read 12 times, which is as often as it helps. Take one back before you read it again.');
    }

    public function test_ways_in_belong_to_the_home_and_are_refused_at_their_field(): void
    {
        $job = $this->job('alcove');
        $home = $job->home;
        $door = ['kind' => 'door', 'name' => 'Street door', 'width' => '790', 'height' => '1980', 'second_width' => null];
        $this->postJson("/api/homes/$home->id/ways-in", ['path' => 'w1', 'value' => $door])->assertOk()->assertJsonPath('0.width.nm', 790_000_000);
        $this->postJson("/api/homes/$home->id/ways-in", ['path' => 'w1.width', 'value' => '80'])->assertUnprocessable()->assertJsonValidationErrors('ways_in.w1.width');
        $this->getJson('/api/homes')->assertJsonPath('0.ways_in.0.name', 'Street door')->assertJsonPath('0.unit', 'mm');
        $this->postJson("/api/homes/$home->id/ways-in", ['path' => 'w1', 'value' => null])->assertOk()->assertExactJson([]);
    }

    public function test_the_words_to_choose_among_are_there(): void
    {
        $this->actingAs($this->person())->getJson('/api/vocabulary')->assertOk()
            ->assertJsonPath('kinds.0.value', 'alcove')->assertJsonPath('things.4.value', 'socket')->assertJsonCount(6, 'ceilings');
    }
}
