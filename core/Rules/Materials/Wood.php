<?php

declare(strict_types=1);

namespace Incastro\Rules\Materials;

/** What a material is, as far as its strength goes (handbook, "Strength, as guidance"). */
enum Wood: string
{
    case BirchPly = 'birch-ply';
    case SoftwoodPly = 'softwood-ply';
    case Mdf = 'mdf';
    case Chipboard = 'chipboard';
    case Pine = 'pine';
    case Poplar = 'poplar';
    case Maple = 'maple';

    public function label(): string
    {
        return match ($this) {
            self::BirchPly => 'Birch plywood',
            self::SoftwoodPly => 'Softwood plywood',
            self::Mdf => 'MDF',
            self::Chipboard => 'Chipboard, melamine faced',
            self::Pine => 'Pine and other softwood',
            self::Poplar => 'Poplar',
            self::Maple => 'Maple and other hardwood',
        };
    }

    /** Indoors and dry. */
    public function strength(): Strength
    {
        return match ($this) {
            self::BirchPly => new Strength(9000.0, 6500.0, 0.8, 7.0, 5.0),
            self::SoftwoodPly => new Strength(7000.0, 3500.0, 0.8, 7.0, 5.0),
            self::Mdf => new Strength(2800.0, 2800.0, 2.25, 4.0, 4.0),
            self::Chipboard => new Strength(2400.0, 2400.0, 2.25, 3.0, 3.0),
            // Across its grain solid wood is never asked to carry.
            self::Pine => new Strength(9000.0, 0.0, 0.6, 8.0, 0.0),
            self::Poplar => new Strength(10500.0, 0.0, 0.6, 8.0, 0.0),
            self::Maple => new Strength(12000.0, 0.0, 0.6, 8.0, 0.0),
        };
    }
}
