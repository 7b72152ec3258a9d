<?php

declare(strict_types=1);

namespace Incastro\Fit\Layout;

/** What stands beside the tree of cells and spans several of them. */
enum MemberKind: string
{
    case Plinth = 'plinth';
    case Worktop = 'worktop';
    case EndPanel = 'end-panel';

    public function label(): string
    {
        return match ($this) {
            self::Plinth => 'Plinth',
            self::Worktop => 'Worktop',
            self::EndPanel => 'End panel',
        };
    }
}
