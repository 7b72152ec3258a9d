<?php

declare(strict_types=1);

namespace App\Editing;

/** There is nothing to undo or redo, or somebody else has changed the same since. */
final class UndoRefused extends \RuntimeException
{
}
