<?php

declare(strict_types=1);

namespace Incastro\Pieces;

/** Which way the grain of the sheet must run on a piece. */
enum Grain: string
{
    case Length = 'length';
    case Width = 'width';
    case Any = 'any';
}
