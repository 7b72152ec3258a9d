<?php

declare(strict_types=1);

namespace Incastro\Survey\Space;

/**
 * What the ceiling is made of: planes, of which the lowest at a place counts. A rake rises along the back wall, as under a
 * stair; a slope rises from the back wall into the room, as over a knee wall.
 */
enum CeilingKind: string
{
    case Flat = 'flat';
    case Rake = 'rake';
    case RakeAndFlat = 'rake-and-flat';
    case Slope = 'slope';
    case SlopeAndFlat = 'slope-and-flat';
    case TwoSlopes = 'two-slopes';

    /** @return non-empty-list<string> names of its planes */
    public function planes(): array
    {
        return match ($this) {
            self::Flat => ['ceiling'],
            self::Rake => ['rake'],
            self::RakeAndFlat => ['rake', 'ceiling'],
            self::Slope => ['slope'],
            self::SlopeAndFlat => ['slope', 'ceiling'],
            self::TwoSlopes => ['back slope', 'front slope'],
        };
    }

    public function label(): string
    {
        return match ($this) {
            self::Flat => 'flat',
            self::Rake => 'a rake, rising along the back wall',
            self::RakeAndFlat => 'a rake, then flat',
            self::Slope => 'a slope, rising from the back wall into the room',
            self::SlopeAndFlat => 'a slope from the back wall, then flat',
            self::TwoSlopes => 'slopes both ways, from the back and from the front',
        };
    }

    public function isSloped(): bool
    {
        return $this !== self::Flat;
    }
}
