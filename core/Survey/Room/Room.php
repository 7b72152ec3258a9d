<?php

declare(strict_types=1);

namespace Incastro\Survey\Room;

use Incastro\Geometry\Point;
use Incastro\Survey\ClearSpan;
use Incastro\Survey\Network\Adjusted;
use Incastro\Survey\Network\Normal;
use Incastro\Survey\Path;
use Incastro\Survey\Plan\PlanNetwork;
use Incastro\Survey\Slot;
use Incastro\Survey\Space\SpaceShape;
use Incastro\Survey\Textures;
use Incastro\Survey\Things\Thing;

/**
 * A space as found: corners, walls, floor, ceiling, and the things on them. Double millimetres; plan coordinates have the
 * first corner at the origin and the second on the positive x axis, z goes up from the highest corner of the floor.
 */
final readonly class Room
{
    /** Plaster that adds less is nothing, mm. */
    private const SHOWN = 0.05;

    /** Sides of the outline of a door's swing. */
    private const SWING_STEPS = 8;

    /** @var list<Point> at the plan's height */
    public array $corners;

    /**
     * @param  list<Thing>  $things
     * @param  list<Slot>  $offsets  stations of straightedges that were read by rule, and levels held to the ceiling
     */
    public function __construct(
        public SpaceShape $shape,
        public RoomNetwork $network,
        public Adjusted $adjusted,
        public Levels $levels,
        public ?float $heightInFront,
        public float $heightInFrontSigma,
        public float $skirtingHeight,
        public float $skirtingThickness,
        public array $things,
        public array $offsets = [],
        private Frames $frames = new Frames(),
        public Textures $textures = new Textures(),
        private ToolsAlone $tools = new ToolsAlone(),
    ) {
        $this->corners = array_map(fn (int $corner) => PlanNetwork::at($adjusted->unknowns, $corner), array_keys($shape->edges));
    }

    /**
     * The same room with other things on its faces.
     *
     * @param  list<Thing>  $things
     */
    public function with(array $things): self
    {
        return new self($this->shape, $this->network, $this->adjusted, $this->levels, $this->heightInFront, $this->heightInFrontSigma, $this->skirtingHeight, $this->skirtingThickness, $things, $this->offsets, $this->frames, $this->textures, $this->tools);
    }

    /** σ of a corner's place, mm. */
    public function cornerSigma(int $corner): float
    {
        return sqrt(array_sum(array_map(fn (int $i) => $this->adjusted->covariance[$i][$i], PlanNetwork::of($corner))));
    }

    public function edgeLength(int $edge): float
    {
        return $this->corners[$edge]->distanceTo($this->corners[$this->shape->after($edge)]);
    }

    /** A corner at a height above the floor. */
    public function cornerAt(int $corner, float $z): Point
    {
        return $this->network->corner($this->adjusted->unknowns, $corner, $z);
    }

    /** How far a wall stands into the room off the line of its corners, so far from its left end as one faces it. */
    public function wallOffset(int $wall, float $along, float $z): float
    {
        return isset($this->network->fields[$wall]) ? $this->network->fields[$wall]->at($this->adjusted->unknowns, $this->network->station($wall, $along), $z) : 0.0;
    }

    /** σ of that offset; that of an assumption where nobody measured the wall. */
    public function wallOffsetSigma(int $wall, float $along, float $z): ?float
    {
        return isset($this->network->fields[$wall]) ? $this->adjusted->sigmaOf($this->network->fields[$wall]->weights($this->network->station($wall, $along), $z)) : null;
    }

    /** A place on a wall's surface, so far from its left end as one faces it, at a height. */
    public function wallPoint(int $wall, float $along, float $z): Point
    {
        return $this->network->wallPoint($this->adjusted->unknowns, $wall, $along, $z);
    }

    /** The frame of a run along a wall. */
    public function frame(int $wall = 0): RunFrame
    {
        return $this->frames->of($this, $wall);
    }

    /**
     * What the leaf of a door sweeps of the plan when it opens into the room, convex; null where it slides.
     *
     * @return non-empty-list<Point>|null
     */
    public function swing(Thing $door): ?array
    {
        if ($door->swing !== 'left' && $door->swing !== 'right') {
            return null;
        }
        $frame = $this->frame($door->wall);
        $left = $door->left($frame->length());
        [$hinge, $turns] = $door->swing === 'left' ? [$left, 1.0] : [$left + $door->width, -1.0];
        $points = [$frame->point($hinge, 0.0)];
        for ($i = 0; $i <= self::SWING_STEPS; $i++) {
            $angle = M_PI / 2 * $i / self::SWING_STEPS;
            $points[] = $frame->point($hinge + $turns * $door->width * cos($angle), $door->width * sin($angle));
        }

        return $points;
    }

    /**
     * A clear span's doubt: what of it the tools leave, were its walls planes, and what their plaster adds, mm.
     *
     * @return array{float, float}
     */
    public function sharesOfDoubt(ClearSpan $span): array
    {
        $sigma = $this->tools->sigmaOf($span->weights);
        $tools = $sigma === null ? $span->doubt : min($span->doubt, Normal::ONE_SIDED_95 * $sigma);

        return $span->doubt - $tools < self::SHOWN ? [$span->doubt, 0.0] : [$tools, $span->doubt - $tools];
    }

    /** Clear span of a run along a path, with the places that bind (handbook, "The frame of a run, and clear span"). */
    public function span(RunFrame $frame, Path $path, bool $withSkirting = false): ClearSpan
    {
        return $frame->span($path, $withSkirting);
    }
}
