<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Photo;
use App\Photos\Shrunk;
use App\Photos\Unusable;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Str;
use Illuminate\Testing\TestResponse;
use Tests\AlcoveTestCase;
use Tests\NotesFacts;

/** The log over the API: hours, money, sizes, what went wrong, photos, and the report. */
final class LogTest extends AlcoveTestCase
{
    use NotesFacts;

    /** @return array<string, mixed> */
    private function station(): array
    {
        return $this->getJson("/api/jobs/{$this->job->id}?station=log")->assertOk()->json('station');
    }

    public function test_hours_and_money_add_up(): void
    {
        Carbon::setTestNow('2027-03-06 18:00:00');
        $hours = fn (string $who, string $from, string $to) => $this->noted('log', 'hours', null, ['person' => $who, 'work' => 'install', 'from' => "2027-03-06T$from:00Z", 'to' => "2027-03-06T$to:00Z"])->assertOk();
        $hours('A', '09:10', '11:40');
        $hours('A', '11:30', '12:45');
        $hours('B', '10:00', '12:00');
        foreach (['128.00', '27.50', '11.50', '36.90', '26.80', '4.20', '−27.50'] as $paid) {
            $this->noted('log', 'money', null, ['what' => 'back', 'amount' => $paid, 'shop' => 'the yard'])->assertOk();
        }
        $answer = $this->getJson("/api/jobs/{$this->job->id}?station=log")->assertJsonPath('tape.log', '5 h 35');
        self::assertSame(['5 h 35', 20740], [$answer->json('station.hours.all'), $answer->json('station.money.paid_minor')]);
        self::assertSame(['A' => '3 h 35', 'B' => '2 h'], array_column($answer->json('station.hours.people'), 'text', 'name'));
        self::assertNotNull($answer->json('station.hours.kinds.0.estimate'));
    }

    public function test_what_cannot_be_is_refused_by_its_field(): void
    {
        Carbon::setTestNow('2027-03-06 18:00:00');
        $refused = fn (string $kind, array $body, string $field, string $sentence) => self::assertStringContainsString($sentence, $this->noted('log', $kind, null, $body)->assertStatus(422)->json('errors')["facts.0.body.$field"][0]);
        $refused('hours', ['work' => 'saw', 'from' => '2027-03-06T12:00:00Z', 'to' => '2027-03-06T11:00:00Z'], 'to', 'run past midnight, from 6 March to 7 March?');
        $refused('hours', ['work' => 'saw', 'from' => '2027-03-07T12:00:00Z'], 'from', 'in the future');
        $refused('hours', ['work' => 'saw', 'from' => '2027-03-05T12:00:00Z', 'to' => '2027-03-06T12:00:00Z'], 'to', '24 hours');
        $refused('hours', ['work' => 'saw', 'typed' => '230'], 'typed', '230 minutes (3 h 50)?');
        $refused('hours', ['work' => 'sleep', 'typed' => '2:30'], 'work', 'Say what was worked at');
        $refused('money', ['what' => 'ply', 'amount' => '1,234'], 'amount', '1234.00 or 1.234');
        $refused('money', ['what' => 'ply', 'amount' => '$ 12'], 'amount', 'This job counts in €.');
        $refused('money', ['what' => '', 'amount' => '12'], 'what', 'Say what was paid for');
        $refused('problem', ['problem' => 'bad-luck'], 'problem', 'not known');
        $refused('fit', ['how' => 'sideways'], 'how', 'freely, tight, jammed or loose');
        $refused('note', ['words' => '  '], 'words', 'Write what happened');
        // A problem without a place is allowed; words are kept as text.
        $this->noted('log', 'problem', null, ['problem' => 'other', 'words' => '<script>alert(1)</script>'])->assertOk()->assertJsonPath('station.problems.0.words', '<script>alert(1)</script>');
    }

    public function test_tables_keep_formulas_from_running(): void
    {
        $this->noted('log', 'money', null, ['what' => '=SUM(A1)', 'amount' => '-3.50'])->assertOk();
        $csv = (string) $this->get("/api/jobs/{$this->job->id}/log/money.csv")->assertOk()->getContent();
        self::assertStringContainsString("'=SUM(A1),,-3.50,€,", $csv);
        self::assertStringStartsWith('person,work,from,to,minutes', (string) $this->get("/api/jobs/{$this->job->id}/log/hours.csv")->assertOk()->getContent());
        self::assertStringStartsWith('%PDF-', (string) $this->get("/api/jobs/{$this->job->id}/log.pdf")->assertOk()->assertHeader('Content-Type', 'application/pdf')->getContent());
    }

