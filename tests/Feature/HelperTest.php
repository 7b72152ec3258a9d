<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\EditRecord;
use App\Models\Fact;
use App\Models\Invitation;
use App\Models\Job;
use App\Models\Space;
use App\Models\User;
use Tests\AlcoveTestCase;

/** A second person at one job: invited by a link, working beside its owner, let go; and what is taken out and put back. */
final class HelperTest extends AlcoveTestCase
{
    private User $helper;

    protected function setUp(): void
    {
        parent::setUp();
        $this->helper = User::query()->create(['name' => 'Hedda', 'email' => 'hedda@example.org', 'password' => 'a long password']);
    }

    private function invited(): string
    {
        $url = $this->as($this->user)->postJson("/api/jobs/{$this->job->id}/invitations")->assertCreated()->json('url');

        return explode('#', $url)[1];
    }

    private function joined(): void
    {
        $token = $this->invited();
        $this->as($this->helper)->postJson('/api/invitation/join', ['token' => $token])->assertOk()->assertJsonPath('id', $this->job->id);
    }

    public function test_a_link_lets_one_person_in_once_and_for_a_week(): void
    {
        $token = $this->invited();
        $this->as($this->helper)->getJson("/api/jobs/{$this->job->id}")->assertNotFound();
        $this->postJson('/api/invitation', ['token' => $token])->assertOk()->assertExactJson(['job' => 'Landing alcove', 'owner' => 'Somebody']);
        $this->postJson('/api/invitation/join', ['token' => $token])->assertOk();
        $this->getJson("/api/jobs/{$this->job->id}?station=fit")->assertOk();
        $this->getJson('/api/helping')->assertJsonPath('0.id', $this->job->id)->assertJsonPath('0.owner', 'Somebody');
        $gone = 'This link was used already, taken back, or is older than a week. Ask for another.';
        $this->as($this->person('third@example.org'))->postJson('/api/invitation/join', ['token' => $token])->assertNotFound()->assertJsonPath('message', $gone);
        $late = $this->invited();
        $this->travel(8)->days();
        $this->as($this->person('fourth@example.org'))->postJson('/api/invitation/join', ['token' => $late])->assertNotFound()->assertJsonPath('message', $gone);
    }

    public function test_a_link_taken_back_and_ones_own_are_refused(): void
    {
        $token = $this->invited();
        $this->postJson('/api/invitation/join', ['token' => $token])->assertStatus(422)->assertJsonPath('message', 'This is your own job. Send the link to whoever helps you.');
        $this->deleteJson("/api/jobs/{$this->job->id}/invitations")->assertNoContent();
        $this->as($this->helper)->postJson('/api/invitation/join', ['token' => $token])->assertNotFound();
        self::assertSame(0, Invitation::query()->count());
    }

    public function test_a_helper_measures_and_changes_but_owns_nothing(): void
    {
        $this->joined();
        $space = $this->space($this->job);
        $this->postJson("/api/spaces/{$space->id}/facts", ['facts' => [$this->take('corner-left', '90.2')]])->assertOk()->assertJsonPath('history.undo', 'reading');
        $this->postJson("/api/jobs/{$this->job->id}/edits", ['target' => $this->job->id, 'version' => 1, 'path' => 'name', 'value' => 'Ours'])->assertOk();
        foreach ([['delete', "jobs/{$this->job->id}"], ['post', "jobs/{$this->job->id}/put-back"], ['post', "jobs/{$this->job->id}/invitations"], ['patch', "homes/{$this->job->home_id}"], ['post', "homes/{$this->job->home_id}/ways-in"], ['delete', "homes/{$this->job->home_id}"]] as [$method, $address]) {
            $this->json($method, "/api/$address", ['name' => 'Mine'])->assertNotFound();
        }
        // Each goes back in what is their own; both see who did what.
        $this->as($this->user)->postJson("/api/jobs/{$this->job->id}/undo")->assertConflict()->assertJsonPath('message', 'There is nothing to undo.');
        $this->getJson("/api/jobs/{$this->job->id}/history")->assertJsonPath('0.who', 'Hedda')->assertJsonPath('0.what', 'name')->assertJsonPath('1.what', 'reading')->assertJsonPath('1.where', $space->choices['name']);
        $this->as($this->helper)->postJson("/api/jobs/{$this->job->id}/undo")->assertOk()->assertJsonPath('job.name', 'Landing alcove');
    }

