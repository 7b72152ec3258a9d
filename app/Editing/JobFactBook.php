<?php

declare(strict_types=1);

namespace App\Editing;

use App\Models\Job;
use App\Models\JobFact;
use App\Models\Release;
use App\Models\User;
use App\Planning\Cutting;
use Illuminate\Support\Carbon;
use Illuminate\Validation\ValidationException;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unreadable;
use Incastro\Saw\Ticks;

/** Takes what happened at the saw and in the shop: each fact once, however often it is sent; all of a batch or none. */
final readonly class JobFactBook
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
    public function add(Job $job, User $user, array $facts): void
    {
        $this->history->changing($job, function () use ($job, $user, $facts): void {
            $known = JobFact::query()->whereKey(array_column($facts, 'id'))->get()->keyBy('id');
            $parts = $this->partsByRelease($job, array_filter(array_column($facts, 'release')));
            $rows = [];
            foreach ($facts as $i => $fact) {
                $row = $this->row($parts, $job, $user, $i, $fact);
                $kept = $known[$fact['id']] ?? null;
                if ($kept !== null && [$kept->job_id, $kept->kind, $kept->part, $kept->withdraws] !== [$job->id, $row['kind'], $row['part'], $fact['withdraws'] ?? []]) {
                    throw FactConflict::at($i, $fact);
                }
                if ($kept === null) {
                    $rows[$fact['id']] = $row;
                }
            }
            if ($rows !== [] && JobFact::query()->where('job_id', $job->id)->count() + count($rows) > self::MOST) {
                throw ValidationException::withMessages(['facts' => sprintf('More than %d things are noted for this job, which is as many as it takes.', self::MOST)]);
            }
            if ($rows !== [] && JobFact::query()->insertOrIgnore(array_values($rows)) !== count($rows)) {
                throw FactConflict::at(0, $facts[0]);
            }
            Cutting::count($job);
        });
    }

    /**
     * @param  array<string>  $ids
     * @return array<string, array<string, true>> what a fact may be about, by release
     */
    private function partsByRelease(Job $job, array $ids): array
    {
        $parts = [];
        foreach (Release::query()->where('job_id', $job->id)->whereKey($ids)->get() as $release) {
            $cutting = $release->cutting;
            $parts[$release->id] = array_fill_keys([...$release->cuts, ...array_keys($cutting['parts']), ...array_values($cutting['done'])], true);
        }

        return $parts;
    }

    /**
     * @param  array<string, array<string, true>>  $parts  by release
     * @param  array<string, mixed>  $fact
     * @return array<string, mixed> as the table takes it
     */
    private function row(array $parts, Job $job, User $user, int $i, array $fact): array
    {
        $part = $fact['kind'] === Ticks::WITHDRAWAL ? null : $fact['part'] ?? null;
        $release = isset($parts[$fact['release'] ?? '']) ? $fact['release'] : null;
        $isOfSaw = in_array($fact['kind'], Ticks::AT_THE_SAW, true);
        if ($isOfSaw && ($release === null || $part === null || ! isset($parts[$release][$part]))) {
            throw ValidationException::withMessages(["facts.$i.part" => 'This part is not in the plan that was released. Look whether the label belongs to another job.']);
        }
        if ($fact['kind'] === Ticks::BOUGHT && $part === null) {
            throw ValidationException::withMessages(["facts.$i.part" => 'Say what was bought: a line of the list has a key.']);
        }

        return [
            'id' => $fact['id'], 'job_id' => $job->id, 'release_id' => $release, 'user_id' => $user->id, 'author' => $user->name,
            'device' => $fact['device'], 'sequence' => $fact['sequence'], 'kind' => $fact['kind'], 'part' => $part,
            'body' => $this->body($job, $i, $fact),
            'withdraws' => json_encode($fact['withdraws'] ?? [], JSON_THROW_ON_ERROR),
            'at' => FactBook::believed($fact['at'])->format('Y-m-d H:i:s.vP'), 'recorded_at' => Carbon::now()->format('Y-m-d H:i:s.vP'),
        ];
    }

    /** @param array<string, mixed> $fact */
    private function body(Job $job, int $i, array $fact): ?string
    {
        return match ($fact['kind']) {
            Ticks::SPOILED => json_encode(['why' => $fact['why'] ?? 'other', 'remains' => $this->remains($job, $i, $fact)], JSON_THROW_ON_ERROR),
            Ticks::AS_CUT => json_encode($this->asCut($job, $i, $fact), JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
            Ticks::BOUGHT => json_encode(['amount' => (int) ($fact['amount'] ?? 1)], JSON_THROW_ON_ERROR),
            default => null,
        };
    }

    /**
     * @param  array<string, mixed>  $fact
     * @return list<array{int, int}> extents along and across the grain of the sheet, nm
     */
    private function remains(Job $job, int $i, array $fact): array
    {
        return array_map(fn (array $one): array => [
            $this->length($job, "facts.$i.remains", 'What remains, along the grain', $one['along'] ?? ''),
            $this->length($job, "facts.$i.remains", 'What remains, across the grain', $one['across'] ?? ''),
        ], array_values($fact['remains'] ?? []));
    }

    /**
     * @param  array<string, mixed>  $fact
     * @return array{dimension: string, text: string, nm: int}
     */
    private function asCut(Job $job, int $i, array $fact): array
    {
        $text = $fact['text'] ?? '';

        return ['dimension' => $fact['dimension'] ?? 'length', 'text' => $text, 'nm' => $this->length($job, "facts.$i.text", 'As cut', $text)];
    }

    /** @throws ValidationException */
    private function length(Job $job, string $field, string $label, string $text): int
    {
        try {
            $length = (new LengthReader(LengthFormat::of($job->choices['measure'])->unit))->read($text);
        } catch (Unreadable $unreadable) {
            throw ValidationException::withMessages([$field => "$label: {$unreadable->getMessage()}"]);
        }

        return $length->nanometres() > 0 ? $length->nanometres() : throw ValidationException::withMessages([$field => "$label: It is more than 0."]);
    }
}
