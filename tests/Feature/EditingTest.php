<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\EditRecord;
use App\Models\Fact;
use Illuminate\Testing\TestResponse;
use Tests\AlcoveTestCase;

final class EditingTest extends AlcoveTestCase
{
    private function edit(string $path, mixed $value, int $version = 1, bool $ofJob = false): TestResponse
    {
        return $this->postJson("/api/jobs/{$this->job->id}/edits", [
            'target' => $ofJob ? $this->job->id : $this->space($this->job)->id, 'version' => $version, 'path' => $path, 'value' => $value, 'station' => 'pieces',
        ]);
    }

    /** @param list<array<string, mixed>> $facts */
    private function facts(array $facts): TestResponse
    {
        return $this->postJson('/api/spaces/'.$this->space($this->job)->id.'/facts', ['facts' => $facts, 'station' => 'pieces']);
    }

    /** The path of the run's depth. */
    private function depth(): string
    {
        return 'layout.runs.'.$this->space($this->job)->choices['layout']['runs'][0]['id'].'.depth';
    }

    private function standing(string $slot): Fact
    {
        return Fact::query()->where(['slot' => $slot, 'kind' => 'take'])->firstOrFail();
    }

    public function test_changing_a_width_by_6_mm_changes_the_pieces_and_undo_brings_them_back(): void
    {
        $before = $this->getJson("/api/jobs/{$this->job->id}?station=pieces")->assertOk();
        $old = $this->standing('width-low-back');
        $changed = $this->facts([$this->withdrawal($old->id), $this->take('width-low-back', '897')])->assertOk();
        self::assertLessThan($this->pieceSize($before, 'B1-bottom'), $this->pieceSize($changed, 'B1-bottom'));
        $changed->assertJsonPath('history.undo', 'reading');

        $undone = $this->postJson("/api/jobs/{$this->job->id}/undo", ['station' => 'pieces'])->assertOk();
        self::assertSame($this->pieceSize($before, 'B1-bottom'), $this->pieceSize($undone, 'B1-bottom'));
        $redone = $this->postJson("/api/jobs/{$this->job->id}/redo", ['station' => 'pieces'])->assertOk();
        self::assertSame($this->pieceSize($changed, 'B1-bottom'), $this->pieceSize($redone, 'B1-bottom'));
        $again = $this->postJson("/api/jobs/{$this->job->id}/undo", ['station' => 'pieces'])->assertOk();
        self::assertSame($this->pieceSize($before, 'B1-bottom'), $this->pieceSize($again, 'B1-bottom'));
        // Nothing that was ever read is gone.
        self::assertSame(2, Fact::query()->where(['slot' => 'width-low-back', 'kind' => 'take'])->count());
    }

    public function test_a_fact_sent_twice_is_kept_once(): void
    {
        $take = $this->take('corner-left', '90.4');
        $this->facts([$take])->assertOk();
        $this->facts([$take])->assertOk();
        // The same number of a device under another name is another fact: not kept, and not passed over in silence.
        $this->facts([['id' => (string) str()->uuid()] + $take])->assertConflict();
        $this->facts([['text' => '90.5'] + $take])->assertConflict();
        self::assertSame(1, Fact::query()->where('slot', 'corner-left')->count());
        self::assertSame(1, EditRecord::query()->count());
    }

    public function test_a_refused_reading_names_its_field_and_nothing_of_the_batch_is_kept(): void
    {
        $count = Fact::query()->count();
        $this->facts([$this->take('width-low-front', '905'), $this->take('width-low-back', '1,203')])
            ->assertUnprocessable()->assertJsonPath('errors', ['facts.1.text' => ['Width, bottom, at the back: “1,203” could be 1203 mm or 1.203 mm. Type 1203, or add the unit and a 0: 1.2030 mm.']]);
        $this->facts([$this->take('plumb-left-low', '4')])->assertUnprocessable()->assertJsonPath('errors', ['facts.0.text' => ['Plumb, left wall, lower half: 4 mm was understood, but not at which end. Say bottom or top.']]);
        $this->facts([$this->take('width-of-moon', '4')])->assertUnprocessable();
        self::assertSame($count, Fact::query()->count());
    }

