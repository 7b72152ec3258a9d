<?php

declare(strict_types=1);

namespace App\Jobs;

use App\Models\Job;
use App\Planning\JobAnswer;
use App\Prices\Prices;
use Illuminate\Contracts\Queue\ShouldBeUnique;
use Illuminate\Contracts\Queue\ShouldQueue;
use Illuminate\Foundation\Queue\Queueable;
use Incastro\Planning\ToBuy;

/** Asks for the prices that a job's list lacks. */
final class AskPrices implements ShouldBeUnique, ShouldQueue
{
    use Queueable;

    public int $uniqueFor = 60;

    public int $timeout = 30;

    public int $tries = 1;

    public function __construct(private readonly string $jobId)
    {
    }

    public function uniqueId(): string
    {
        return $this->jobId;
    }

    public function handle(JobAnswer $answer): void
    {
        $job = Job::query()->find($this->jobId);
        if ($job !== null) {
            Prices::ask($job, (new ToBuy($answer->plan($job)))->needs());
        }
    }
}
