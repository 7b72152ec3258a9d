<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Exchange\JobPorter;
use Illuminate\Testing\TestResponse;
use Incastro\Planning\Recipes\StartingLayouts;
use Incastro\Survey\Space\SpaceKind;
use Tests\AlcoveTestCase;

final class FitTest extends AlcoveTestCase
{
    private function edit(string $path, mixed $value): TestResponse
    {
        return $this->postJson("/api/jobs/{$this->job->id}/edits", [
            'target' => $this->space($this->job)->id, 'version' => $this->space($this->job)->fresh()?->version, 'path' => $path, 'value' => $value, 'station' => 'fit',
        ]);
    }

    /** @param array<string, mixed> $more */
    private function act(string $action, array $more = []): TestResponse
    {
        return $this->edit('layout.do', ['action' => $action, 'seed' => (string) str()->uuid()] + $more);
    }

    private function box(): string
    {
        return $this->space($this->job)->choices['layout']['runs'][0]['bays'][0]['tiers'][0]['id'];
    }

    public function test_a_bay_is_split_with_one_request_and_undone_after_coming_back(): void
    {
        $split = $this->act('split-bay', ['cell' => $this->box()])->assertOk();
        self::assertCount(2, $split->json('station.runs.0.boxes'));
        $split->assertJsonPath('history.undo', 'Split the bay');
        $undone = $this->postJson("/api/jobs/{$this->job->id}/undo", ['station' => 'fit'])->assertOk();
        self::assertCount(1, $undone->json('station.runs.0.boxes'));
        $redone = $this->postJson("/api/jobs/{$this->job->id}/redo", ['station' => 'fit'])->assertOk();
        self::assertSame(array_column($split->json('station.runs.0.boxes'), 'id'), array_column($redone->json('station.runs.0.boxes'), 'id'));
    }

    public function test_a_cell_is_sketched_with_another_unit_in_it_and_nothing_is_changed(): void
    {
        $space = $this->space($this->job);
        $before = $space->choices;
        $sketch = fn (string $list, string $kind) => $this->getJson("/api/spaces/$space->id/cells/{$this->box()}/sketch?".http_build_query(['list' => $list, 'kind' => $kind]));
        $drawers = $sketch('tiers', 'drawers')->assertOk();
        self::assertSame('Run', $drawers->json('drawing.name'));
        self::assertGreaterThan(500.0, $drawers->json('part.height'));
        self::assertContains($drawers->json('verdict.state'), ['fits', 'warning', 'clash']);
        self::assertSame('Fits here.', $sketch('fronts', 'nothing')->json('verdict.sentence'));
        self::assertNotNull($sketch('fronts', 'door')->json('drawing'));
        // What there is not, and what may not stand there, says so.
        self::assertStringContainsString('barrel', (string) $sketch('tiers', 'barrel')->json('verdict.sentence'));
        $sketch('ceilings', 'door')->assertStatus(422);
        self::assertSame($before, $space->fresh()?->choices);
    }

    public function test_everything_is_given_to_be_turned(): void
    {
        $space = $this->space($this->job);
        $round = $this->getJson("/api/spaces/$space->id/round")->assertOk();
        self::assertContains('B1-side-L', array_column($round->json('pieces'), 'mark'));
        self::assertCount(3, $round->json('walls'));
    }

    public function test_a_rule_says_how_many_pieces_hang_on_it(): void
    {
        $stiles = $this->getJson("/api/jobs/{$this->job->id}/rules/stile_width")->assertOk()->json('pieces');
        // Two stiles and two rails; a drawer's rule changes nothing where there are none.
        self::assertSame(4, $stiles);
        $this->getJson("/api/jobs/{$this->job->id}/rules/drawer_air")->assertOk()->assertExactJson(['pieces' => 0]);
        $this->getJson("/api/jobs/{$this->job->id}/rules/nothing")->assertNotFound();
    }

    public function test_what_a_layout_does_not_take_is_said_at_its_field(): void
    {
        $this->edit('layout.bays.'.$this->space($this->job)->choices['layout']['runs'][0]['bays'][0]['id'].'.size', '7 m')->assertStatus(422);
        $answer = $this->act('swap-bay', ['cell' => $this->box()])->assertStatus(422);
        self::assertSame('There is no bay to its right.', $answer->json('errors')['layout.do'][0]);
    }

    public function test_somebody_elses_cell_is_not_undone_unseen(): void
    {
        $this->act('split-bay', ['cell' => $this->box()])->assertOk();
        $partner = $this->person('two@example.org');
        // The partner sits at the same account's home in this house; the history tells people apart.
        $this->app->make(\App\Editing\History::class)->edit($this->job, $partner, $this->space($this->job)->id, (int) $this->space($this->job)->fresh()?->version, new \Incastro\Rules\Edit('layout.tiers.'.$this->box().'.with.fixed', 2));
        $refused = $this->postJson("/api/jobs/{$this->job->id}/undo")->assertStatus(409);
        self::assertStringContainsString('Somebody else changed “Split the bay” since', (string) $refused->json('message'));
    }

