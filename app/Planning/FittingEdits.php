<?php

declare(strict_types=1);

namespace App\Planning;

use App\Models\Job;
use Illuminate\Validation\ValidationException;
use Incastro\Planning\FittingChoices;
use Incastro\Rules\Edit;

/** What a job's choices alone do not say of an edit about fitting day: whether a session is over before it is noted, and whether a wish closes a circle. */
final readonly class FittingEdits
{
    public function __construct(private JobAnswer $answer)
    {
    }

    /** @throws ValidationException */
    public function refuse(Job $job, Edit $edit): void
    {
        if ($edit->path === 'installing.before' && is_array($edit->value)) {
            $this->refuseCircles($job, $edit->value);
        }
        $end = str_starts_with($edit->path, 'installing.sessions.') && is_array($edit->value) ? $edit->value['end'] ?? null : null;
        $at = is_string($end) ? FittingChoices::zone($job->choices['installing']['zone'] ?? 'UTC')->moment($end) : null;
        if ($at !== null && $at < now()->getTimestamp()) {
            throw ValidationException::withMessages([$edit->path => sprintf('End: %s is over already.', str_replace('T', ' ', (string) $end))]);
        }
    }

    /** @param array<mixed> $wishes */
    private function refuseCircles(Job $job, array $wishes): void
    {
        $known = $job->choices['installing']['before'] ?? [];
        $precedence = FittingStation::of($job, $this->answer->plan($job))->fitting()->day->precedence;
        foreach ($wishes as $wish) {
            if (! is_array($wish) || ! is_string($wish[0] ?? null) || ! is_string($wish[1] ?? null) || in_array($wish, $known, true)) {
                continue;
            }
            $circle = isset($precedence->tasks[$wish[0]], $precedence->tasks[$wish[1]]) ? $precedence->circle($wish[0], $wish[1]) : null;
            if ($circle !== null) {
                throw ValidationException::withMessages(['installing.before' => sprintf('“%s” cannot come before “%s”: %s.', $precedence->tasks[$wish[0]]->name, $precedence->tasks[$wish[1]]->name, implode(', which waits for ', array_map(fn (string $name) => "“{$name}”", $circle)))]);
            }
        }
    }
}
