<?php

declare(strict_types=1);

namespace Incastro\Survey\Things;

/**
 * A thing on a face, placed by its two distances from fixed faces, mm.
 *
 * On a wall `along` is measured from the left or the right corner as one faces it to the thing's near edge, `up` from the
 * floor or the ceiling. On the floor or the ceiling `along` runs from an end of the back wall, and `up` is the distance out
 * from it. `standsOut` is how far it stands out from the face; a round thing has its diameter as width and height.
 * `reachFrom` is where a hand comes from to what must stay reachable (front, above, side, inside the furniture; null: as
 * the furniture allows), `handRoom` the free room it needs there, `clearance` what is kept free around.
 */
final readonly class Thing
{
    public function __construct(
        public string $id,
        public ThingKind $kind,
        public string $name,
        public Face $face,
        public int $wall,
        public float $along,
        public bool $fromRight,
        public float $up,
        public bool $fromCeiling,
        public float $width,
        public float $height,
        public float $standsOut,
        public ThingRule $rule,
        public ?string $reachFrom,
        public float $handRoom,
        public float $clearance,
        public ?string $swing,
        public ?string $direction,
    ) {
    }

    /** Where its left edge lies from the wall's left end, mm, on a face so long. */
    public function left(float $length): float
    {
        return $this->fromRight ? $length - $this->along - $this->width : $this->along;
    }

    /** Where its foot lies above the floor, mm, under a ceiling so high. */
    public function foot(float $height): float
    {
        return $this->fromCeiling ? $height - $this->up - $this->height : $this->up;
    }
}
