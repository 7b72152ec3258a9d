<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Incastro\Exchange\BadFile;
use Incastro\Exchange\InstallFile;
use Incastro\Exchange\InstallWriter;

/** Puts the tasks of fitting day into the sessions that there are. Needs no database. */
final class InstallPlanCommand extends Command
{
    use PrintsJson;

    protected $signature = 'install:plan {file : JSON of tasks, sessions, climate, products and zone}
        {--ics : print a calendar instead}
        {--json : accepted; the output is JSON unless a calendar is asked for}';

    protected $description = 'Put tasks into sessions by what waits for what to dry, and print the dates';

    public function handle(): int
    {
        return $this->option('ics') === true
            ? $this->written(fn (): string => (new InstallWriter($this->file()))->calendar(now()->getTimestamp()))
            : $this->printed(fn (): array => (new InstallWriter($this->file()))->answer());
    }

    /** @throws BadFile */
    private function file(): InstallFile
    {
        return new InstallFile((string) $this->argument('file'), $this->read('file'));
    }
}
