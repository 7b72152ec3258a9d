<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Job;
use App\Models\JobFact;
use App\Models\Photo;
use App\Models\Release;
use Incastro\Install\FittingFacts;
use Incastro\Install\FittingTask;
use Incastro\Log\FitKind;
use Incastro\Log\Hours;
use Incastro\Log\LogFacts;
use Incastro\Log\ProblemKind;
use Incastro\Log\WorkKind;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Planning\Plan;
use Incastro\Saw\Ticks;

/**
 * The log of a job: what it was told, and what the saw and fitting day wrote there by themselves.
 *
 * @phpstan-import-type Told from JobFact
 */
final readonly class LogStation
{
    /** So many of each list are sent. */
    private const SHOWN = 400;

    private LengthFormat $format;

    /** @param list<Told> $facts all of the job */
    private function __construct(private Job $job, private Plan $plan, private FittingStation $fitting, private JobLog $log, private array $facts)
    {
        $this->format = LengthFormat::of($job->choices['measure']);
    }

    public static function of(Job $job, Plan $plan, FittingStation $fitting): self
    {
        $facts = JobFact::ofJob($job->id);

        return new self($job, $plan, $fitting, new JobLog(Ticks::standing($facts)), $facts);
    }

    /**
     * For the tape.
     *
     * @param  list<Told>  $facts  of the job
     */
    public static function fact(array $facts): string
    {
        $log = JobLog::among($facts);
        $seconds = $log->hours()->seconds();

        return match (true) {
            $seconds > 0 => self::long($seconds),
            $log->standing !== [] => count($log->standing) === 1 ? '1 entry' : count($log->standing).' entries',
            default => 'nothing written',
        };
    }

    /** "3 h 35". */
    public static function long(int $seconds): string
    {
        $minutes = intdiv($seconds + 30, 60);

        return $minutes < 60 ? "$minutes min" : rtrim(sprintf('%d h %s', intdiv($minutes, 60), $minutes % 60 === 0 ? '' : sprintf('%02d', $minutes % 60)));
    }

    /** @return array<string, mixed> */
    public function station(): array
    {
        $hours = $this->log->hours();
        $list = Shopping::of($this->job, $this->plan);

        return [
            'hours' => $this->hours($hours),
            'money' => $this->money($list->total()),
            'lines' => $list->whole(),
            'sizes' => $this->sizes(),
            'problems' => [...$this->problems(), ...$this->leftSo()],
            'checks' => $this->fitting->checks(),
            'entries' => $this->entries(),
            'by_itself' => $this->byItself(),
            'superseded' => $this->superseded(),
            'photos' => Photo::told($this->job, $this->log->kind(LogFacts::PHOTO)),
            'offcuts' => array_values(array_map(fn (array $one): string => sprintf('%s: %s × %s, %s', $one['code'], $this->write($one['length']), $this->write($one['width']), $one['name']), array_filter($this->job->home->offcuts, fn (array $one) => $one['job'] === $this->job->id))),
            'people' => $this->job->home->habits['people'] ?? [],
            'boxes' => array_map(fn ($box): array => ['id' => $box->id, 'mark' => $box->mark], array_merge([], ...array_map(fn ($space) => $space->layout?->boxes() ?? [], $this->plan->spaces))),
            'facts' => array_slice($this->log->standing, -self::SHOWN),
            'kinds' => [
                'work' => array_map(fn (WorkKind $one): array => ['value' => $one->value, 'label' => $one->label()], WorkKind::cases()),
                'problem' => array_map(fn (ProblemKind $one): array => ['value' => $one->value, 'label' => $one->label()], ProblemKind::cases()),
                'fit' => array_map(fn (FitKind $one): array => ['value' => $one->value, 'label' => ucfirst($one->label())], FitKind::cases()),
            ],
        ];
    }

    /** @return array<string, mixed> */
    private function hours(Hours $hours): array
    {
        $estimates = $this->estimates();
        [$byKind, $byPerson] = [$hours->byKind(), $hours->byPerson()];
        $rows = [];
        foreach (WorkKind::cases() as $kind) {
            $actual = $byKind[$kind->value] ?? 0;
            $estimate = $estimates[$kind->value] ?? null;
            if ($actual > 0 || $estimate !== null) {
                $rows[] = ['kind' => $kind->value, 'label' => $kind->label(), 'actual' => self::long($actual), 'estimate' => $estimate === null ? null : self::long($estimate), 'actual_seconds' => $actual, 'estimate_seconds' => $estimate];
            }
        }

        return [
            'all' => self::long(array_sum($byPerson)), 'kinds' => $rows,
            'people' => array_map(fn (string $person, int $seconds): array => ['name' => $person, 'text' => self::long($seconds)], array_keys($byPerson), array_values($byPerson)),
            'running' => array_map(fn ($one): array => ['id' => $one->id, 'person' => $one->person, 'work' => $one->kind->value, 'label' => $one->kind->label(), 'from' => $one->from, 'forgotten' => now()->getTimestamp() - $one->from > Hours::FORGOTTEN], $hours->running()),
        ];
    }

    /** @return array<string, int> seconds by kind of work: of fitting day as its tasks say */
    private function estimates(): array
    {
        $tasks = array_values($this->fitting->fitting()->day->precedence->tasks);
        if ($tasks === []) {
            return [];
        }
        $sum = fn (bool $isFinish): int => (int) round(60 * array_sum(array_map(fn (FittingTask $task): float => $task->kind->isFinish() === $isFinish ? $task->minutes * $task->people : 0.0, $tasks)));

        return [WorkKind::Install->value => $sum(false), WorkKind::Finish->value => $sum(true)];
    }

    /** @return array<string, mixed> */
    private function money(?int $estimate): array
    {
        $write = fn (int $minor): string => $this->job->choices['currency'].' '.number_format($minor / 100, 2, '.', "\u{202f}");
        $shops = [];
        foreach ($this->log->kind(LogFacts::MONEY) as $fact) {
            $shop = ($fact['body']['shop'] ?? '') ?: 'no shop named';
            $shops[$shop] = ($shops[$shop] ?? 0) + (int) ($fact['body']['minor'] ?? 0);
        }

        return [
            'paid' => $write($this->log->paid()), 'paid_minor' => $this->log->paid(),
            'estimate' => $estimate === null ? null : $write($estimate), 'estimate_minor' => $estimate,
            'shops' => array_map(fn (string|int $shop, int $minor): array => ['name' => (string) $shop, 'text' => $write($minor)], array_keys($shops), array_values($shops)),
        ];
    }

    /** @return list<array{mark: string, what: string, planned: ?string, cut: ?string, built: ?string}> planned, as cut, as built */
    private function sizes(): array
    {
        $release = Release::newest($this->job);
        $measured = Ticks::measured($this->facts);
        $sizes = [];
        foreach ($release->cutting['pieces'] ?? [] as $piece) {
            foreach ($measured[$piece['part'] ?? ''] ?? [] as $dimension => $nm) {
                $sizes[] = ['mark' => $piece['mark'], 'what' => $dimension, 'planned' => isset($piece[$dimension]['nm']) ? $this->write($piece[$dimension]['nm']) : null, 'cut' => $this->write($nm), 'built' => null];
            }
        }
        foreach ($this->log->kind(LogFacts::BUILT) as $fact) {
            $sizes[] = ['mark' => (string) $fact['part'], 'what' => (string) ($fact['body']['what'] ?? ''), 'planned' => null, 'cut' => null, 'built' => $this->write((int) ($fact['body']['nm'] ?? 0))];
        }

        return array_slice($sizes, 0, self::SHOWN);
    }

    /** @return list<array{id: ?string, what: string, where: string, words: string, at: string}> */
    private function problems(): array
    {
        $problems = [];
        foreach ([...$this->log->kind(LogFacts::PROBLEM), ...$this->log->kind(LogFacts::FIT)] as $fact) {
            $body = $fact['body'] ?? [];
            $isFit = $fact['kind'] === LogFacts::FIT;
            $by = $isFit ? $body['by'] ?? '' : $body['amount'] ?? '';
            $what = $isFit ? (FitKind::tryFrom($body['how'] ?? '')?->label() ?? '') : (ProblemKind::tryFrom($body['problem'] ?? '')?->label() ?? '');
            $problems[] = ['id' => $fact['id'], 'what' => ucfirst($what).($by === '' ? '' : " by $by"), 'where' => $isFit ? $this->mark((string) $fact['part']) : (string) ($body['where'] ?? ''), 'words' => (string) ($body['words'] ?? ''), 'at' => $fact['at']];
        }

        return $problems;
    }

    /** @return list<array{id: ?string, what: string, where: string, words: string, at: string}> checks that were out and left so */
    private function leftSo(): array
    {
        $left = array_filter($this->log->standing, fn (array $fact) => $fact['kind'] === FittingFacts::CHECK && ($fact['body']['left'] ?? false) === true);

        return array_map(fn (array $fact): array => ['id' => null, 'what' => ProblemKind::LeftSo->label(), 'where' => $this->fitting->name((string) $fact['part']), 'words' => implode(' · ', $fact['body']['texts'] ?? []), 'at' => $fact['at']], array_values($left));
    }

    private function mark(string $box): string
    {
        foreach ($this->plan->spaces as $space) {
            foreach ($space->layout?->boxes() ?? [] as $one) {
                if ($one->id === $box) {
                    return $one->mark;
                }
            }
        }

        return $box;
    }

    /** @return list<array{id: string, kind: string, who: string, text: string, at: string}> the newest first */
    private function entries(): array
    {
        $told = array_filter($this->log->standing, fn (array $fact) => in_array($fact['kind'], [LogFacts::HOURS, LogFacts::MONEY, LogFacts::BUILT, LogFacts::NOTE, LogFacts::LEFT], true));
        usort($told, fn (array $one, array $other) => [$other['at'], $other['id']] <=> [$one['at'], $one['id']]);
        $entries = [];
        foreach (array_slice($told, 0, self::SHOWN) as $fact) {
            $body = $fact['body'] ?? [];
            $text = match ($fact['kind']) {
                LogFacts::HOURS => sprintf('%s: %s', ($body['person'] ?? '') ?: $fact['author'], (WorkKind::tryFrom($body['work'] ?? '')?->label() ?? '').', '.$this->stretch($body)),
                LogFacts::MONEY => sprintf('%s: %s %s', $body['what'] ?? '', $this->job->choices['currency'], number_format(($body['minor'] ?? 0) / 100, 2, '.', '')).(($body['minor'] ?? 0) < 0 ? ', returned' : ''),
                LogFacts::BUILT => sprintf('%s as built: %s', $body['what'] ?? '', $this->write((int) ($body['nm'] ?? 0))),
                LogFacts::LEFT => ($body['left'] ?? 0) < 0 ? sprintf('%s: %d were missing', $body['what'] ?? '', -$body['left']) : sprintf('%s: %d were left', $body['what'] ?? '', $body['left'] ?? 0),
                default => (string) ($body['words'] ?? ''),
            };
            $entries[] = ['id' => $fact['id'], 'kind' => $fact['kind'], 'who' => $fact['author'], 'text' => $text, 'at' => $fact['at']];
        }

        return $entries;
    }

    /** @param array<string, mixed> $body */
    private function stretch(array $body): string
    {
        if (isset($body['minutes'])) {
            return self::long(60 * (int) $body['minutes']);
        }
        $zone = $this->fitting->zone();
        $from = (int) strtotime($body['from'] ?? '');

        return isset($body['to']) ? sprintf('%s %s–%s', $zone->day($from), $zone->hour($from), $zone->hour((int) strtotime($body['to']))) : sprintf('since %s %s', $zone->day($from), $zone->hour($from));
    }

    /** @return list<string> what the saw and fitting day noted, by day */
    private function byItself(): array
    {
        $days = [];
        foreach ($this->log->standing as $fact) {
            $what = match ($fact['kind']) {
                Ticks::CUT => 'cut',
                Ticks::AS_CUT => 'size as cut',
                Ticks::SPOILED => 'piece spoiled',
                FittingFacts::DONE => 'step of fitting',
                FittingFacts::CHECK => 'check read',
                default => null,
            };
            if ($what !== null) {
                $day = substr($fact['at'], 0, 10);
                $days[$day][$what] = ($days[$day][$what] ?? 0) + 1;
            }
        }
        krsort($days);
        $zone = $this->fitting->zone();

        return array_map(fn (string $day, array $counts): string => $zone->day((int) strtotime("$day 12:00 UTC")).': '.implode(', ', array_map(fn (string $what, int $count): string => $count === 1 ? "1 $what" : $count.' '.preg_replace('/^\w+/', '$0s', $what), array_keys($counts), $counts)), array_keys($days), $days);
    }

    /** @return list<string> steps that were done and that the plan no longer has */
    private function superseded(): array
    {
        $tasks = $this->fitting->fitting()->day->precedence->tasks;
        $gone = array_filter($this->log->standing, fn (array $fact) => $fact['kind'] === FittingFacts::DONE && ! isset($tasks[$fact['part'] ?? '']));

        return array_values(array_unique(array_map(fn (array $fact): string => sprintf('%s: done, and no longer in the plan', $this->fitting->name((string) $fact['part'])), $gone)));
    }

    private function write(int $nm): string
    {
        return $this->format->finest()->write(Length::ofNanometres($nm));
    }
}
