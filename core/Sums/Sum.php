<?php

declare(strict_types=1);

namespace Incastro\Sums;

use Incastro\Measure\LengthFormat;

/** A sum that somebody does at the bench: its fields are its constructor's parameters, declared like those of a unit. */
interface Sum
{
    /** What it reckons with, in words and signs. */
    public function formula(): string;

    /** @throws CannotBe where what was typed has no answer */
    public function work(LengthFormat $format): Worked;
}
