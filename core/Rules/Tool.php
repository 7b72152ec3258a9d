<?php

declare(strict_types=1);

namespace Incastro\Rules;

/** A tool that rules a way of building in or out. */
enum Tool: string
{
    case PocketJig = 'pocket-jig';
    case Router = 'router';
    case TableSaw = 'table-saw';
    case HingeBit = 'hinge-bit';

    public function label(): string
    {
        return match ($this) {
            self::PocketJig => 'Pocket-hole jig',
            self::Router => 'Router',
            self::TableSaw => 'Table saw',
            self::HingeBit => 'Bit for hinge cups, 35 mm',
        };
    }
}
