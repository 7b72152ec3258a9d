<?php

declare(strict_types=1);

namespace Incastro\Install;

/** Kinds of what is noted on fitting day, and what a set of such comes to, whatever the order in which it arrived. */
final class FittingFacts
{
    public const DONE = 'task_done';

    public const CHECK = 'check';

    public const TOUCH = 'touch';

    public const CLIMATE = 'climate';

    public const STUD = 'stud';

    /** How far the floor lies under the level line where a plinth stands. */
    public const LEVEL = 'level';

    public const KINDS = [self::DONE, self::CHECK, self::TOUCH, self::CLIMATE, self::STUD, self::LEVEL];

    /**
     * @param  list<array{id: string, kind: string, part: ?string, body: ?array<string, mixed>, at: string}>  $standing  those that nothing takes back
     */
    public function __construct(private array $standing)
    {
    }

    public function progress(int $now): Progress
    {
        $done = $touches = [];
        foreach ($this->of(self::DONE) as $fact) {
            $task = (string) $fact['part'];
            // Ticked twice it was done when it was ticked first.
            $done[$task] = min($done[$task] ?? PHP_INT_MAX, (int) strtotime($fact['at']));
        }
        foreach ($this->of(self::TOUCH) as $fact) {
            $touches[(string) $fact['part']][] = ['at' => (int) strtotime($fact['at']), 'isDry' => ($fact['body']['says'] ?? '') === 'dry'];
        }

        return new Progress($now, $done, $touches);
    }

    /** The air as it was measured last; null where nobody did. */
    public function climate(): ?Climate
    {
        $newest = null;
        foreach ($this->of(self::CLIMATE) as $fact) {
            $newest = $newest === null || [$fact['at'], $fact['id']] > [$newest['at'], $newest['id']] ? $fact : $newest;
        }

        return $newest === null ? null : new Climate((float) ($newest['body']['celsius'] ?? 20), (float) ($newest['body']['humidity'] ?? 50));
    }

    /** @return array<string, list<array{id: string, u: float, hit: bool}>> studs and probes, by space and wall; mm */
    public function studs(): array
    {
        $studs = [];
        foreach ($this->of(self::STUD) as $fact) {
            $studs[(string) $fact['part']][] = ['id' => $fact['id'], 'u' => (float) ($fact['body']['u'] ?? 0.0), 'hit' => ($fact['body']['hit'] ?? true) === true];
        }

        return $studs;
    }

    /**
     * What each check reads, by task and check, mm: whoever reads again takes back what that device has seen, so that of more than one that
     * stands the worst counts.
     *
     * @return array<string, array{ids: list<string>, reading: float, texts: list<string>, left: bool}>
     */
    public function checks(): array
    {
        $checks = [];
        foreach ($this->of(self::CHECK) as $fact) {
            $key = $fact['part'].'#'.($fact['body']['check'] ?? '');
            $reading = (float) ($fact['body']['reading'] ?? 0.0);
            $ids = [...$checks[$key]['ids'] ?? [], $fact['id']];
            $isWorse = ! isset($checks[$key]) || abs($reading) > abs($checks[$key]['reading']);
            $checks[$key] = ($isWorse ? ['reading' => $reading, 'texts' => $fact['body']['texts'] ?? [], 'left' => ($fact['body']['left'] ?? false) === true] : $checks[$key]) + ['ids' => []];
            $checks[$key]['ids'] = $ids;
        }

        return $checks;
    }

    /** @return array<string, array<string, float>> the floor under the level line, mm, by task and place: of more than one that stands the mean */
    public function levels(): array
    {
        $all = [];
        foreach ($this->of(self::LEVEL) as $fact) {
            $all[(string) $fact['part']][(string) ($fact['body']['place'] ?? '')][] = (float) ($fact['body']['down'] ?? 0.0);
        }

        return array_map(fn (array $places): array => array_map(fn (array $read): float => array_sum($read) / count($read), $places), $all);
    }

    /** @return list<array{id: string, kind: string, part: ?string, body: ?array<string, mixed>, at: string}> */
    private function of(string $kind): array
    {
        return array_values(array_filter($this->standing, fn (array $fact) => $fact['kind'] === $kind));
    }
}
