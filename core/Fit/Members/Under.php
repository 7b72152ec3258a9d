<?php

declare(strict_types=1);

namespace Incastro\Fit\Members;

use Incastro\Fit\Box;
use Incastro\Fit\Holds\SpansCells;
use Incastro\Measure\Length;
use Incastro\Measure\Working;

/** What carries boxes side by side, in its place: from u along its length, with its front at the depth from `v`; of that a ledge may lie before the boxes. */
final readonly class Under extends LyingMember
{
    /** @param non-empty-list<Box> $boxes from the left */
    public function __construct(
        SpansCells $holds,
        string $id,
        string $mark,
        float $u,
        float $v,
        Working $length,
        Working $depth,
        public Length $height,
        public array $boxes,
        public Length $ledge,
    ) {
        parent::__construct($holds, $id, $mark, $u, $v, $length, $depth);
    }
}
