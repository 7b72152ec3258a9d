<?php

declare(strict_types=1);

namespace Incastro\Log;

/** Kinds of what the log is told; what the saw and fitting day note stands there by itself. */
final class LogFacts
{
    public const HOURS = 'hours';

    public const MONEY = 'money';

    public const BUILT = 'built';

    public const PROBLEM = 'problem';

    public const FIT = 'fit';

    public const PHOTO = 'photo';

    public const NOTE = 'note';

    /** How many screws or pins of a line of the list were left, or missing. */
    public const LEFT = 'left';

    public const KINDS = [self::HOURS, self::MONEY, self::BUILT, self::PROBLEM, self::FIT, self::PHOTO, self::NOTE, self::LEFT];
}
