<?php

declare(strict_types=1);

// Read once when PHP-FPM starts (opcache.preload): the classes that answers are made of are then there for every request, instead
// of being looked for one after another. Other sources need a restart, which ./incastro start does.

use Illuminate\Contracts\Console\Kernel;
use Incastro\Exchange\JobFile;
use Incastro\Exchange\PlanWriter;
use Incastro\Planning\JobReader;
use Incastro\Planning\Planner;

require __DIR__.'/../vendor/autoload.php';

$app = require __DIR__.'/../bootstrap/app.php';
$app->make(Kernel::class)->bootstrap();

// A job planned and written loads the core. The database is left alone: its connections are each worker's own.
$file = __DIR__.'/../database/demo/landing-alcove.json';
$plan = (new Planner())->plan(JobReader::read(JobFile::read($file, (string) file_get_contents($file))['job']));
$writer = new PlanWriter($plan);
[$writer->measure($plan->spaces[0]), $writer->fit($plan->spaces[0]), $writer->pieces(), $writer->sheets()];

$used = '/^(App\\\\(?!Console)|Illuminate\\\\(Auth|Cache|Config|Container|Contracts|Cookie|Database\\\\(Connectors|Eloquent|Query)|Encryption|Events|Foundation\\\\(Auth|Http)|Hashing|Http|Pagination|Pipeline|Routing|Session|Support|Translation|Validation)|Laravel\\\\Sanctum)\\\\/';
foreach (array_keys(require __DIR__.'/../vendor/composer/autoload_classmap.php') as $class) {
    if (preg_match($used, $class) === 1 && ! str_contains($class, 'Console') && ! str_contains($class, 'Testing') && ! str_contains($class, 'Redis')) {
        try {
            class_exists($class);
        } catch (Throwable) {
            // It stands on something that is not installed here, and so is never asked for.
            continue;
        }
    }
}
