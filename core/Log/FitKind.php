<?php

declare(strict_types=1);

namespace Incastro\Log;

/** How a box or a panel went into its place. */
enum FitKind: string
{
    case Freely = 'freely';
    case Tight = 'tight';
    case Jammed = 'jammed';
    case Loose = 'loose';

    public function label(): string
    {
        return match ($this) {
            self::Freely => 'went in freely',
            self::Tight => 'tight',
            self::Jammed => 'jammed',
            self::Loose => 'loose',
        };
    }
}
