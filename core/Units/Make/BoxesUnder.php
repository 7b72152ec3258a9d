<?php

declare(strict_types=1);

namespace Incastro\Units\Make;

use Incastro\Fit\Box;
use Incastro\Fit\Members\Over;
use Incastro\Rules\Edits;
use Incastro\Rules\Materials\Material;
use Incastro\Rules\Materials\Purpose;
use Incastro\Rules\WayOut;
use Incastro\Strength\Deck;
use Incastro\Units\Sites\MemberSite;

/** The boxes that carry a board from below: how far it spans over them, and of what it would be strong enough. */
final readonly class BoxesUnder
{
    /** @var list<Box> from the left */
    public array $boxes;

    public function __construct(private MemberSite $site, private Over $top)
    {
        $boxes = array_values(array_filter($site->run->boxes, fn (Box $box) => in_array($box->id.':top', $top->carriers, true)));
        usort($boxes, fn (Box $a, Box $b) => $a->u <=> $b->u);
        $this->boxes = $boxes;
    }

    /** The widest clear span from board to board, mm; nothing where nothing carries it. */
    public function span(): float
    {
        return max([0.0, ...array_map(fn (Box $box) => max([0.0, ...array_map(fn ($column) => $column->width->result->toDouble(), $box->columns)]), $this->boxes)]);
    }

    /**
     * The first material of the job, thicker than its own, of which it holds.
     *
     * @param  \Closure(Deck): bool  $holds
     * @return list<WayOut>
     */
    public function thicker(Deck $deck, \Closure $holds): array
    {
        $own = $this->site->terms->materials->for(Purpose::Top)->thickness;
        $holding = array_values(array_filter($this->site->terms->materials->all, fn (Material $other) => $other->wood !== null && $other->thickness->isGreaterThan($own) && $holds($deck->ofThickness($other->thickness->toDouble()))));

        return $holding === [] ? [] : [new WayOut("Make it of {$holding[0]->name}", Edits::member($this->top->memberId())->setting(['made' => $holding[0]->id]))];
    }
}
