<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Home;
use App\Models\Release;
use App\Planning\JobRecords;
use Tests\AlcoveTestCase;
use Tests\NotesFacts;

/** What jobs teach, over the API: what is told of what was noted, and what it changes in the next job, the saws and the list. */
final class LessonTest extends AlcoveTestCase
{
    use NotesFacts;

    /** @return array<string, array<string, mixed>> what the home tells, by what it is about */
    private function told(): array
    {
        return array_column($this->getJson("/api/homes/{$this->job->home_id}/lessons")->assertOk()->json('lessons'), null, 'about');
    }

    private function takenOver(string $about): void
    {
        $this->postJson("/api/homes/{$this->job->home_id}/lessons", ['about' => $about, 'take' => true])->assertOk();
    }

    /** @return array<string, mixed> choices of a job that begins now */
    private function next(): array
    {
        $new = $this->postJson("/api/homes/{$this->job->home_id}/jobs", ['name' => 'Next', 'measure' => 'mm/1', 'space' => 'Alcove', 'kind' => 'alcove'])->assertCreated()->json('id');

        return $this->getJson("/api/jobs/$new")->json('job.choices');
    }

    private function measured(string $release, string $part, string $dimension, float $mm): void
    {
        $this->postJson("/api/jobs/{$this->job->id}/facts", ['facts' => [$this->fact('as_cut', $part, ['release' => $release, 'dimension' => $dimension, 'text' => (string) round($mm, 2)])], 'station' => 'saw'])->assertOk();
    }

    public function test_sizes_as_cut_set_the_saw_and_the_next_release_says_so(): void
    {
        $this->postJson("/api/jobs/{$this->job->id}/releases")->assertCreated();
        $release = Release::query()->sole();
        [$cutting, $pieces] = [$release->cutting, array_column($release->cutting['pieces'], null, 'part')];
        $guided = [];
        foreach ($cutting['steps'] as $step) {
            foreach ($step['cuts'] as $cut) {
                if (isset($pieces[$cut['id']]) && ($step['way'] ?? '') === 'guide on the piece') {
                    $guided[] = [$cut['id'], $cut['axis'], $pieces[$cut['id']][$cut['axis']]['nm'] / 1e6];
                }
            }
        }
        self::assertGreaterThanOrEqual(8, count($guided));
        // Each comes out 0.9 to 1.1 long: 1.0 on average.
        foreach (array_slice($guided, 0, 8) as $i => [$part, $axis, $mm]) {
            $this->measured($release->id, $part, $axis, $mm + ($i % 2 === 0 ? 0.9 : 1.1));
        }
        $told = $this->told()['saw:guide on the piece'] ?? [];
        self::assertSame(['Pieces from the guide on the piece come out 1 mm long', 'It holds from the next release on.'], [$told['title'] ?? null, $told['holds'] ?? null]);
        $this->takenOver('saw:guide on the piece');
        self::assertSame(1_000_000, Home::query()->findOrFail($this->job->home_id)->saws['guided_saw']['offset']['nm'] ?? null);
        self::assertSame([], $this->told(), 'Set so, they come out right.');
        $this->postJson("/api/jobs/{$this->job->id}/releases")->assertCreated();
        foreach (Release::newest($this->job)->cutting['steps'] ?? [] as $step) {
            if (($step['way'] ?? '') === 'guide on the piece') {
                $set[] = $step['set_off'];
            }
        }
        self::assertSame([-1_000_000], array_values(array_unique($set ?? [])), 'The guide lies so much nearer in every step of the next release.');
    }

    public function test_what_remains_of_strips_tells_the_kerf_and_callipers_are_kept(): void
    {
        $this->postJson("/api/jobs/{$this->job->id}/releases")->assertCreated();
        $release = Release::query()->sole();
        $parts = $release->cutting['parts'];
        $strips = [];
        foreach ($release->cutting['steps'] as $step) {
            foreach ($step['cuts'] as $cut) {
                $from = $parts[$cut['id']]['from'] ?? null;
                if ($from !== null && $parts[$from]['from'] !== null && $parts[$from]['piece'] === null) {
                    $strips[$from][$cut['axis']][] = $parts[$cut['id']][$cut['axis']]['nm'] / 1e6;
                }
            }
        }
        $strips = array_slice(array_filter($strips, fn (array $along) => count($along) === 1), 0, 3);
        self::assertCount(3, $strips);
        foreach ($strips as $id => $along) {
            $axis = array_key_first($along);
            // As if every cut took 3.0.
            $this->measured($release->id, $id, 'rest', $parts[$id][$axis]['nm'] / 1e6 - array_sum($along[$axis]) - 3.0 * count($along[$axis]));
        }
        $sheets = array_slice(array_keys(array_filter($parts, fn (array $part) => $part['from'] === null && $part['material'] === 'carcass')), 0, 2);
        foreach ($sheets as $sheet) {
            $this->measured($release->id, $sheet, 'thickness', $parts[$sheet]['thickness'] / 1e6 - 0.5);
        }
        self::assertSame(['kerf'], array_keys($this->told()), 'Two sheets are not three.');
        self::assertEqualsWithDelta([-0.5, -0.5], array_map(fn (array $one): float => $one['measured'] - $one['usual'], JobRecords::of($this->job->refresh())->thickness), 1e-6);
        $this->takenOver('kerf');
        self::assertSame(3_000_000, $this->next()['rules']['kerf']['nm']);
    }

