<?php

declare(strict_types=1);

namespace Incastro\Survey\Space;

/** What stands along one edge of the plan. */
enum EdgeKind: string
{
    case Wall = 'wall';
    case Open = 'open';
    case Door = 'door';

    public function label(): string
    {
        return match ($this) {
            self::Wall => 'wall',
            self::Open => 'open side',
            self::Door => 'door opening',
        };
    }
}
