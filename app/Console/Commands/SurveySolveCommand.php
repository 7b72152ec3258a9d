<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Incastro\Exchange\BadFile;
use Incastro\Exchange\SurveyFile;
use Incastro\Exchange\SurveyWriter;

/** Adjusts the readings of a plan and prints its corners, and what the readings say about each other. Needs no database. */
final class SurveySolveCommand extends Command
{
    use PrintsJson;

    protected $signature = 'survey:solve {survey : JSON of corners and readings}
        {--json : accepted; the output is JSON in any case}';

    protected $description = 'Adjust the readings of a plan and print its corners, suspects and what to take again';

    public function handle(): int
    {
        return $this->printed(function (): array {
            $file = (string) $this->argument('survey');
            $json = is_readable($file) && ! is_dir($file) ? file_get_contents($file) : false;
            if ($json === false) {
                throw BadFile::at("$file:$", 'The file cannot be read.');
            }
            $survey = new SurveyFile($file, $json);

            return (new SurveyWriter($survey))->write($survey->survey()->solve());
        });
    }
}
