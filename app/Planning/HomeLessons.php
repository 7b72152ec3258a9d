<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Home;
use App\Models\Job;
use App\Models\JobFact;
use App\Models\Release;
use Incastro\Install\FittingFacts;
use Incastro\Install\TaskKind;
use Incastro\Log\FitKind;
use Incastro\Log\JobRecord;
use Incastro\Log\Lesson;
use Incastro\Log\Lessons;
use Incastro\Log\LogFacts;
use Incastro\Log\ProblemKind;
use Incastro\Log\WorkKind;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Rule;
use Incastro\Saw\Ticks;

/**
 * What the jobs of a home teach, and what was taken over from them: its habits, with which every new job begins.
 *
 * @phpstan-import-type Told from JobFact
 */
final class HomeLessons
{
    /** Names of pieces that fix how wide a box is. */
    private const FIX_WIDTH = ['-bottom', '-top', '-shelf', '-nailer', '-floor'];

    /** @return list<Lesson> without those that were put aside while there is not twice as much to see */
    public static function of(Home $home): array
    {
        /** @var list<Job> $jobs newest last */
        $jobs = array_reverse(array_values($home->jobs()->reorder()->latest()->limit(Lessons::JOBS)->get()->all()));
        if ($jobs === []) {
            return [];
        }
        $format = LengthFormat::of($jobs[count($jobs) - 1]->choices['measure']);
        $records = array_map(fn (Job $job) => self::record($job->setRelation('home', $home)), $jobs);
        $dismissed = $home->habits['dismissed'] ?? [];
        $taken = $home->habits['taken'] ?? [];

        return array_values(array_filter((new Lessons($records, $format))->all(), fn (Lesson $one) => $one->count >= 2 * ($dismissed[$one->about] ?? 0) && $one->count > ($taken[$one->about] ?? 0)));
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
        $choices['installing']['hours'] = ($home->habits['hours'] ?? []) + $choices['installing']['hours'];

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
            if ($isTaken && $lesson->habit !== null) {
                [$map, $of] = explode('.', $lesson->habit.'.', 2);
                $of = rtrim($of, '.');
                $of === '' ? $habits[$map] = $lesson->value : $habits[$map][$of] = $lesson->value;
            }
            $locked->update(['habits' => $habits]);
        });

        return $lesson;
    }

    private static function record(Job $job): JobRecord
    {
        $facts = JobFact::ofJob($job->id);
        $standing = Ticks::standing($facts);
        $release = Release::newest($job);
        $log = new JobLog($standing);
        $format = LengthFormat::of($job->choices['measure']);
        $rules = new HouseRules($format->unit, array_map(fn (array $one) => \Incastro\Measure\Length::ofNanometres($one['nm']), $job->choices['rules']));
        [$cut, $thickness] = $release === null ? [[], []] : self::measured($job, $release, $facts);

        return new JobRecord(
            $job->id,
            ['kerf' => $rules->mm(Rule::Kerf), 'allowance' => $rules->mm(Rule::SideAllowance), 'reserve' => $rules->mm(Rule::ScribeReserve), 'notch' => $rules->mm(Rule::NotchPlay), 'reveal' => $rules->mm(Rule::DoorReveal)],
            $cut,
            $thickness,
            array_map(fn (array $fact): array => ['box' => (string) $fact['part'], 'how' => FitKind::tryFrom($fact['body']['how'] ?? '') ?? FitKind::Freely, 'by' => (int) ($fact['body']['nm'] ?? 0) / 1e6], $log->kind(LogFacts::FIT)),
            array_map(fn (array $fact): ProblemKind => ProblemKind::tryFrom($fact['body']['problem'] ?? '') ?? ProblemKind::Other, $log->kind(LogFacts::PROBLEM)),
            self::tacky($job, $standing),
            self::minutes($job, $log, $standing),
            $release === null ? [] : self::strips($release, $facts),
        );
    }

    /**
     * @param  list<Told>  $facts
     * @return array{list<array{tool: string, delta: float, box: string, fixesWidth: bool}>, list<array{material: string, name: string, usual: float, measured: float}>}
     */
    private static function measured(Job $job, Release $release, array $facts): array
    {
        $tools = [];
        foreach ($release->cutting['steps'] as $step) {
            foreach ($step['cuts'] as $one) {
                $tools[$one['id']] = lcfirst((string) $step['tool']);
            }
        }
        $cut = $thickness = [];
        $measured = Ticks::measured($facts);
        $names = array_column($job->choices['materials'], null, 'id');
        foreach ($release->cutting['pieces'] as $piece) {
            $part = $piece['part'] ?? '';
            foreach ($measured[$part] ?? [] as $dimension => $nm) {
                $material = $names[$release->cutting['parts'][$part]['material'] ?? ''] ?? null;
                if ($dimension === 'thickness' && $material !== null) {
                    $thickness[] = ['material' => $material['id'], 'name' => $material['name'], 'usual' => ($material['thickness']['nm'] ?? 0) / 1e6, 'measured' => $nm / 1e6];
                } elseif (isset($piece[$dimension]['nm'])) {
                    $mark = (string) $piece['mark'];
                    $cut[] = ['tool' => $tools[$part] ?? 'saw', 'delta' => ($nm - $piece[$dimension]['nm']) / 1e6, 'box' => '', 'fixesWidth' => array_filter(self::FIX_WIDTH, fn (string $end) => str_contains($mark, $end)) !== []];
                }
            }
        }

        return [$cut, $thickness];
    }

    /**
     * What remained of strips and was measured: usable length less the pieces that were cut from it.
     *
     * @param  list<Told>  $facts
     * @return list<array{rest: float, measured: float, cuts: int}>
     */
    private static function strips(Release $release, array $facts): array
    {
        $measured = Ticks::measured($facts);
        $parts = $release->cutting['parts'];
        $strips = [];
        foreach ($parts as $id => $part) {
            $rest = $measured[$id]['length'] ?? null;
            if ($rest === null || $part['piece'] !== null || ! isset($part['from'], $parts[$part['from']])) {
                continue;
            }
            $beside = array_filter($parts, fn (array $one) => ($one['from'] ?? null) === $part['from'] && $one !== $part);
            $strips[] = ['rest' => ($parts[$part['from']]['length']['nm'] - array_sum(array_map(fn (array $one): int => $one['length']['nm'], $beside))) / 1e6, 'measured' => $rest / 1e6, 'cuts' => count($beside)];
        }

        return $strips;
    }

    /**
     * @param  list<Told>  $standing
     * @return list<string>
     */
    private static function tacky(Job $job, array $standing): array
    {
        $fitting = $job->choices['installing'] ?? [];
        $tacky = array_filter($standing, fn (array $fact) => $fact['kind'] === FittingFacts::TOUCH && ($fact['body']['says'] ?? '') === 'tacky');

        return array_values(array_filter(array_map(fn (array $fact): ?string => match (TaskKind::tryFrom(explode(':', (string) $fact['part'])[0])) {
            TaskKind::Fill => 'filler',
            TaskKind::Prime => $fitting['primer'] ?? 'primer-water',
            TaskKind::Caulk => 'caulk',
            TaskKind::Coat => $fitting['paint'] ?? 'paint-water-coat',
            default => null,
        }, $tacky)));
    }

    /**
     * Fitting as it was supposed and as it took, of a job that is fitted and whose hours were noted.
     *
     * @param  list<Told>  $standing
     * @return list<array{estimate: float, actual: float}>
     */
    private static function minutes(Job $job, JobLog $log, array $standing): array
    {
        $byKind = $log->hours()->byKind();
        $estimate = [];
        foreach ($standing as $fact) {
            $kind = $fact['kind'] === FittingFacts::DONE ? TaskKind::tryFrom(explode(':', (string) $fact['part'])[0]) : null;
            if ($kind !== null && isset($fact['body']['minutes'])) {
                $work = $kind->isFinish() ? WorkKind::Finish->value : WorkKind::Install->value;
                $estimate[$work] = ($estimate[$work] ?? 0.0) + (float) $fact['body']['minutes'];
            }
        }
        $entries = [];
        foreach ($estimate as $work => $minutes) {
            if ($minutes > 0.0 && ($byKind[$work] ?? 0) > 0) {
                $entries[] = ['estimate' => $minutes, 'actual' => $byKind[$work] / 60];
            }
        }

        return $entries;
    }
}