    public function test_whoever_is_let_go_sees_nothing_more_and_leaves_what_they_wrote(): void
    {
        $this->joined();
        $space = $this->space($this->job);
        $this->postJson("/api/spaces/{$space->id}/facts", ['facts' => [$this->take('corner-left', '90.2')]])->assertOk();
        $this->deleteJson("/api/jobs/{$this->job->id}/helpers", ['id' => $this->user->id])->assertNotFound();
        $this->as($this->user)->getJson("/api/jobs/{$this->job->id}/helpers")->assertJsonPath('helpers.0.name', 'Hedda')->assertJsonPath('is_owner', true);
        $this->deleteJson("/api/jobs/{$this->job->id}/helpers", ['id' => $this->helper->id])->assertNoContent();
        $this->as($this->helper)->getJson("/api/jobs/{$this->job->id}")->assertNotFound();
        $this->postJson("/api/spaces/{$space->id}/facts", ['facts' => [$this->take('corner-left', '90.4')]])->assertNotFound();
        $this->getJson('/api/helping')->assertExactJson([]);
        $this->helper->delete();
        self::assertSame(['Hedda', null], array_values(Fact::query()->where('slot', 'corner-left')->firstOrFail()->only(['author', 'user_id'])));
        $this->as($this->user)->getJson("/api/jobs/{$this->job->id}/history")->assertJsonPath('0.who', 'Hedda');
    }

    public function test_a_space_that_one_takes_out_does_not_hold_back_the_others_undo(): void
    {
        $second = $this->postJson("/api/jobs/{$this->job->id}/spaces", ['name' => 'Second'])->assertCreated()->json('id');
        $this->joined();
        $this->postJson("/api/jobs/{$this->job->id}/edits", ['target' => $this->job->id, 'version' => 1, 'path' => 'name', 'value' => 'Ours'])->assertOk();
        $this->postJson("/api/jobs/{$this->job->id}/edits", ['target' => $second, 'version' => 1, 'path' => 'name', 'value' => 'Theirs'])->assertOk();
        $this->as($this->user)->postJson("/api/jobs/{$this->job->id}/undo")->assertConflict();
        $this->deleteJson("/api/spaces/$second")->assertOk();
        $this->as($this->helper)->postJson("/api/jobs/{$this->job->id}/undo")->assertOk()->assertJsonPath('job.name', 'Landing alcove');
        $this->postJson("/api/jobs/{$this->job->id}/undo")->assertConflict()->assertJsonPath('message', 'There is nothing to undo.');
        $this->as($this->user)->postJson("/api/jobs/{$this->job->id}/undo")->assertOk()->assertJsonPath('job.spaces.1.choices.name', 'Theirs');
    }

    public function test_a_job_taken_out_stands_in_the_list_until_it_is_put_back_or_pruned(): void
    {
        $this->deleteJson("/api/jobs/{$this->job->id}")->assertNoContent();
        $this->getJson("/api/jobs/{$this->job->id}")->assertNotFound();
        $this->postJson('/api/spaces/'.$this->space($this->job)->id.'/facts', ['facts' => [$this->take('corner-left', '90.2')]])->assertNotFound();
        $this->getJson('/api/homes')->assertJsonCount(0, '0.jobs')->assertJsonPath('0.taken_out.0.name', 'Landing alcove');
        $this->postJson("/api/jobs/{$this->job->id}/put-back")->assertNoContent();
        $this->getJson("/api/jobs/{$this->job->id}")->assertJsonPath('verdict.state', 'fits');
        $this->deleteJson("/api/jobs/{$this->job->id}")->assertNoContent();
        $this->travel(29)->days();
        $this->artisan('incastro:prune')->assertSuccessful();
        self::assertSame(1, Job::withTrashed()->count());
        $this->travel(2)->days();
        $this->artisan('incastro:prune')->assertSuccessful();
        self::assertSame([0, 0, 0, 0], [Job::withTrashed()->count(), Space::withTrashed()->count(), Fact::query()->count(), EditRecord::query()->count()]);
    }
}
