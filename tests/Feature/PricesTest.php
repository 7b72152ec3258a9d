<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Prices\NoPrices;
use App\Prices\PriceService;
use Illuminate\Http\Client\ConnectionException;
use Illuminate\Support\Facades\Cache;
use Illuminate\Support\Facades\Http;
use Incastro\Buy\Item;
use Incastro\Buy\Quote;
use Tests\AlcoveTestCase;

/** A service that names prices, dead, slow and lying: the list to buy never waits for it and never believes it. */
final class PricesTest extends AlcoveTestCase
{
    private const URL = 'http://prices.example';

    /** @return array<string, mixed> */
    private function list(): array
    {
        return $this->getJson("/api/jobs/{$this->job->id}?station=sheets")->assertOk()->json('station.to_buy');
    }

    /** @return array<string, int|null> */
    private static function prices(array $list): array
    {
        return array_column(array_merge(...array_column($list['trips'], 'lines')), 'price', 'key');
    }

    public function test_without_a_service_nobody_is_asked(): void
    {
        Http::fake();
        $list = $this->list();
        Http::assertNothingSent();
        self::assertSame(['asking' => false, 'note' => ''], $list['prices']);
        self::assertNull(self::prices($list)['glue']);
        self::assertGreaterThan(0, $list['total']['unknown']);
    }

    public function test_a_price_that_was_named_counts_where_nobody_typed_one_and_is_asked_for_once_a_day(): void
    {
        config(['incastro.prices' => self::URL]);
        Http::fake([self::URL.'/quotes' => fn ($request) => Http::response([
            'currency' => 'EUR', 'quotes' => array_values(array_map(fn (array $item) => ['ref' => $item['ref'], 'unit' => 'ml', 'packs' => [['count' => 250, 'minor' => 490]]], array_filter($request['items'], fn (array $item) => $item['kind'] === 'glue'))), 'unknown' => [],
        ])]);
        // What is asked for comes with the next look.
        self::assertNull(self::prices($this->list())['glue']);
        $known = $this->list();
        self::assertGreaterThan(0, self::prices($known)['glue']);
        self::assertSame(0, self::prices($known)['glue'] % 490);
        self::assertSame(now()->toDateString(), array_column(array_merge(...array_column($known['trips'], 'lines')), 'priced_on', 'key')['glue']);
        // The sum is that of its lines.
        self::assertSame(array_sum(self::prices($known)), $known['total']['minor']);
        $this->list();
        Http::assertSentCount(1);
        self::assertFalse($this->list()['prices']['asking']);

        // Two days later it is dead: what it said counts on.
        $this->travel(2)->days();
        Http::swap(new \Illuminate\Http\Client\Factory());
        Http::fake([self::URL.'/quotes' => Http::response('', 503)]);
        $this->list();
        $old = $this->list();
        self::assertSame(self::prices($known)['glue'], self::prices($old)['glue']);
        self::assertStringStartsWith('No prices today; using those of ', $old['prices']['note']);
    }

    public function test_a_service_that_fails_is_left_alone_for_a_while(): void
    {
        config(['incastro.prices' => self::URL]);
        $asked = 0;
        Http::fake(function () use (&$asked): never {
            $asked++;
            throw new ConnectionException('timed out');
        });
        $this->list();
        $list = $this->list();
        self::assertSame(1, $asked);
        self::assertSame(['asking' => false, 'note' => 'No prices today.'], $list['prices']);
        $this->travel(11)->minutes();
        $this->list();
        self::assertSame(2, $asked);
    }

