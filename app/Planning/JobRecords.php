<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Job;
use App\Models\JobFact;
use App\Models\Release;
use Incastro\Install\FittingFacts;
use Incastro\Install\TaskKind;
use Incastro\Log\FitKind;
use Incastro\Log\JobRecord;
use Incastro\Log\LogFacts;
use Incastro\Log\ProblemKind;
use Incastro\Log\WorkKind;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\JobReader;
use Incastro\Planning\Space;
use Incastro\Planning\ToBuy;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Rule;
use Incastro\Saw\Ticks;
use Incastro\Saw\Way;

/**
 * What one job left behind, for the lessons of its home: sizes as cut, what was paid and counted, how boxes went in, what went wrong.
 *
 * @phpstan-import-type Told from JobFact
 */
final class JobRecords
{
    /** Names of pieces that fix how wide a box is. */
    private const FIX_WIDTH = ['-bottom', '-top', '-shelf', '-nailer', '-floor'];

    public static function of(Job $job): JobRecord
    {
        $facts = JobFact::ofJob($job->id);
        $standing = Ticks::standing($facts);
        $release = Release::newest($job);
        $log = new JobLog($standing);
        $format = LengthFormat::of($job->choices['measure']);
        $rules = new HouseRules($format->unit, array_map(fn (array $one) => Length::ofNanometres($one['nm']), $job->choices['rules']));
        [$cut, $thickness, $yard] = $release === null ? [[], [], []] : self::measured($job, $release, $facts);

        return new JobRecord(
            $job->id,
            ['kerf' => $rules->mm(Rule::Kerf), 'allowance' => $rules->mm(Rule::SideAllowance), 'reserve' => $rules->mm(Rule::ScribeReserve), 'notch' => $rules->mm(Rule::NotchPlay), 'reveal' => $rules->mm(Rule::DoorReveal), 'lost' => (int) $job->choices['buying']['lost']],
            $cut,
            $thickness,
            array_map(fn (array $fact): array => ['box' => (string) $fact['part'], 'how' => FitKind::tryFrom($fact['body']['how'] ?? '') ?? FitKind::Freely, 'by' => (int) ($fact['body']['nm'] ?? 0) / 1e6], $log->kind(LogFacts::FIT)),
            array_map(fn (array $fact): ProblemKind => ProblemKind::tryFrom($fact['body']['problem'] ?? '') ?? ProblemKind::Other, $log->kind(LogFacts::PROBLEM)),
            self::tacky($job, $standing),
            self::minutes($job, $log, $standing),
            $release === null ? [] : self::strips($release, $facts),
            $yard,
            self::paid($job, $log),
            self::counted($log),
            array_merge([], ...array_map(fn (Space $space): array => $space->survey($format)->slips, JobReader::read(JobDocument::of($job))->spaces)),
        );
    }

    /**
     * @param  list<Told>  $facts
     * @return array{list<array{way: string, delta: float, setOff: float, box: string, fixesWidth: bool}>, list<array{material: string, name: string, usual: float, measured: float}>, list<float>} pieces, thicknesses, parts of the yard
     */
    private static function measured(Job $job, Release $release, array $facts): array
    {
        $steps = [];
        foreach ($release->cutting['steps'] as $step) {
            foreach ($step['cuts'] as $one) {
                $steps[$one['id']] = $step;
            }
        }
        $cut = $thickness = $yard = [];
        $measured = Ticks::measured($facts);
        $names = array_column($job->choices['materials'], null, 'id');
        $marks = array_column($release->cutting['pieces'], null, 'part');
        foreach ($release->cutting['parts'] as $id => $part) {
            $planned = $marks[$id] ?? $part;
            $way = Way::tryFrom($steps[$id]['way'] ?? '');
            foreach ($measured[$id] ?? [] as $dimension => $nm) {
                $material = $names[$part['material'] ?? ''] ?? null;
                if ($dimension === 'thickness' && $material !== null) {
                    $thickness[] = ['material' => $material['id'], 'name' => $material['name'], 'usual' => ($material['thickness']['nm'] ?? 0) / 1e6, 'measured' => $nm / 1e6];
                } elseif ($way === Way::Yard && isset($part[$dimension]['nm'])) {
                    $yard[] = ($nm - $part[$dimension]['nm']) / 1e6;
                } elseif ($way !== null && isset($marks[$id][$dimension]['nm'])) {
                    $mark = (string) $planned['mark'];
                    $cut[] = ['way' => $way->value, 'delta' => ($nm - $planned[$dimension]['nm']) / 1e6, 'setOff' => ($steps[$id]['set_off'] ?? 0) / 1e6, 'box' => '', 'fixesWidth' => array_filter(self::FIX_WIDTH, fn (string $end) => str_contains($mark, $end)) !== []];
                }
            }
        }

        return [$cut, $thickness, $yard];
    }

    /**
     * What was paid for lines of the list, beside what the list had them at.
     *
     * @return list<array{line: string, what: string, paid: int, listed: int, price: ?float}>
     */
    private static function paid(Job $job, JobLog $log): array
    {
        $prices = [];
        foreach ($job->choices['stock'] as $stock) {
            $prices[ToBuy::sheetKey($stock)] = (float) $stock['price'];
        }
        $paid = array_filter($log->kind(LogFacts::MONEY), fn (array $fact) => ($fact['body']['line'] ?? '') !== '' && ($fact['body']['listed'] ?? 0) > 0);

        return array_values(array_map(fn (array $fact): array => ['line' => (string) $fact['body']['line'], 'what' => (string) $fact['body']['what'], 'paid' => (int) $fact['body']['minor'], 'listed' => (int) $fact['body']['listed'], 'price' => $prices[$fact['body']['line']] ?? null], $paid));
    }

    /** @return list<array{use: int, spare: int, needed: int}> screws and pins of which somebody counted what was left */
    private static function counted(JobLog $log): array
    {
        $whole = array_filter($log->kind(LogFacts::LEFT), fn (array $fact) => isset($fact['body']['use'], $fact['body']['spare'], $fact['body']['had']));

        return array_values(array_map(fn (array $fact): array => ['use' => (int) $fact['body']['use'], 'spare' => (int) $fact['body']['spare'], 'needed' => max(0, (int) $fact['body']['had'] - (int) $fact['body']['left'])], $whole));
    }

    /**
     * What remained of strips and was measured, beside how long they were less the pieces that were cut off them.
     *
     * @param  list<Told>  $facts
     * @return list<array{rest: float, measured: float, cuts: int}>
     */
    private static function strips(Release $release, array $facts): array
    {
        $parts = $release->cutting['parts'];
        $off = [];
        foreach ($release->cutting['steps'] as $step) {
            foreach ($step['cuts'] as $cut) {
                $off[$parts[$cut['id']]['from'] ?? ''][$cut['axis']][] = $parts[$cut['id']][$cut['axis']]['nm'] ?? 0;
            }
        }
        $strips = [];
        foreach (Ticks::measured($facts) as $id => $sizes) {
            $along = $off[$id] ?? [];
            if (isset($sizes['rest'], $parts[$id]) && count($along) === 1) {
                [$axis, $cut] = [array_key_first($along), array_values($along)[0]];
                $strips[] = ['rest' => ($parts[$id][$axis]['nm'] - array_sum($cut)) / 1e6, 'measured' => $sizes['rest'] / 1e6, 'cuts' => count($cut)];
            }
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
