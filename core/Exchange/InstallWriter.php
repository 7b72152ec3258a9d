<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Install\Placed;
use Incastro\Install\Schedule;
use Incastro\Install\Scheduler;
use Incastro\Install\Session;

/** Writes when what is done on fitting day: as JSON, and as a calendar (RFC 5545). */
final readonly class InstallWriter
{
    private Scheduler $scheduler;

    private Schedule $schedule;

    public function __construct(private InstallFile $file)
    {
        $this->scheduler = new Scheduler($file->order, array_values(array_filter($file->sessions, fn (Session $one) => ! $file->told[$one->id]['cancelled'])));
        $this->schedule = $this->scheduler->schedule();
    }

    /** @return array<string, mixed> moments in local time */
    public function answer(): array
    {
        [$end, $bound] = [$this->schedule->end(), $this->scheduler->bound()];

        return [
            'placed' => array_values(array_map(fn (Placed $one): array => ['task' => $one->task->id, 'session' => $one->session->id, 'start' => $this->file->zone->local($one->start), 'end' => $this->file->zone->local($one->end()), 'ready' => $one->task->needs === [] ? null : $this->file->zone->local($one->ready)], $this->schedule->placed)),
            'unplaced' => array_map(fn (string $id, string $why): array => ['task' => $id, 'because' => $why], array_keys($this->schedule->unplaced), $this->schedule->unplaced),
            'end' => $end === null ? null : $this->file->zone->local($end),
            'bound' => $bound === null ? null : $this->file->zone->local($bound),
            'proven' => $end !== null && $end === $bound,
            'chain' => array_map(fn (Placed $one): string => $one->task->id, $this->schedule->chain()),
            'helps' => $end === null ? [] : array_map($this->help(...), $this->scheduler->helps($this->file->zone->offset(...))),
        ];
    }

    /** As a calendar. */
    public function calendar(int $stamp): string
    {
        return (new FittingCalendar($this->schedule, $this->file->zone))->write(array_map(fn (Session $one): array => ['session' => $one] + $this->file->told[$one->id], $this->file->sessions), $stamp);
    }

    /**
     * @param  array{visit: ?Session, people: int, end: int}  $help
     * @return array<string, mixed>
     */
    private function help(array $help): array
    {
        $visit = $help['visit'];
        if ($visit === null) {
            return ['people' => $help['people'], 'end' => $this->file->zone->local($help['end']), 'sentence' => "One more person each time: it ends {$this->file->zone->local($help['end'])}."];
        }
        $minutes = intdiv($visit->end - $visit->start, 60);

        return [
            'start' => $this->file->zone->local($visit->start), 'minutes' => $minutes, 'end' => $this->file->zone->local($help['end']),
            'sentence' => sprintf('A visit of %s at %s: it ends %s.', $minutes % 60 === 0 ? intdiv($minutes, 60).' h' : ($minutes < 60 ? "$minutes min" : intdiv($minutes, 60).' h '.$minutes % 60), $this->file->zone->local($visit->start), $this->file->zone->local($help['end'])),
        ];
    }
}
