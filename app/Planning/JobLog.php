<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Job;
use App\Models\JobFact;
use Incastro\Log\Hours;
use Incastro\Log\LogFacts;
use Incastro\Log\Stretch;
use Incastro\Log\WorkKind;
use Incastro\Saw\Ticks;

/**
 * What the log of a job was told, as it stands: hours, money and all else.
 *
 * @phpstan-import-type Told from JobFact
 */
final readonly class JobLog
{
    /** @param list<Told> $standing */
    public function __construct(public array $standing)
    {
    }

    public static function of(Job $job): self
    {
        return new self(Ticks::standing(JobFact::ofJob($job->id, [...LogFacts::KINDS, Ticks::WITHDRAWAL])));
    }

    /** @param list<Told> $facts of a job */
    public static function among(array $facts): self
    {
        return new self(array_values(array_filter(Ticks::standing($facts), fn (array $fact) => in_array($fact['kind'], LogFacts::KINDS, true))));
    }

    /** @return list<Told> */
    public function kind(string $kind): array
    {
        return array_values(array_filter($this->standing, fn (array $fact) => $fact['kind'] === $kind));
    }

    public function hours(): Hours
    {
        $stretches = [];
        foreach ($this->kind(LogFacts::HOURS) as $fact) {
            $body = $fact['body'] ?? [];
            $kind = WorkKind::tryFrom($body['work'] ?? '') ?? WorkKind::Install;
            $person = ($body['person'] ?? '') ?: $fact['author'];
            $from = (int) strtotime($body['from'] ?? $fact['at']);
            $stretches[] = isset($body['minutes'])
                ? Stretch::lasting($fact['id'], $person, $kind, $from, 60 * (int) $body['minutes'])
                : Stretch::between($fact['id'], $person, $kind, $from, isset($body['to']) ? (int) strtotime($body['to']) : null);
        }

        return new Hours($stretches);
    }

    /** What was paid in all, minor units: what was returned is less than nothing. */
    public function paid(): int
    {
        return array_sum(array_map(fn (array $fact): int => (int) ($fact['body']['minor'] ?? 0), $this->kind(LogFacts::MONEY)));
    }
}
