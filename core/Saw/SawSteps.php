<?php

declare(strict_types=1);

namespace Incastro\Saw;

/** All cuts of the sheets of a plan, in the order in which they are made. */
final readonly class SawSteps
{
    /**
     * @param  list<Part>  $parts  sheets, and everything that is cut from them
     * @param  list<Step>  $steps
     * @param  int  $settings  how often something is set
     * @param  int  $distinct  different settings
     * @param  int  $fewest  what no order goes under with these trees and as many sheets open
     * @param  list<Impossible>  $impossible
     * @param  int  $allOpen  settings that would do with all sheets open at once
     * @param  float  $heaviest  kg of the heaviest sheet, or part of one from the yard, that is carried home
     */
    public function __construct(
        public array $parts,
        public array $steps,
        public int $settings,
        public int $distinct,
        public int $fewest,
        public bool $isProven,
        public array $impossible,
        public int $allOpen,
        public float $heaviest = 0.0,
    ) {
    }

    public function clampings(): int
    {
        return array_sum(array_map(fn (Step $step) => $step->clampings, $this->steps));
    }

    /** @return list<SawCut> */
    public function cuts(): array
    {
        return array_merge(...array_map(fn (Step $step) => $step->cuts, $this->steps));
    }

    /** @return list<int> what orders of different plans are compared by: cuts that no tool makes, then settings; the least is the best */
    public function cost(): array
    {
        return [count($this->impossible), $this->settings];
    }
}
