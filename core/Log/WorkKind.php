<?php

declare(strict_types=1);

namespace Incastro\Log;

/** What somebody works at. */
enum WorkKind: string
{
    case Measure = 'measure';
    case Draw = 'draw';
    case Shop = 'shop';
    case Saw = 'saw';
    case Assemble = 'assemble';
    case Install = 'install';
    case Finish = 'finish';

    public function label(): string
    {
        return match ($this) {
            self::Measure => 'Measuring',
            self::Draw => 'Planning',
            self::Shop => 'Shopping',
            self::Saw => 'Sawing',
            self::Assemble => 'Assembling',
            self::Install => 'Fitting',
            self::Finish => 'Painting and finish',
        };
    }
}
