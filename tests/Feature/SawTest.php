<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\JobFact;
use App\Models\Release;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Incastro\Saw\Lying;
use Incastro\Saw\Ticks;
use Tests\AlcoveTestCase;
use Tests\NotesFacts;

/** Releasing a job, and what is ticked at the saw by several people and devices, in whatever order it arrives. */
final class SawTest extends AlcoveTestCase
{
    use NotesFacts;

    private function release(): TestResponse
    {
        return $this->postJson("/api/jobs/{$this->job->id}/releases")->assertCreated();
    }

    /** @param list<array<string, mixed>> $facts */
    private function send(string $release, array $facts): TestResponse
    {
        return $this->postJson("/api/jobs/{$this->job->id}/facts", ['facts' => array_map(fn (array $fact) => ['release' => $release] + $fact, $facts), 'station' => 'saw']);
    }

    public function test_nothing_is_released_until_somebody_releases_it(): void
    {
        $this->getJson("/api/jobs/{$this->job->id}?station=saw")->assertOk()
            ->assertJsonPath('station.release', null)->assertJsonPath('tape.saw', 'not released');
    }

    public function test_a_release_freezes_pieces_and_steps(): void
    {
        $answer = $this->release();
        $cutting = $answer->json('station.release.cutting');
        $cuts = array_merge(...array_column($cutting['steps'], 'cuts'));

        self::assertSame('0 of '.count($cuts).' cuts', $answer->json('tape.saw'));
        self::assertFalse($answer->json('station.release.changed'));
        self::assertStringEndsWith(sprintf(' 0 of %d cuts.', count($cuts)), $answer->json('verdict.sentence'));
        self::assertSame([], $cutting['impossible']);
        // Each piece is freed by a cut, or is what remains of its blank.
        $freed = array_flip([...array_column($cuts, 'id'), ...array_filter(array_column($cuts, 'leaves'))]);
        foreach ($cutting['pieces'] as $piece) {
            self::assertArrayHasKey($piece['part'], $freed, $piece['mark']);
            $part = $cutting['parts'][$piece['part']];
            self::assertEqualsCanonicalizing([$piece['length']['nm'], $piece['width']['nm']], [$part['length']['nm'], $part['width']['nm']], $piece['mark']);
        }
        // A later change leaves it as it is, and says so.
        $this->postJson("/api/jobs/{$this->job->id}/edits", ['target' => $this->job->id, 'version' => $this->job->refresh()->version, 'path' => 'rules.side_allowance', 'value' => '5'])->assertOk();
        $later = $this->getJson("/api/jobs/{$this->job->id}?station=saw");
        self::assertTrue($later->json('station.release.changed'));
        self::assertSame($cutting['pieces'], $later->json('station.release.cutting.pieces'));
    }

    public function test_a_tick_counts_once_however_often_it_is_sent_and_can_be_taken_back(): void
    {
        $answer = $this->release();
        $release = $answer->json('station.release.id');
        $cuts = array_merge(...array_column($answer->json('station.release.cutting.steps'), 'cuts'));
        $tick = $this->fact(Ticks::CUT, $cuts[0]['id']);
        $this->send($release, [$tick])->assertOk()->assertJsonPath('tape.saw', '1 of '.count($cuts).' cuts');
        $this->send($release, [$tick])->assertOk()->assertJsonPath('tape.saw', '1 of '.count($cuts).' cuts');
        $this->send($release, [['part' => $cuts[1]['id']] + $tick])->assertStatus(409);
        $again = $this->fact(Ticks::CUT, $cuts[0]['id']);
        $this->send($release, [$again])->assertOk()->assertJsonPath('tape.saw', '1 of '.count($cuts).' cuts');
        // Taking back names both ticks; one alone would leave the other standing.
        $this->send($release, [$this->fact(Ticks::WITHDRAWAL, null, ['withdraws' => [$tick['id']]])])->assertJsonPath('tape.saw', '1 of '.count($cuts).' cuts');
        $this->send($release, [$this->fact(Ticks::WITHDRAWAL, null, ['withdraws' => [$again['id']]])])->assertJsonPath('tape.saw', '0 of '.count($cuts).' cuts');
        $this->send($release, [$this->fact(Ticks::CUT, (string) Str::uuid())])->assertStatus(422)->assertJsonPath('errors', fn (array $errors) => str_starts_with(array_values($errors)[0][0], 'This part is not in the plan that was released.'));
        self::assertSame(4, JobFact::query()->count());
    }

