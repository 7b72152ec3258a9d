<?php

declare(strict_types=1);

namespace Incastro\Check;

use Incastro\Fit\Box;
use Incastro\Geometry\Block;
use Incastro\Geometry\Solid;
use Incastro\Survey\Room\RunFrame;

/**
 * The last leg of a box: stood up before its place it is slid home, straight back where the way is free, else in beside what stands before its place
 * and then along. What stands on that way has to come later.
 */
final readonly class Approach
{
    /** What lies beside the way no nearer than this is not met, mm. */
    private const TOUCH = 1.0;

    /** Depths at which the sides are looked at before a box, mm. */
    private const EVERY = 50.0;

    /** So far out of its place whatever way it came, mm: what is met there is met on every way. */
    private const NEAR = 100.0;

    /**
     * @param  list<Block>  $legs  what it sweeps, in the frame of its run
     * @param  list<Block>  $near  what it sweeps whatever way it came
     */
    private function __construct(private RunFrame $frame, private array $legs, private array $near)
    {
    }

    public static function of(Box $box, RunFrame $frame): self
    {
        $deep = $box->outerDepth()->toDouble();
        $from = $box->face();
        $to = min(max($from, $frame->mouth()), $from + $deep);
        $shift = 0.0;
        for ($v = $from + self::TOUCH; $v < $to; $v += self::EVERY) {
            $shift = max($shift, $frame->leftAt($v, $box->z) - $box->u);
            $right = $frame->rightAt($v, $box->z) - $box->right();
            $shift = $right < 0.0 && $shift <= self::TOUCH ? min($shift, $right) : $shift;
        }

        $shift = abs($shift) > self::TOUCH ? $shift : 0.0;

        return new self($frame, self::legs($box->block(), $shift, $to), self::legs($box->block(), $shift, min($to, $from + self::NEAR)));
    }

    /**
     * What a block sweeps that comes in so far beside its place, from so far out, and is slid along to it.
     *
     * @return list<Block>
     */
    public static function legs(Block $place, float $shift, float $out): array
    {
        $straight = new Block($place->u0 + $shift, $place->u1 + $shift, $place->v0, max($place->v1, $out), $place->z0, $place->z1);

        return $shift === 0.0 ? [$straight] : [$straight, new Block(min($place->u0, $place->u0 + $shift), max($place->u1, $place->u1 + $shift), $place->v0, $place->v1, $place->z0, $place->z1)];
    }

    /** Whether it would run into something that stands in its place already; `always`: on every way. */
    public function meets(Box $other, RunFrame $frame, bool $always = false): bool
    {
        foreach ($always ? $this->near : $this->legs as $leg) {
            $by = $frame->wall === $this->frame->wall ? $leg->depth($other->block()) : $this->frame->inRoom(Solid::block($leg))->overlap($frame->inRoom(Solid::block($other->block())), self::TOUCH);
            if ($by > self::TOUCH) {
                return true;
            }
        }

        return false;
    }
}
