<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Job;
use App\Models\JobFact;
use Incastro\Exchange\ToBuyWriter;
use Incastro\Planning\Plan;
use Incastro\Planning\ToBuy;
use Incastro\Saw\Ticks;

/**
 * The list for the shops, with what is at hand in the home and what was bought for the job.
 *
 * @phpstan-import-type Told from JobFact
 */
final class Shopping
{
    public static function of(Job $job, Plan $plan): ToBuyWriter
    {
        return new ToBuyWriter($plan, (new ToBuy($plan, $job->home->at_hand, self::bought($job)))->lines());
    }

    /**
     * What the browser needs to show and to take back what was bought.
     *
     * @return list<Told>
     */
    public static function facts(Job $job): array
    {
        return array_values(array_filter(JobFact::ofJob($job->id), fn (array $fact) => in_array($fact['kind'], [Ticks::BOUGHT, Ticks::WITHDRAWAL], true)));
    }

    /** @return array<string, int> base units by the key of the line */
    private static function bought(Job $job): array
    {
        $bought = [];
        foreach (Ticks::standing(self::facts($job)) as $fact) {
            $bought[(string) $fact['part']] = ($bought[(string) $fact['part']] ?? 0) + (int) ($fact['body']['amount'] ?? 0);
        }

        return $bought;
    }
}
