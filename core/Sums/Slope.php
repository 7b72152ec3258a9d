<?php

declare(strict_types=1);

namespace Incastro\Sums;

use Incastro\Drawing\Drawing;
use Incastro\Drawing\Style;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Amount;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\When;

/** A slope: θ = atan(rise/run), its length along √(rise² + run²), 12·rise/run, and what a board loses in its bevel, t·tan θ. */
#[About('slope', 'Slope', 'Angle, length and bevel of a rake or a roof.', 'Angles')]
final readonly class Slope implements Sum
{
    public function __construct(
        #[Choice('Known', SlopeBy::Run)] public SlopeBy $by,
        #[Size('Run, level', ['1655', '65 1/8'], 1, 30_000)] public Length $run,
        #[Size('Rise, plumb', ['1240', '48 7/8'], 1, 30_000)]
        #[When('by', SlopeBy::Run)]
        public Length $rise,
        #[Amount('Angle', 36.8, 0.1, 89.0, '°')]
        #[When('by', SlopeBy::Angle)]
        public float $angle,
        #[Amount('Rise in 12', 9.0, 0.1, 100.0, 'in 12')]
        #[When('by', SlopeBy::Twelve)]
        public float $twelve,
        #[Size('Thickness of a board', ['18.1', '23/32'], 0.1, 200)] public Length $board,
    ) {
    }

    public function formula(): string
    {
        return 'angle = atan(rise ÷ run); along = √(rise² + run²); a board loses thickness × tan(angle) in its bevel';
    }

    public function work(LengthFormat $format): Worked
    {
        $run = $this->run->toDouble();
        $theta = match ($this->by) {
            SlopeBy::Run => atan2($this->rise->toDouble(), $run),
            SlopeBy::Angle => deg2rad($this->angle),
            SlopeBy::Twelve => atan($this->twelve / 12),
        };
        $rise = $run * tan($theta);
        $finest = $format->finest();

        return new Worked([
            new Answer('Angle', sprintf('%.2f°', rad2deg($theta))),
            new Answer('Saw, off square and off length', sprintf('%.1f° and %.1f°', rad2deg($theta), 90 - rad2deg($theta))),
            Answer::mm('Along the slope', hypot($run, $rise), $finest),
            Answer::mm('Rise', $rise, $finest),
            new Answer('Rise in 12', sprintf('%.2f', 12 * $rise / $run)),
            Answer::mm('A board loses in its bevel', $this->board->toDouble() * tan($theta), $finest),
        ], new Drawing('Slope', [
            'furniture' => [Sketch::line([[0.0, 0.0], [$run, 0.0], [$run, $rise]], true, Style::Board)],
            'answers' => [Sketch::across(0.0, $run, -max($run, $rise) / 15, $format->write($this->run)), Sketch::up($run * 1.08, 0.0, $rise, $finest->write(Length::ofDouble($rise))), Sketch::label($run * 0.3, $rise * 0.1, sprintf('%.2f°', rad2deg($theta)))],
        ]));
    }
}
