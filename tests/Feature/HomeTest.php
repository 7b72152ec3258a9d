<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Home;
use App\Models\Job;
use Illuminate\Support\Facades\DB;
use Incastro\Planning\Layout\LayoutDocument;
use Tests\TestCase;

final class HomeTest extends TestCase
{
    public function test_homes_are_made_named_and_deleted_with_their_jobs(): void
    {
        $user = $this->person();
        $this->actingAs($user);
        $id = $this->postJson('/api/homes', ['name' => 'The mill'])->assertCreated()->json('id');
        $this->patchJson("/api/homes/$id", ['name' => 'The old mill'])->assertOk()->assertJsonPath('name', 'The old mill');
        $this->patchJson("/api/homes/$id", ['name' => ''])->assertUnprocessable()->assertJsonValidationErrors('name');
        $job = $this->alcove($user);
        $this->deleteJson("/api/homes/{$job->home_id}")->assertNoContent();
        self::assertModelMissing($job);
        self::assertSame([$id], Home::query()->pluck('id')->all());
    }

    public function test_each_job_is_listed_with_its_verdict_and_a_small_elevation(): void
    {
        $user = $this->person();
        $this->alcove($user);
        $this->actingAs($user);
        $job = $this->getJson('/api/homes')->assertOk()->json('0.jobs.0');
        self::assertSame('Landing alcove', $job['name']);
        self::assertSame('Fits. 4 edges to scribe.', $job['verdict']['sentence']);
        self::assertSame(['house-fill', 'beside', 'inside', 'furniture', 'gaps', 'house'], array_column($job['drawing']['layers'], 'name'));
        // The sketch is remembered, and made anew when the job changes.
        self::assertSame(1, DB::table('stage_results')->where('stage', 'sketch')->count());
        $this->postJson("/api/jobs/{$job['id']}/edits", ['target' => $job['id'], 'version' => 1, 'path' => 'name', 'value' => 'By the chimney'])->assertOk();
        $this->getJson('/api/homes')->assertJsonPath('0.jobs.0.name', 'By the chimney');
    }

    public function test_a_job_without_readings_is_listed_by_its_empty_room(): void
    {
        $user = $this->person();
        $home = $this->home($user);
        $this->actingAs($user)->postJson("/api/homes/{$home->id}/jobs", ['name' => 'Empty', 'space' => 'Alcove', 'measure' => 'mm/1'])->assertCreated();
        $this->getJson('/api/homes')->assertJsonPath('0.jobs.0.tape.measure', '22 readings to go')->assertJsonPath('0.jobs.0.drawing.name', 'From above');
    }

    public function test_a_person_sees_only_their_own_homes(): void
    {
        $this->alcove($this->person());
        $this->actingAs($this->person('two@example.org'))->getJson('/api/homes')->assertExactJson([]);
    }

    public function test_a_job_of_two_spaces_has_one_set_of_sheets(): void
    {
        $user = $this->person();
        $job = $this->alcove($user);
        $this->actingAs($user);
        $copy = $this->space($job)->replicate();
        $copy->choices = array_replace($copy->choices, ['name' => 'The other side', 'layout' => ['marks' => []] + LayoutDocument::renamed($copy->choices['layout'], fn () => (string) str()->uuid())]);
        $copy->save();
        foreach ($this->space($job)->facts()->get() as $i => $fact) {
            $other = $fact->replicate();
            $other->forceFill(['space_id' => $copy->id, 'device' => (string) str()->uuid(), 'sequence' => $i])->save();
        }
        $pieces = $this->getJson("/api/jobs/{$job->id}?station=pieces")->json('station.spaces');
        self::assertCount(2, $pieces);
        self::assertSame(array_column($pieces[0]['pieces'], 'likeness'), array_column($pieces[1]['pieces'], 'likeness'));
        // Marks are counted through the job, so that no two boards carry the same.
        $marks = array_merge(array_column($pieces[0]['pieces'], 'mark'), array_column($pieces[1]['pieces'], 'mark'));
        self::assertSame($marks, array_unique($marks));
        self::assertContains('B2-side-L', $marks);
        $sheets = $this->getJson("/api/jobs/{$job->id}?station=sheets")->json('station.sheets');
        // Twice the pieces on fewer than twice the four sheets.
        self::assertLessThan(8, count($sheets));
        self::assertGreaterThan(4, count($sheets));
    }

    public function test_spaces_of_another_job_cannot_be_edited_through_ones_own(): void
    {
        $user = $this->person();
        $mine = $this->alcove($user);
        $theirs = $this->alcove($this->person('two@example.org'));
        $this->actingAs($user)->postJson("/api/jobs/{$mine->id}/edits", ['target' => $this->space($theirs)->id, 'version' => 1, 'path' => 'name', 'value' => 'Mine now'])->assertNotFound();
        self::assertSame('Landing alcove', $this->space($theirs)->refresh()->choices['name']);
        self::assertSame(2, Job::query()->count());
    }

    public function test_facts_of_another_space_cannot_be_taken_back(): void
    {
        $user = $this->person();
        $mine = $this->alcove($user);
        $theirs = $this->alcove($this->person('two@example.org'));
        $fact = $this->space($theirs)->facts()->firstOrFail();
        $this->actingAs($user)->postJson('/api/spaces/'.$this->space($mine)->id.'/facts', ['facts' => [$this->withdrawal($fact->id)]])->assertUnprocessable();
    }
}
