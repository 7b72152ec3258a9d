<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Bed;

use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Materials\Purpose;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/** Boards over and round a bed, put together from its own left and the wall behind it. */
final readonly class CanopyParts
{
    public function __construct(private BedSizes $sizes)
    {
    }

    public function piece(string $role, string $name, Working $length, Working $width, string $how, Purpose $of = Purpose::Carcass): Piece
    {
        return $this->sizes->site->make->inner($role, $name, $length, $width, $of, Grain::Length, $of === Purpose::Carcass ? [] : [new Finished('front, long', Finish::Banded)], [$how]);
    }

    public function put(Piece $piece, float $x, float $y, float $z, Way $length, Way $width, Way $thickness, Part $part = Part::Body): Placed
    {
        $cell = $this->sizes->site->cell;

        return new Placed($piece, Pose::at($this->sizes->from() + $x, $this->sizes->back + $y, $z, $length, $width, $thickness), $part, $cell->tier->id);
    }

    /** @param array{float, float} $size mm and inches */
    public function is(array $size): Length
    {
        return $this->sizes->site->terms->rules->either(...$size);
    }
}
