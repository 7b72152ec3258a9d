<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Geometry\Outline;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Pieces\Works\Work;
use Incastro\Rules\Materials\Catalogue;
use Incastro\Rules\Materials\Purpose;

/** Makes the pieces of one owner (a box, a plinth): keys and marks from its id and mark, sizes rounded once by role. */
final readonly class Workshop
{
    public function __construct(
        private string $owner,
        private string $mark,
        private Catalogue $materials,
        private LengthFormat $format,
    ) {
    }

    /** The same for pieces that belong to another cell of the same unit: their keys follow it. */
    public function of(string $owner): self
    {
        return new self($owner, $this->mark, $this->materials, $this->format);
    }

    /**
     * A piece that goes into a space: its finished sizes are rounded down.
     *
     * @param  list<Work>  $works
     * @param  list<string>  $joints
     */
    public function inner(string $role, string $name, Working $length, Working $width, Purpose $purpose, Grain $grain, array $works = [], array $joints = [], ?Outline $outline = null, ?string $mark = null): Piece
    {
        return $this->piece($role, $name, $length->roundedDown($this->format), $width->roundedDown($this->format), $purpose, $grain, $outline, $works, $joints, $mark);
    }

    /**
     * A piece of something that moves in slides or reveals: a whole millimetre is too coarse for them.
     *
     * @param  list<Work>  $works
     * @param  list<string>  $joints
     */
    public function moving(string $role, string $name, Working $length, Working $width, Purpose $purpose, Grain $grain, array $works = [], array $joints = [], ?string $mark = null): Piece
    {
        return $this->piece($role, $name, $length->roundedDown($this->format->fine()), $width->roundedDown($this->format->fine()), $purpose, $grain, null, $works, $joints, $mark);
    }

    /**
     * A moving piece that is no rectangle: its sizes were decided with its outline.
     *
     * @param  list<Work>  $works
     * @param  list<string>  $joints
     */
    public function shaped(string $role, string $name, Working $length, Working $width, Purpose $purpose, Outline $outline, array $works, array $joints, string $mark, Grain $grain = Grain::Length): Piece
    {
        return $this->piece($role, $name, $length, $width, $purpose, $grain, $outline, $works, $joints, $mark);
    }

    /**
     * A piece that covers a gap and is cut to it: its blank is rounded up.
     *
     * @param  list<Work>  $works
     * @param  list<string>  $joints
     */
    public function covering(string $role, string $name, Working $length, Working $width, Purpose $purpose, ?Outline $outline, array $works = [], array $joints = []): Piece
    {
        return $this->piece($role, $name, $length->roundedUp($this->format), $width->roundedUp($this->format), $purpose, Grain::Length, $outline, $works, $joints, null);
    }

    /**
     * @param  list<Work>  $works
     * @param  list<string>  $joints
     */
    private function piece(string $role, string $name, Working $length, Working $width, Purpose $purpose, Grain $grain, ?Outline $outline, array $works, array $joints, ?string $mark): Piece
    {
        $material = $this->materials->for($purpose);

        return new Piece(
            $this->owner.':'.$role,
            $this->mark.'-'.($mark ?? $role),
            $name,
            $length,
            $width,
            $material->thickness,
            $purpose,
            $material,
            $grain,
            $outline ?? Outline::rectangle(0.0, 0.0, $length->result->toDouble(), $width->result->toDouble()),
            $works,
            $joints,
        );
    }
}
