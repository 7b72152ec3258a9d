<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Exchange\JobPorter;
use App\Models\Fact;
use App\Models\Job;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Incastro\Planning\Layout\LayoutDocument;
use Symfony\Component\Process\Process;
use Tests\TestCase;

final class JobTest extends TestCase
{
    public function test_a_job_begins_empty_and_says_what_it_waits_for(): void
    {
        $user = $this->person();
        $home = $this->home($user);
        $id = $this->actingAs($user)->postJson("/api/homes/{$home->id}/jobs", ['name' => 'Cupboard', 'space' => 'Landing', 'measure' => 'in/16'])->assertCreated()->json('id');
        $answer = $this->getJson("/api/jobs/$id?station=measure")->assertOk()
            ->assertJsonPath('verdict.state', 'waiting')->assertJsonPath('tape.measure', '22 readings to go')->assertJsonPath('tape.sheets', 'none yet');
        self::assertLessThanOrEqual(30, count($answer->json('station.readings')));
        foreach (['fit', 'pieces', 'sheets'] as $station) {
            $this->getJson("/api/jobs/$id?station=$station")->assertOk();
        }
        $this->getJson("/api/jobs/$id/cut-sheet")->assertOk();
        $space = Job::query()->findOrFail($id)->spaces()->firstOrFail();
        $this->getJson("/api/spaces/{$space->id}/elevation.svg")->assertNotFound();
        $this->postJson("/api/homes/{$home->id}/jobs", ['name' => '', 'space' => 'x', 'measure' => 'ell/1'])->assertUnprocessable()->assertJsonValidationErrors(['name', 'measure']);
    }

    public function test_spaces_are_added_and_taken_out(): void
    {
        $user = $this->person();
        $job = $this->alcove($user);
        $space = $this->actingAs($user)->postJson("/api/jobs/{$job->id}/spaces", ['name' => 'The other side'])->assertCreated()->json('id');
        $this->getJson("/api/jobs/{$job->id}?station=measure&space=$space")->assertJsonPath('space', $space)->assertJsonPath('tape.measure', '22 readings to go');
        $this->deleteJson("/api/spaces/$space")->assertOk()->assertJsonPath('verdict.state', 'fits');
        $this->getJson("/api/spaces/$space/view?view=plan")->assertNotFound();
        $this->deleteJson('/api/spaces/'.$this->space($job)->id)->assertConflict()->assertJsonPath('message', 'This is the last space of the job. Add another before you take it out, or take out the job.');
    }

    public function test_the_elevation_is_drawn_at_a_tenth(): void
    {
        $user = $this->person();
        $job = $this->alcove($user);
        $svg = (string) $this->actingAs($user)->get('/api/spaces/'.$this->space($job)->id.'/elevation.svg')->assertOk()->assertHeader('Content-Type', 'image/svg+xml')->getContent();
        self::assertStringContainsString('drawn 1:10', $svg);
        self::assertNotFalse(simplexml_load_string($svg));
        self::assertStringContainsString('data-ref="'.$this->space($job)->choices['layout']['runs'][0]['bays'][0]['tiers'][0]['id'].':stile-L"', $svg);
    }

    public function test_export_and_import_make_the_same_job_with_ids_of_its_own(): void
    {
        $user = $this->person();
        $job = $this->alcove($user);
        $old = Fact::query()->where('slot', 'width-low-front')->firstOrFail();
        $this->actingAs($user)->postJson('/api/spaces/'.$this->space($job)->id.'/facts', ['facts' => [$this->withdrawal($old->id), $this->take('width-low-front', '898')]])->assertOk();
        $file = $this->getJson("/api/jobs/{$job->id}/export")->assertOk()->assertDownload('landing-alcove.json')->getContent();
        $home = $this->home($user);
        $id = $this->post("/api/homes/{$home->id}/import", ['file' => UploadedFile::fake()->createWithContent('job.json', $file)])->assertCreated()->json('id');
        $station = fn (string $id) => $this->getJson("/api/jobs/$id?station=sheets")->json('station');
        self::assertSame($station($job->id), $station($id));
        $copy = Job::query()->findOrFail($id);
        self::assertSame([], array_intersect(LayoutDocument::ids($this->space($job)->choices['layout']), LayoutDocument::ids($this->space($copy)->choices['layout'])));
        // The reading that was taken back came along, still taken back.
        self::assertSame(2, $copy->spaces()->firstOrFail()->facts()->where(['slot' => 'width-low-front', 'kind' => 'take'])->count());
    }

    public function test_a_bad_file_changes_nothing_and_names_the_path(): void
    {
        $user = $this->person();
        $home = $this->home($user);
        $bad = str_replace('"joined": true', '"joined": "one"', (string) file_get_contents(base_path('tests/examples/landing-alcove-without-doors.json')));
        $this->actingAs($user)->postJson("/api/homes/{$home->id}/import", ['file' => UploadedFile::fake()->createWithContent('job.json', $bad)])
            ->assertUnprocessable()->assertJsonPath('errors.file.0', 'job.json:$.job.spaces[0].layout.runs[0].bays[0].tiers[0].joined: This is string; it must be boolean.');
        self::assertSame(0, Job::query()->count());
        self::assertSame(0, Fact::query()->count());
    }