    public function test_a_clock_forty_minutes_fast_is_put_right_in_hours(): void
    {
        Carbon::setTestNow('2027-03-06 11:30:00');
        $fact = $this->fact('hours', null, ['body' => ['work' => 'saw', 'from' => '2027-03-06T09:50:00Z', 'to' => '2027-03-06T12:10:00Z']]);
        $this->postJson("/api/jobs/{$this->job->id}/facts", ['facts' => [$fact], 'station' => 'log', 'sent_at' => '2027-03-06T12:10:00Z'])->assertOk()->assertJsonPath('station.hours.all', '2 h 20');
        $body = $this->station()['facts'][0]['body'];
        self::assertSame(['2027-03-06T09:10:00Z', '2027-03-06T11:30:00Z', -2400], [$body['from'], $body['to'], $body['clock']]);
    }

    private function photo(string $bytes, string $name = 'photo.jpg', ?string $id = null): TestResponse
    {
        return $this->post("/api/jobs/{$this->job->id}/photos", ['id' => $id ?? (string) Str::uuid(), 'fact' => (string) Str::uuid(), 'device' => $this->device, 'sequence' => ++$this->sequence, 'at' => now()->toIso8601String(), 'caption' => 'Where the cable runs', 'where' => 'B1', 'photo' => UploadedFile::fake()->createWithContent($name, $bytes)], ['Accept' => 'application/json']);
    }

    private static function jpeg(int $wide, int $high): string
    {
        $picture = imagecreatetruecolor(max(1, $wide), max(1, $high));
        imagefilledrectangle($picture, 0, 0, intdiv($wide, 2), $high, (int) imagecolorallocate($picture, 200, 30, 30));
        ob_start();
        imagejpeg($picture, null, 90);

        return (string) ob_get_clean();
    }

    /** A JPEG with an EXIF block that says how it was held, by whom and where. */
    private static function told(string $jpeg, int $orientation): string
    {
        $entry = fn (int $tag, int $type, int $count, string $value): string => pack('vvV', $tag, $type, $count).str_pad($value, 4, "\0");
        $tiff = "II*\0".pack('V', 8).pack('v', 2).$entry(0x0112, 3, 1, pack('v', $orientation)).$entry(0x013B, 2, 17, pack('V', 38)).pack('V', 0)."Ferryman was here\0";
        $exif = "Exif\0\0".$tiff;

        return substr($jpeg, 0, 2)."\xFF\xE1".pack('n', strlen($exif) + 2).$exif.substr($jpeg, 2);
    }

    public function test_a_photo_is_made_small_and_tells_nothing_of_where_it_was_taken(): void
    {
        $id = (string) Str::uuid();
        $this->photo(self::told(self::jpeg(3000, 1500), 6), id: $id)->assertCreated();
        $large = $this->get("/api/jobs/{$this->job->id}/photos/$id")->assertOk()->assertHeader('X-Content-Type-Options', 'nosniff')->assertHeader('Content-Type', 'image/jpeg');
        $bytes = (string) $large->getContent();
        // Held upright, it is turned: 1500 × 3000, scaled to 1280 × 2560.
        self::assertSame([1280, 2560], array_slice(getimagesizefromstring($bytes) ?: [], 0, 2));
        self::assertStringNotContainsString('Exif', $bytes);
        self::assertStringNotContainsString('Ferryman', $bytes);
        self::assertSame([240, 480], array_slice(getimagesizefromstring((string) $this->get("/api/jobs/{$this->job->id}/photos/$id?small=1")->getContent()) ?: [], 0, 2));
        self::assertSame(['Where the cable runs', 'B1', false], array_values(array_intersect_key($this->station()['photos'][0], ['caption' => 1, 'where' => 1, 'removed' => 1])));
        // Removed, its bytes go and the entry stays.
        $this->delete("/api/jobs/{$this->job->id}/photos/$id")->assertNoContent();
        $this->getJson("/api/jobs/{$this->job->id}/photos/$id")->assertNotFound();
        self::assertTrue($this->station()['photos'][0]['removed']);
        self::assertSame(0, DB::table('blobs')->count());
    }

