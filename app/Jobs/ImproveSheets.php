<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Job;
use App\Planning\JobAnswer;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Incastro\Planning\Planner;

/** Looks longer for a better plan of a job's sheets. One that was asked for when the pieces were others is not looked for any more. */
final class ImproveSheets implements ShouldBeUnique, ShouldQueue
{
    use Queueable;

    private const STEPS = 20_000;

    public int $uniqueFor = 120;

    public int $timeout = 90;

    public function __construct(private readonly string $jobId, private readonly string $hash)
    {
    }

    public function uniqueId(): string
    {
        return $this->hash;
    }

    public function handle(Planner $planner, JobAnswer $answer): void
    {
        $job = Job::query()->find($this->jobId);
        $plan = $job === null ? null : $answer->plan($job, isThorough: true);
        if ($plan === null || $planner->hashOfSheets($plan) !== $this->hash) {
            return;
        }
        $ends = microtime(true) + config('incastro.improve_seconds');
        $planner->improve($plan, self::STEPS, fn (): bool => microtime(true) > $ends);
    }
}
