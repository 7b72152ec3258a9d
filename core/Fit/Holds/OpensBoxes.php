<?php

declare(strict_types=1);

namespace Incastro\Fit\Holds;

/** Lies over boxes that have no top of their own, so that one reaches in from above. */
interface OpensBoxes extends SpansCells
{
}