    public function test_a_stale_edit_of_a_layout_is_told_what_changed(): void
    {
        $this->act('split-bay', ['cell' => $this->box()])->assertOk();
        $stale = $this->postJson("/api/jobs/{$this->job->id}/edits", ['target' => $this->space($this->job)->id, 'version' => 1, 'path' => 'layout.do', 'value' => ['action' => 'mirror', 'cell' => $this->box(), 'seed' => 'a seed of it']])->assertStatus(409);
        self::assertStringContainsString('Split the bay', (string) json_encode($stale->json(), JSON_UNESCAPED_UNICODE));
    }

    public function test_an_empty_space_offers_layouts_worked_out_in_it(): void
    {
        $this->edit('layout', ['runs' => [], 'members' => [], 'closings' => [], 'openings' => []])->assertOk()->assertJsonPath('station.empty', true);
        $sketches = $this->getJson('/api/spaces/'.$this->space($this->job)->id.'/starting-layouts')->assertOk()->json();
        self::assertCount(count(StartingLayouts::recipes(SpaceKind::Alcove)), $sketches);
        self::assertContains('To keep clothes', array_column($sketches, 'purpose'));
        self::assertSame('One tall cupboard', $sketches[0]['label']);
        self::assertSame('fits', $sketches[0]['verdict']['state']);
        self::assertGreaterThan(2, $sketches[0]['sheets']);
        self::assertNotSame([], $sketches[0]['drawings'][0]['layers']);
        $started = $this->act('start', ['name' => 'two-tall'])->assertOk();
        self::assertCount(2, $started->json('station.runs.0.boxes'));
        $this->postJson("/api/jobs/{$this->job->id}/undo", ['station' => 'fit'])->assertOk()->assertJsonPath('station.empty', true);
        // Back in the empty space they stand as before, and follow what is changed for the job.
        $again = fn (): array => $this->getJson('/api/spaces/'.$this->space($this->job)->id.'/starting-layouts')->assertOk()->json();
        self::assertSame($sketches, $again());
        $this->postJson("/api/jobs/{$this->job->id}/edits", ['target' => $this->job->id, 'version' => $this->job->refresh()->version, 'path' => 'rules.plinth_height', 'value' => '150'])->assertOk();
        self::assertNotSame($sketches[0]['drawings'], $again()[0]['drawings']);
    }

    public function test_all_ways_out_of_one_finding_are_looked_for_on_request(): void
    {
        $bay = $this->space($this->job)->choices['layout']['runs'][0]['bays'][0]['id'];
        $clash = collect($this->edit("layout.bays.$bay.size", '900')->assertOk()->json('station.findings'))->firstWhere('code', 'run-overfull');
        $url = '/api/spaces/'.$this->space($this->job)->id.'/ways-out?';
        $found = $this->getJson($url.http_build_query(['code' => $clash['code'], 'place' => $clash['place']]))->assertOk();
        self::assertSame($clash['ways_out'], $found->json('ways_out'));
        $this->getJson($url.'code=overlap&place=nowhere')->assertStatus(404);
    }

    public function test_the_line_of_a_scribed_edge_is_told_when_it_is_asked_for(): void
    {
        $url = '/api/spaces/'.$this->space($this->job)->id.'/scribe-line?edge=';
        $edges = collect($this->getJson("/api/jobs/{$this->job->id}?station=fit")->assertOk()->json('station.runs.0.edges'));
        $scribed = $edges->firstWhere('scribed', true);
        $line = $this->getJson($url.$scribed['edge'])->assertOk();
        self::assertSame($line->json('setting'), $line->json('deepest'));
        self::assertGreaterThan(4, count($line->json('stations')));
        $this->getJson($url.'left:nothing')->assertStatus(404);
        $this->getJson($url)->assertStatus(422);
    }

    public function test_other_looks_are_drawn_when_they_are_asked_for(): void
    {
        $space = $this->space($this->job)->id;
        foreach (['plan' => 'From above', 'section' => 'Section', 'solid' => 'Seen from the right and above', 'apart' => 'Drawn apart'] as $view => $name) {
            $this->getJson("/api/spaces/$space/view?view=$view&at=400")->assertOk()->assertJsonPath('name', $name);
        }
        $this->getJson("/api/spaces/$space/view?view=inside")->assertStatus(422);
        $this->edit('layout', ['runs' => [], 'members' => [], 'closings' => [], 'openings' => []])->assertOk();
        $this->getJson("/api/spaces/$space/view?view=plan")->assertStatus(404);
    }

