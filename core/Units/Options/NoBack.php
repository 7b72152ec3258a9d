<?php

declare(strict_types=1);

namespace Incastro\Units\Options;

use Incastro\Fit\Holds\LeavesBackOut;
use Incastro\Rules\Parameters\About;
use Incastro\Units\Assembly;
use Incastro\Units\BoxOption;
use Incastro\Units\Sites\OpeningSite;

/** The box has no back: the wall is seen, or pipes go through. Its strips at head and foot keep it square. */
#[About('no-back', 'No back', 'The wall behind is seen; strips at head and foot keep it square.', 'Backs')]
final readonly class NoBack implements BoxOption, LeavesBackOut
{
    public function change(OpeningSite $site, Assembly $box, string $id): Assembly
    {
        return $box;
    }
}
