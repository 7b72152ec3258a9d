<?php

declare(strict_types=1);

namespace Incastro\Sums;

use Incastro\Drawing\Drawing;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Unit;
use Incastro\Measure\Working;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Count;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\When;
use Incastro\Rules\Rule;
use Incastro\Strength\Hinges;

/** Doors side by side: inset (w − 2r − (n − 1)·gap)/n by h − 2r, over the edges (w + 2o − (n − 1)·gap)/n by h + 2o. */
#[About('doors', 'Doors', 'Sizes of doors in or over an opening.', 'Boxes')]
final readonly class DoorPair implements Sum
{
    public function __construct(
        #[Size('Width of the opening', ['1127', '44 3/8'], 50, 10_000)] public Length $width,
        #[Size('Height of the opening', ['1890', '74 3/8'], 50, 5_000)] public Length $height,
        #[Count('Doors', 2, 1, 8)] public int $count,
        #[Choice('They lie', DoorMount::Inset)] public DoorMount $mount,
        #[Size('Gap round them', Rule::DoorReveal, 0.5, 10)]
        #[When('mount', DoorMount::Inset)]
        public Length $reveal,
        #[Size('They lap', ['12', '1/2'], 1, 60)]
        #[When('mount', DoorMount::Overlay)]
        public Length $lap,
        #[Size('Gap between them', ['3', '1/8'], 0.5, 20)] public Length $gap,
    ) {
    }

    public function formula(): string
    {
        return $this->mount === DoorMount::Inset ? 'width = (opening − 2 × gap round − gaps between) ÷ doors; height = opening − 2 × gap round' : 'width = (opening + 2 × lap − gaps between) ÷ doors; height = opening + 2 × lap';
    }

    public function work(LengthFormat $format): Worked
    {
        $fine = $format->fine();
        $isInset = $this->mount === DoorMount::Inset;
        $across = Working::start('width of the opening', $this->width);
        $across = $isInset ? $across->minusTimes('gaps at the sides', 2, $this->reveal) : $across->plusTimes('laps', 2, $this->lap);
        $across = $this->count > 1 ? $across->minusTimes($this->count === 2 ? 'gap between them' : 'gaps between them', $this->count - 1, $this->gap)->dividedBy('doors', $this->count) : $across;
        $across = $across->roundedDown($fine);
        $up = Working::start('height of the opening', $this->height);
        $up = ($isInset ? $up->minusTimes('gaps above and below', 2, $this->reveal) : $up->plusTimes('laps', 2, $this->lap))->roundedDown($fine);
        if (! $across->result->isPositive() || ! $up->result->isPositive()) {
            throw new CannotBe('count', 'Nothing is left for a door: fewer of them, or smaller gaps.');
        }
        [$w, $h] = [$this->width->toDouble(), $this->height->toDouble()];
        [$from, $foot] = $isInset ? [$this->reveal->toDouble(), $this->reveal->toDouble()] : [-$this->lap->toDouble(), -$this->lap->toDouble()];
        $own = $across->result->toDouble();
        $doors = array_map(fn (int $i) => Sketch::board($from + $i * ($own + $this->gap->toDouble()), $foot, $own, $up->result->toDouble()), range(0, $this->count - 1));

        return new Worked([
            new Answer('Each wide', $fine->write($across->result), $across),
            new Answer('Each high', $fine->write($up->result), $up),
            new Answer('Hinges, each', (string) Hinges::forHeight($up->result->toDouble(), $format->unit === Unit::Inch)),
        ], new Drawing('Doors', ['house' => [Sketch::frame(0.0, 0.0, $w, $h)], 'doors' => $doors, 'answers' => [Sketch::answer($from, $from + $own, $h / 2, $fine->write($across->result)), Sketch::across(0.0, $w, -$h / 12, $format->write($this->width))]]), ['More hinges where a door is heavy or wide.']);
    }
}
