<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Job;
use App\Models\JobFact;
use App\Prices\Prices;
use Incastro\Exchange\ToBuyWriter;
use Incastro\Planning\Plan;
use Incastro\Planning\SawChoices;
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
        return self::priced($job, $plan)[0];
    }

    /** @return array<string, mixed> the list as the browser has it */
    public static function station(Job $job, Plan $plan): array
    {
        [$list, $prices] = self::priced($job, $plan);

        return $list->write() + ['prices' => ['asking' => $prices['asking'], 'note' => $prices['note']], 'facts' => self::facts($job)];
    }

    /** @return array{ToBuyWriter, array{asking: bool, note: string}} */
    private static function priced(Job $job, Plan $plan): array
    {
        $list = new ToBuy($plan);
        $prices = Prices::known($job, $list->needs());

        return [new ToBuyWriter($plan, $list->given($job->home->at_hand, self::bought($job), $prices['quotes']), SawChoices::rideHome(Cutting::saws($job))), $prices];
    }

    /**
     * What the browser needs to show and to take back what was bought.
     *
     * @return list<Told>
     */
    private static function facts(Job $job): array
    {
        return JobFact::ofJob($job->id, [Ticks::BOUGHT, Ticks::WITHDRAWAL]);
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
