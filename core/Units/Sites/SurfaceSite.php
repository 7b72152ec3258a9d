<?php

declare(strict_types=1);

namespace Incastro\Units\Sites;

use Incastro\Fit\FittedSurface;
use Incastro\Fit\Terms;
use Incastro\Fit\ThingPlace;
use Incastro\Geometry\Block;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Pieces\Piece;
use Incastro\Survey\Room\WallKind;
use Incastro\Survey\Things\Thing;
use Incastro\Survey\Things\ThingKind;
use Incastro\Units\Make\Workshop;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/** The part of a wall that something lies on: x along it from its left end, y out from where it begins, z up from its foot; mm. */
final readonly class SurfaceSite
{
    /** In masonry two plugs stand no farther apart, mm and inches. */
    private const PLUGS = [600.0, 24.0];

    public Workshop $make;

    /** @param StandsAgainst|null $against  what stands against its wall, where that is known */
    public function __construct(public FittedSurface $place, public Terms $terms, public ?StandsAgainst $against = null)
    {
        $this->make = new Workshop($place->surface->id, $place->mark, $terms->materials, $terms->format);
    }

    /** @param array<string, mixed> $but  properties of its place that are others */
    public function placedOtherwise(array $but): self
    {
        return new self(new FittedSurface(...$but + get_object_vars($this->place)), $this->terms, $this->against);
    }

    /** A piece whose blank has its corner at a place of the surface, its thickness out of it. */
    public function placed(Piece $piece, float $x, float $y, float $z, Way $length, Way $width, Part $part): Placed
    {
        return new Placed($piece, Pose::at($this->place->u + $x, $this->place->v + $y, $this->place->z + $z, $length, $width, Way::Out), $part, $this->place->surface->id);
    }

    /** The same with its thickness some other way. */
    public function placedTo(Piece $piece, float $x, float $y, float $z, Way $length, Way $width, Way $thickness, Part $part): Placed
    {
        return new Placed($piece, Pose::at($this->place->u + $x, $this->place->v + $y, $this->place->z + $z, $length, $width, $thickness), $part, $this->place->surface->id);
    }

    /** @return list<array{Thing, Block}> what there is of these kinds on its wall, in the frame of that */
    public function things(ThingKind ...$kinds): array
    {
        return (new ThingPlace($this->terms->room, $this->place->frame))->onItsWall(...$kinds);
    }

    /** What its wall is made of where it takes plugs: nothing on it asks for studs then; null where it has some, or nobody told. */
    public function masonry(): ?WallKind
    {
        $kind = $this->place->host === null ? $this->terms->madeOf($this->place->frame->wall) : null;

        return $kind?->hasStuds() === false ? $kind : null;
    }

    /** How many plugs in masonry hold something so long: at both its ends, and none farther apart than that. */
    public function plugs(Length $long): int
    {
        return 1 + (int) ceil($long->toDouble() / $this->terms->rules->either(...self::PLUGS)->toDouble() - 1e-9);
    }

    /** @return list<Block> the studs of the wall that somebody noted, in its frame, from left to right */
    public function studs(): array
    {
        $studs = array_column($this->things(ThingKind::Stud), 1);
        usort($studs, fn (Block $a, Block $b) => $a->u0 <=> $b->u0);

        return $studs;
    }
}
