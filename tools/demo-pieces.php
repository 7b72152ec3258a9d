<?php

// Writes tests/examples/demo-pieces.txt anew: every piece of every demo job, one a line. Read the difference before you keep it.

declare(strict_types=1);

require __DIR__.'/../vendor/autoload.php';

$text = '';
foreach (Tests\Core\Planning\DemoPiecesTest::jobs() as $name => [$file]) {
    $text .= "## $name\n".implode("\n", Tests\Core\Planning\DemoPiecesTest::lines($file))."\n\n";
}
file_put_contents(__DIR__.'/../tests/examples/demo-pieces.txt', rtrim($text)."\n");
