<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Bench;

use Incastro\Fit\Box;
use Incastro\Fit\Members\Over;
use Incastro\Fit\ThingPlace;
use Incastro\Measure\Length;
use Incastro\Rules\Code;
use Incastro\Rules\Edits;
use Incastro\Rules\Finding;
use Incastro\Rules\WayOut;
use Incastro\Survey\Things\ThingKind;
use Incastro\Units\Sites\MemberSite;

/** What a seat is to the person on it: how high, how deep before its back, how much air over it, and a window that a child reaches from it. */
final readonly class SeatRoom
{
    /** A box that begins this near to the seat stands on it, mm. */
    private const STANDS = 120.0;

    /** Of the top of a cushion over the floor, mm and inches. */
    private const HIGHEST = [500.0, 20.0];

    /** Clear depth of a seat, mm and inches. */
    private const DEEP = [380.0, 15.0];

    /** Clear over a seat, mm and inches. */
    private const AIR = [900.0, 36.0];

    /** A sill lower than this over the seat is climbed by a child, mm and inches. */
    private const SILL = [800.0, 32.0];

    public function __construct(private MemberSite $site, private Over $top, private float $z)
    {
    }

    /** How much of the depth is taken by boxes that stand on the seat, mm. */
    public function taken(): float
    {
        return max([0.0, ...array_map(fn (Box $box) => $box->face() - $this->top->v, $this->on(self::STANDS))]);
    }

    /** @return list<Box> that begin lower than so much over the seat, mm */
    private function on(float $high): array
    {
        return array_values(array_filter($this->site->run->boxes, fn (Box $box) => $box->z > $this->z - 1.0 && $box->z < $this->z + $high && $box->u < $this->top->end() && $box->right() > $this->top->u));
    }

    /** @return list<Finding> where a leaning back leaves too little to sit on */
    public function eaten(LeaningBack $back): array
    {
        $id = $this->top->memberId();
        $on = $this->on($back->upTo() - $this->z);
        if ($on !== []) {
            return [Finding::clash(Code::BackEatsSeat, sprintf('Box %s stands over the seat where the back would lean.', $on[0]->mark), $this->top->id)->about([$on[0]->id])
                ->withWaysOut([new WayOut('No leaning back', Edits::member($id)->setting(['back' => false]))])];
        }
        $write = $this->site->terms->write(...);
        $least = $this->site->terms->rules->either(...self::DEEP);
        $left = $this->top->depth->result->toDouble() - $back->face;
        if ($left >= $least->toDouble()) {
            return [];
        }
        $less = $back->lessLean($least->toDouble());

        return [Finding::clash(Code::BackEatsSeat, sprintf('The leaning back takes %s of the %s: the seat would be %s deep; %s is the least.', $write($back->face), $write($this->top->depth->result->toDouble()), $write(max(0.0, $left)), $this->site->terms->format->write($least)), $this->top->id)
            ->withWaysOut([...($less === null ? [] : [new WayOut("Let it lean {$less}°", Edits::member($id)->setting(['lean' => $less]))]), new WayOut('No leaning back', Edits::member($id)->setting(['back' => false]))])];
    }

    /** @return list<Finding> */
    public function findings(Length $cushion): array
    {
        $terms = $this->site->terms;
        $write = $terms->write(...);
        $frame = $this->site->run->frame;
        $top = $this->z + $cushion->toDouble();
        $findings = [];
        if ($top > $terms->rules->either(...self::HIGHEST)->toDouble()) {
            $findings[] = Finding::note(Code::SeatHigh, sprintf('One sits %s high here; feet reach the floor up to about %s.', $write($top), $terms->format->write($terms->rules->either(...self::HIGHEST))), $this->top->id);
        }
        $over = min(array_map(fn (float $u) => $frame->ceilingAt($u, $this->top->front()), [$this->top->u, $this->top->end()])) - $top;
        if ($over < $terms->rules->either(...self::AIR)->toDouble()) {
            $findings[] = Finding::warning(Code::SeatAir, sprintf('Over the seat %s are left at its front; to sit up takes %s.', $write(max(0.0, $over)), $terms->format->write($terms->rules->either(...self::AIR))), $this->top->id);
        }

        return [...$findings, ...$this->windows($top)];
    }

    /** @return list<Finding> */
    private function windows(float $top): array
    {
        $places = new ThingPlace($this->site->terms->room, $this->site->run->frame);
        foreach ($this->site->terms->room->things as $thing) {
            $block = $thing->kind === ThingKind::Window ? $places->block($thing) : null;
            if ($block !== null && $block->u0 < $this->top->end() && $block->u1 > $this->top->u && $block->v0 < $this->top->front() && $block->z0 - $top < $this->site->terms->rules->either(...self::SILL)->toDouble()) {
                return [Finding::note(Code::WindowFall, sprintf('A child on this seat reaches %s, %s over it. If it opens, fit a restrictor; if it is a way out in a fire, keep it free. Local rules go first.', lcfirst($thing->name), $this->site->terms->write(max(0.0, $block->z0 - $top))), $this->top->id)->about([$thing->id])];
            }
        }

        return [];
    }
}
