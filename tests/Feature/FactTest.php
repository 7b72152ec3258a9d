<?php

declare(strict_types=1);

namespace Tests\Feature;

use App\Models\Fact;
use App\Planning\JobDocument;
use Illuminate\Testing\TestResponse;
use PHPUnit\Framework\Attributes\DataProvider;
use Tests\AlcoveTestCase;

/** Facts are only ever added, in any order, and never conflict. */
final class FactTest extends AlcoveTestCase
{
    /** @param list<array<string, mixed>> $facts */
    private function send(array $facts): TestResponse
    {
        return $this->postJson('/api/spaces/'.$this->space($this->job)->id.'/facts', ['facts' => $facts, 'station' => 'measure']);
    }

    /** @return list<string> what stands in a slot, as typed */
    private function typed(string $slot): array
    {
        [$standing] = JobDocument::takes($this->space($this->job)->facts()->get()->all());

        return array_values(array_map(fn (Fact $fact) => (string) ($fact->value['typed'] ?? ''), array_filter($standing, fn (Fact $fact) => $fact->slot === $slot)));
    }

    public function test_a_batch_made_offline_is_taken_in_its_order(): void
    {
        $first = $this->take('corner-left', '90.1', extra: ['taken_at' => '2026-03-15T10:00:00Z']);
        $this->send([$first, $this->take('corner-right', '89.7'), $this->take('corner-left', '90.3', extra: ['taken_at' => '2026-03-15T10:05:00Z'])])->assertOk();
        self::assertSame(['90.1', '90.3'], $this->typed('corner-left'));
        self::assertSame(['89.7'], $this->typed('corner-right'));
    }

    public function test_facts_that_arrive_late_stand_where_they_were_taken(): void
    {
        $this->send([$this->take('corner-left', '90.3', extra: ['taken_at' => '2026-03-15T10:05:00Z'])])->assertOk();
        $this->send([$this->take('corner-left', '90.1', extra: ['taken_at' => '2026-03-15T10:00:00Z'])])->assertOk();
        self::assertSame(['90.1', '90.3'], $this->typed('corner-left'));
    }

    public function test_a_withdrawal_takes_one_fact_back_and_can_be_taken_back_itself(): void
    {
        $take = $this->take('corner-left', '90.1');
        $withdrawal = $this->withdrawal($take['id']);
        $this->send([$take])->assertOk();
        $this->send([$withdrawal])->assertOk();
        self::assertSame([], $this->typed('corner-left'));
        $this->send([$this->withdrawal($withdrawal['id'])])->assertOk();
        self::assertSame(['90.1'], $this->typed('corner-left'));
        // Withdrawn twice is withdrawn.
        $this->send([$this->withdrawal($take['id']), $this->withdrawal($take['id'])])->assertOk();
        self::assertSame([], $this->typed('corner-left'));
    }

    public function test_a_withdrawal_may_come_before_what_it_takes_back(): void
    {
        $take = $this->take('corner-left', '90.1');
        $this->send([$this->withdrawal($take['id'])])->assertOk();
        $this->send([$take])->assertOk();
        self::assertSame([], $this->typed('corner-left'));
        $other = $this->take('corner-left', '90.2');
        $this->send([$this->withdrawal($other['id']), $other, $this->take('corner-left', '90.3')])->assertOk();
        self::assertSame(['90.3'], $this->typed('corner-left'));
    }

    public function test_a_long_row_of_withdrawals_of_one_another_is_settled_at_once(): void
    {
        // Each takes back the one before it: of an even row the take stands again.
        $facts = [(new Fact())->forceFill(['id' => 'f0', 'kind' => Fact::TAKE])];
        for ($i = 1; $i <= 3000; $i++) {
            $facts[] = (new Fact())->forceFill(['id' => "f$i", 'kind' => Fact::WITHDRAWAL, 'withdraws' => 'f'.($i - 1)]);
        }
        $stands = JobDocument::standing($facts);
        self::assertTrue($stands['f0']);
        self::assertFalse($stands['f1']);
        self::assertCount(1501, array_filter($stands));
    }

    public function test_a_clock_that_is_years_out_is_not_believed(): void
    {
        $this->send([$this->take('corner-left', '90.1', extra: ['taken_at' => '9999-01-01T00:00:00Z']), $this->take('corner-left', '90.3', extra: ['taken_at' => '0001-01-01T00:00:00Z'])])->assertOk();
        $this->send([$this->take('corner-left', '90.5', extra: ['taken_at' => now()->addMinute()->toIso8601String()])])->assertOk();
        self::assertSame(['90.1', '90.3', '90.5'], $this->typed('corner-left'));
    }

    public function test_two_devices_may_count_alike(): void
    {
        $other = $this->take('corner-right', '89.7', extra: ['device' => 'a3d6bb0e-62a5-4b7c-93a4-5f7f9d0c1e22', 'sequence' => 7]);
        $this->send([$this->take('corner-left', '90.1', extra: ['sequence' => 7]), $other])->assertOk();
        self::assertCount(1, $this->typed('corner-left'));
        self::assertCount(1, $this->typed('corner-right'));
    }

    /** @return array<string, array{array<string, mixed>, string}> */
    public static function malformed(): array
    {
        return [
            'no id' => [['id' => 'seven'], 'facts.0.id'],
            'no device' => [['device' => null], 'facts.0.device'],
            'a count below nothing' => [['sequence' => -1], 'facts.0.sequence'],
            'another kind' => [['kind' => 'guess'], 'facts.0.kind'],
            'no time' => [['taken_at' => 'this morning, I think'], 'facts.0.taken_at'],
            'no such slot' => [['slot' => 'width-of-moon'], 'facts.0.slot'],
            'nothing typed' => [['text' => ''], 'facts.0.text'],
        ];
    }

    /** @param array<string, mixed> $wrong */
    #[DataProvider('malformed')]
    public function test_a_malformed_fact_is_refused_at_its_field(array $wrong, string $field): void
    {
        $count = Fact::query()->count();
        $this->send([$wrong + $this->take('corner-left', '90.1')])->assertUnprocessable()->assertJsonValidationErrors($field);
        self::assertSame($count, Fact::query()->count());
    }

    public function test_more_than_a_book_holds_is_refused_at_once(): void
    {
        $this->send(array_map(fn (int $i) => $this->take('corner-left', '90'), range(1, 201)))->assertUnprocessable()->assertJsonValidationErrors('facts');
        $this->send([])->assertUnprocessable()->assertJsonValidationErrors('facts');
    }

    public function test_taking_a_reading_is_one_step_to_undo_however_many_facts_it_makes(): void
    {
        $old = Fact::query()->where(['slot' => 'depth-left', 'kind' => 'take'])->firstOrFail();
        $this->send([$this->withdrawal($old->id), $this->take('depth-left', '415')])->assertOk();
        self::assertSame(['415'], $this->typed('depth-left'));
        $this->postJson("/api/jobs/{$this->job->id}/undo")->assertOk()->assertJsonPath('history.undo', null)->assertJsonPath('history.redo', 'reading');
        self::assertSame(['412'], $this->typed('depth-left'));
    }
}