    public function test_a_size_as_cut_is_read_like_every_length(): void
    {
        $answer = $this->release();
        $release = $answer->json('station.release.id');
        $piece = $answer->json('station.release.cutting.pieces.0');
        $this->send($release, [$this->fact(Ticks::AS_CUT, $piece['part'], ['dimension' => 'length', 'text' => '56e3'])])->assertStatus(422)->assertJsonPath('errors', fn (array $errors) => str_starts_with(array_values($errors)[0][0], 'As cut: '));
        $kept = $this->send($release, [$this->fact(Ticks::AS_CUT, $piece['part'], ['dimension' => 'length', 'text' => '563,5'])])->assertOk();
        self::assertSame(['dimension' => 'length', 'text' => '563,5', 'nm' => 563_500_000], array_merge(['dimension' => '', 'text' => '', 'nm' => 0], $kept->json('station.release.facts.0.body')));
    }

    /**
     * Releases, cuts one piece, measures its length as so much more than planned, and asks what can be done.
     *
     * @return array{array<string, array<string, mixed>>, array<string, mixed>, array<string, mixed>} answers by kind, the piece and the release
     */
    private function cutTo(string $mark, float $more): array
    {
        $release = $this->release()->json('station.release');
        $piece = array_column($release['cutting']['pieces'], null, 'mark')[$mark];
        $this->send($release['id'], [
            $this->fact(Ticks::CUT, $piece['part']),
            $this->fact(Ticks::AS_CUT, $piece['part'], ['dimension' => 'length', 'text' => (string) ($piece['length']['nm'] / 1e6 + $more)]),
        ])->assertOk();

        return [array_column($this->getJson("/api/jobs/{$this->job->id}/as-cut/{$piece['part']}")->assertOk()->json('answers'), null, 'kind'), $piece, $release];
    }

    public function test_a_board_that_is_too_short_is_kept_and_its_box_follows(): void
    {
        [$answers, $bottom] = $this->cutTo('B1-bottom', -2.0);
        self::assertSame(['accept', 'elsewhere'], array_keys($answers));
        self::assertSame('Keep it at 845 mm: 16 other sizes follow.', $answers['accept']['sentence']);
        self::assertContains('B1-top: length 847 mm → 845 mm', $answers['accept']['changes']);
        $edit = $answers['accept']['edit'];
        $space = $this->job->spaces()->firstOrFail();
        $this->postJson("/api/jobs/{$this->job->id}/edits", ['target' => $space->id, 'version' => $space->version] + $edit)->assertOk();

        $next = $this->release()->json('station.release');
        self::assertSame($bottom['part'], $next['cutting']['done']['B1-bottom']);
        $byMark = array_column($next['cutting']['pieces'], null, 'mark');
        self::assertSame([845_000_000, 845_000_000], [$byMark['B1-bottom']['length']['nm'], $byMark['B1-top']['length']['nm']]);
    }

    public function test_a_board_that_is_too_long_is_cut_again_or_becomes_something_else(): void
    {
        [$answers, $bottom, $release] = $this->cutTo('B1-bottom', 2.0);
        // The run fills its alcove: the box cannot grow.
        self::assertSame(['recut', 'elsewhere'], array_keys($answers));
        self::assertSame('Take 2 mm off its length: set 847 mm again.', $answers['recut']['sentence']);
        self::assertSame(['along' => '849 mm', 'across' => '372 mm'], $answers['elsewhere']['remains']);

        $this->send($release['id'], [$this->fact(Ticks::SPOILED, $bottom['part'], ['why' => 'other', 'remains' => [['along' => '-3', 'across' => '372']]])])
            ->assertStatus(422)->assertJsonPath('errors', fn (array $errors) => str_starts_with(array_values($errors)[0][0], 'What remains, along the grain: '));
        $kept = $this->send($release['id'], [$this->fact(Ticks::SPOILED, $bottom['part'], ['why' => 'other', 'remains' => [$answers['elsewhere']['remains']]])])->assertOk();
        self::assertContains(['B1-bottom', '849 mm', '372 mm'], array_map(fn (array $rest) => [$rest['mark'], $rest['length'], $rest['width']], $kept->json('station.release.rests')));
        $next = $this->release()->json('station.release');
        self::assertArrayNotHasKey('B1-bottom', $next['cutting']['done']);
    }