    public function test_two_takes_of_one_slot_count_together(): void
    {
        $answer = $this->postJson('/api/spaces/'.$this->space($this->job)->id.'/facts', ['facts' => [$this->take('width-low-back', '905')], 'station' => 'measure'])->assertOk();
        $reading = collect($answer->json('station.readings'))->firstWhere('slot', 'width-low-back');
        self::assertCount(2, $reading['takes']);
    }

    public function test_choices_are_changed_undone_and_redone_in_order(): void
    {
        $shelves = 'layout.tiers.'.$this->space($this->job)->choices['layout']['runs'][0]['bays'][0]['tiers'][0]['id'].'.with.adjustable';
        $this->edit($shelves, 2)->assertOk()->assertJsonPath('history.undo', 'adjustable of the tier');
        $this->edit($this->depth(), '350', 2)->assertOk();
        $this->edit('rules.plinth_height', '100', 1, true)->assertOk();
        $undo = fn () => $this->postJson("/api/jobs/{$this->job->id}/undo")->assertOk();
        $redo = fn () => $this->postJson("/api/jobs/{$this->job->id}/redo")->assertOk();
        $undo()->assertJsonPath('job.choices.rules', []);
        $undo()->assertJsonPath('job.spaces.0.choices.layout.runs.0.depth', null);
        $redo()->assertJsonPath('job.spaces.0.choices.layout.runs.0.depth.nm', 350_000_000);
        $redo()->assertJsonPath('job.choices.rules.plinth_height.nm', 100_000_000)->assertJsonPath('history.redo', null);
        $undo();
        // Something else done instead: what was undone can no longer be redone.
        $this->edit('name', 'By the chimney', 5)->assertOk()->assertJsonPath('history.redo', null);
        $this->postJson("/api/jobs/{$this->job->id}/redo")->assertConflict()->assertJsonPath('message', 'There is nothing to redo.');
    }

    public function test_a_stale_write_is_refused_and_says_what_changed(): void
    {
        $this->edit($this->depth(), '350')->assertOk();
        $this->edit($this->depth(), '380')->assertConflict()->assertJson(['version' => 2, 'changed' => ['depth of the run']]);
        self::assertSame(350_000_000, $this->space($this->job)->refresh()->choices['layout']['runs'][0]['depth']['nm']);
    }

    public function test_undo_is_refused_where_somebody_else_changed_the_same_since(): void
    {
        $this->edit($this->depth(), '350')->assertOk();
        $other = $this->person('two@example.org');
        EditRecord::query()->create(['role' => 'edit', 'user_id' => $other->id] + EditRecord::query()->firstOrFail()->only(['job_id', 'target', 'label', 'forward', 'inverse', 'touched', 'version']));
        $this->postJson("/api/jobs/{$this->job->id}/undo")->assertConflict()->assertJsonPath('message', 'Somebody else changed “depth of the run” since. Change it by hand if it should go back.');
    }

    public function test_a_refused_choice_says_so_at_its_path(): void
    {
        $answer = $this->edit($this->depth(), '5')->assertUnprocessable();
        self::assertSame([$this->depth() => ['Depth of the run: “5” was understood as 5 mm. It must be between 100 mm and 3000 mm.']], $answer->json('errors'));
        $this->edit('layout.colour', 'red')->assertUnprocessable();
    }

    public function test_a_clash_is_solved_by_its_way_out(): void
    {
        $clash = $this->postJson("/api/jobs/{$this->job->id}/edits", ['target' => $this->space($this->job)->id, 'version' => 1, 'path' => 'layout.bays.'.$this->space($this->job)->choices['layout']['runs'][0]['bays'][0]['id'].'.size', 'value' => '900', 'station' => 'fit'])->assertOk()->assertJsonPath('verdict.state', 'clash');
        $way = collect($clash->json('station.findings'))->firstWhere('code', 'run-overfull')['ways_out'][0];
        $this->postJson("/api/jobs/{$this->job->id}/edits", ['target' => $this->space($this->job)->id, 'version' => 2] + $way['edit'])->assertOk()->assertJsonPath('verdict.state', 'fits');
    }
}
