<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Incastro\Exchange\BadFile;
use Incastro\Exchange\JobFile;
use Incastro\Exchange\PlanWriter;
use Incastro\Planning\JobReader;
use Incastro\Planning\Planner;

/** Plans a job file and prints the plan as JSON. Needs no database. */
final class JobPlanCommand extends Command
{
    use PrintsJson;

    protected $signature = 'job:plan {job : the job file} {--json : accepted; the output is JSON in any case}';

    protected $description = 'Plan a job file and print the plan as JSON';

    public function handle(): int
    {
        return $this->printed(function (): array {
            $file = (string) $this->argument('job');
            if (! is_file($file)) {
                throw BadFile::at("$file:$", 'The file cannot be read. Give the path of an exported job.');
            }
            $document = JobFile::read($file, (string) file_get_contents($file))['job'];

            return (new PlanWriter((new Planner())->plan(JobReader::read($document), isThorough: true)))->all();
        });
    }
}
