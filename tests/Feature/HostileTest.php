<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\TestCase;

/** What a stranger or a broken program may send: each is refused in a sentence, and none is an error of the application. */
final class HostileTest extends TestCase
{
    /** @return array<string, array{string, int, string}> the body of a sign-in, the status, and words of the sentence */
    public static function bodies(): array
    {
        $colliding = '{'.implode(',', array_map(fn (int $i) => sprintf('"%d":0', $i * 131_072), range(0, 16_383))).'}';
        $wide = '{"a":{'.implode(',', array_map(fn (int $i) => "\"k$i\":0", range(1, 2500))).'}}';

        return [
            'keys that collide' => [$colliding, 422, 'more fields'],
            'an object of 2500 fields' => [$wide, 422, 'more fields'],
            'a character that is none' => ['{"email":"victim@mail.example\u0000abc","password":"x"}', 422, 'U+0000'],
            'a byte that is no text' => ["{\"email\":\"\xff\",\"password\":\"x\"}", 422, 'UTF-8'],
            'too much' => ['{"email":"'.str_repeat('a', 600_000).'"}', 413, 'larger than 512 kB'],
            'a list for an address' => ['{"email":["x"],"password":"x"}', 422, 'must be a string'],
            'an object for an address' => ['{"email":{},"password":"x"}', 422, 'email'],
        ];
    }

    #[DataProvider('bodies')]
    public function test_it_is_refused_before_anything_is_done(string $body, int $status, string $words): void
    {
        $answer = $this->call('POST', '/api/session', [], [], [], ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json', 'HTTP_ORIGIN' => 'http://localhost', 'CONTENT_LENGTH' => (string) strlen($body)], $body);
        $answer->assertStatus($status);
        self::assertStringContainsString($words, (string) $answer->json('message'));
    }

    public function test_many_fields_in_all_but_few_in_each_object_are_read(): void
    {
        $objects = array_map(fn (int $i) => ['id' => "x\"{}:$i", 'a' => $i, 'b' => $i], range(1, 1000));
        $user = $this->person();
        $job = $this->alcove($user);
        $this->actingAs($user)->postJson("/api/jobs/{$job->id}/edits", ['target' => $job->id, 'version' => 1, 'path' => 'name', 'value' => 'Read', 'rest' => $objects])->assertOk()->assertJsonPath('job.name', 'Read');
    }

    public function test_every_foreign_key_has_an_index(): void
    {
        // The first columns of an index must be those of the key.
        $bare = DB::select("SELECT c.conrelid::regclass AS on_table, a.attname AS by FROM pg_constraint c JOIN pg_attribute a ON a.attrelid = c.conrelid AND a.attnum = c.conkey[1]
            WHERE c.contype = 'f' AND NOT EXISTS (SELECT 1 FROM pg_index i WHERE i.indrelid = c.conrelid AND i.indkey[0] = c.conkey[1])");
        self::assertSame([], $bare);
    }

    public function test_a_password_that_is_no_text_is_refused(): void
    {
        $this->actingAs($this->person());
        $this->putJson('/api/account/password', ['current_password' => ['x'], 'password' => 'a-new-password-of-mine'])->assertJsonValidationErrors(['current_password']);
        $this->deleteJson('/api/account', ['password' => ['x']])->assertJsonValidationErrors(['password']);
    }

    public function test_values_that_no_field_holds_are_refused_or_read_as_nothing(): void
    {
        $user = $this->person();
        $job = $this->alcove($user);
        $edit = fn (array $body) => $this->actingAs($user)->postJson("/api/jobs/{$job->id}/edits", $body + ['target' => $job->id, 'version' => 1, 'path' => 'rules.plinth_height', 'value' => '80']);
        $edit(['version' => 2_147_483_648])->assertJsonValidationErrors(['version']);
        $edit(['value' => ['nm' => 80_000_000, 'typed' => []]])->assertOk();
        $space = $this->space($job);
        $this->postJson("/api/jobs/{$job->id}/edits", ['target' => $space->id, 'version' => $space->version, 'path' => 'layout.do', 'value' => ['action' => 'add', 'kind' => 'worktop', 'cells' => [[1]], 'seed' => 'x']])->assertStatus(422);
        $this->postJson("/api/spaces/{$space->id}/facts", ['facts' => [['id' => (string) str()->uuid(), 'device' => (string) str()->uuid(), 'sequence' => 1, 'kind' => 'withdrawal', 'taken_at' => now()->toIso8601String(), 'withdraws' => '']]])->assertStatus(422);
    }

    public function test_after_a_space_is_taken_out_what_was_changed_before_it_is_undone(): void
    {
        $user = $this->person();
        $job = $this->alcove($user);
        $was = $job->choices['name'];
        $this->actingAs($user)->postJson("/api/jobs/{$job->id}/edits", ['target' => $job->id, 'version' => 1, 'path' => 'name', 'value' => 'Before'])->assertOk();
        $second = $this->postJson("/api/jobs/{$job->id}/spaces", ['name' => 'Second'])->assertCreated()->json('id');
        $this->postJson("/api/jobs/{$job->id}/edits", ['target' => $second, 'version' => 1, 'path' => 'name', 'value' => 'Gone'])->assertOk();
        $this->deleteJson("/api/spaces/$second")->assertOk()->assertJsonCount(1, 'job.spaces')->assertJsonPath('history.undo', 'space taken out');
        $undo = fn () => $this->postJson("/api/jobs/{$job->id}/undo")->assertOk();
        // The space comes back as it was, then loses its name, then goes, then the job has its own name again.
        $undo()->assertJsonPath('job.spaces.1.choices.name', 'Gone');
        $undo()->assertJsonPath('job.spaces.1.choices.name', 'Second');
        $undo()->assertJsonCount(1, 'job.spaces');
        $undo();
        self::assertSame($was, $job->refresh()->choices['name']);
        $redo = fn () => $this->postJson("/api/jobs/{$job->id}/redo")->assertOk();
        $redo();
        $redo();
        $redo()->assertJsonPath('job.spaces.1.choices.name', 'Gone');
        $redo()->assertJsonCount(1, 'job.spaces')->assertJsonPath('history.redo', null);
    }

    public function test_two_people_with_the_same_empty_job_see_their_own(): void
    {
        $ids = [];
        foreach (['ann@example.org', 'bob@example.org'] as $email) {
            $user = $this->person($email);
            $job = $this->alcove($user);
            $job->spaces()->delete();
            $this->flushSession();
            $ids[$email] = [$job->id, $this->actingAs($user)->getJson('/api/homes')->assertOk()->json('0.jobs.0.id')];
        }
        foreach ($ids as [$own, $listed]) {
            self::assertSame($own, $listed);
        }
    }
}
