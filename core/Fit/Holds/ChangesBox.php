<?php

declare(strict_types=1);

namespace Incastro\Fit\Holds;

/** Changes the boards round an opening of a box: it takes no room of its own. */
interface ChangesBox extends Holds
{
}
