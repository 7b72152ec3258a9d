<?php

declare(strict_types=1);

namespace Incastro\Check;

use Incastro\Rules\Code;

/** What is done with a box on its way in. */
enum StepKind
{
    case WayIn;
    case Mouth;
    case StoodUp;
    case Slid;

    /** The clash where it does not go. */
    public function code(): Code
    {
        return match ($this) {
            self::WayIn => Code::GoingInWayIn,
            self::Mouth => Code::GoingInMouth,
            self::StoodUp => Code::GoingInStoodUp,
            self::Slid => Code::GoingInSlid,
        };
    }
}
