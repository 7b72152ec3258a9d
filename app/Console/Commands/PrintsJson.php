<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Closure;
use Incastro\Exchange\BadFile;

/** JSON on standard output; on bad input one line per fault on standard error, exit 2, and nothing on standard output. */
trait PrintsJson
{
    /** @param Closure(): array<string, mixed> $compute */
    private function printed(Closure $compute): int
    {
        try {
            $answer = $compute();
        } catch (BadFile $bad) {
            fwrite(STDERR, $bad->getMessage()."\n");

            return 2;
        }
        $this->output->write(json_encode($answer, JSON_PRETTY_PRINT | JSON_UNESCAPED_UNICODE | JSON_UNESCAPED_SLASHES | JSON_THROW_ON_ERROR)."\n", false, \Symfony\Component\Console\Output\OutputInterface::OUTPUT_RAW);

        return self::SUCCESS;
    }
}
