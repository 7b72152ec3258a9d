<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Job;
use App\Models\JobFact;
use Incastro\Exchange\FittingCalendar;
use Incastro\Exchange\FittingWriter;
use Incastro\Install\Checked;
use Incastro\Install\FittingFacts;
use Incastro\Install\FittingTask;
use Incastro\Install\TaskKind;
use Incastro\Install\Zone;
use Incastro\Planning\Fitting;
use Incastro\Planning\FittingChoices;
use Incastro\Planning\FittingSessions;
use Incastro\Planning\Plan;
use Incastro\Saw\Ticks;

/**
 * Fitting day of a job with what was noted on it.
 *
 * @phpstan-import-type Told from JobFact
 */
final readonly class FittingStation
{
    private function __construct(private Job $job, private Fitting $fitting, private FittingFacts $noted)
    {
    }

    public static function of(Job $job, Plan $plan): self
    {
        $noted = new FittingFacts($job->noted['fitting'] ?? []);
        $wishes = FittingChoices::read($job->choices['installing'] ?? [], (float) ($job->home->habits['pace'] ?? 1.0))->in($noted->climate());

        return new self($job, new Fitting($plan, $wishes, $noted->progress(now()->getTimestamp()), $noted->studs(), $noted->levels()), $noted);
    }

    /**
     * What stands of fitting day, as it is kept with the job.
     *
     * @param  list<Told>  $facts
     * @return list<array{id: string, kind: string, part: ?string, body: ?array<string, mixed>, at: string}>
     */
    public static function standing(array $facts): array
    {
        $standing = array_filter(Ticks::standing($facts), fn (array $fact) => in_array($fact['kind'], FittingFacts::KINDS, true));

        return array_map(fn (array $fact): array => ['id' => $fact['id'], 'kind' => $fact['kind'], 'part' => $fact['part'], 'body' => $fact['body'], 'at' => $fact['at']], array_values($standing));
    }

    public function zone(): Zone
    {
        return FittingChoices::zone($this->job->choices['installing']['zone'] ?? 'UTC');
    }

    public function fitting(): Fitting
    {
        return $this->fitting;
    }

    /** @return array<string, mixed> */
    public function station(): array
    {
        return (new FittingWriter($this->fitting, $this->zone(), $this->noted->checks(), $this->noted->studs()))->write() + ['facts' => JobFact::ofJob($this->job->id, [...FittingFacts::KINDS, Ticks::WITHDRAWAL]), 'pieces' => $this->cut()];
    }

    /** As a calendar: whatever is changed of the job counts its events up. */
    public function calendar(int $stamp): string
    {
        $day = $this->fitting->day;
        $sessions = (new FittingSessions($this->job->choices['installing']['sessions'] ?? [], $this->zone()))->withCancelled();
        $dry = array_map(fn (array $one): array => ['id' => "{$one['task']}-{$one['product']->value}", 'name' => $this->name($one['task']), 'at' => $one['until']], $day->drying());

        return (new FittingCalendar($day->schedule(), $this->zone(), $this->job->id))->write(
            array_map(fn (array $one): array => ['session' => $one[0], 'sequence' => $this->job->version, 'cancelled' => $one[1]], $sessions),
            $stamp,
            $this->job->choices['name'],
            array_map(fn (FittingTask $task): array => $task->kind->tools(), $day->precedence->tasks),
            $dry,
            $this->job->version,
        );
    }

    /** What a task is called; one that the plan no longer has by its kind. */
    public function name(string $task): string
    {
        return $this->fitting->day->precedence->tasks[$task]->name ?? TaskKind::tryFrom(explode(':', $task)[0])?->label() ?? $task;
    }

    /** @return list<array{task: string, label: string, read: string, within: bool}> what was read on fitting day, in the order of its steps */
    public function checks(): array
    {
        $noted = $this->noted->checks();
        $checks = [];
        foreach ($this->fitting->day->precedence->tasks as $task) {
            foreach ($task->checks as $check) {
                $read = $noted["$task->id#{$check->key()}"] ?? null;
                if ($read !== null) {
                    $checks[] = ['task' => $task->name, 'label' => $check->label(), 'read' => implode(' · ', $read['texts']), 'within' => (new Checked($check, $this->fitting->plan->job->format))->isWithin($read['reading'])];
                }
            }
        }

        return $checks;
    }

    /** How far fitting has come, for the tape. */
    public function fact(): string
    {
        $day = $this->fitting->day;
        [$all, $done] = [count($day->precedence->tasks), $day->countDone()];

        return match (true) {
            $all === 0 => 'nothing to fit yet',
            $done === $all => 'all fitted',
            $done > 0 => sprintf('step %d of %d', $done + 1, $all),
            default => "$all steps",
        };
    }

    /** What the verdict says of it, from the first step on. */
    public function sentence(): string
    {
        return $this->fitting->day->countDone() > 0 ? $this->fitting->day->sentence() : '';
    }

    /** How much of it is cut: what is not cannot be fitted. */
    private function cut(): string
    {
        return $this->job->cuts_in_all === null ? 'Nothing is released for cutting yet: this is the order as it will be.' : ($this->job->cuts_made < $this->job->cuts_in_all ? sprintf('%s are made: what is not cut cannot go in yet.', ucfirst(Cutting::fact($this->job))) : '');
    }
}
