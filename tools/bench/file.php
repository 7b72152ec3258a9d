<?php

declare(strict_types=1);

// Prints the file of a large job without things on its walls, to be brought into the application.

use Incastro\Exchange\JobFile;

$large = require __DIR__.'/large.php';
echo json_encode(JobFile::write($large(16, 0), []), JSON_THROW_ON_ERROR);
