<?php

declare(strict_types=1);

namespace Incastro\Install;

/**
 * Fitting day as it stands: what is done, what can be done now, what dries and until when, and when the rest is done in the sessions that are left.
 */
final class FittingDay
{
    /** Still tacky: it takes a quarter of its time from then on. */
    private const TACKY = 0.25;

    private const MINUTE = 60;

    public readonly Precedence $precedence;

    private ?Scheduler $scheduler = null;

    private ?Schedule $schedule = null;

    /**
     * @param  list<FittingTask>  $tasks
     */
    public function __construct(array $tasks, private readonly FittingWishes $wishes, public readonly Progress $progress)
    {
        $this->precedence = new Precedence($tasks, $wishes->before);
    }

    /** When the rest is done; worked out when it is asked for: a tape that says how far things are needs no dates. */
    public function schedule(): Schedule
    {
        return $this->schedule ??= $this->scheduler()->schedule();
    }

    public function bound(): ?int
    {
        return $this->scheduler()->bound();
    }

    public function isDone(string $id): bool
    {
        return isset($this->progress->done[$id]);
    }

    public function countDone(): int
    {
        return count(array_intersect_key($this->progress->done, $this->precedence->tasks));
    }

    /** Whether all that it waits for is done, and dry by now. */
    public function isReady(string $id): bool
    {
        return $this->waitsFor($id) === [] && $this->readyAt($id) <= $this->progress->now;
    }

    /** @return list<string> ids of what is still to be done before it */
    public function waitsFor(string $id): array
    {
        return array_values(array_filter(array_keys($this->precedence->needs[$id]), fn (string $need) => ! $this->isDone($need)));
    }

    /** From when on all that is done before it is dry. */
    public function readyAt(string $id): int
    {
        $ready = $this->dateOf($id) ?? 0;
        foreach ($this->precedence->needs[$id] as $need) {
            $ready = $this->isDone($need->task) ? max($ready, $this->dry($need)) : $ready;
        }

        return $ready;
    }

    /** Whether it waits for somebody licensed of whom no day is noted. */
    public function waitsForDate(string $id): bool
    {
        $task = $this->precedence->tasks[$id];

        return $task->kind->isLicensed() && $this->dateOf($id) === null;
    }

    /** @return list<string> what may be done now, as listed */
    public function now(): array
    {
        return array_values(array_filter(array_keys($this->precedence->tasks), fn (string $id) => ! $this->isDone($id) && $this->held($this->precedence->tasks[$id]) === '' && $this->isReady($id)));
    }

    /**
     * What dries for something that is still to be done, with the moment up to which, the latest last.
     *
     * @return list<array{task: string, product: Product, until: int, for: string}>
     */
    public function drying(): array
    {
        $drying = [];
        foreach ($this->precedence->needs as $id => $needs) {
            foreach ($needs as $need) {
                if ($need->dry !== null && $this->isDone($need->task) && ! $this->isDone($id)) {
                    $drying["$need->task/{$need->dry->value}"] ??= ['task' => $need->task, 'product' => $need->dry, 'until' => $this->dry($need), 'for' => $this->precedence->tasks[$id]->name];
                }
            }
        }
        foreach ($this->precedence->tasks as $task) {
            if ($task->kind === TaskKind::Coat && $this->isDone($task->id)) {
                $load = new Need($task->id, false, $this->wishes->paint->toLoad());
                $drying["load/$task->id"] = ['task' => $task->id, 'product' => $load->dry ?? $this->wishes->paint, 'until' => $this->dry($load), 'for' => 'heavy loads and shut doors'];
            }
        }
        usort($drying, fn (array $one, array $other) => $one['until'] <=> $other['until']);

        return $drying;
    }

    /**
     * What would end it earlier.
     *
     * @param  \Closure(int): int  $offset
     * @return list<array{visit: ?Session, people: int, end: int}>
     */
    public function helps(\Closure $offset): array
    {
        return $this->scheduler()->helps($offset);
    }

    /** What is said of it: "Step 6 of 23; two people for the next." */
    public function sentence(): string
    {
        $all = count($this->precedence->tasks);
        $done = $this->countDone();
        if ($all === 0) {
            return '';
        }
        if ($done === $all) {
            return 'All fitted.';
        }
        $next = $this->precedence->tasks[$this->now()[0] ?? ''] ?? null;

        return sprintf('Step %d of %d%s.', $done + 1, $all, match ($next->people ?? 1) {
            1 => '',
            2 => '; two people for the next',
            default => '; three people for the next',
        });
    }

    /** When what was applied has dried up to what waits for it, to the full minute. */
    private function dry(Need $need): int
    {
        $applied = $this->progress->done[$need->task];
        if ($need->dry === null) {
            return $applied;
        }
        $base = $this->seconds($need);
        $ready = $applied + $base;
        foreach ($this->progress->touches[$need->task] ?? [] as $touch) {
            $ready = $touch['isDry'] ? ($need->dry->isByTouch() ? min($ready, $touch['at']) : $ready) : max($ready, $touch['at'] + (int) round($base * self::TACKY));
        }

        return (int) ceil($ready / self::MINUTE) * self::MINUTE;
    }

    private function seconds(Need $need): int
    {
        return $need->dry === null ? 0 : (int) ceil($need->dry->seconds($this->wishes->climate, $this->wishes->hours[$need->dry->value] ?? null, $need->depth) / self::MINUTE) * self::MINUTE;
    }

    private function dateOf(string $id): ?int
    {
        $task = $this->precedence->tasks[$id];

        return $task->kind->isLicensed() ? $this->wishes->dates[substr($id, strlen($task->kind->value) + 1)] ?? null : null;
    }

    private function scheduler(): Scheduler
    {
        return $this->scheduler ??= new Scheduler(new Order(array_values(array_map($this->open(...), array_filter($this->precedence->tasks, fn (FittingTask $task) => ! $this->isDone($task->id))))), $this->sessions());
    }

    /** As the scheduler takes it: of what it waits for only what is still to be done, the rest as the moment from which on it can begin. */
    private function open(FittingTask $task): Task
    {
        $needs = [];
        foreach ($this->precedence->needs[$task->id] as $need) {
            if (! $this->isDone($need->task)) {
                $needs[$need->task] = $this->seconds($need);
            }
        }

        return new Task($task->id, (int) ceil($task->minutes), $task->people, $needs, $task->name, $this->readyAt($task->id), $this->held($task));
    }

    /** Why it cannot be done at all as things are; empty where it can. */
    public function held(FittingTask $task): string
    {
        $air = $this->wishes->climate;

        return match (true) {
            $this->waitsForDate($task->id) => sprintf('%s waits for a date.', $task->name),
            $task->applies !== null && $air->celsius < $this->wishes->coldest => sprintf('%s: at %.0f °C it is not applied; %.0f °C is the least.', $task->name, $air->celsius, $this->wishes->coldest),
            $task->applies !== null && $air->damp > Climate::DAMPEST => sprintf('%s: at %.0f %% it is not applied; %.0f %% is the most.', $task->name, $air->damp, Climate::DAMPEST),
            default => '',
        };
    }

    /** @return list<Session> what is left of them from now on */
    private function sessions(): array
    {
        $left = array_values(array_filter($this->wishes->sessions, fn (Session $one) => $one->closes() > $this->progress->now));

        return array_map(fn (Session $one) => $one->opens() >= $this->progress->now ? $one : $one->from($this->progress->now), $left);
    }
}
