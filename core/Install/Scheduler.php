<?php

declare(strict_types=1);

namespace Incastro\Install;

/**
 * Puts tasks into sessions one after another: of those whose needs are placed the one with the longest tail, at the earliest moment at which
 * one session holds it whole with enough people free (serial schedule with priorities).
 */
final readonly class Scheduler
{
    /** Visits begin and end on a quarter, between these hours of the day, seconds. */
    private const QUARTER = 900;

    private const HOURS = [8 * 3600, 20 * 3600];

    /** A visit is tried this long, seconds. */
    private const VISIT = 4 * 3600;

    /**
     * @param  list<Session>  $sessions  in their order, none over another
     */
    public function __construct(private Order $order, private array $sessions)
    {
    }

    public function schedule(): Schedule
    {
        return $this->placedIn($this->sessions);
    }

    /** The end that no order of work can better with these sessions: as if there were people without limit. */
    public function bound(): ?int
    {
        $most = array_sum(array_map(fn (Task $task) => $task->people, $this->order->tasks));

        return $this->placedIn(array_map(fn (Session $one) => $one->with(max($one->people, $most)), $this->sessions))->end();
    }

    /**
     * What would end it earlier: a visit at an hour when something is dry, or one more person; best first.
     *
     * @param  \Closure(int): int  $offset  seconds by which clocks go before UTC at a moment
     * @return list<array{visit: ?Session, people: int, end: int}>
     */
    public function helps(\Closure $offset): array
    {
        $now = $this->schedule();
        $end = $now->end();
        if ($end === null) {
            return [];
        }
        $helps = [];
        foreach ($now->placed as $one) {
            // Only what waited for drying, and then for the next session.
            if (max([0, ...array_values($one->task->needs)]) > 0 && $one->start > $one->ready) {
                $visit = $this->visit($one->ready, $offset);
                $then = $visit === null ? null : $this->placedIn($this->among($visit));
                if ($visit !== null && $then?->end() !== null && $then->end() < $end) {
                    $used = $this->shortened($visit, $then);
                    $helps["$used->start"] = ['visit' => $used, 'people' => 0, 'end' => $then->end()];
                }
            }
        }
        $more = $this->placedIn(array_map(fn (Session $one) => $one->with($one->people + 1), $this->sessions))->end();
        if ($more !== null && $more < $end) {
            $helps['people'] = ['visit' => null, 'people' => 1, 'end' => $more];
        }
        usort($helps, fn (array $one, array $other) => [$one['end'], $one['visit']->start ?? 0] <=> [$other['end'], $other['visit']->start ?? 0]);

        return $helps;
    }

    /** @param list<Session> $sessions */
    private function placedIn(array $sessions): Schedule
    {
        $placed = $unplaced = [];
        $open = $this->order->tasks;
        while ($open !== []) {
            $next = null;
            foreach ($open as $id => $task) {
                $waits = array_diff_key($task->needs, $placed, $unplaced);
                if ($waits === [] && ($next === null || $this->order->tails[$id] > $this->order->tails[$next->id])) {
                    $next = $task;
                }
            }
            $next ?? throw new \LogicException('An order has no circle.');
            unset($open[$next->id]);
            $lost = array_key_first(array_intersect_key($next->needs, $unplaced));
            $one = $lost === null && $next->held === '' ? $this->earliest($next, $sessions, $placed) : null;
            if ($one === null) {
                $unplaced[$next->id] = $lost === null ? $this->reason($next, $sessions) : sprintf('%s waits for %s.', $next->label(), $this->order->tasks[$lost]->label());
            } else {
                $placed[$next->id] = $one;
            }
        }
        uasort($placed, fn (Placed $one, Placed $other) => $one->start <=> $other->start);

        return new Schedule($placed, $unplaced);
    }

    /**
     * @param  list<Session>  $sessions
     * @param  array<string, Placed>  $placed
     */
    private function earliest(Task $task, array $sessions, array $placed): ?Placed
    {
        $ready = max([$task->from, ...array_map(fn (string $id, int $dry): int => $placed[$id]->end() + $dry, array_keys($task->needs), $task->needs)]);
        foreach ($sessions as $session) {
            if ($session->people < $task->people || $session->closes() - max($ready, $session->opens()) < $task->seconds()) {
                continue;
            }
            $beside = array_filter($placed, fn (Placed $one) => $one->session->id === $session->id);
            $starts = array_filter([max($ready, $session->opens()), ...array_map(fn (Placed $one) => $one->end(), $beside)], fn (int $at) => $at >= $ready && $at + $task->seconds() <= $session->closes());
            sort($starts);
            foreach ($starts as $start) {
                if ($this->busiest($beside, $start, $start + $task->seconds()) + $task->people <= $session->people) {
                    return new Placed($task, $session, $start, $ready);
                }
            }
        }

        return null;
    }

    /** @param array<string, Placed> $beside */
    private function busiest(array $beside, int $from, int $to): int
    {
        $busy = [0];
        foreach ([$from, ...array_map(fn (Placed $one) => $one->start, $beside)] as $at) {
            if ($at >= $from && $at < $to) {
                $busy[] = array_sum(array_map(fn (Placed $one) => $one->start <= $at && $one->end() > $at ? $one->task->people : 0, $beside));
            }
        }

        return max($busy);
    }

    /** @param list<Session> $sessions */
    private function reason(Task $task, array $sessions): string
    {
        if ($task->held !== '') {
            return $task->held;
        }
        if ($sessions === []) {
            return 'Say when you have time, and dates appear.';
        }
        if (max(array_map(fn (Session $one) => $one->people, $sessions)) < $task->people) {
            return sprintf('%s takes %d people; no session has as many. One session with %d is enough.', $task->label(), $task->people, $task->people);
        }
        $longest = max(0, ...array_map(fn (Session $one) => intdiv($one->closes() - $one->opens(), 60), array_values(array_filter($sessions, fn (Session $one) => $one->people >= $task->people))));
        if ($longest < $task->minutes) {
            return sprintf('%s takes %d min; your longest session leaves %d. Split it or lengthen one.', $task->label(), $task->minutes, $longest);
        }

        return sprintf('The last session is over before %s can begin: add one.', $task->label());
    }

    /**
     * A visit that opens when something is dry, at an hour of the day; none where a session is then.
     *
     * @param  \Closure(int): int  $offset
     */
    private function visit(int $dry, \Closure $offset): ?Session
    {
        $start = (int) ceil(($dry - Session::SET_UP) / self::QUARTER) * self::QUARTER;
        foreach ($this->sessions as $session) {
            $start = $start < $session->end && $start + self::QUARTER > $session->start ? (int) ceil($session->end / self::QUARTER) * self::QUARTER : $start;
        }
        $day = 86400;
        $hour = ($start + $offset($start)) % $day;
        $start += match (true) {
            $hour < self::HOURS[0] => self::HOURS[0] - $hour,
            $hour >= self::HOURS[1] => $day - $hour + self::HOURS[0],
            default => 0,
        };
        $end = $start + self::VISIT;
        foreach ($this->sessions as $session) {
            if ($session->start >= $start && $session->start < $end || $session->start <= $start && $session->end > $start) {
                return null;
            }
        }

        return new Session('visit', $start, $end);
    }

    /** @return list<Session> */
    private function among(Session $visit): array
    {
        $all = [...$this->sessions, $visit];
        usort($all, fn (Session $one, Session $other) => $one->start <=> $other->start);

        return $all;
    }

    /** A visit no longer than what is done in it. */
    private function shortened(Session $visit, Schedule $then): Session
    {
        $ends = array_map(fn (Placed $one) => $one->end(), array_filter($then->placed, fn (Placed $one) => $one->session->id === $visit->id));
        $end = (int) ceil((max([$visit->opens(), ...array_values($ends)]) + $visit->clear) / self::QUARTER) * self::QUARTER;

        return new Session($visit->id, $visit->start, $end, $visit->people);
    }
}
