<?php

declare(strict_types=1);

namespace Incastro\Survey;

use Incastro\Survey\Plan\PlanKind;
use Incastro\Survey\Space\SpaceShape;

/** The texture of a space's walls, floor and ceiling: one for all, and others for walls that differ. */
final readonly class Textures
{
    /** Arms of an angle gauge, mm: so far from the corner it feels the plaster. */
    private const ARM = 250.0;

    /** A hook in a corner filled with plaster stands off it: across the corner by so much of a place's σ, along a wall by less. */
    private const HOOKED = 2.0;

    private const ALONG = 0.6;

    /** A floor is smoother than a wall, by this share. */
    private const FLOOR = 0.7;

    /**
     * @param  float  $space  σ of one place of a surface off its own plane, mm
     * @param  array<int, float>  $walls  of walls that differ, by edge
     * @param  bool  $isStated  whether a person said so
     */
    public function __construct(private float $space = 0.0, private array $walls = [], public bool $isStated = true)
    {
    }

    /**
     * As a person said it: ordinary plaster where nobody did.
     *
     * @param  list<string>  $walls  by edge; “same”: as the space
     */
    public static function stated(?Texture $space, array $walls): self
    {
        $own = array_filter(array_map(Texture::tryFrom(...), $walls));

        return new self(($space ?? Texture::Ordinary)->sigma(), array_map(fn (Texture $texture) => $texture->sigma(), $own), $space !== null);
    }

    /** By which readings are accused: nobody is accused of what ordinary plaster does. A plane is meant as one. */
    public function accusing(): self
    {
        $wider = fn (float $sigma): float => $sigma === 0.0 ? 0.0 : max($sigma, Texture::Ordinary->sigma());

        return new self($wider($this->space), array_map($wider, $this->walls), $this->isStated);
    }

    /** σ of one place of a wall off its own plane, mm. */
    public function of(int $wall): float
    {
        return $this->walls[$wall] ?? $this->space;
    }

    /** σ of one place of the ceiling, or of the floor, off its plane, mm. */
    public function ofCeiling(): float
    {
        return $this->space;
    }

    /** What plaster of one texture all round adds to the σ of a reading of a plan, in mm; of a corner in degrees. */
    public function ofPlan(PlanKind $kind): float
    {
        return match ($kind) {
            PlanKind::Diagonal => self::HOOKED * $this->space,
            PlanKind::Side => self::ALONG * M_SQRT2 * $this->space,
            PlanKind::Tie, PlanKind::Offset => hypot(self::ALONG, 1.0) * $this->space,
            PlanKind::Corner => rad2deg(M_SQRT2 * $this->space / self::ARM),
            PlanKind::ThreeFourFive => M_SQRT2 * $this->space,
        };
    }

    /** What the plaster adds to the σ of a reading, in mm; of an angle in degrees. */
    public function sigma(Slot $slot, SpaceShape $shape): float
    {
        $wall = (int) $slot->wall;
        $corner = fn (int $at): float => max($this->of($shape->before($at)), $this->of($at));
        $room = $this->space;

        return match ($slot->kind) {
            ReadingKind::Diagonal => self::HOOKED * hypot($corner((int) $slot->from), $corner((int) $slot->to)) / M_SQRT2,
            ReadingKind::Side, ReadingKind::Depth => self::ALONG * hypot($corner((int) $slot->from), $corner((int) $slot->to)),
            ReadingKind::Tie => hypot(self::ALONG * $corner((int) $slot->at), $this->of($wall)),
            ReadingKind::Width => $slot->between === null ? 0.0 : hypot($this->of($slot->between[0]), $this->of($slot->between[1])),
            // A level touches its wall in two places, an arm of a gauge likewise.
            ReadingKind::Plumb => M_SQRT2 * $this->of($wall),
            ReadingKind::Corner => rad2deg(hypot($this->of($shape->before((int) $slot->at)), $this->of((int) $slot->at)) / self::ARM),
            ReadingKind::ThreeFourFive => M_SQRT2 * $corner((int) $slot->at),
            ReadingKind::Height => hypot($room, self::FLOOR * $room),
            ReadingKind::Fall => $slot->onCeiling ? M_SQRT2 * $room : M_SQRT2 * self::FLOOR * $room,
            ReadingKind::Slope => rad2deg(M_SQRT2 * $room / self::ARM),
            // A rule from a straightedge reads the very place.
            ReadingKind::Offset, ReadingKind::Skirting, ReadingKind::Rise => 0.0,
        };
    }
}
