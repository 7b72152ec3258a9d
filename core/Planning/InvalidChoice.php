<?php

declare(strict_types=1);

namespace Incastro\Planning;

/** A value that a field cannot take. The message names the field, what was understood, and what would be right. */
final class InvalidChoice extends \InvalidArgumentException
{
    public function __construct(public readonly string $path, string $message)
    {
        parent::__construct($message);
    }
}
