<?php

declare(strict_types=1);

namespace Incastro\Fit\Members;

use Incastro\Fit\Holds\SpansCells;
use Incastro\Measure\Working;

/**
 * What lies over cells, in its place: its underside at z, its upper side at its top, from u along its length and from v out to its front edge, mm. Length and depth
 * are those of its reference lines; what is scribed to the walls goes beyond.
 */
final readonly class Over extends LyingMember
{
    /**
     * @param  list<string>  $carriers  keys of the pieces that it lies on
     * @param  list<array{float, float, list<string>}>  $gaps  between boxes that carry it: from and to along the wall, mm, and keys of the pieces beside them
     */
    public function __construct(
        SpansCells $holds,
        string $id,
        string $mark,
        float $u,
        float $v,
        public float $z,
        public float $top,
        Working $length,
        Working $depth,
        public bool $meetsLeft,
        public bool $meetsRight,
        public bool $meetsBack,
        public array $carriers,
        public array $gaps = [],
    ) {
        parent::__construct($holds, $id, $mark, $u, $v, $length, $depth);
    }
}
