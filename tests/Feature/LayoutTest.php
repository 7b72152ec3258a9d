<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Editing\History;
use App\Models\EditRecord;
use App\Models\Job;
use Illuminate\Testing\TestResponse;
use Incastro\Rules\Edit;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\AlcoveTestCase;

/** A layout edited through the API: every action has its way back, refusals change nothing, and two people do not undo each other. */
final class LayoutTest extends AlcoveTestCase
{
    /** @return array<string, mixed> */
    private function layout(): array
    {
        return $this->space($this->job)->fresh()?->choices['layout'] ?? [];
    }

    private function version(): int
    {
        return (int) $this->space($this->job)->fresh()?->version;
    }

    private function edit(string $path, mixed $value, ?int $version = null): TestResponse
    {
        return $this->postJson("/api/jobs/{$this->job->id}/edits", [
            'target' => $this->space($this->job)->id, 'version' => $version ?? $this->version(), 'path' => $path, 'value' => $value, 'station' => 'fit',
        ]);
    }

    private function step(string $role): TestResponse
    {
        return $this->postJson("/api/jobs/{$this->job->id}/$role", ['station' => 'fit']);
    }

    private function cell(int $bay = 0, int $tier = 0): string
    {
        return $this->layout()['runs'][0]['bays'][$bay]['tiers'][$tier]['id'];
    }

    public function test_every_action_is_undone_and_redone_to_the_letter(): void
    {
        $states = [$this->layout()];
        $labels = [];
        foreach (['split-bay', 'split-tier', 'base-upper', 'swap-bay', 'copy-bay', 'copy-tier', 'mirror', 'whole', 'remove-tier', 'remove-bay'] as $i => $action) {
            $labels[] = $this->edit('layout.do', ['action' => $action, 'cell' => $this->cell(), 'seed' => "seed number $i"])->assertOk()->json('history.undo');
            $states[] = $this->layout();
        }
        self::assertSame('Split the bay', $labels[0]);
        self::assertSame('Join the bay with its neighbour', $labels[9]);
        self::assertCount(11, array_unique(array_map(serialize(...), $states)), 'Every action changed something.');
        for ($i = 9; $i >= 0; $i--) {
            $this->step('undo')->assertOk()->assertJsonPath('history.redo', $labels[$i]);
            self::assertEquals($states[$i], $this->layout());
        }
        $this->step('undo')->assertStatus(409)->assertJsonPath('message', 'There is nothing to undo.');
        for ($i = 1; $i <= 10; $i++) {
            $this->step('redo')->assertOk();
            self::assertEquals($states[$i], $this->layout());
        }
        // A new edit ends what could be redone.
        $this->step('undo')->assertOk();
        $this->edit('layout.do', ['action' => 'mirror', 'cell' => $this->cell(), 'seed' => 'another seed'])->assertOk()->assertJsonPath('history.redo', null);
    }

    /** @return array<string, array{string, mixed, string}> */
    public static function refusals(): array
    {
        return [
            'a length that is none' => ['layout.runs.RUN.depth', 'deep', 'deep'],
            'a depth beyond all rooms' => ['layout.runs.RUN.depth', '9 m', 'between'],
            'an end of no kind' => ['layout.runs.RUN.left', 'floats', 'is not one of through, stops, corner'],
            'a wall that is not there' => ['layout.do', ['action' => 'add-run', 'wall' => 9, 'seed' => 'a seed of it'], 'wall'],
            'a cell that went' => ['layout.do', ['action' => 'split-tier', 'cell' => 'gone', 'seed' => 'a seed of it'], 'This tier is not there any more.'],
            'more shelves than a person would' => ['layout.tiers.CELL.with', ['fixed' => 1, 'adjustable' => 400], 'from 0 to'],
            'a layout of another shape' => ['layout', ['runs' => [['id' => 'r']]], ''],
            'no field at all' => ['layout.tiers.CELL', 'x', 'is not a field of a layout'],
        ];
    }

    #[DataProvider('refusals')]
    public function test_what_is_refused_changes_nothing(string $path, mixed $value, string $words): void
    {
        $before = $this->layout();
        $path = strtr($path, ['RUN' => $before['runs'][0]['id'], 'CELL' => $this->cell()]);
        $answer = $this->edit($path, $value)->assertStatus(422);
        self::assertSame([$path], array_keys($answer->json('errors')));
        self::assertStringContainsString($words, $answer->json('errors')[$path][0]);
        self::assertEquals($before, $this->layout());
        self::assertSame([1, 0], [$this->version(), EditRecord::query()->count()]);
    }

