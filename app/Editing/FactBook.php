<?php

declare(strict_types=1);

namespace App\Editing;

use App\Models\Fact;
use App\Models\Job;
use App\Models\Space;
use App\Models\User;
use App\Planning\JobDocument;
use Illuminate\Database\Eloquent\Collection;
use Illuminate\Support\Carbon;
use Illuminate\Validation\ValidationException;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unreadable;
use Incastro\Planning\JobReader;
use Incastro\Planning\Space as PlannedSpace;
use Incastro\Planning\TakenPlace;
use Incastro\Planning\TakeReader;
use Incastro\Survey\Slot;
use Incastro\Survey\SpaceSurvey;
use Incastro\Survey\TakenAt;

/** Adds facts to a space's book: in any order, and each at most once however often it is sent. */
final readonly class FactBook
{
    /** Takes that stand in a space: nobody reads a room at so many places; and of one place. */
    public const MOST = 600;

    public const MOST_OF_A_SLOT = 12;

    /** Facts in all, struck ones with them: each answer carries them. A withdrawal of what stands is taken beyond it too. */
    private const MOST_IN_ALL = 6000;

    public function __construct(private History $history)
    {
    }

    /**
     * @param  list<array{id: string, device: string, sequence: int, kind: string, taken_at: string, slot?: ?string, text?: ?string, end?: ?string, place?: ?array<string, mixed>, withdraws?: ?string}>  $facts
     *
     * @throws ValidationException with the reader's sentence at the fact's text; then none of them is added
     * @throws FactConflict where a number or id is another fact's already
     */
    public function add(Space $space, User $user, array $facts): void
    {
        assert($space->home !== null);
        $job = Job::known($space->job_id, $space->home);
        $space->setRelation('job', $job);
        $this->history->changing($job, function () use ($job, $space, $user, $facts): void {
            /** @var Space $kept */
            $kept = $job->load('spaces.facts')->spaces->findOrFail($space->id);
            $rows = $this->rows($job, $kept, $user, $facts);
            $known = $kept->facts->keyBy('id');
            $new = array_values(array_filter($rows, fn (array $row) => ! $known->has($row['id'])));
            foreach ($rows as $i => $row) {
                if ($known->has($row['id']) && ! self::isSame($known[$row['id']], $row)) {
                    throw FactConflict::at($i, $facts[$i]);
                }
            }
            $added = array_map(fn (array $row) => (new Fact())->setRawAttributes($row, true), $new);
            $this->refuseTooMany($kept, $added);
            if ($new !== []) {
                $this->insert($new);
                $kept->setRelation('facts', new Collection(Fact::inOrder([...$kept->facts->all(), ...$added])));
                $this->history->recordFacts($job, $user, $kept, array_column($new, 'id'), array_values(array_unique(array_filter(array_column($new, 'slot')))));
            }
        });
    }

    /**
     * @param  list<array<string, mixed>>  $facts
     * @return list<array<string, mixed>> as the table takes them
     */
    private function rows(Job $job, Space $space, User $user, array $facts): array
    {
        $format = LengthFormat::of($job->choices['measure']);
        $planned = JobReader::read(JobDocument::of($job))->space($space->id);
        $slots = array_column((new SpaceSurvey($planned->sheet, $planned->takes, [], $format))->slots(), null, 'id');
        $slotOf = $space->facts->pluck('slot', 'id')->all() + array_combine(array_column($facts, 'id'), array_map(fn (array $fact) => $fact['slot'] ?? null, $facts));
        self::refuseForeign($facts, $slotOf);
        $rows = [];
        $now = Carbon::now();
        foreach ($facts as $fact) {
            $isTake = $fact['kind'] === Fact::TAKE;
            $rows[] = [
                'id' => $fact['id'], 'space_id' => $space->id, 'user_id' => $user->id, 'author' => $user->name,
                'device' => $fact['device'], 'sequence' => $fact['sequence'], 'kind' => $fact['kind'],
                // A withdrawal may come before what it takes back: it is kept, and counts from then on.
                'slot' => $isTake ? $fact['slot'] ?? null : $slotOf[$fact['withdraws']] ?? null,
                'withdraws' => $isTake ? null : $fact['withdraws'],
                'taken_at' => self::believed($fact['taken_at'])->format('Y-m-d H:i:s.vP'), 'recorded_at' => $now->format('Y-m-d H:i:s.vP'),
            ] + ($isTake ? $this->take(count($rows), $fact, $slots, $planned, $format) : ['value' => null, 'end' => null, 'place' => null]);
        }

        return $rows;
    }

    /**
     * A withdrawal names a fact of this space, or one that is still to come.
     *
     * @param  list<array<string, mixed>>  $facts
     * @param  array<string, ?string>  $known  slots by the ids of the space's facts
     */
    private static function refuseForeign(array $facts, array $known): void
    {
        $unknown = array_filter(array_column($facts, 'withdraws'), fn (?string $id) => $id !== null && ! array_key_exists($id, $known));
        $foreign = $unknown === [] ? [] : Fact::query()->whereKey(array_values($unknown))->pluck('id')->all();
        foreach ($facts as $i => $fact) {
            if (in_array($fact['withdraws'] ?? null, $foreign, true)) {
                throw ValidationException::withMessages(["facts.$i.withdraws" => 'The reading to take back is not in this space.']);
            }
        }
    }

    /**
     * @param  array<string, mixed>  $fact
     * @param  array<string, Slot>  $slots
     * @return array{value: string, end: ?string, place: string}
     */
    private function take(int $i, array $fact, array $slots, PlannedSpace $planned, LengthFormat $format): array
    {
        $slot = $slots[$fact['slot'] ?? ''] ?? $planned->sheet->slot($fact['slot'] ?? '') ?? throw ValidationException::withMessages(["facts.$i.slot" => sprintf('“%s” is not a reading of this space.', $fact['slot'] ?? '')]);
        try {
            $take = (new TakeReader($format))->read($slot, $fact['text'] ?? '', $fact['end'] ?? null);
        } catch (Unreadable $unreadable) {
            throw ValidationException::withMessages(["facts.$i.text" => $slot->label.': '.$unreadable->getMessage()]);
        }

        return [
            'value' => json_encode($take['value'], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
            'end' => $take['end'],
            // Taken offline, it was taken where the page asked for it then.
            'place' => json_encode((object) (isset($fact['place']) && TakenPlace::isOne($fact['place']) ? $fact['place'] : TakenPlace::write(TakenAt::of($slot))), JSON_THROW_ON_ERROR),
        ];
    }

    /** When something was taken, as far as that is believed: of a clock that is years out it is now. */
    public static function believed(string $taken): Carbon
    {
        $at = Carbon::parse($taken)->utc();

        return $at->year < 2000 || $at->isAfter(Carbon::now()->addDay()) ? Carbon::now() : $at;
    }

    /** @param array<string, mixed> $row */
    private static function isSame(Fact $kept, array $row): bool
    {
        $value = fn (mixed $json): mixed => is_string($json) ? json_decode($json, true) : $json;

        return [$kept->kind, $kept->slot ?? $row['slot'], $kept->end, $kept->withdraws] === [$row['kind'], $row['slot'], $row['end'], $row['withdraws']]
            && ($kept->value['typed'] ?? null) === ($value($row['value'])['typed'] ?? null);
    }

    /** @param non-empty-list<array<string, mixed>> $new */
    private function insert(array $new): void
    {
        if (Fact::query()->insertOrIgnore($new) === count($new)) {
            return;
        }
        foreach ($new as $i => $row) {
            if (Fact::query()->where('space_id', $row['space_id'])->whereKey($row['id'])->doesntExist()) {
                throw FactConflict::at($i, $row);
            }
        }
    }

    /** @param list<Fact> $added */
    private function refuseTooMany(Space $space, array $added): void
    {
        $takes = array_filter($added, fn (Fact $fact) => $fact->kind === Fact::TAKE);
        if ($takes === []) {
            return;
        }
        [$standing] = JobDocument::takes([...$space->facts->all(), ...$added]);
        if (count($standing) > self::MOST || $space->facts->count() + count($added) > self::MOST_IN_ALL) {
            throw ValidationException::withMessages(['facts' => sprintf('This tape book holds %d readings, which is as many as it takes. Take some back, or begin another space for more.', count($standing) - count($takes))]);
        }
        $most = array_count_values(array_map(fn (Fact $fact) => (string) $fact->slot, $standing));
        foreach ($takes as $fact) {
            if (($most[$fact->slot] ?? 0) > self::MOST_OF_A_SLOT) {
                throw ValidationException::withMessages(['facts' => sprintf('This place was read %d times, which is as often as it helps. Take one back before you read it again.', self::MOST_OF_A_SLOT)]);
            }
        }
    }
}
