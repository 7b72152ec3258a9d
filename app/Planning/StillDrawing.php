<?php

declare(strict_types=1);

namespace App\Planning;

/** The time in which an answer is given is over: the rest is drawn at the next asking. */
final class StillDrawing extends \RuntimeException
{
}