    public function test_how_an_edge_is_closed_is_the_persons_choice_and_can_be_given_back(): void
    {
        $edge = 'left:'.$this->cell();
        $of = fn (TestResponse $answer) => collect($answer->json('station.runs.0.edges'))->firstWhere('edge', $edge);
        $width = fn (TestResponse $answer) => $answer->json('station.runs.0.boxes.0.width.nm');
        $before = $this->getJson("/api/jobs/{$this->job->id}?station=fit")->assertOk();
        self::assertSame([null, 'scribe'], [$of($before)['wish'], $of($before)['closing']]);
        $filled = $this->edit("layout.closings.$edge", 'filler')->assertOk();
        self::assertSame(['filler', 'filler'], [$of($filled)['wish'], $of($filled)['closing']]);
        // A filler wants 20 and its doubt: the box is narrower by what the gap lacked.
        self::assertLessThan($width($before), $width($filled));
        self::assertGreaterThanOrEqual(20_000_000, $of($filled)['least']['nm']);
        $back = $this->edit("layout.closings.$edge", null)->assertOk();
        self::assertSame($width($before), $width($back));
        self::assertSame([null, 'scribe'], [$of($back)['wish'], $of($back)['closing']]);
        $this->step('undo')->assertOk();
        self::assertSame('filler', $this->layout()['closings'][$edge]);
    }

    public function test_runs_along_other_walls_and_what_their_ends_do(): void
    {
        $run = fn (TestResponse $answer, int $r) => $answer->json("station.runs.$r");
        $this->edit('layout.runs.'.$this->layout()['runs'][0]['id'].'.depth', '200')->assertOk();
        $both = $this->edit('layout.do', ['action' => 'add-run', 'wall' => 1, 'seed' => 'a second run'])->assertOk();
        self::assertSame(['back wall', 'left wall'], array_column($both->json('station.runs'), 'name'));
        self::assertSame('stops', $run($both, 1)['ends']['right']);
        $id = $run($both, 1)['id'];
        $this->edit("layout.runs.$id.depth", '150')->assertOk();
        $through = $this->edit("layout.runs.$id.right", 'through')->assertOk();
        $clash = collect($through->json('station.findings'))->firstWhere('code', 'overlap');
        self::assertStringContainsString('of another run', $clash['sentence']);
        // Its way out is an edit to send as it is.
        $solved = $this->edit($clash['ways_out'][0]['edit']['path'], $clash['ways_out'][0]['edit']['value'])->assertOk();
        self::assertNull(collect($solved->json('station.findings'))->firstWhere('code', 'overlap'));
        $corner = $this->edit("layout.runs.$id.right", 'corner')->assertOk();
        // The back run gives up the corner too.
        self::assertLessThan($run($solved, 0)['width']['nm'], $run($corner, 0)['width']['nm']);
        $this->edit('layout.do', ['action' => 'remove-run', 'cell' => $id, 'seed' => 'and away again'])->assertOk()->assertJsonCount(1, 'station.runs');
    }

    public function test_two_people_at_one_layout_keep_what_each_did(): void
    {
        $partner = $this->person('two@example.org');
        $theirs = fn (string $path, mixed $value) => $this->app->make(History::class)->edit($this->job, $partner, $this->space($this->job)->id, $this->version(), new Edit($path, $value));
        $run = $this->layout()['runs'][0]['id'];
        $this->edit("layout.runs.$run.depth", '350')->assertOk();
        // The partner changes something else; the one's own step back leaves it.
        $theirs('layout.tiers.'.$this->cell().'.with', ['fixed' => 2, 'adjustable' => 1]);
        $this->step('undo')->assertOk();
        self::assertSame([2, 1], array_values($this->layout()['runs'][0]['bays'][0]['tiers'][0]['holds']['with']));
        self::assertNotSame(350_000_000, $this->layout()['runs'][0]['depth']['nm'] ?? null);
        // The partner's edit is not the one's to undo.
        $this->step('undo')->assertStatus(409)->assertJsonPath('message', 'There is nothing to undo.');
    }

    public function test_an_edit_of_an_older_layout_is_told_apart_by_what_it_touches(): void
    {
        $run = $this->layout()['runs'][0]['id'];
        $seen = $this->version();
        $this->edit("layout.runs.$run.depth", '350')->assertOk();
        $stale = $this->edit("layout.runs.$run.depth", '360', $seen)->assertStatus(409);
        self::assertStringContainsString('depth of the run', (string) json_encode($stale->json(), JSON_UNESCAPED_UNICODE));
        self::assertSame(350_000_000, $this->layout()['runs'][0]['depth']['nm']);
    }

    public function test_a_layout_goes_out_and_comes_in_again_with_ids_of_its_own(): void
    {
        $this->edit('layout.do', ['action' => 'split-bay', 'cell' => $this->cell(), 'seed' => 'for an export'])->assertOk();
        $this->edit('layout.closings.left:'.$this->cell(), 'filler')->assertOk();
        $file = (string) $this->get("/api/jobs/{$this->job->id}/export")->assertOk()->getContent();
        $home = $this->home($this->user);
        $this->app->make(\App\Exchange\JobPorter::class)->import($home, $this->user, $file);
        $copy = $home->jobs()->firstOrFail();
        $there = $copy->spaces()->firstOrFail()->choices['layout'];
        self::assertNotSame($this->cell(), $there['runs'][0]['bays'][0]['tiers'][0]['id']);
        self::assertSame(['left:'.$there['runs'][0]['bays'][0]['tiers'][0]['id'] => 'filler'], $there['closings']);
        $sizes = fn (Job $job) => array_column($this->getJson("/api/jobs/$job->id?station=fit")->assertOk()->json('station.runs.0.boxes'), 'width');
        self::assertSame($sizes($this->job), $sizes($copy));
    }
}