    public function test_the_yard_cuts_first_where_the_home_says_so(): void
    {
        $this->release();
        $this->getJson("/api/jobs/{$this->job->id}/yard.pdf")->assertNotFound();
        $this->postJson("/api/homes/{$this->job->home_id}/saws", ['path' => 'yard', 'value' => true])->assertOk()->assertJsonPath('yard.cuts', 3);
        $this->postJson("/api/homes/{$this->job->home_id}/saws", ['path' => 'yard.cuts', 'value' => 2.5])->assertStatus(422)->assertJsonPath('errors', fn (array $errors) => str_ends_with(array_values($errors)[0][0], '“2.5” is not a whole number from 0 to 20.'));
        $cutting = $this->release()->json('station.release.cutting');
        $first = $cutting['steps'][0];
        self::assertSame(['at the yard', 'the yard', 'At the yard, ask for'], [$first['class'], $first['tool'], $first['verb']]);
        self::assertMatchesRegularExpression('/^[\d mm,]+ of the width, as the yard sheet has it\./', $first['words']);
        self::assertStringStartsWith('%PDF', (string) $this->get("/api/jobs/{$this->job->id}/yard.pdf")->assertOk()->getContent());
        // The cut sheet has it, too, before the cuts at home.
        $this->get("/api/jobs/{$this->job->id}/cut-sheet")->assertOk();
    }

    public function test_where_two_devices_say_otherwise_of_a_size_neither_counts(): void
    {
        [, $bottom, $release] = $this->cutTo('B1-bottom', -2.0);
        $other = fn (string $text): TestResponse => $this->send($release['id'], [['device' => (string) Str::uuid()] + $this->fact(Ticks::AS_CUT, $bottom['part'], ['dimension' => 'length', 'text' => $text])])->assertOk();
        $judged = array_filter(array_column($other('846')->json('station.release.facts'), 'judged'));
        self::assertSame(['B1-bottom was measured as 845 mm and 846 mm by different people. Measure it once more: until then neither counts.'], array_values(array_unique(array_column($judged, 'sentence'))));
        self::assertSame([], $this->getJson("/api/jobs/{$this->job->id}/as-cut/{$bottom['part']}")->json('answers'));
        // The first takes it again, and now they agree.
        $this->send($release['id'], [$this->fact(Ticks::AS_CUT, $bottom['part'], ['dimension' => 'length', 'text' => '846'])])->assertOk();
        self::assertNotSame([], $this->getJson("/api/jobs/{$this->job->id}/as-cut/{$bottom['part']}")->json('answers'));
    }

    public function test_what_can_be_done_is_asked_of_a_piece_of_the_release(): void
    {
        $this->getJson("/api/jobs/{$this->job->id}/as-cut/".Str::uuid())->assertNotFound();
        $this->release();
        $this->getJson("/api/jobs/{$this->job->id}/as-cut/".Str::uuid())->assertNotFound();
        [$answers] = $this->cutTo('B1-bottom', 0.0);
        self::assertSame([], $answers);
    }

    public function test_a_later_release_keeps_what_is_cut_and_plans_the_rest_from_what_lies_about(): void
    {
        $answer = $this->release();
        $cutting = $answer->json('station.release.cutting');
        $release = $answer->json('station.release.id');
        // Everything of the first sheet is cut.
        $first = array_values(array_filter(array_merge(...array_column($cutting['steps'], 'cuts')), fn (array $cut) => $cutting['parts'][$cut['takes']]['sheet'] === 1 && str_starts_with($this->sheetOf($cutting, $cut['takes']), 'S')));
        $this->send($release, array_map(fn (array $cut) => $this->fact(Ticks::CUT, $cut['id']), $first))->assertOk();
        $cut = array_fill_keys(array_column($first, 'id'), true);
        $done = (new Lying($cutting, $cut))->done();
        self::assertNotSame([], $done);
        $second = $this->release();
        self::assertSame(2, $second->json('station.release.number'));
        self::assertEquals($done, $second->json('station.release.cutting.done'));
        $again = array_filter(array_column($second->json('station.release.cutting.parts'), 'piece'));
        self::assertSame([], array_intersect(array_keys($done), $again));
        foreach ($second->json('station.release.cutting.pieces') as $piece) {
            self::assertNotNull($piece['part'], $piece['mark']);
        }
        // A tick of the first release comes late: it is kept, and asks nobody to cut the piece again.
        $this->send($release, [$this->fact(Ticks::CUT, $first[0]['id'])])->assertOk();
    }

