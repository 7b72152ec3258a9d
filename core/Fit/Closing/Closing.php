<?php

declare(strict_types=1);

namespace Incastro\Fit\Closing;

/** How an edge of the furniture meets the house. */
enum Closing: string
{
    case Nothing = 'nothing';
    case Caulk = 'caulk';
    case Scribe = 'scribe';
    case Filler = 'filler';
    case Trim = 'trim';
    case ShadowGap = 'shadow_gap';

    public function label(): string
    {
        return match ($this) {
            self::Nothing => 'nothing',
            self::Caulk => 'caulk',
            self::Scribe => 'scribed edge',
            self::Filler => 'filler strip, scribed',
            self::Trim => 'cover trim',
            self::ShadowGap => 'shadow gap',
        };
    }
}
