<?php

declare(strict_types=1);

namespace Incastro\Log;

/**
 * What one job of a home left behind, as lessons are drawn from it; lengths mm.
 */
final readonly class JobRecord
{
    /**
     * @param  list<array{way: string, delta: float, setOff: float, box: string, fixesWidth: bool}>  $cut  pieces that were measured: as cut less as planned, and how far from the size its saw was set
     * @param  list<array{material: string, name: string, usual: float, measured: float}>  $thickness  by callipers
     * @param  list<array{box: string, how: FitKind, by: float}>  $fits
     * @param  list<ProblemKind>  $problems
     * @param  list<string>  $tacky  products that were not dry when they should have been
     * @param  list<array{estimate: float, actual: float}>  $minutes  of a kind of work, where both are known
     * @param  list<array{rest: float, measured: float, cuts: int}>  $strips  what remained of a strip: usable less its pieces, and as measured
     * @param  list<float>  $yard  parts that the yard cut: as measured less as asked for
     * @param  list<array{line: string, what: string, paid: int, listed: int, price: ?float}>  $paid  minor units, for a line of its list; the price of one as the job has it, where it is a price of wood
     * @param  list<array{use: int, spare: int, needed: int}>  $counted  screws and pins: what the plan took, what was bought on top, what was used up
     * @param  list<string>  $slips  that explain readings which the others proved wrong
     * @param  array{kerf: float, allowance: float, reserve: float, notch: float, reveal: float, lost: int}  $rules  by which it was planned; what is bought on top in per cent
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
        public array $yard = [],
        public array $paid = [],
        public array $counted = [],
        public array $slips = [],
    ) {
    }
}
