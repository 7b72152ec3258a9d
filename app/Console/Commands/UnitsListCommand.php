<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Incastro\Exchange\BadFile;
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
            $measure = match ($this->option('unit')) {
                'mm' => 'mm/1',
                'in' => 'in/16',
                default => throw BadFile::at('--unit:0:unit', sprintf('“%s” is not a unit here. It is mm or in.', $this->option('unit'))),
            };
            $job = JobReader::read(JobChoices::defaults('Units', $measure) + ['ways_in' => [], 'spaces' => []]);

            return (new UnitWriter($job->format, $job->rules, $job->materials))->all();
        });
    }
}