    public function test_what_is_no_photo_is_refused_by_what_it_is(): void
    {
        $png = function (int $wide, int $high): string {
            // A header alone says how large it would be: it is read before anything is decoded.
            $ihdr = pack('NN', $wide, $high)."\x08\x02\0\0\0";

            return "\x89PNG\r\n\x1a\n".pack('N', 13).'IHDR'.$ihdr.pack('N', crc32('IHDR'.$ihdr));
        };
        $refused = fn (string $bytes, string $sentence) => self::assertStringContainsString($sentence, $this->photo($bytes)->assertStatus(422)->json('errors.photo.0'));
        $refused('only words', 'This is a text.');
        $refused('<svg xmlns="http://www.w3.org/2000/svg"/>', 'This is an SVG drawing.');
        $refused("\0\0\0\x18ftypheic\0\0\0\0mif1heic", 'send it as JPEG');
        $refused('', 'empty');
        $refused($png(6000, 8000), '48 megapixels (6000 × 8000). It may have 16.');
        $refused(substr(self::jpeg(200, 200), 0, 400), 'cannot be read');
        $refused("GIF89a\1\0\1\0", 'This is a GIF.');
        self::assertSame(0, Photo::query()->count());
        // Anything at all that looks like a picture at first is refused or taken, and never fails.
        mt_srand(5);
        $jpeg = self::jpeg(64, 48);
        for ($i = 0; $i < 50; $i++) {
            $broken = $jpeg;
            for ($k = 0; $k < 20; $k++) {
                $broken[mt_rand(2, strlen($broken) - 1)] = chr(mt_rand(0, 255));
            }
            try {
                self::assertStringStartsWith("\xFF\xD8", Shrunk::of($broken)->large);
            } catch (Unusable $unusable) {
                self::assertNotSame('', $unusable->getMessage());
            }
        }
    }

    public function test_a_job_holds_so_many_photos_and_no_more(): void
    {
        config(['incastro.photo_bytes_job' => 20_000]);
        $this->photo(self::jpeg(600, 400))->assertCreated();
        while (Photo::query()->sum('size') < 14_000) {
            $this->photo(self::jpeg(600, 400))->assertCreated();
        }
        $full = $this->photo(self::jpeg(2400, 1600))->assertStatus(422);
        self::assertSame('This job’s photos are full (0 MB). Remove some.', $full->json('errors.photo.0'));
        // Others do not see them.
        $photo = Photo::query()->firstOrFail();
        $this->as($this->person('two@example.org'))->getJson("/api/jobs/{$this->job->id}/photos/$photo->id")->assertNotFound();
    }

    public function test_photos_go_with_their_job(): void
    {
        $this->photo(self::jpeg(60, 40))->assertCreated();
        self::assertSame(2, DB::table('blobs')->count());
        $this->artisan('incastro:prune')->expectsOutputToContain('photos: 0');
        $this->job->forceDelete();
        $this->artisan('incastro:prune')->expectsOutputToContain('photos: 2');
        self::assertSame(0, DB::table('blobs')->count());
    }

    public function test_a_job_of_two_thousand_facts_is_the_same_job(): void
    {
        $rows = array_map(fn (int $i): array => ['id' => (string) Str::uuid(), 'job_id' => $this->job->id, 'author' => 'A', 'device' => $this->device, 'sequence' => 1000 + $i, 'kind' => 'hours', 'part' => null, 'body' => json_encode(['person' => 'A', 'work' => 'saw', 'typed' => '1 min', 'minutes' => 1, 'from' => '2027-03-06T10:00:00Z', 'to' => null]), 'withdraws' => '[]', 'at' => '2027-03-06 10:00:00+00', 'recorded_at' => '2027-03-06 10:00:00+00'], range(1, 2000));
        foreach (array_chunk($rows, 500) as $chunk) {
            DB::table('job_facts')->insert($chunk);
        }
        self::assertSame('33 h 20', $this->station()['hours']['all']);
    }
}
