<?php

declare(strict_types=1);

namespace Incastro\Check;

/** How one box or large panel gets in: every step from the street door to its place. */
final readonly class Carried
{
    /** @param list<Step> $steps */
    public function __construct(public string $id, public string $mark, public string $what, public array $steps)
    {
    }

    public function failing(): ?Step
    {
        foreach ($this->steps as $step) {
            if (! $step->goes()) {
                return $step;
            }
        }

        return null;
    }
}
