<?php

declare(strict_types=1);

namespace Incastro\Cut;

/** Which of the two cuts round a piece goes right through. */
enum Split
{
    case RipFirst;
    case CrossFirst;
    case KeepLargest;

    public function ripsFirst(int $restX, int $restY, int $alongX, int $alongY): bool
    {
        return match ($this) {
            self::RipFirst => true,
            self::CrossFirst => false,
            // The larger of the two possible long rests stays whole.
            self::KeepLargest => ($restX + $alongX) / 1e6 * $restY >= ($restY + $alongY) / 1e6 * $restX,
        };
    }
}
