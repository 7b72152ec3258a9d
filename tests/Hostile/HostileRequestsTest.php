<?php

declare(strict_types=1);

namespace Tests\Hostile;

use App\Demo\Demo;
use App\Http\Middleware\CountedTries;
use App\Jobs\AskPrices;
use App\Models\Job;
use App\Models\Space;
use Illuminate\Http\UploadedFile;
use Illuminate\Support\Facades\DB;
use Illuminate\Support\Facades\Queue;
use Incastro\Trial\Dice;
use Tests\TestCase;

/**
 * Thousands of requests that no page would send: none is an error of the application, none takes long, and afterwards everything is
 * whole. INCASTRO_REQUESTS says how many (10 000 on demand), INCASTRO_SEED from which seed.
 */
final class HostileRequestsTest extends TestCase
{
    /** CPU seconds of one request. */
    private const LONGEST = 2.0;

    public function test_none_breaks_the_application_or_what_is_stored(): void
    {
        $this->withoutMiddleware(CountedTries::class);
        // Prices are asked for behind an answer, by the worker: nobody waits for that, and it does not count into what an answer takes.
        // Its lock is then held to the end, which in the database would break the transaction that the test runs in.
        Queue::fake([AskPrices::class]);
        config(['cache.default' => 'array']);
        $demo = $this->app->make(Demo::class)->make();
        $seed = (int) (getenv('INCASTRO_SEED') ?: 7);
        $requests = new Requests(new Dice($seed), $demo);
        $this->actingAs($demo);
        $failed = $slow = $kinds = [];
        for ($i = (int) (getenv('INCASTRO_REQUESTS') ?: 2000); $i > 0; $i--) {
            [$kind, $method, $address, $body] = $requests->next();
            $began = self::cpu();
            $status = $this->answerTo($method, $address, $body);
            $kinds[$kind][$status] = ($kinds[$kind][$status] ?? 0) + 1;
            if ($status >= 500) {
                $failed[] = "$method $address ".substr($body, 0, 600);
            }
            if (self::cpu() - $began > self::LONGEST) {
                $slow[] = sprintf('%.1f s: %s %s %s', self::cpu() - $began, $method, $address, substr($body, 0, 300));
            }
            $this->app['auth']->forgetGuards();
            $this->actingAs($demo->refresh());
        }
        self::assertSame([], $failed, "Seed $seed");
        self::assertSame([], $slow, "Seed $seed");
        // Whatever was refused, something was done: of every kind some was taken.
        foreach (['edit', 'layout', 'facts', 'job', 'space', 'read'] as $kind) {
            self::assertNotSame([], array_filter($kinds[$kind], fn (int $status) => $status < 300, ARRAY_FILTER_USE_KEY), $kind);
        }
        $this->assertWhole();
        foreach (Job::query()->pluck('id') as $job) {
            foreach (['measure', 'fit', 'pieces', 'sheets'] as $station) {
                $this->getJson("/api/jobs/$job?station=$station")->assertOk();
            }
        }
    }

    private function answerTo(string $method, string $address, string $body): int
    {
        if ($method === 'FILE') {
            return $this->post($address, ['file' => UploadedFile::fake()->createWithContent('file.json', $body)], ['Accept' => 'application/json'])->status();
        }

        return $this->call($method, $address, [], [], [], ['CONTENT_TYPE' => 'application/json', 'HTTP_ACCEPT' => 'application/json', 'HTTP_ORIGIN' => config('app.url')], $method === 'GET' ? null : $body)->status();
    }

    /** Versions agree with histories, and no row is without its parent. */
    private function assertWhole(): void
    {
        foreach ([Job::query()->get(), Space::query()->get()] as $documents) {
            foreach ($documents as $document) {
                $steps = DB::table('edits')->where('target', $document->id)->whereNotNull('version')->count();
                self::assertSame($document->version, 1 + $steps, $document::class.' '.$document->id);
            }
        }
        $orphans = DB::select('SELECT target FROM edits WHERE target NOT IN (SELECT id FROM jobs UNION SELECT id FROM spaces)');
        self::assertSame([], $orphans);
        self::assertSame([], DB::select('SELECT device, sequence FROM facts GROUP BY device, sequence HAVING count(*) > 1'));
    }

    private static function cpu(): float
    {
        $used = getrusage();

        return $used['ru_utime.tv_sec'] + $used['ru_stime.tv_sec'] + ($used['ru_utime.tv_usec'] + $used['ru_stime.tv_usec']) / 1e6;
    }
}
