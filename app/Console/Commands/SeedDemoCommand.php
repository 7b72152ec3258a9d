<?php

declare(strict_types=1);

namespace App\Console\Commands;

use App\Demo\Demo;
use App\Models\User;
use Illuminate\Console\Command;

/** Makes the demo account where there is no account at all yet; an application in use is left alone. */
final class SeedDemoCommand extends Command
{
    protected $signature = 'incastro:seed-demo';

    protected $description = 'Make the demo account in an empty database';

    public function handle(Demo $demo): int
    {
        if (config('incastro.demo') === true && User::query()->doesntExist()) {
            $demo->make();
        }

        return self::SUCCESS;
    }
}
