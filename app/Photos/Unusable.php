<?php

declare(strict_types=1);

namespace App\Photos;

/** A file that is no photo as it is taken here; its message says what it is and what is taken. */
final class Unusable extends \DomainException
{
}
