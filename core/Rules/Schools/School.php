<?php

declare(strict_types=1);

namespace Incastro\Rules\Schools;

use Incastro\Rules\Parameters\Choosable;

/** One of the ways in which practitioners do the same thing; the first is the usual one (handbook, "Schools"). */
interface School extends Choosable
{
    /** What is chosen, as it stands before the choices. */
    public static function question(): string;

    /** What it costs and what it gains. */
    public function reason(): string;
}
