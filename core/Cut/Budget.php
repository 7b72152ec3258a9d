<?php

declare(strict_types=1);

namespace Incastro\Cut;

/** How long a plan may be improved: so many steps, and until a clock says so. The steps are the same ones whatever the time. */
final class Budget
{
    /** The clock is read once in so many steps. */
    private const READ = 16;

    private int $taken = 0;

    private bool $isOver = false;

    /** @param (\Closure(): bool)|null $isLate */
    public function __construct(private readonly int $steps, private readonly ?\Closure $isLate = null)
    {
    }

    /** Whether another step may be taken; then it is. */
    public function takes(): bool
    {
        if ($this->isOver || $this->taken >= $this->steps || ($this->isLate !== null && $this->taken % self::READ === 0 && ($this->isLate)())) {
            $this->isOver = true;

            return false;
        }
        $this->taken++;

        return true;
    }
}
