<?php

declare(strict_types=1);

namespace Incastro\Fit\Holds;

/** What a person put somewhere. Fit asks it what it needs of its place; what it is made of, Units alone knows. */
interface Holds
{
}
