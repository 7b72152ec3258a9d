<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Fit\Holds\ChangesBox;
use Incastro\Units\Sites\OpeningSite;

/** Changes what is built round an opening. `id` is its own in the layout, for findings about it. */
interface BoxOption extends ChangesBox
{
    public function change(OpeningSite $site, Assembly $box, string $id): Assembly;
}
