<?php

declare(strict_types=1);

namespace Incastro\Log;

/**
 * What one job of a home left behind, as lessons are drawn from it; lengths mm.
 */
final readonly class JobRecord
{
    /**
     * @param  list<array{tool: string, delta: float, box: string, fixesWidth: bool}>  $cut  pieces that were measured: as cut less as planned
     * @param  list<array{material: string, name: string, usual: float, measured: float}>  $thickness  by callipers
     * @param  list<array{box: string, how: FitKind, by: float}>  $fits
     * @param  list<ProblemKind>  $problems
     * @param  list<string>  $tacky  products that were not dry when they should have been
     * @param  list<array{estimate: float, actual: float}>  $minutes  of a kind of work, where both are known
     * @param  list<array{rest: float, measured: float, cuts: int}>  $strips  what remained of a strip: usable less its pieces, and as measured
     * @param  array{kerf: float, allowance: float, reserve: float, notch: float, reveal: float}  $rules  by which it was planned
     */
    public function __construct(
        public string $job,
        public array $rules,
        public array $cut = [],
        public array $thickness = [],
        public array $fits = [],
        public array $problems = [],
        public array $tacky = [],
        public array $minutes = [],
        public array $strips = [],
    ) {
    }
}
