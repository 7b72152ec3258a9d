<?php

declare(strict_types=1);

namespace Incastro\Rules;

/** What a material is for. */
enum MaterialRole: string
{
    case Carcass = 'carcass';
    case Frame = 'frame';
    case Back = 'back';

    public function label(): string
    {
        return match ($this) {
            self::Carcass => 'Boxes, shelves and plinth',
            self::Frame => 'Face frames, fillers and trim',
            self::Back => 'Backs',
        };
    }
}
