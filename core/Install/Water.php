<?php

declare(strict_types=1);

namespace Incastro\Install;

/** How much of a product dries by losing water to the air: wholly, in part, or not. */
enum Water: string
{
    case All = 'water';
    case Half = 'half';
    case None = 'none';

    public const VALUES = ['water', 'half', 'none'];
}
