<?php

declare(strict_types=1);

namespace Incastro\Survey\Things;

use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Rules\Edits;
use Incastro\Rules\WayOut;

/**
 * A thing on a face, placed by its two distances from fixed faces, mm.
 *
 * On a wall `along` is measured from the left or the right corner as one faces it to the thing's near edge, `up` from the
 * floor or the ceiling. On the floor or the ceiling `along` runs from an end of the back wall, and `up` is the distance out
 * from it. `standsOut` is how far it stands out from the face; a round thing has its diameter as width and height.
 * `reachFrom` is where a hand comes from to what must stay reachable (front, above, side, inside the furniture; null: as
 * the furniture allows), `behindFoot` and `behindHead` are how far the face of a post lies behind a straightedge along its wall; null where
 * nobody took that; `fall` is how much lower one end of a pipe along a wall lies than the other; `handRoom` the free room it needs there, `clearance` what is kept free around.
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
        public ?Polygon $traced = null,
        public bool $isHot = false,
        public ?Carries $carries = null,
        public ?Bears $bears = null,
        public ?float $behindFoot = null,
        public ?float $behindHead = null,
        public ?float $fall = null,
    ) {
    }

    /** Whether it stands in anybody's way: what will be removed does not, nor does a stud inside its wall. */
    public function isInTheWay(): bool
    {
        return $this->rule !== ThingRule::Removed && $this->kind !== ThingKind::Stud;
    }

    public function isCeilingVent(): bool
    {
        return $this->kind === ThingKind::Vent && $this->face === Face::Ceiling;
    }

    /** @return list<WayOut> to have it removed, where that may be */
    public function removal(): array
    {
        return $this->kind->isRemovable() ? [new WayOut(ucfirst($this->name).' will be removed', Edits::thing($this->id)->with('rule', ThingRule::Removed->value))] : [];
    }

    /** The same, round and of this radius about a place of the floor: along from the left end of the back wall, and out from it. */
    public function placedAs(Point $centre, float $radius): self
    {
        return new self(...['along' => $centre->x - $radius, 'fromRight' => false, 'up' => $centre->y - $radius, 'width' => 2 * $radius, 'height' => 2 * $radius] + get_object_vars($this));
    }

    public function tracedAs(Polygon $section): self
    {
        return new self(...['traced' => $section] + get_object_vars($this));
    }

    /** Where its left edge lies from the wall's left end, mm, on a face so long. */
    public function left(float $length): float
    {
        return $this->fromRight ? $length - $this->along - $this->width : $this->along;
    }

    /** How high its foot lies, mm, under a ceiling and over a floor so high. */
    public function foot(float $ceiling, float $floor = 0.0): float
    {
        return $this->fromCeiling ? $ceiling - $this->up - $this->height : $floor + $this->up;
    }

    /** "up", "along" its wall, or "out" of it. */
    public function runs(): string
    {
        return $this->face !== Face::Wall ? 'up' : $this->direction ?? $this->kind->usuallyRuns();
    }

    /** Its section across the direction in which it runs, from its own lower left corner; null for a plain rectangle. */
    public function section(): ?Polygon
    {
        if ($this->traced !== null || ! $this->kind->isRound()) {
            return $this->traced;
        }
        [$wide, $high] = $this->sectionSize();

        return Polygon::oval(new Point($wide / 2, $high / 2), $wide, $high);
    }

    /**
     * How large its section is, mm: across and out where it runs up, out and up where it runs along, else as one faces it.
     *
     * @return array{float, float}
     */
    public function sectionSize(): array
    {
        return match (true) {
            $this->face !== Face::Wall || $this->runs() === 'out' => [$this->width, $this->height],
            $this->runs() === 'up' => [$this->width, $this->kind->isRound() ? $this->width : $this->standsOut],
            default => [$this->standsOut, $this->height],
        };
    }
}