    public function test_what_cannot_be_right_is_not_believed(): void
    {
        $glue = new Item('glue');
        $ask = function (mixed $answer, int $status = 200) use ($glue): ?Quote {
            Http::swap(new \Illuminate\Http\Client\Factory());
            Http::fake([self::URL.'/quotes' => Http::response($answer, $status, ['Retry-After' => '90'])]);

            return (new PriceService(self::URL))->quote([$glue], 'EUR')[$glue->key()];
        };
        $quote = fn (mixed $pack): array => ['currency' => 'EUR', 'quotes' => [['ref' => 'a0', 'packs' => [$pack]]]];
        self::assertSame([[250, 490]], $ask($quote(['count' => 250, 'minor' => 490]))?->packs);
        foreach ([['count' => 250, 'minor' => -490], ['count' => 0, 'minor' => 490], ['count' => 250, 'minor' => '490'], ['count' => 250], 'free', ['count' => 2.5, 'minor' => 1]] as $pack) {
            self::assertNull($ask($quote($pack)));
        }
        self::assertNull($ask(['currency' => 'EUR', 'quotes' => [['ref' => 'a7', 'packs' => [['count' => 1, 'minor' => 1]]], 'x', ['packs' => 3]]]));
        foreach ([
            [['currency' => 'USD'] + $quote(['count' => 1, 'minor' => 1]), 200, 'it answered in another currency'],
            [['currency' => 'EUR'], 200, 'its answer has no quotes'], ['<html>', 200, 'its answer cannot be read'],
            [str_repeat('x', 1_100_000), 200, 'its answer cannot be read'], ['', 429, 'it answered 429'], ['', 302, 'it answered 302'],
        ] as [$answer, $status, $why]) {
            try {
                $ask($answer, $status);
                self::fail($why);
            } catch (NoPrices $none) {
                self::assertSame($why, $none->getMessage());
                self::assertSame($status === 200 ? null : 90, $none->retryAfter);
            }
        }
    }

    public function test_the_stand_in_keeps_to_the_same_contract(): void
    {
        config(['incastro.demo' => true]);
        $this->postJson('/api/prices/quotes', ['currency' => 'EUR', 'items' => [['ref' => 'a1', 'kind' => 'pocket-screw'], ['ref' => 'a2', 'kind' => 'unheard-of']]])
            ->assertOk()->assertJsonPath('currency', 'EUR')->assertJsonPath('quotes.0', ['ref' => 'a1', 'unit' => 'piece', 'valid_until' => null, 'packs' => [['count' => 100, 'minor' => 650], ['count' => 200, 'minor' => 1150], ['count' => 500, 'minor' => 2400]]])
            ->assertJsonPath('unknown', ['a2']);
        $this->postJson('/api/prices/quotes', ['currency' => 'EUR', 'items' => [['ref' => 'a1']]])->assertStatus(400)->assertJsonPath('error', 'item');
        // The demo's own jobs use it and say so; nobody else does.
        $this->user->update(['email' => config('incastro.demo_email')]);
        Cache::flush();
        $this->list();
        $list = $this->list();
        self::assertGreaterThan(0, self::prices($list)['glue']);
        self::assertSame('Prices that nobody typed are made up, for the demonstration.', $list['prices']['note']);
    }

    public function test_what_is_left_out_of_the_list_is_not_paid_for_and_can_be_put_back(): void
    {
        $edit = fn (string $path, mixed $value) => $this->postJson("/api/jobs/{$this->job->id}/edits", ['target' => $this->job->id, 'version' => $this->job->refresh()->version, 'path' => "buying.$path", 'value' => $value]);
        $before = $this->list();
        $edit('struck', [['key' => 'glue', 'why' => 'half a bottle in the shed']])->assertOk();
        $list = $this->list();
        self::assertArrayNotHasKey('glue', self::prices($list));
        self::assertSame([['key' => 'glue', 'what' => 'Wood glue', 'why' => 'half a bottle in the shed']], $list['struck']);
        $edit('struck', [['key' => '']])->assertStatus(422);
        $edit('lost', 150)->assertStatus(422)->assertJsonPath('errors', fn (array $errors) => str_contains(array_values($errors)[0][0], '“150” is not a whole number from 0 to 100.'));
        $edit('struck', [])->assertOk();
        $edit('one_trip', true)->assertOk();
        $list = $this->list();
        self::assertCount(1, $list['trips']);
        self::assertSame('Timber yard, Ironmonger, Paint shop', $list['trips'][0]['shop']);
        self::assertSame($before['total'], $list['total']);
        // Without spare, there is no line that has any but by pieces: at least five.
        $edit('over', 0)->assertOk();
        self::assertSame('', array_column(array_merge(...array_column($this->list()['trips'], 'lines')), 'spare', 'key')['banding:22'] ?? '');
    }

    public function test_a_trip_says_what_there_is_to_carry_and_whether_it_goes_home(): void
    {
        self::assertMatchesRegularExpression('/^\d+ kg, 2440 mm at the longest$/', $this->list()['trips'][0]['load']);
        $this->postJson("/api/homes/{$this->job->home_id}/saws", ['path' => 'ride_home', 'value' => true])->assertOk();
        self::assertStringEndsWith('your ride takes 2000 mm: have it delivered, or cut there', $this->list()['trips'][0]['load']);
    }
}
