<?php

declare(strict_types=1);

namespace Incastro\Measure;

/**
 * What a person typed could not be taken. The message is one or two sentences: what was understood, and what would be
 * right.
 */
final class Unreadable extends \InvalidArgumentException
{
}
