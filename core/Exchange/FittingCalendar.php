<?php

declare(strict_types=1);

namespace Incastro\Exchange;

use Incastro\Install\Placed;
use Incastro\Install\Schedule;
use Incastro\Install\Session;
use Incastro\Install\Zone;
use Sabre\VObject\Component\VCalendar;

/**
 * Fitting day as a calendar (RFC 5545): one event for each session with its tasks and what is brought along, one that takes up no time for each thing
 * that dries. An event keeps its name, so that a calendar that is taken in again is updated; what was cancelled is told so.
 */
final readonly class FittingCalendar
{
    /** @param string $of what its events are of, so that two jobs in one calendar stay apart */
    public function __construct(private Schedule $schedule, private Zone $zone, private string $of = '')
    {
    }

    /**
     * @param  list<array{session: Session, sequence: int, cancelled: bool}>  $sessions
     * @param  array<string, list<string>>  $tools  that tasks want, by their ids
     * @param  list<array{id: string, name: string, at: int}>  $dry  what is drying already
     */
    public function write(array $sessions, int $stamp, string $title = 'Fitting', array $tools = [], array $dry = [], int $sequence = 0): string
    {
        $calendar = new VCalendar();
        $utc = fn (int $moment): string => gmdate('Ymd\THis\Z', $moment);
        foreach ($sessions as ['session' => $session, 'sequence' => $ownSequence, 'cancelled' => $isCancelled]) {
            $tasks = $isCancelled ? [] : array_filter($this->schedule->placed, fn (Placed $one) => $one->session->id === $session->id);
            $bring = array_values(array_unique(array_merge([], ...array_map(fn (Placed $one): array => $tools[$one->task->id] ?? [], array_values($tasks)))));
            $lines = array_map(fn (Placed $one): string => substr($this->zone->local($one->start), -5).' '.$one->task->label(), array_values($tasks));
            $calendar->add('VEVENT', [
                'UID' => $this->named($session->id), 'DTSTAMP' => $utc($stamp), 'DTSTART' => $utc($session->start), 'DTEND' => $utc($session->end),
                'SEQUENCE' => $ownSequence, 'SUMMARY' => "$title: ".(count($tasks) === 1 ? '1 task' : count($tasks).' tasks'),
                'DESCRIPTION' => implode("\n", [...$lines, ...($bring === [] ? [] : ['Bring: '.implode(', ', $bring)])]),
                'STATUS' => $isCancelled ? 'CANCELLED' : 'CONFIRMED',
            ]);
        }
        foreach ([...$dry, ...$this->drying()] as ['id' => $id, 'name' => $name, 'at' => $at]) {
            $calendar->add('VEVENT', ['UID' => $this->named($id), 'DTSTAMP' => $utc($stamp), 'DTSTART' => $utc($at), 'DTEND' => $utc($at), 'SEQUENCE' => $sequence, 'SUMMARY' => "$name: dry", 'TRANSP' => 'TRANSPARENT']);
        }

        return $calendar->serialize();
    }

    /** @return list<array{id: string, name: string, at: int}> what will dry between tasks */
    private function drying(): array
    {
        $drying = [];
        foreach ($this->schedule->placed as $one) {
            foreach (array_filter($one->task->needs) as $id => $dry) {
                $drying[] = ['id' => "$id-dry-for-{$one->task->id}", 'name' => $this->schedule->placed[$id]->task->label(), 'at' => $this->schedule->placed[$id]->end() + $dry];
            }
        }

        return $drying;
    }

    private function named(string $id): string
    {
        return ($this->of === '' ? '' : "$this->of-")."$id@incastro";
    }
}
