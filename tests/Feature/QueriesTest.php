<?php

declare(strict_types=1);

namespace Tests\Feature;

use Illuminate\Support\Facades\DB;
use Tests\AlcoveTestCase;

/** How often the database is asked for an answer: each question costs everybody who waits behind it. */
final class QueriesTest extends AlcoveTestCase
{
    protected function setUp(): void
    {
        parent::setUp();
        // Old sessions are swept away on two requests of a hundred, drawn by chance: what is counted here must not hang on that.
        config(['session.lottery' => [0, 100]]);
        $this->app['auth']->forgetGuards();
        $this->postJson('/api/session', ['email' => $this->user->email, 'password' => 'a long password'])->assertOk();
        $this->app['auth']->forgetGuards();
        $this->withCredentials()->withCookie(config('session.cookie'), session()->getId());
    }

    /** @return list<string> what the database was asked, beside beginning and ending transactions */
    private function asked(callable $request): array
    {
        DB::flushQueryLog();
        DB::enableQueryLog();
        $request();
        DB::disableQueryLog();

        return array_column(DB::getQueryLog(), 'query');
    }

    public function test_a_reading_asks_at_most_twelve_times(): void
    {
        $space = $this->space($this->job);
        $asked = $this->asked(fn () => $this->postJson("/api/spaces/{$space->id}/facts", ['facts' => [$this->take('corner-left', '90.2')], 'station' => 'measure'])->assertOk());
        self::assertLessThanOrEqual(12, count($asked), implode("\n", $asked));
    }

    public function test_an_edit_asks_at_most_twelve_times(): void
    {
        $space = $this->space($this->job);
        $run = $space->choices['layout']['runs'][0]['id'];
        $asked = $this->asked(fn () => $this->postJson("/api/jobs/{$this->job->id}/edits", ['target' => $space->id, 'version' => 1, 'path' => "layout.runs.$run.depth", 'value' => '350', 'station' => 'fit'])->assertOk());
        self::assertLessThanOrEqual(12, count($asked), implode("\n", $asked));
    }

    public function test_opening_a_station_asks_at_most_ten_times_and_writes_nothing(): void
    {
        $open = fn () => $this->getJson("/api/jobs/{$this->job->id}?station=fit")->assertOk();
        $open();
        $asked = $this->asked($open);
        self::assertLessThanOrEqual(10, count($asked), implode("\n", $asked));
        self::assertSame([], preg_grep('/^(update|delete)/i', $asked));
    }
}
