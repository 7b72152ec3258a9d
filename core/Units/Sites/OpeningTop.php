<?php

declare(strict_types=1);

namespace Incastro\Units\Sites;

use Incastro\Fit\Box;
use Incastro\Fit\Opening;

/** What lies over an opening: a level board, or, over the last one of its column, the top of the box, raked or sloped; mm. */
final readonly class OpeningTop
{
    public function __construct(private Box $box, private Opening $opening, private bool $isLast, private float $board)
    {
    }

    /** How high it is at a place along the box, over the board below; a slope that rises from the wall counts for nothing here. */
    public function along(float $x): float
    {
        return $this->isLast && $this->box->top->isRaked()
            ? $this->box->topAt($this->box->u + $x, $this->box->face()) - $this->foot() - $this->plumb()
            : $this->opening->height->result->toDouble();
    }

    /** The lowest place over it as far back as this from the rear of the box; along a rake it rises as its face does. */
    public function behind(float $back): float
    {
        return match (true) {
            $this->box->top->isRaked() => INF,
            $this->isLast && $this->box->top->isSloped() => $this->box->topAt($this->box->u, $this->box->v + $back) - $this->foot() - $this->plumb(),
            default => $this->opening->height->result->toDouble(),
        };
    }

    /** How far before so much from the rear a slope that rises from the wall takes the room at a height over the board below. */
    public function reaches(float $z, float $back): float
    {
        return $this->box->top->isSloped() ? max(0.0, $this->box->top->reaches($this->opening->z + $z + $this->plumb()) - $back) : 0.0;
    }

    private function foot(): float
    {
        return $this->box->z + $this->opening->z;
    }

    /** How thick a sloping top is, measured plumb. */
    private function plumb(): float
    {
        return $this->board / cos($this->box->top->angle($this->box->outerWidth()->toDouble()));
    }
}
