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
use Incastro\Install\FittingFacts;
use Incastro\Log\LogFacts;
use Incastro\Saw\Ticks;

/** Takes what happened at the saw, in the shop, on fitting day and what the log is told: each fact once, however often it is sent; all of a batch or none. */
final readonly class JobFactBook
{
    /** Of one job. */
    private const MOST = 20_000;

    /** A device's clock is believed within so many seconds. */
    private const CLOCK_OFF = 120;

    public function __construct(private History $history)
    {
    }

    /**
     * @param  list<array<string, mixed>>  $facts
     * @param  ?Carbon  $sentAt  by the clock of the device: where that is minutes off, moments are moved by as much
     *
     * @throws ValidationException
     * @throws FactConflict
     */
    public function add(Job $job, User $user, array $facts, ?Carbon $sentAt = null): void
    {
        $facts = $this->corrected($facts, $sentAt);
        $this->history->changing($job, function () use ($job, $user, $facts): void {
            $known = JobFact::query()->whereKey(array_column($facts, 'id'))->get()->keyBy('id');
            $parts = $this->partsByRelease($job, array_filter(array_column($facts, 'release')));
            $rows = [];
            foreach ($facts as $i => $fact) {
                $kept = $known[$fact['id']] ?? null;
                // What is here already was let through once.
                $row = $this->row($parts, $job, $user, $i, $kept === null ? $fact : array_replace_recursive($fact, ['body' => ['anyway' => true]]));
                if ($kept !== null && ([$kept->job_id, $kept->kind, $kept->part, $kept->withdraws] !== [$job->id, $row['kind'], $row['part'], $fact['withdraws'] ?? []] || $kept->body != json_decode($row['body'] ?? 'null', true))) {
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
     * Moments by a clock that is more than two minutes off, moved to those of this one.
     *
     * @param  list<array<string, mixed>>  $facts
     * @return list<array<string, mixed>>
     */
    private function corrected(array $facts, ?Carbon $sentAt): array
    {
        $off = $sentAt === null ? 0 : Carbon::now()->getTimestamp() - $sentAt->getTimestamp();
        if (abs($off) <= self::CLOCK_OFF) {
            return $facts;
        }
        $moved = fn (mixed $at): mixed => is_string($at) && strtotime($at) !== false ? Carbon::parse($at)->addSeconds($off)->toIso8601ZuluString('millisecond') : $at;

        return array_map(function (array $fact) use ($moved, $off): array {
            $fact['at'] = $moved($fact['at']);
            if ($fact['kind'] === LogFacts::HOURS && is_array($fact['body'] ?? null)) {
                $fact['body'] = ['from' => $moved($fact['body']['from'] ?? null), 'to' => $moved($fact['body']['to'] ?? null), 'clock' => $off] + $fact['body'];
            }

            return $fact;
        }, $facts);
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
        $body = $this->body($job, $i, $fact);

        return [
            'id' => $fact['id'], 'job_id' => $job->id, 'release_id' => $release, 'user_id' => $user->id, 'author' => $user->name,
            'device' => $fact['device'], 'sequence' => $fact['sequence'], 'kind' => $fact['kind'], 'part' => $part,
            'body' => $body === null ? null : json_encode($body, JSON_THROW_ON_ERROR | JSON_UNESCAPED_UNICODE),
            'withdraws' => json_encode($fact['withdraws'] ?? [], JSON_THROW_ON_ERROR),
            'at' => FactBook::believed($fact['at'])->format('Y-m-d H:i:s.vP'), 'recorded_at' => Carbon::now()->format('Y-m-d H:i:s.vP'),
        ];
    }

    /**
     * @param  array<string, mixed>  $fact
     * @return array<string, mixed>|null
     */
    private function body(Job $job, int $i, array $fact): ?array
    {
        $lengths = new TypedLengths($job);

        return match (true) {
            in_array($fact['kind'], FittingFacts::KINDS, true) => (new FittingBodies($job, $lengths))->read($i, $fact),
            in_array($fact['kind'], LogFacts::KINDS, true) => (new LogBodies($job, $lengths))->read($i, $fact),
            default => (new SawBodies($lengths))->read($i, $fact),
        };
    }
}
