<?php

declare(strict_types=1);

namespace Incastro\Saw;

/** What a straight cut is made with. */
enum ToolKind: string
{
    case TableSaw = 'table_saw';
    case GuidedSaw = 'guided_saw';
    case MitreSaw = 'mitre_saw';
    case Yard = 'yard';

    public function label(): string
    {
        return match ($this) {
            self::TableSaw => 'table saw',
            self::GuidedSaw => 'guided saw',
            self::Yard => 'the yard',
            self::MitreSaw => 'mitre saw',
        };
    }
}
