<?php

declare(strict_types=1);

namespace Incastro\Install;

/**
 * A screw through a nailer into a stud: on the stud's middle line, at the nailer's mid height. Where the stud is expected only, the step begins with
 * a probe between `from` and `to`. `length` mm, with the words of how it came about; null where none that is sold holds.
 */
final readonly class ScrewPlace
{
    public function __construct(
        public string $nailer,
        public float $u,
        public float $z,
        public bool $isTop,
        public bool $isFound,
        public float $from,
        public float $to,
        public ?float $length,
        public float $packing,
        public string $words,
        public ?string $warning = null,
    ) {
    }
}
