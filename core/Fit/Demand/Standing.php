<?php

declare(strict_types=1);

namespace Incastro\Fit\Demand;

/** What a cell without a box is to the room: nothing, or something built in its place. */
enum Standing
{
    case Nothing;
    case Built;
}
