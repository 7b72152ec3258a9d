<?php

declare(strict_types=1);

namespace App\Planning;

use Incastro\Pieces\Likeness;
use Incastro\Planning\InvalidChoice;
use Incastro\Planning\Job;
use Incastro\Planning\JobChoices;
use Incastro\Planning\JobReader;
use Incastro\Planning\Planner;
use Incastro\Rules\Edit;
use Incastro\Rules\Rule;

/** What hangs on a house rule in a job: how many of its pieces change when the rule does, by as little as can be cut. */
final readonly class RuleReach
{
    public function __construct(private Planner $planner)
    {
    }

    /** @param array<string, mixed> $document of the job with its spaces */
    public function of(array $document, Rule $rule): int
    {
        $job = JobReader::read($document);
        $now = $job->rules->get($rule);
        $step = $job->format->step->times(2);
        $other = $now->plus($step)->isGreaterThan($rule->most()) ? $now->minus($step) : $now->plus($step);
        try {
            [$changed] = JobChoices::apply($document, new Edit("rules.$rule->value", ['nm' => $other->nanometres(), 'typed' => '']));
        } catch (InvalidChoice) {
            return 0;
        }
        $before = $this->pieces($job);
        $after = $this->pieces(JobReader::read($changed));

        return count(array_filter(array_keys($before + $after), fn (string $key) => ($before[$key] ?? null) !== ($after[$key] ?? null)));
    }

    /** @return array<string, string> by key, what is cut and bored */
    private function pieces(Job $job): array
    {
        $pieces = [];
        foreach ($job->spaces as $space) {
            foreach ($this->planner->space($job, $space)->marked() as $piece) {
                $pieces["$space->id $piece->key"] = Likeness::of($piece)->key();
            }
        }

        return $pieces;
    }
}