    public function test_a_sheet_plan_is_remembered_by_what_it_was_made_from(): void
    {
        $user = $this->person();
        $job = $this->alcove($user);
        $first = $this->actingAs($user)->getJson("/api/jobs/{$job->id}?station=sheets")->json('station');
        self::assertSame(1, DB::table('stage_results')->where('stage', 'cut')->count());
        self::assertSame($first, $this->getJson("/api/jobs/{$job->id}?station=sheets")->json('station'));
        self::assertSame(1, DB::table('stage_results')->where('stage', 'cut')->count());
        // What cannot be read back is computed anew.
        DB::table('stage_results')->update(['result' => 'rubbish']);
        self::assertSame($first, $this->getJson("/api/jobs/{$job->id}?station=sheets")->json('station'));
    }

    public function test_the_list_says_of_the_sheets_what_their_station_says(): void
    {
        $user = $this->person();
        $job = $this->app->make(JobPorter::class)->import($this->home($user), $user, (string) file_get_contents(database_path('demo/oar-store.json')));
        // A draft first: 16 sheets. Looked at, they are planned as well as can be: 15, and everything says so.
        $this->actingAs($user)->getJson('/api/homes')->assertJsonPath('0.jobs.0.tape.sheets', '16 sheets');
        $this->getJson("/api/jobs/{$job->id}?station=sheets")->assertJsonPath('tape.sheets', '15 sheets');
        $this->getJson('/api/homes')->assertJsonPath('0.jobs.0.tape.sheets', '15 sheets');
        $this->getJson("/api/jobs/{$job->id}?station=fit")->assertJsonPath('tape.sheets', '15 sheets');
    }

    public function test_the_command_lines_print_json_or_faults_alone(): void
    {
        $run = function (string ...$words): Process {
            $process = new Process([PHP_BINARY, base_path('artisan'), ...$words], env: ['DB_PORT' => '1']);
            $process->run();

            return $process;
        };
        $plan = $run('job:plan', base_path('tests/examples/landing-alcove-without-doors.json'), '--json');
        self::assertSame(0, $plan->getExitCode(), $plan->getErrorOutput());
        self::assertSame('fits', json_decode($plan->getOutput(), true)['verdict']['state']);
        $missing = $run('job:plan', '/nowhere.json');
        self::assertSame(2, $missing->getExitCode());
        self::assertSame('', $missing->getOutput());
        self::assertStringStartsWith('/nowhere.json:$: ', $missing->getErrorOutput());

        $pieces = (string) tempnam(sys_get_temp_dir(), 'pieces');
        $stock = (string) tempnam(sys_get_temp_dir(), 'stock');
        file_put_contents($pieces, "name,quantity,length,width,thickness,material,grain\nside,2,2100,350,18,ply,length\n");
        file_put_contents($stock, "name,quantity,length,width,thickness,material,price\nfull,,2440,1220,18,ply,64.0\n");
        $cut = json_decode($run('cut:plan', $pieces, $stock, '--trim=long:6mm,short:8mm')->getOutput(), true);
        self::assertSame(['sheets', 'unplaced', 'sheets_used', 'price', 'bound', 'settings', 'kerf_mm', 'trim_mm', 'steps', 'seed'], array_keys($cut));
        self::assertSame(['name' => 'side', 'x_mm' => 8, 'y_mm' => 6, 'length_mm' => 2100, 'width_mm' => 350, 'turned' => false], $cut['sheets'][0]['pieces'][0]);
        self::assertSame(1, $cut['bound']['sheets']);
        $steps = fn (string ...$more) => json_decode($run('cut:plan', $pieces, $stock, ...$more)->getOutput(), true);
        self::assertSame([300, 1], [$cut['steps'], $cut['seed']]);
        self::assertSame([50, 7], array_values(array_intersect_key($steps('--steps=50', '--seed=7'), ['steps' => 1, 'seed' => 1])));
        self::assertSame(1, $steps('--seconds=0.1')['sheets_used']);
        $wrong = $run('cut:plan', $pieces, $stock, '--steps=many');
        self::assertSame([2, '--steps:0:steps: “many” is not a whole number from 0.'], [$wrong->getExitCode(), trim($wrong->getErrorOutput())]);
        $unknown = $run('cut:plan', $pieces, $stock, '--blade=fame');
        self::assertSame([2, '', "command:0:arguments: The \"--blade\" option does not exist.\n"], [$unknown->getExitCode(), $unknown->getOutput(), $unknown->getErrorOutput()]);
        self::assertSame(2, $run('job:plan')->getExitCode());
        $fault = $run('cut:plan', $pieces, $stock, '--kerf=wide');
        self::assertSame(2, $fault->getExitCode());
        self::assertStringContainsString('“wide”', $fault->getErrorOutput());
    }
}
