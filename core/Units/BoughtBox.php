<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\Holds\StandsBought;
use Incastro\Units\Sites\BoxSite;

/** Stands in the place of a box that would be made: what is made for it, and what it asks of its place. */
interface BoughtBox extends StandsBought
{
    public function stand(BoxSite $site): Assembly;
}
