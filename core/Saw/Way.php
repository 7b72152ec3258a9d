<?php

declare(strict_types=1);

namespace Incastro\Saw;

/** How the distance of a cut is set. */
enum Way: string
{
    case Fence = 'fence';
    case Sled = 'sled';
    case GuideOnPiece = 'guide on the piece';
    case GuideOnWaste = 'guide on the waste';
    case Stop = 'stop';
    case Yard = 'yard';

    public function tool(): ToolKind
    {
        return match ($this) {
            self::Fence, self::Sled => ToolKind::TableSaw,
            self::GuideOnPiece, self::GuideOnWaste => ToolKind::GuidedSaw,
            self::Stop => ToolKind::MitreSaw,
            self::Yard => ToolKind::Yard,
        };
    }
}
