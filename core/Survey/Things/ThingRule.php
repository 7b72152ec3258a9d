<?php

declare(strict_types=1);

namespace Incastro\Survey\Things;

/** What the furniture owes a thing on a face. */
enum ThingRule: string
{
    case Reachable = 'reachable';
    case Uncovered = 'uncovered';
    case MayBeCovered = 'may-be-covered';
    case Removed = 'removed';
    case Clearance = 'clearance';

    public function label(): string
    {
        return match ($this) {
            self::Reachable => 'must stay reachable',
            self::Uncovered => 'must stay uncovered',
            self::MayBeCovered => 'may be covered',
            self::Removed => 'will be removed',
            self::Clearance => 'keep a clearance',
        };
    }
}