    /** @param array<string, mixed> $cutting */
    private function sheetOf(array $cutting, string $part): string
    {
        while ($cutting['parts'][$part]['from'] !== null) {
            $part = $cutting['parts'][$part]['from'];
        }

        return $cutting['parts'][$part]['mark'];
    }

    public function test_a_clash_stands_against_a_release_unless_one_means_it(): void
    {
        $space = $this->space($this->job);
        $this->postJson("/api/jobs/{$this->job->id}/edits", ['target' => $space->id, 'version' => $space->version, 'path' => 'layout.runs.'.$space->choices['layout']['runs'][0]['id'].'.depth', 'value' => '900'])->assertOk();
        $refused = $this->postJson("/api/jobs/{$this->job->id}/releases")->assertStatus(422)->json('errors.release.0');
        self::assertStringStartsWith('Something clashes still: ', $refused);
    }

    public function test_a_helper_ticks_too_and_a_stranger_finds_nothing(): void
    {
        $answer = $this->release();
        $release = $answer->json('station.release.id');
        $cut = $answer->json('station.release.cutting.steps.0.cuts.0.id');
        $helper = $this->person('helper@example.org');
        $this->as($helper)->postJson("/api/jobs/{$this->job->id}/facts", ['facts' => [$this->fact(Ticks::CUT, $cut, ['release' => $release])]])->assertNotFound();
        $this->job->helpers()->attach($helper->id);
        $this->as($helper)->postJson("/api/jobs/{$this->job->id}/facts", ['facts' => [$this->fact(Ticks::CUT, $cut, ['release' => $release])]])->assertOk();
        self::assertSame('Somebody', JobFact::query()->sole()->author);
        self::assertSame(1, Release::query()->count());
    }

    public function test_a_saw_of_the_home_is_changed_and_a_bad_figure_refused(): void
    {
        $home = $this->job->home_id;
        $this->postJson("/api/homes/$home/saws", ['path' => 'table_saw.rip', 'value' => '800'])->assertOk()->assertJsonPath('table_saw.rip.nm', 800_000_000);
        $this->postJson("/api/homes/$home/saws", ['path' => 'table_saw.rip', 'value' => '0'])->assertStatus(422)->assertJsonPath('errors', fn (array $errors) => str_contains(array_values($errors)[0][0], 'It must be between'));
        $this->postJson("/api/homes/$home/saws", ['path' => 'guided_saw.guides', 'value' => '100'])->assertStatus(422);
        $this->postJson("/api/homes/$home/saws", ['path' => 'guided_saw.offset', 'value' => '300'])->assertStatus(422);
        $this->postJson("/api/homes/$home/saws", ['path' => 'mitre_saw', 'value' => null])->assertOk()->assertJsonPath('mitre_saw', null);
        // Without any saw a release says what cannot be cut.
        $this->postJson("/api/homes/$home/saws", ['path' => 'table_saw', 'value' => null])->assertOk();
        $this->postJson("/api/homes/$home/saws", ['path' => 'guided_saw', 'value' => null])->assertOk();
        self::assertSame('No saw for straight cuts is among the tools.', $this->release()->json('station.release.cutting.impossible.0.because'));
    }

    public function test_what_is_bought_and_at_hand_goes_off_the_list(): void
    {
        $lines = fn (TestResponse $answer): array => array_column(array_merge(...array_column($answer->json('station.to_buy.trips'), 'lines')), null, 'key');
        $open = fn (): TestResponse => $this->getJson("/api/jobs/{$this->job->id}?station=sheets")->assertOk();
        $before = $open();
        $key = 'hardware:pocket screw, 32 mm';
        $screws = $lines($before)[$key];
        self::assertFalse($screws['done']);
        $home = $this->job->home_id;
        $this->postJson("/api/homes/$home/at-hand", ['item' => $key, 'amount' => 4])->assertNoContent();
        self::assertSame((int) $screws['to_buy'] - 4, (int) $lines($open())[$key]['to_buy']);
        $this->postJson("/api/homes/$home/at-hand", ['item' => $key, 'amount' => -3])->assertStatus(422)->assertJsonPath('errors.amount.0', 'At hand: type a whole number from 0 to 1000000.');
        $bought = $this->fact(Ticks::BOUGHT, $key, ['amount' => 200]);
        $answer = $this->postJson("/api/jobs/{$this->job->id}/facts", ['facts' => [$bought], 'station' => 'sheets'])->assertOk();
        self::assertTrue($lines($answer)[$key]['done']);
        // The sum stays what the list costs, and taking it back puts it on the list again.
        self::assertSame($open()->json('station.to_buy.total'), $answer->json('station.to_buy.total'));
        $back = $this->postJson("/api/jobs/{$this->job->id}/facts", ['facts' => [$this->fact(Ticks::WITHDRAWAL, null, ['withdraws' => [$bought['id']]])], 'station' => 'sheets'])->assertOk();
        self::assertFalse($lines($back)[$key]['done']);
        $csv = array_map(fn (string $row) => str_getcsv($row, ',', '"', ''), explode("\r\n", trim((string) $this->get("/api/jobs/{$this->job->id}/to-buy.csv")->assertOk()->getContent())));
        self::assertSame(['trip', 'needed_by', 'shop', 'what'], array_slice($csv[0], 0, 4));
        self::assertCount(1 + count($lines($back)), $csv);
        self::assertStringStartsWith('%PDF', (string) $this->get("/api/jobs/{$this->job->id}/to-buy.pdf")->assertOk()->getContent());
    }

