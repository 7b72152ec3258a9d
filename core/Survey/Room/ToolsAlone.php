<?php

declare(strict_types=1);

namespace Incastro\Survey\Room;

use Incastro\Survey\Network\Adjusted;
use Incastro\Survey\Network\Undetermined;

/** What would be left in doubt if the same readings had been taken of planes: the tools' share. Solved when somebody asks. */
final class ToolsAlone
{
    private ?Adjusted $solved = null;

    private bool $isAsked = false;

    /** @param (\Closure(): Adjusted)|null $solve null where walls are planes */
    public function __construct(private readonly ?\Closure $solve = null)
    {
    }

    /**
     * σ of a function of the unknowns; null where plaster adds nothing.
     *
     * @param  array<int, float>  $weights
     */
    public function sigmaOf(array $weights): ?float
    {
        if (! $this->isAsked && $this->solve !== null) {
            $this->isAsked = true;
            try {
                $this->solved = ($this->solve)();
            } catch (Undetermined) {
                return null;
            }
        }

        return $this->solved?->sigmaOf($weights);
    }
}
