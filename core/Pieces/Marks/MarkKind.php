<?php

declare(strict_types=1);

namespace Incastro\Pieces\Marks;

/** What a joint asks to be marked, drilled or cut. */
enum MarkKind: string
{
    case Pocket = 'pocket';
    case Screw = 'screw';
    case Pilot = 'pilot';
    case Line = 'line';
    case Dado = 'dado';
    case Groove = 'groove';
    case Rabbet = 'rabbet';
    case PinRow = 'pin-row';
    case Cup = 'cup';
    case Plate = 'plate';
    case SlideLine = 'slide-line';
    case Mortise = 'mortise';
    case Hole = 'hole';

    /** Its name for one of it, and for several. */
    public function label(int $count): string
    {
        [$one, $several] = match ($this) {
            self::Pocket => ['pocket hole', 'pocket holes'],
            self::Screw => ['screw hole', 'screw holes'],
            self::Pilot => ['pilot hole in its edge', 'pilot holes in its edge'],
            self::Line => ['pencil line', 'pencil lines'],
            self::Dado => ['dado', 'dadoes'],
            self::Groove => ['groove', 'grooves'],
            self::Rabbet => ['rabbet', 'rabbets'],
            self::PinRow => ['pin hole', 'pin holes'],
            self::Cup => ['hinge cup', 'hinge cups'],
            self::Plate => ['screw hole of a hinge plate', 'screw holes of hinge plates'],
            self::SlideLine => ['line of a drawer slide', 'lines of drawer slides'],
            self::Mortise => ['mortise in its edge', 'mortises in its edge'],
            self::Hole => ['hole', 'holes'],
        };

        return $count === 1 ? $one : $several;
    }

    /** Whether it is drilled at points; all others are drawn from one end to the other. */
    public function isHole(): bool
    {
        return ! in_array($this, [self::Line, self::Dado, self::Groove, self::Rabbet, self::SlideLine, self::Mortise], true);
    }

    /** Whether something is taken out of the wood. */
    public function isCut(): bool
    {
        return $this !== self::Line && $this !== self::SlideLine;
    }
}