    public function test_a_label_opens_its_piece_for_those_who_work_on_the_job_alone(): void
    {
        $this->getJson("/api/jobs/{$this->job->id}/labels.pdf?grid=a4-24")->assertNotFound();
        $pieces = $this->release()->json('station.release.cutting.pieces');
        $code = $pieces[0]['code'];
        $this->getJson('/api/labels/'.strtolower($code))->assertOk()->assertExactJson(['job' => $this->job->id, 'mark' => $pieces[0]['mark']]);
        $wrong = $code[0] === 'X' ? 'Y' : 'X';
        $this->getJson('/api/labels/'.$wrong.substr($code, 1))->assertNotFound()->assertJsonPath('message', 'The label was misread. Scan it again, or type the mark that stands on it.');
        $this->getJson('/api/labels/7K3QX9M2TM')->assertNotFound()->assertJsonPath('message', 'This does not exist, or it is not yours.');
        // A label stays on its wood: the next release has the same.
        self::assertSame(array_column($pieces, 'code', 'mark'), array_column($this->release()->json('station.release.cutting.pieces'), 'code', 'mark'));
        self::assertStringStartsWith('%PDF', (string) $this->get("/api/jobs/{$this->job->id}/labels.pdf?grid=a4-24&first=5")->assertOk()->getContent());
        $this->getJson("/api/jobs/{$this->job->id}/labels.pdf?grid=a4-24&first=0")->assertStatus(422);
        $this->as($this->person('other@example.org'))->getJson("/api/labels/$code")->assertNotFound()->assertJsonPath('message', 'This does not exist, or it is not yours.');
    }

    public function test_an_offcut_is_kept_and_the_next_job_is_cut_from_it_first(): void
    {
        $answer = $this->release();
        $release = $answer->json('station.release.id');
        $cuts = array_merge(...array_column($answer->json('station.release.cutting.steps'), 'cuts'));
        self::assertSame([], $answer->json('station.release.rests'));
        $all = $this->send($release, array_map(fn (array $cut) => $this->fact(Ticks::CUT, $cut['id']), $cuts))->assertOk();
        self::assertSame('all cut', $all->json('tape.saw'));
        $rests = $all->json('station.release.rests');
        self::assertNotSame([], $rests);
        $this->postJson("/api/jobs/{$this->job->id}/offcuts", ['part' => 'nothing'])->assertNotFound();
        $this->postJson("/api/jobs/{$this->job->id}/offcuts", ['part' => $rests[0]['id'], 'place' => 'behind the door'])->assertCreated()->assertJsonPath('code', 'O-1');
        // Asked twice, it is the same offcut.
        $this->postJson("/api/jobs/{$this->job->id}/offcuts", ['part' => $rests[0]['id']])->assertJsonPath('code', 'O-1');
        foreach (array_slice($rests, 1) as $rest) {
            $this->postJson("/api/jobs/{$this->job->id}/offcuts", ['part' => $rest['id']])->assertCreated();
        }
        $shelf = $this->getJson('/api/homes')->json('0.offcuts');
        self::assertSame(['O-1', 'behind the door', 'Landing alcove', null], [$shelf[0]['code'], $shelf[0]['place'], $shelf[0]['from'], $shelf[0]['reserved']]);
        // The same job once more in the same home, which now has nearly a whole sheet of the same board: it costs a sheet less.
        $before = $this->getJson("/api/jobs/{$this->job->id}?station=sheets")->json('station.price');
        $home = $this->job->home->refresh();
        $kept = $home->offcuts;
        $board = $kept[array_search('Birch plywood 18', array_column($kept, 'name'), true)];
        $home->update(['offcuts' => [['code' => 'O-99', 'part' => 'another', 'length' => 2_420_000_000, 'width' => 1_210_000_000] + $board, ...$kept]]);
        $twin = $this->app->make(\App\Exchange\JobPorter::class)->import($home, $this->user, (string) file_get_contents(base_path('tests/examples/landing-alcove-without-doors.json')));
        $sheets = $this->getJson("/api/jobs/{$twin->id}?station=sheets")->assertOk();
        $used = array_values(array_filter(array_column($sheets->json('station.sheets'), 'title'), fn (string $title) => str_contains($title, 'O-')));
        self::assertContains('O-99', array_map(fn (string $title) => explode(' · ', $title)[2], $used));
        self::assertSame($before - 84.0, (float) $sheets->json('station.price'));
        self::assertNotContains('O-99', array_column(array_merge(...array_column($sheets->json('station.to_buy.trips'), 'lines')), 'what'));
        // Released, they are reserved: no other job plans with them, and one that is not there can be taken off.
        $this->postJson("/api/jobs/{$twin->id}/releases")->assertCreated();
        $reserved = array_filter($this->getJson('/api/homes')->json('0.offcuts'), fn (array $offcut) => $offcut['reserved'] === 'Landing alcove');
        self::assertCount(count($used), $reserved);
        $this->deleteJson("/api/homes/{$home->id}/offcuts/O-1")->assertNoContent();
        self::assertNotContains('O-1', array_column($this->getJson('/api/homes')->json('0.offcuts'), 'code'));
    }

