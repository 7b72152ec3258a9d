<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Bed;

use Incastro\Geometry\Pose;
use Incastro\Geometry\Way;
use Incastro\Measure\Length;
use Incastro\Measure\Working;
use Incastro\Pieces\Grain;
use Incastro\Pieces\Works\Finish;
use Incastro\Pieces\Works\Finished;
use Incastro\Rules\Materials\Purpose;
use Incastro\Survey\Path;
use Incastro\Units\Assembly;
use Incastro\Units\Joint;
use Incastro\Units\JointKind;
use Incastro\Units\Make\Workshop;
use Incastro\Units\Part;
use Incastro\Units\Placed;

/**
 * Boards that fill the gap between a mattress and the walls it does not reach: two on edge and one flat on them, level with the mattress,
 * at its right end and behind it, as far as its play. Only a gap that could hold a head is filled.
 */
final readonly class MattressFiller
{
    /** It goes in beside a wall, mm. */
    private const PLAY = 2.0;

    /** Left for the mattress, along the run and from the wall out, mm. */
    private float $beside;

    private float $behind;

    /** Where its right end may come to: clear of a wall that leans in over the height of the mattress. */
    private float $right;

    public function __construct(private Lying $lying, private Workshop $make, private float $board)
    {
        $span = $lying->run->frame->span(new Path($lying->back, $lying->face, $lying->deck, $lying->top()));
        $this->right = min($lying->from + $lying->long, $span->left + $span->width) - self::PLAY;
        $this->beside = $this->wide($this->right - $lying->from - $lying->alongU->toDouble());
        $this->behind = $this->wide($lying->deep - $lying->alongV->toDouble());
    }

    /** What it leaves of the deck for the mattress. */
    public function left(): Lying
    {
        $l = $this->lying;

        return new Lying(...[
            'long' => $this->beside > 0.0 ? $this->right - $this->beside - $l->from : $l->long,
            'back' => $l->back + $this->behind,
            'deep' => $l->deep - $this->behind,
        ] + get_object_vars($l));
    }

    public function build(): Assembly
    {
        $l = $this->lying;
        $parts = [];
        if ($this->behind > 0.0) {
            $parts[] = $this->bolster('behind', 'along the wall behind', $this->right - $l->from, $this->behind, $l->from, $l->back, Way::Right);
        }
        if ($this->beside > 0.0) {
            $parts[] = $this->bolster('beside', 'from behind to the front', $l->deep - $this->behind, $this->beside, $this->right - $this->beside, $l->back + $this->behind, Way::Out);
        }

        return Assembly::all(...$parts);
    }

    /** How wide the filler of a gap is; nothing where there is none to fill, or no room for its boards. */
    private function wide(float $gap): float
    {
        $wide = $gap - $this->lying->play->toDouble();

        return MattressRoom::isTrap($gap) && $wide >= 2 * $this->board ? floor($wide) : 0.0;
    }

    private function bolster(string $where, string $along, float $long, float $wide, float $u, float $v, Way $way): Assembly
    {
        $l = $this->lying;
        $across = $way === Way::Right ? Way::Out : Way::Right;
        $length = Working::start($along, Length::ofDouble($long));
        $high = Working::start('mattress', $l->thick)->minus('the board on them', Length::ofDouble($this->board));
        $top = $this->make->inner("filler-$where-top", 'Filler beside the mattress', $length, Working::start('gap less the play', Length::ofDouble($wide)), Purpose::Top, Grain::Length, [new Finished('long, towards the mattress', Finish::Banded)], ['screwed down to its boards on edge']);
        $placed = [new Placed($top, Pose::at($u, $v, $l->deck + $high->result->toDouble(), $way, $across, Way::Up), Part::Loose, $l->id)];
        $joints = [];
        foreach ([0.0, $wide - $this->board] as $i => $off) {
            $edge = $this->make->inner("filler-$where-".($i + 1), 'Filler, on edge', $length, $high, Purpose::Top, Grain::Length, [], ['on edge on the deck']);
            [$x, $y] = $way === Way::Right ? [$u, $v + $off] : [$u + $off, $v];
            $placed[] = new Placed($edge, Pose::at($x, $y, $l->deck, $way, Way::Up, $across), Part::Loose, $l->id);
            $joints[] = new Joint($top->key, $edge->key, JointKind::Screws, 'fillers beside mattresses');
        }

        return new Assembly($placed, $joints);
    }
}
