<?php

declare(strict_types=1);

namespace Incastro\Log;

/** What goes wrong in this job. */
enum ProblemKind: string
{
    case ScribeShort = 'scribe-short';
    case NotchTwice = 'notch-twice';
    case DoorRubs = 'door-rubs';
    case CutTwice = 'cut-twice';
    case WrongMark = 'wrong-mark';
    case Racked = 'racked';
    case NoStud = 'no-stud';
    case Missing = 'missing';
    case Wasted = 'wasted';
    case Measured = 'measured';
    case LeftSo = 'left-so';
    case Other = 'other';

    public function label(): string
    {
        return match ($this) {
            self::ScribeShort => 'A scribed edge had too little to cut away',
            self::NotchTwice => 'A notch was cut twice',
            self::DoorRubs => 'A door or drawer rubs',
            self::CutTwice => 'A piece was cut twice',
            self::WrongMark => 'A piece had the wrong mark',
            self::Racked => 'A box was racked',
            self::NoStud => 'No stud where one was wanted',
            self::Missing => 'Something was missing',
            self::Wasted => 'Material was wasted',
            self::Measured => 'A reading was wrong',
            self::LeftSo => 'Out of its limit and left so',
            self::Other => 'Something else',
        };
    }
}