    public function test_what_was_paid_and_what_was_left_change_the_next_list(): void
    {
        $lines = $this->getJson("/api/jobs/{$this->job->id}?station=log")->assertOk()->json('station.lines');
        $sheet = array_values(array_filter($lines, fn (array $line) => str_starts_with($line['key'], 'sheet:')))[0];
        $this->noted('log', 'money', null, ['what' => $sheet['what'], 'amount' => sprintf('%.2f', 1.25 * $sheet['listed'] / 100), 'line' => $sheet['key'], 'listed' => $sheet['listed']])->assertOk();
        $screws = array_values(array_filter($lines, fn (array $line) => $line['spare'] > 0));
        self::assertGreaterThanOrEqual(2, count($screws));
        foreach (array_slice($screws, 0, 2) as $line) {
            // All that was on top was left, and what the packs hold beyond it.
            $this->noted('log', 'left', null, ['left' => (string) ($line['had'] - $line['use']), ...$line, 'line' => $line['key']])->assertOk();
        }
        $told = $this->told();
        self::assertSame(["price:{$sheet['key']}", 'spare'], array_keys($told));
        $this->takenOver("price:{$sheet['key']}");
        $this->takenOver('spare');
        $next = $this->next();
        $price = fn (array $choices): float => (float) array_values(array_filter($choices['stock'], fn (array $one) => "sheet:{$one['material']}:{$one['name']}:{$one['length']['nm']}" === $sheet['key']))[0]['price'];
        self::assertSame(round(1.25 * $price($this->job->choices), 2), $price($next));
        self::assertSame(0, $next['buying']['lost']);
        $this->noted('log', 'left', null, ['left' => '2.5', 'line' => 'x'])->assertStatus(422)->assertJsonPath('errors', ['facts.0.body.left' => ['Left: “2.5” is not a whole number up to 100000; what was missing has a minus.']]);
    }

    public function test_a_lesson_taken_over_is_how_the_next_job_begins(): void
    {
        $box = $this->getJson("/api/jobs/{$this->job->id}?station=log")->json('station.boxes.0.id');
        foreach (['2', '1.5', '2'] as $by) {
            $this->noted('log', 'fit', $box, ['how' => 'jammed', 'by' => $by])->assertOk();
        }
        $home = $this->job->home_id;
        $told = $this->getJson("/api/homes/$home/lessons")->assertOk();
        self::assertSame(['jams'], array_column($told->json('lessons'), 'about'));
        $usual = $this->job->choices['rules']['side_allowance']['nm'] ?? 3_000_000;
        $this->postJson("/api/homes/$home/lessons", ['about' => 'jams', 'take' => true])->assertOk()->assertJsonPath('lessons', [])->assertJsonPath('habits', 1);
        $new = $this->postJson("/api/homes/$home/jobs", ['name' => 'Next', 'measure' => 'mm/1', 'space' => 'Alcove', 'kind' => 'alcove'])->assertCreated()->json('id');
        self::assertSame($usual + 1_000_000, $this->getJson("/api/jobs/$new")->json('job.choices.rules.side_allowance.nm'));
        // Put aside, it comes again only with twice the evidence.
        $this->postJson("/api/homes/$home/lessons", ['about' => 'nothing', 'take' => true])->assertNotFound();
    }

    public function test_a_lesson_put_aside_returns_with_twice_the_evidence(): void
    {
        $problem = fn () => $this->noted('log', 'problem', null, ['problem' => 'notch-twice'])->assertOk();
        $home = $this->job->home_id;
        $abouts = fn (): array => array_column($this->getJson("/api/homes/$home/lessons")->json('lessons'), 'about');
        $problem();
        self::assertSame([], $abouts());
        $problem();
        self::assertSame(['notch-twice'], $abouts());
        $this->postJson("/api/homes/$home/lessons", ['about' => 'notch-twice', 'take' => false])->assertOk()->assertJsonPath('lessons', []);
        $problem();
        self::assertSame([], $abouts());
        $problem();
        self::assertSame(['notch-twice'], $abouts());
    }
}
