<?php

declare(strict_types=1);

namespace App\Editing;

use App\Models\Job;
use App\Models\Release;
use App\Models\SawFact;
use App\Models\User;
use App\Planning\Cutting;
use Illuminate\Support\Carbon;
use Illuminate\Validation\ValidationException;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unreadable;
use Incastro\Saw\Ticks;

/** Takes what happened at the saw: each fact once, however often it is sent; all of a batch or none. */
final readonly class SawBook
{
    /** Of one job. */
    private const MOST = 20_000;

    public function __construct(private History $history)
    {
    }

    /**
     * @param  list<array<string, mixed>>  $facts
     *
     * @throws ValidationException
     * @throws FactConflict
     */
    public function add(Release $release, Job $job, User $user, array $facts): void
    {
        $this->history->changing($job, function () use ($release, $job, $user, $facts): void {
            $known = SawFact::query()->whereKey(array_column($facts, 'id'))->get()->keyBy('id');
            $cuts = array_fill_keys($release->cuts, true);
            $rows = [];
            foreach ($facts as $i => $fact) {
                $row = $this->row($release, $job, $user, $i, $fact, $cuts);
                $kept = $known[$fact['id']] ?? null;
                if ($kept !== null && [$kept->job_id, $kept->kind, $kept->part, $kept->withdraws] !== [$job->id, $row['kind'], $row['part'], $fact['withdraws'] ?? []]) {
                    throw FactConflict::at($i, $fact);
                }
                if ($kept === null) {
                    $rows[$fact['id']] = $row;
                }
            }
            if ($rows !== [] && SawFact::query()->where('job_id', $job->id)->count() + count($rows) > self::MOST) {
                throw ValidationException::withMessages(['facts' => sprintf('More than %d things are noted at the saw for this job, which is as many as it takes.', self::MOST)]);
            }
            if ($rows !== [] && SawFact::query()->insertOrIgnore(array_values($rows)) !== count($rows)) {
                throw FactConflict::at(0, $facts[0]);
            }
            Cutting::count($job, Release::newest($job) ?? $release);
        });
    }

    /**
     * @param  array<string, mixed>  $fact
     * @param  array<string, true>  $cuts  of the release
     * @return array<string, mixed> as the table takes it
     */
    private function row(Release $release, Job $job, User $user, int $i, array $fact, array $cuts): array
    {
        $part = $fact['part'] ?? null;
        $isWithdrawal = $fact['kind'] === Ticks::WITHDRAWAL;
        if (! $isWithdrawal && ($part === null || ! isset($cuts[$part]) && ! isset($release->cutting['parts'][$part]) && ! in_array($part, $release->cutting['done'] ?? [], true))) {
            throw ValidationException::withMessages(["facts.$i.part" => 'This part is not in the plan that was released. Look whether the label belongs to another job.']);
        }

        return [
            'id' => $fact['id'], 'job_id' => $job->id, 'release_id' => $release->id, 'user_id' => $user->id, 'author' => $user->name,
            'device' => $fact['device'], 'sequence' => $fact['sequence'], 'kind' => $fact['kind'], 'part' => $isWithdrawal ? null : $part,
            'body' => $this->body($release, $job, $i, $fact),
            'withdraws' => json_encode($fact['withdraws'] ?? [], JSON_THROW_ON_ERROR),
            'at' => FactBook::believed($fact['at'])->format('Y-m-d H:i:s.vP'), 'recorded_at' => Carbon::now()->format('Y-m-d H:i:s.vP'),
        ];
    }

    /** @param array<string, mixed> $fact */
    private function body(Release $release, Job $job, int $i, array $fact): ?string
    {
        if ($fact['kind'] === Ticks::SPOILED) {
            return json_encode(['why' => $fact['why'] ?? 'other'], JSON_THROW_ON_ERROR);
        }
        if ($fact['kind'] !== Ticks::AS_CUT) {
            return null;
        }
        $text = $fact['text'] ?? '';
        try {
            $length = (new LengthReader(LengthFormat::of($job->choices['measure'])->unit))->read($text);
        } catch (Unreadable $unreadable) {
            throw ValidationException::withMessages(["facts.$i.text" => 'As cut: '.$unreadable->getMessage()]);
        }

        return json_encode(['dimension' => $fact['dimension'] ?? 'length', 'text' => $text, 'nm' => $length->nanometres()], JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE);
    }
}
