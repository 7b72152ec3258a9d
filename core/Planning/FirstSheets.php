<?php

declare(strict_types=1);

namespace Incastro\Planning;

use Incastro\Cut\SheetPlan;

/** The plan of the sheets that stood there before a better one was found, and how often the saw is set for each. */
final readonly class FirstSheets
{
    public function __construct(public SheetPlan $plan, public int $settings, public int $settingsNow)
    {
    }
}