    public function test_templates_come_as_pdf_svg_and_dxf(): void
    {
        $url = '/api/spaces/'.$this->space($this->job)->id.'/template?';
        $pdf = $this->get($url.'format=pdf&paper=a3')->assertOk();
        self::assertStringStartsWith('%PDF', (string) $pdf->getContent());
        self::assertStringStartsWith('<svg', (string) $this->get($url.'format=svg')->assertOk()->getContent());
        self::assertStringContainsString('AC1009', (string) $this->get($url.'format=dxf')->assertOk()->getContent());
        $one = $this->get($url.'format=svg&piece='.$this->box().':stile-L')->assertOk();
        self::assertStringContainsString('template-b1-stile-l', (string) $one->headers->get('Content-Disposition'));
        $this->getJson($url.'format=svg&piece='.$this->box().':bottom')->assertStatus(404);
        $this->getJson($url.'format=gif')->assertStatus(422);
    }

    public function test_a_piece_is_drawn_with_its_places_on_screen_and_on_paper(): void
    {
        $url = '/api/spaces/'.$this->space($this->job)->id.'/pieces/'.$this->box().':bottom';
        $this->getJson($url)->assertOk()->assertJsonPath('name', 'B1-bottom Bottom')->assertJsonPath('layers.7.name', 'sizes');
        foreach (['pdf' => '%PDF', 'svg' => '<svg', 'dxf' => '0'] as $format => $begin) {
            $file = $this->get("$url/file?format=$format")->assertOk();
            self::assertStringStartsWith($begin, ltrim((string) $file->getContent()));
            self::assertStringContainsString("b1-bottom-bottom.$format", (string) $file->headers->get('Content-Disposition'));
        }
        $this->getJson("$url/file?format=gif")->assertStatus(422);
        $gone = $this->getJson(str_replace(':bottom', ':lid', $url))->assertStatus(404);
        self::assertStringContainsString('no such piece', (string) $gone->json('message'));
    }

    public function test_hardware_of_all_spaces_is_counted_together(): void
    {
        $hardware = $this->getJson("/api/jobs/{$this->job->id}?station=pieces")->assertOk()->json('station.hardware');
        $lines = array_map(fn (array $item) => $item['name'].' '.$item['use'], $hardware);
        self::assertSame(array_values(array_unique($lines)), $lines);
        self::assertNotSame([], $lines);
    }

    public function test_ways_in_of_the_home_count_for_its_jobs(): void
    {
        $this->getJson("/api/jobs/{$this->job->id}?station=fit")->assertOk()->assertJsonPath('verdict.state', 'fits');
        $this->job->home->update(['ways_in' => [['id' => 'door', 'kind' => 'door', 'name' => 'Attic door', 'width' => ['nm' => 300_000_000, 'typed' => '300'], 'height' => ['nm' => 1_700_000_000, 'typed' => '1700'], 'second_width' => null]]]);
        $answer = $this->getJson("/api/jobs/{$this->job->id}?station=fit")->assertOk()->assertJsonPath('verdict.state', 'clash');
        self::assertStringContainsString('does not go in: through “Attic door”', (string) $answer->json('verdict.sentence'));
    }

    public function test_a_home_without_ways_in_takes_those_of_an_imported_job(): void
    {
        $home = $this->home($this->user);
        $this->app->make(JobPorter::class)->import($home, $this->user, (string) file_get_contents(database_path('demo/map-wall.json')));
        self::assertSame(['Street door', 'Turn at the foot of the stair', 'Stair to the landing'], array_column($home->fresh()->ways_in ?? [], 'name'));
    }

    public function test_nobody_else_sees_views_layouts_or_templates(): void
    {
        $space = $this->space($this->job)->id;
        $this->actingAs($this->person('two@example.org'));
        foreach (['view?view=plan', 'scribe-line?edge=left:box', 'starting-layouts', 'template?format=svg', 'pieces/box:bottom', 'pieces/box:bottom/file?format=svg', 'pieces/box:bottom/drilling'] as $path) {
            $this->getJson("/api/spaces/$space/$path")->assertStatus(404);
        }
    }

    public function test_every_demo_job_fits(): void
    {
        $demo = $this->demo();
        $this->actingAs($demo);
        $jobs = $demo->homes()->firstOrFail()->jobs()->get();
        self::assertCount(5, $jobs);
        foreach ($jobs as $job) {
            $answer = $this->getJson("/api/jobs/{$job->id}?station=fit")->assertOk();
            self::assertSame('fits', $answer->json('verdict.state'), $answer->json('job.name').': '.$answer->json('verdict.sentence'));
        }
    }
}
