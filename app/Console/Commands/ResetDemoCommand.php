<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Demo\Demo;
use Illuminate\Console\Command;

/** Puts the demo account's data back; nobody else's is touched. */
final class ResetDemoCommand extends Command
{
    protected $signature = 'incastro:reset-demo';

    protected $description = 'Put the demo account’s data back';

    public function handle(Demo $demo): int
    {
        $demo->make();
        $this->info('The demo is as it was.');

        return self::SUCCESS;
    }
}
