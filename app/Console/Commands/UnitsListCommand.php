<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Incastro\Exchange\UnitWriter;
use Incastro\Planning\JobChoices;
use Incastro\Planning\JobReader;

/** Prints every kind of unit with its parameters as JSON. Needs no database. */
final class UnitsListCommand extends Command
{
    use PrintsJson;

    protected $signature = 'units:list {--unit=mm : mm or in}';

    protected $description = 'Print every kind of unit with its parameters and what it needs of its place';

    public function handle(): int
    {
        return $this->printed(function (): array {
            $measure = $this->unit()->isMetric() ? 'mm/1' : 'in/16';
            $job = JobReader::read(JobChoices::defaults('Units', $measure) + ['ways_in' => [], 'spaces' => []]);

            return (new UnitWriter($job->format, $job->rules, $job->materials))->all();
        });
    }
}
