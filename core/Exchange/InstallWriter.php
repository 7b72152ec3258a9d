<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Install\Placed;
use Incastro\Install\Schedule;
use Incastro\Install\Scheduler;
use Incastro\Install\Session;
use Sabre\VObject\Component\VCalendar;

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
            'placed' => array_values(array_map(fn (Placed $one): array => ['task' => $one->task->id, 'session' => $one->session->id, 'start' => $this->file->local($one->start), 'end' => $this->file->local($one->end()), 'ready' => $one->task->needs === [] ? null : $this->file->local($one->ready)], $this->schedule->placed)),
            'unplaced' => array_map(fn (string $id, string $why): array => ['task' => $id, 'because' => $why], array_keys($this->schedule->unplaced), $this->schedule->unplaced),
            'end' => $end === null ? null : $this->file->local($end),
            'bound' => $bound === null ? null : $this->file->local($bound),
            'proven' => $end !== null && $end === $bound,
            'chain' => array_map(fn (Placed $one): string => $one->task->id, $this->schedule->chain()),
            'helps' => $end === null ? [] : array_map($this->help(...), $this->scheduler->helps($this->file->offset(...))),
        ];
    }

    /** One event for each session with its tasks, one that takes up no time for each thing that dries; what was cancelled is told so. */
    public function calendar(int $stamp): string
    {
        $calendar = new VCalendar();
        $utc = fn (int $moment): string => gmdate('Ymd\THis\Z', $moment);
        foreach ($this->file->sessions as $session) {
            $tasks = array_filter($this->schedule->placed, fn (Placed $one) => $one->session->id === $session->id);
            $calendar->add('VEVENT', [
                'UID' => "$session->id@incastro", 'DTSTAMP' => $utc($stamp), 'DTSTART' => $utc($session->start), 'DTEND' => $utc($session->end),
                'SEQUENCE' => $this->file->told[$session->id]['sequence'], 'SUMMARY' => 'Fitting: '.(count($tasks) === 1 ? '1 task' : count($tasks).' tasks'),
                'DESCRIPTION' => implode("\n", array_map(fn (Placed $one): string => substr($this->file->local($one->start), -5).' '.$one->task->label(), $tasks)),
                'STATUS' => $this->file->told[$session->id]['cancelled'] ? 'CANCELLED' : 'CONFIRMED',
            ]);
        }
        foreach ($this->schedule->placed as $one) {
            foreach (array_filter($one->task->needs) as $id => $dry) {
                $dryAt = $this->schedule->placed[$id]->end() + $dry;
                $calendar->add('VEVENT', [
                    'UID' => "$id-dry-for-{$one->task->id}@incastro", 'DTSTAMP' => $utc($stamp), 'DTSTART' => $utc($dryAt), 'DTEND' => $utc($dryAt),
                    'SUMMARY' => sprintf('%s: dry', $this->schedule->placed[$id]->task->label()), 'TRANSP' => 'TRANSPARENT',
                ]);
            }
        }

        return $calendar->serialize();
    }

    /**
     * @param  array{visit: ?Session, people: int, end: int}  $help
     * @return array<string, mixed>
     */
    private function help(array $help): array
    {
        $visit = $help['visit'];
        if ($visit === null) {
            return ['people' => $help['people'], 'end' => $this->file->local($help['end']), 'sentence' => "One more person each time: it ends {$this->file->local($help['end'])}."];
        }
        $minutes = intdiv($visit->end - $visit->start, 60);

        return [
            'start' => $this->file->local($visit->start), 'minutes' => $minutes, 'end' => $this->file->local($help['end']),
            'sentence' => sprintf('A visit of %s at %s: it ends %s.', $minutes % 60 === 0 ? intdiv($minutes, 60).' h' : ($minutes < 60 ? "$minutes min" : intdiv($minutes, 60).' h '.$minutes % 60), $this->file->local($visit->start), $this->file->local($help['end'])),
        ];
    }
}
