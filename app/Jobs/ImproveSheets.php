<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Job;
use App\Planning\Cutting;
use App\Planning\JobAnswer;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Incastro\Cut\SheetPlan;
use Incastro\Planning\Planner;
use Incastro\Saw\SawSteps;

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
        if ($job === null) {
            return;
        }
        $plan = $answer->plan($job, isThorough: true);
        if ($planner->sheets->hash($plan) !== $this->hash) {
            return;
        }
        $began = microtime(true);
        $planner->sheets->improve(
            $plan,
            self::STEPS,
            fn (float $share): bool => microtime(true) > $began + $share * $plan->job->sheets->seconds,
            fn (SheetPlan $sheets): SawSteps => Cutting::writer($job, $plan)->fromSheets($sheets->sheets),
        );
    }
}
