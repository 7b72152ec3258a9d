<?php

declare(strict_types=1);

namespace Incastro\Units\Make\Bed;

use Incastro\Fit\FittedRun;
use Incastro\Fit\Terms;
use Incastro\Geometry\Block;
use Incastro\Measure\Length;
use Incastro\Rules\Edits;
use Incastro\Rules\WayOut;
use Incastro\Units\Fixture;

/** A mattress on its deck: where the deck lies in the run's frame, mm, what of it is free for the mattress, and how that lies. */
final readonly class Lying
{
    /**
     * @param  string  $id  the tier or member that it belongs to
     * @param  Edits  $unit  what addresses its unit
     * @param  float  $deep  free for the mattress from the back
     * @param  Length  $alongU  of the mattress, along the run
     * @param  Length  $alongV  and from the wall out
     * @param  WayOut  $away  without all of it
     */
    public function __construct(
        public FittedRun $run,
        public Terms $terms,
        public string $id,
        public Edits $unit,
        public float $from,
        public float $long,
        public float $back,
        public float $deep,
        public float $face,
        public float $deck,
        public Length $alongU,
        public Length $alongV,
        public Length $thick,
        public Length $play,
        public bool $isAcross,
        public WayOut $away,
    ) {
    }

    /** Its upper face, over the datum, mm. */
    public function top(): float
    {
        return $this->deck + $this->thick->toDouble();
    }

    /** In the middle of its play. */
    public function fixture(): Fixture
    {
        $x = $this->from + max(0.0, ($this->long - $this->alongU->toDouble()) / 2);
        $y = $this->back + max(0.0, ($this->deep - $this->alongV->toDouble()) / 2);

        return new Fixture('Mattress', $this->id, new Block($x, $x + min($this->alongU->toDouble(), $this->long), $y, $y + min($this->alongV->toDouble(), $this->deep), $this->deck, $this->top()));
    }
}
