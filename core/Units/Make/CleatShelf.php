<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Fit\FittedShelf;
use Incastro\Fit\Terms;
use Incastro\Geometry\Outline;
use Incastro\Geometry\Point;
use Incastro\Geometry\Polygon;
use Incastro\Geometry\Pose;
use Incastro\Geometry\Vector;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Piece;
use Incastro\Pieces\Works\CutToWalls;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Pieces\Works\TippedIn;
use Incastro\Rules\Edits;
use Incastro\Rules\Materials\Purpose;
use Incastro\Strength\Bearing;
use Incastro\Strength\Board;
use Incastro\Strength\ShelfLoad;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/** A shelf cut to its own four corners, and the cleats that carry it on three sides, each along its own edge of the shelf. */
final readonly class CleatShelf
{
    /** Height of a cleat, mm. */
    public const CLEAT = 30;

    /** A strip ends so far before the walls, which may lean, mm. */
    private const STRIP_PLAY = 4.0;

    /** A cleat shorter than this carries nothing, mm. */
    private const LEAST = 60.0;

    /** @var array{Point, Point, Point, Point} left back, right back, right front, left front */
    private array $corners;

    private float $t;

    public function __construct(private FittedShelf $shelf, private Workshop $make, private Terms $terms, private ShelfLoad $load, private Length $strip)
    {
        $count = count($shelf->outline);
        $this->corners = [$shelf->outline[0], $shelf->outline[$count - 3], $shelf->outline[$count - 2], $shelf->outline[$count - 1]];
        $this->t = $terms->board();
    }

    public function build(): Assembly
    {
        $shelf = $this->shelf();
        $placed = [$shelf, ...$this->cleats()];
        $joints = array_map(fn (Placed $cleat) => new Joint($shelf->piece->key, $cleat->piece->key, JointKind::Screws, 'shelves to cleats'), array_slice($placed, 1));
        $screws = new Screws($this->terms->materials, $this->terms->format);
        $bought = array_map(fn (Placed $cleat) => $screws->toWall($cleat->piece, 'cleats to the wall'), array_slice($placed, 1));
        $strip = $this->strip->isZero() ? null : $this->strip();
        if ($strip !== null) {
            $placed[] = $strip;
            $joints[] = new Joint($strip->piece->key, $shelf->piece->key, JointKind::Glue, 'strips under shelves');
        }

        $over = Working::start('from where the floor is highest to its underside', Length::ofDouble($this->shelf->z));

        return new Assembly($placed, $joints, $bought, ["Cleats of {$shelf->piece->mark}, their upper edges" => $over], bearings: $this->bearing($shelf));
    }

    /** Under the front edge, before the cleats at its ends. */
    private function strip(): Placed
    {
        [$leftBack, $rightBack, $rightFront, $leftFront] = $this->corners;
        $thick = $this->terms->materials->frame->thickness->toDouble();
        $front = min($leftFront->y, $rightFront->y);
        // Beside walls that run together inwards it is as short as its rear edge.
        $at = fn (Point $back, Point $end, float $y): float => $end->x + ($back->x - $end->x) * ($end->y - $y) / max(1.0, $end->y - $back->y);
        $from = max($leftFront->x, $at($leftBack, $leftFront, $front - $thick)) + self::STRIP_PLAY;
        $to = min($rightFront->x, $at($rightBack, $rightFront, $front - $thick)) - self::STRIP_PLAY;
        $wide = Working::start('height of the strip', $this->strip);
        $length = Working::start('between the walls, with play', Length::ofDouble(max(1.0, $to - $from)));
        $piece = $this->make->inner("strip-{$this->shelf->index}", 'Strip', $length, $wide, Purpose::Frame, Grain::Length, [], ['glued and screwed under the front edge of its shelf']);

        return new Placed($piece, Pose::at($from, $front - $thick, $this->shelf->z - $piece->width->result->toDouble(), Way::Right, Way::Up, Way::Out), Part::Loose, $this->shelf->tierId);
    }

    /**
     * Between the cleats at its ends, its back on one.
     *
     * @return list<Bearing>
     */
    private function bearing(Placed $shelf): array
    {
        $of = $this->terms->materials->carcass;
        $frame = $this->terms->materials->frame;
        if ($of->wood === null) {
            return [];
        }
        [, , $rightFront, $leftFront] = $this->corners;
        $board = new Board($of->wood->strength(), $of->density, max(1.0, $this->shelf->depth->result->toDouble()), $this->t, max(1.0, $rightFront->x - $leftFront->x - 2 * $this->t), $this->load->aMetre());
        $strip = $frame->wood === null ? null : [$frame->thickness->toDouble(), $frame->wood->strength()];
        $board = $strip === null || $this->strip->isZero() ? $board : $board->stiffened($strip[0], $this->strip->toDouble(), $strip[1], $this->t);

        return [new Bearing($shelf->piece->mark, $this->shelf->tierId, $board, $this->load->words(), Edits::tier($this->shelf->tierId), null, null, $strip)];
    }

    private function shelf(): Placed
    {
        $works = [new CutToWalls(), new Finished('front, long', Finish::Banded)];
        if ($this->shelf->tipping !== null) {
            $works[] = new TippedIn($this->shelf->tipping->angle, $this->shelf->tipping->height, $this->shelf->tipping->isLikely);
        }
        $outline = new Outline(new Polygon($this->shelf->outline));
        [$u, , $v] = $outline->bounds();
        $piece = $this->make->covering("shelf-{$this->shelf->index}", 'Shelf', $this->shelf->length, $this->shelf->depth, Purpose::Carcass, $outline->moved(-$u, -$v), $works, ['on cleats']);

        return new Placed($piece, Pose::at($u, $v, $this->shelf->z, Way::Right, Way::Out, Way::Up), Part::Loose, $this->shelf->tierId);
    }

    /** @return list<Placed> along both ends and the back, where there is room for them */
    private function cleats(): array
    {
        [$leftBack, $rightBack, $rightFront, $leftFront] = $this->corners;
        // The back cleat lies straight before the farthest that the wall behind comes out.
        $back = max(-INF, ...array_map(fn (Point $point) => $point->y, array_slice($this->shelf->outline, 0, -2)));
        $cleats = [];
        $sides = ['left' => [$leftBack, $leftFront, Way::Right], 'right' => [$rightBack, $rightFront, Way::Left]];
        foreach ($sides as $at => [$from, $to, $in]) {
            $long = $from->distanceTo($to);
            if ($long < self::LEAST) {
                continue;
            }
            $way = new Vector(($to->x - $from->x) / $long, ($to->y - $from->y) / $long, 0.0);
            // Beside the back cleat, up to the shelf's front less a board, or behind the strip there, beside which a slanted one ends sooner.
            $strip = ($this->terms->materials->frame->thickness->toDouble() + 2.0 + $this->t * abs($way->x)) / max(0.1, $way->y);
            $before = $this->strip->isZero() ? $this->t : max($this->t, $strip);
            $start = ($back + $this->t - $from->y) / max(0.1, $way->y) + $this->t * abs($way->x / max(0.1, $way->y));
            $length = Working::start('depth of the shelf, less its front', Length::ofDouble(max(1.0, $long - $before - $start)));
            if ($long - $before - $start > self::LEAST) {
                $cleat = $this->cleat($at, $length, ['screwed to the wall, level']);
                $thick = $in === Way::Right ? new Vector($way->y, -$way->x, 0.0) : new Vector(-$way->y, $way->x, 0.0);
                $corner = new Vector($from->x, $from->y, $this->shelf->z - self::CLEAT);
                $cleats[] = new Placed($cleat, new Pose($corner->plus($way->times($start)), $way, Way::Up->vector(), $thick), Part::Cleat, $this->shelf->tierId);
            }
        }
        $end = fn (Point $from, Point $to, float $v): float => $from->x + ($to->x - $from->x) * ($v - $from->y) / max(1.0, $to->y - $from->y);
        $left = max($end($leftBack, $leftFront, $back), $end($leftBack, $leftFront, $back + $this->t));
        $right = min($end($rightBack, $rightFront, $back), $end($rightBack, $rightFront, $back + $this->t));
        $length = Working::start('between the ends of the shelf', Length::ofDouble(max(3.0, $right - $left)))->minus('play', Length::ofMillimetres(2));
        if ($right - $left > self::LEAST) {
            $piece = $this->cleat('back', $length, ['screwed to studs, level']);
            $cleats[] = new Placed($piece, Pose::at($left + 1.0, $back, $this->shelf->z - self::CLEAT, Way::Right, Way::Up, Way::Out), Part::Cleat, $this->shelf->tierId);
        }

        return $cleats;
    }

    /** @param list<string> $joints */
    private function cleat(string $at, Working $length, array $joints): Piece
    {
        return $this->make->inner("cleat-$at-{$this->shelf->index}", 'Cleat', $length, Working::start('cleat width', Length::ofMillimetres(self::CLEAT)), Purpose::Carcass, Grain::Any, [], $joints);
    }
}
