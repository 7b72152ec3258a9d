<?php

declare(strict_types=1);

namespace App\Editing;

use App\Models\Fact;
use App\Models\Space;
use App\Models\User;
use App\Planning\JobDocument;
use Illuminate\Support\Carbon;
use Illuminate\Support\Facades\DB;
use Illuminate\Validation\ValidationException;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unreadable;
use Incastro\Planning\JobReader;
use Incastro\Planning\TakenPlace;
use Incastro\Planning\TakeReader;
use Incastro\Survey\SpaceSurvey;
use Incastro\Survey\TakenAt;

/** Adds facts to a space's book: in any order, and each at most once however often it is sent. */
final readonly class FactBook
{
    /** As many as a space's book holds: nobody takes more of one space. */
    private const MOST = 2000;

    public function __construct(private History $history)
    {
    }

    /**
     * @param  list<array{id: string, device: string, sequence: int, kind: string, taken_at: string, slot?: ?string, text?: ?string, end?: ?string, place?: ?array<string, mixed>, withdraws?: ?string}>  $facts
     *
     * @throws ValidationException with the reader's sentence at the fact's text; then none of them is added
     */
    public function add(Space $space, User $user, array $facts): void
    {
        $job = $space->job;
        $planned = JobReader::read(JobDocument::of($job))->space($space->id);
        $slots = array_column((new SpaceSurvey($planned->sheet, $planned->takes, [], LengthFormat::of($job->choices['measure'])))->slots(), null, 'id');
        if ($space->facts()->count() + count($facts) > self::MOST) {
            throw ValidationException::withMessages(['facts' => sprintf('This tape book holds %d readings, which is as many as it takes. Begin another space for more.', self::MOST)]);
        }
        $reader = new TakeReader(LengthFormat::of($job->choices['measure']));
        $rows = [];
        foreach ($facts as $i => $fact) {
            $row = [
                'id' => $fact['id'], 'space_id' => $space->id, 'user_id' => $user->id, 'device' => $fact['device'], 'sequence' => $fact['sequence'],
                'kind' => $fact['kind'], 'slot' => $fact['slot'] ?? null, 'value' => null, 'end' => null, 'place' => null, 'withdraws' => null,
                'taken_at' => Carbon::parse($fact['taken_at'])->utc()->format('Y-m-d H:i:s.vP'),
            ];
            if ($fact['kind'] === Fact::TAKE) {
                $slot = $slots[$fact['slot'] ?? ''] ?? $planned->sheet->slot($fact['slot'] ?? '') ?? throw ValidationException::withMessages(["facts.$i.slot" => sprintf('“%s” is not a reading of this space.', $fact['slot'] ?? '')]);
                try {
                    $take = $reader->read($slot, $fact['text'] ?? '', $fact['end'] ?? null);
                } catch (Unreadable $unreadable) {
                    throw ValidationException::withMessages(["facts.$i.text" => $slot->label.': '.$unreadable->getMessage()]);
                }
                $row['value'] = json_encode($take['value'], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
                $row['end'] = $take['end'];
                // Taken offline, it was taken where the page asked for it then.
                $row['place'] = json_encode((object) (isset($fact['place']) && TakenPlace::isOne($fact['place']) ? $fact['place'] : TakenPlace::write(TakenAt::of($slot))), JSON_THROW_ON_ERROR);
            } else {
                $withdrawn = Fact::query()->where('space_id', $space->id)->find($fact['withdraws'] ?? '');
                $row['withdraws'] = $withdrawn->id ?? throw ValidationException::withMessages(["facts.$i.withdraws" => 'The reading to take back is not in this space.']);
                $row['slot'] = $withdrawn->slot;
            }
            $rows[] = $row;
        }
        DB::transaction(function () use ($rows, $job, $user, $space): void {
            $this->history->lock($job);
            Space::query()->findOrFail($space->id);
            $added = array_values(array_filter($rows, fn (array $row) => Fact::query()->insertOrIgnore($row) === 1));
            if ($added !== []) {
                $this->history->recordFacts($job, $user, $space, array_column($added, 'id'), array_values(array_unique(array_filter(array_column($added, 'slot')))));
            }
        }, attempts: History::ATTEMPTS);
    }
}
