<?php

declare(strict_types=1);

namespace Incastro\Units;

use Incastro\Pieces\Piece;

/**
 * What sizes of pieces are good for, so that one as it was cut can be judged: something between boards, in mm, as a constant plus
 * sizes times factors, and the limits in which it works.
 */
final readonly class SizeUse
{
    /**
     * @param  string  $name  "play of a shelf"
     * @param  string  $place  the tier it is in
     * @param  array<string, float>  $factors  of sizes: by a piece's key and ".length" or ".width"
     * @param  string  $sentence  what goes wrong beyond its limits
     */
    public function __construct(
        public string $name,
        public string $place,
        public float $constant,
        public array $factors,
        public float $least,
        public float $most,
        public string $sentence,
    ) {
    }

    /**
     * What it comes to with pieces as they are; null where one of them is not there.
     *
     * @param  array<string, Piece>  $pieces  by key
     */
    public function value(array $pieces): ?float
    {
        $value = $this->constant;
        foreach ($this->factors as $size => $factor) {
            $dot = (int) strrpos($size, '.');
            $piece = $pieces[substr($size, 0, $dot)] ?? null;
            if ($piece === null) {
                return null;
            }
            $value += $factor * $piece->size(substr($size, $dot + 1))->result->toDouble();
        }

        return $value;
    }
}
