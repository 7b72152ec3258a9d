<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Demo\Demo;
use App\Models\User;
use Illuminate\Console\Command;

/** Makes the demo account, or puts its data back; nobody else's is touched. */
final class DemoCommand extends Command
{
    protected $signature = 'incastro:demo {--if-empty : only where there is no account at all yet}';

    protected $description = 'Make the demo account, or put its data back';

    public function handle(Demo $demo): int
    {
        if ($this->option('if-empty')) {
            if (config('incastro.demo') === true && User::query()->doesntExist()) {
                $demo->make();
            }

            return self::SUCCESS;
        }
        $demo->make();
        $this->info('The demo is as it was.');

        return self::SUCCESS;
    }
}
