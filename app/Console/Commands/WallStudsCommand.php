<?php

declare(strict_types=1);

namespace App\Console\Commands;

use Illuminate\Console\Command;
use Incastro\Exchange\StudFile;

/** Says from the studs that were found where the others are to be expected. Needs no database. */
final class WallStudsCommand extends Command
{
    use PrintsJson;

    protected $signature = 'wall:studs {studs : JSON of a wall and the studs found along it}
        {--json : accepted; the output is JSON in any case}';

    protected $description = 'Find the pitch of studs from those found, and print where to probe for others';

    public function handle(): int
    {
        return $this->printed(fn (): array => (new StudFile((string) $this->argument('studs'), $this->read('studs')))->answer());
    }
}
