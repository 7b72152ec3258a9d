<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Home;
use App\Models\Job;
use Incastro\Log\Lesson;
use Incastro\Log\Lessons;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\SawChoices;
use Incastro\Planning\ToBuy;

/**
 * What the jobs of a home teach, and what was taken over from them: its habits, with which every new job begins.
 */
final class HomeLessons
{
    /** @return list<Lesson> without those that were put aside while there is not twice as much to see */
    public static function of(Home $home): array
    {
        /** @var list<Job> $jobs newest last */
        $jobs = array_reverse(array_values($home->jobs()->with('spaces.facts')->reorder()->latest()->limit(Lessons::JOBS)->get()->all()));
        if ($jobs === []) {
            return [];
        }
        $format = LengthFormat::of($jobs[count($jobs) - 1]->choices['measure']);
        $records = array_map(fn (Job $job) => JobRecords::of($job->setRelation('home', $home)), $jobs);
        $dismissed = $home->habits['dismissed'] ?? [];
        $taken = $home->habits['taken'] ?? [];

        return array_values(array_filter((new Lessons($records, $format, SawChoices::read($home->sawsIn($format->unit))))->all(), fn (Lesson $one) => $one->count >= 2 * ($dismissed[$one->about] ?? 0) && $one->count > ($taken[$one->about] ?? 0)));
    }

    /**
     * A new job as it begins in a home with habits.
     *
     * @param  array<string, mixed>  $choices
     * @return array<string, mixed>
     */
    public static function applied(Home $home, array $choices): array
    {
        foreach ($home->habits['rules'] ?? [] as $rule => $value) {
            $choices['rules'][$rule] = $value;
        }
        foreach ($home->habits['thickness'] ?? [] as $material => $value) {
            $at = array_search($material, array_column($choices['materials'], 'id'), true);
            if ($at !== false) {
                $choices['materials'][$at]['thickness'] = $value;
            }
        }
        foreach ($choices['stock'] as $i => $stock) {
            $choices['stock'][$i]['price'] = $home->habits['prices'][ToBuy::sheetKey($stock)] ?? $stock['price'];
        }
        $choices['installing']['hours'] = ($home->habits['hours'] ?? []) + $choices['installing']['hours'];
        $choices['buying'] = ($home->habits['buying'] ?? []) + $choices['buying'];

        return $choices;
    }

    /** Takes one over, or puts it aside; null where it is not told any more. */
    public static function answer(Home $home, string $about, bool $isTaken): ?Lesson
    {
        $lesson = array_column(self::of($home), null, 'about')[$about] ?? null;
        if ($lesson === null) {
            return null;
        }
        Home::changing($home->id, function (Home $locked) use ($lesson, $isTaken): void {
            $habits = $locked->habits;
            $habits[$isTaken ? 'taken' : 'dismissed'][$lesson->about] = $lesson->count;
            $saws = $locked->saws;
            if ($isTaken && $lesson->habit !== null) {
                [$map, $of, $figure] = [...explode('.', $lesson->habit, 3), null, null];
                if ($map === 'saws') {
                    $saws = self::set($locked, (string) $of, $figure, $lesson->value);
                } else {
                    [, $of] = [...explode('.', $lesson->habit, 2), null];
                    $of === null ? $habits[$map] = $lesson->value : $habits[$map][$of] = $lesson->value;
                }
            }
            $locked->update(['habits' => $habits, 'saws' => $saws]);
        });

        return $lesson;
    }

    /** How many things a home does otherwise than is usual, as its jobs taught it. */
    public static function count(Home $home): int
    {
        return count($home->habits['taken'] ?? []);
    }

    /**
     * The home's saws with one figure, or several of one saw, set otherwise.
     *
     * @return array<string, mixed>
     */
    private static function set(Home $home, string $saw, ?string $figure, mixed $value): array
    {
        $newest = $home->jobs()->reorder()->latest()->firstOrFail();
        $saws = $home->sawsIn(LengthFormat::of($newest->choices['measure'])->unit);
        $saws[$saw] = ($figure === null ? $value : [$figure => $value]) + $saws[$saw];

        return $saws;
    }
}
