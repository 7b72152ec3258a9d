<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Fit\Closing\Side;
use Incastro\Geometry\Point;
use Incastro\Pieces\Works\Bevel;
use Incastro\Pieces\Works\Scribed;
use Incastro\Survey\Room\RunFrame;

/**
 * How the edge of a piece in the plane of the face is worked where it meets the house. It is scribed at its face; where the
 * surface comes nearer through its thickness it is bevelled, or its other face would touch first.
 */
final readonly class Scribing
{
    /** Nearer by less than this through the whole thickness is lost in the scribing, mm. */
    private const LEAST = 0.05;

    /**
     * @param  float  $face  v of the plane that is scribed at, mm
     * @param  float  $behind  how far back from it the piece reaches; less than 0 where it lies before it
     */
    public function __construct(private RunFrame $frame, private float $face, private float $behind)
    {
    }

    /** @param list<Point> $line of the edge, in the piece's own x and y */
    public function ceiling(string $edge, float $from, float $to, array $line): Scribed
    {
        $nearer = max(array_map(fn (float $u) => $this->frame->ceilingAt($u, $this->face) - $this->frame->ceilingAt($u, $this->face - $this->behind), [$from, $to]));

        return $this->scribed($edge, Side::Top, $nearer, $line);
    }

    /** @param list<Point> $line of the edge, in the piece's own x and y */
    public function wall(string $edge, Side $side, float $foot, float $head, array $line): Scribed
    {
        $away = $side === Side::Left ? -1.0 : 1.0;
        $at = fn (float $v, float $z): float => $away * ($side === Side::Left ? $this->frame->leftAt($v, $z) : $this->frame->rightAt($v, $z));
        $nearer = max(array_map(fn (float $z) => $at($this->face, $z) - $at($this->face - $this->behind, $z), $this->frame->bendsBetween($foot, $head)));

        return $this->scribed($edge, $side, $nearer, $line);
    }

    /** @param list<Point> $line */
    private function scribed(string $edge, Side $side, float $nearer, array $line): Scribed
    {
        $slope = $nearer / abs($this->behind);
        // The origin of a piece in the face lies on its back, that of one before it on the plane that is scribed at.
        $bevel = $nearer > self::LEAST ? new Bevel($line, $slope, $this->behind < 0.0) : null;

        return new Scribed($edge, $side, atan($slope), $bevel);
    }
}