    public function test_pieces_cuts_and_sheets_are_taken_along_as_files(): void
    {
        $this->get("/api/jobs/{$this->job->id}/cuts.csv", ['Accept' => 'application/json'])->assertNotFound();
        $cutting = $this->release()->json('station.release.cutting');
        $rows = fn (string $table): array => array_map(fn (string $row) => str_getcsv($row, ',', '"', ''), explode("\r\n", trim((string) $this->get("/api/jobs/{$this->job->id}/$table.csv")->assertOk()->getContent())));
        self::assertCount(1 + count($cutting['pieces']), $rows('pieces'));
        self::assertSame([$cutting['pieces'][0]['mark'], $cutting['pieces'][0]['length']['text']], [$rows('pieces')[1][0], $rows('pieces')[1][4]]);
        self::assertCount(1 + array_sum(array_map(fn (array $step) => count($step['cuts']), $cutting['steps'])), $rows('cuts'));
        self::assertStringContainsString('AC1009', (string) $this->get("/api/jobs/{$this->job->id}/sheets/1.dxf")->assertOk()->getContent());
        self::assertStringContainsString('<svg', (string) $this->get("/api/jobs/{$this->job->id}/sheets/1.svg")->assertOk()->getContent());
        $this->getJson("/api/jobs/{$this->job->id}/sheets/99.dxf")->assertNotFound();
        $this->getJson("/api/jobs/{$this->job->id}/sheets/1.pdf")->assertNotFound();
    }

    public function test_a_spoiled_piece_is_to_be_cut_again_and_no_strip_of_an_earlier_plan_counts(): void
    {
        $answer = $this->release();
        $release = $answer->json('station.release.id');
        $cutting = $answer->json('station.release.cutting');
        $cuts = array_merge(...array_column($cutting['steps'], 'cuts'));
        $piece = array_values(array_filter($cuts, fn (array $cut) => ($cutting['parts'][$cut['id']]['fate'] ?? '') === 'piece'))[0]['id'];
        // Everything up to the first piece is cut, and that piece is spoiled.
        $upTo = array_slice(array_column($cuts, 'id'), 0, 1 + (int) array_search($piece, array_column($cuts, 'id'), true));
        $this->send($release, [...array_map(fn (string $id) => $this->fact(Ticks::CUT, $id), $upTo), $this->fact(Ticks::SPOILED, $piece, ['why' => 'split'])])->assertOk();
        $second = $this->release();
        $again = array_column(array_merge(...array_column($second->json('station.release.cutting.steps'), 'cuts')), 'id');
        // It has the same mark and size, and so the same id: and yet nothing of the new plan is cut.
        self::assertContains($piece, $again);
        self::assertNotContains($piece, $second->json('station.release.cutting.done'));
        self::assertSame('0 of '.count($again).' cuts', $second->json('tape.saw'));
    }
}
