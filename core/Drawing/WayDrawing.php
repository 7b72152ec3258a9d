<?php

declare(strict_types=1);

namespace Incastro\Drawing;

use Incastro\Check\Passage;
use Incastro\Check\WayIn;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\HouseRules;
use Incastro\Rules\Rule;

/**
 * A way in as it is, with the largest box that passes: a door, a passage or a stair from before it, a turn from above with the
 * longest box of usual depth at the angle at which it is tightest.
 */
final readonly class WayDrawing
{
    private const HALVINGS = 30;

    /** How far the passages before and after a turn are drawn, as shares of their widths. */
    private const ARMS = 1.4;

    private float $hands;

    private float $deep;

    public function __construct(private WayIn $way, HouseRules $rules, private LengthFormat $format)
    {
        $this->hands = $rules->mm(Rule::HandClearance);
        $this->deep = $rules->mm(Rule::UsualDepth);
    }

    public function draw(): Drawing
    {
        return $this->way->kind === 'turn' ? $this->turn() : $this->opening();
    }

    private function opening(): Drawing
    {
        [$wide, $high] = [$this->way->width, $this->way->height];
        [$across, $up] = [max(0.0, $wide - $this->hands), max(0.0, $high - $this->hands)];

        return new Drawing($this->way->name, [
            'opening' => [Outline::rectangle(0.0, 0.0, $wide, $high, Style::Field), new Outline([new DrawnPoint(-0.3 * $wide, 0.0), new DrawnPoint(1.3 * $wide, 0.0)], false, Style::House), new Outline([new DrawnPoint(0.0, 0.0), new DrawnPoint(0.0, $high), new DrawnPoint($wide, $high), new DrawnPoint($wide, 0.0)], false, Style::House)],
            'box' => [Outline::rectangle(($wide - $across) / 2, 0.0, $across, $up, Style::Board)],
            'text' => [new Label(new DrawnPoint($wide / 2, -0.08 * $high), $this->size($across, $up), Style::Measure)],
        ]);
    }

    private function turn(): Drawing
    {
        [$from, $into] = [$this->way->width, $this->way->secondWidth];
        $arm = self::ARMS * max($from, $into);
        $walls = [
            new Outline([new DrawnPoint(0.0, -$arm), new DrawnPoint(0.0, $into), new DrawnPoint($from + $arm, $into)], false, Style::House),
            new Outline([new DrawnPoint($from, -$arm), new DrawnPoint($from, 0.0), new DrawnPoint($from + $arm, 0.0)], false, Style::House),
        ];
        $long = $this->longest($from, $into);
        if ($long < $this->deep) {
            return new Drawing($this->way->name, ['walls' => $walls, 'text' => [new Label(new DrawnPoint($from / 2, $into / 2), 'no box of '.$this->mm($this->deep).' turns', Style::Measure)]]);
        }
        $angle = Passage::tightest($long, $from, $into)[1];
        [$x, $y] = [$long * sin($angle), $long * cos($angle)];
        [$dx, $dy] = [$this->deep * cos($angle), -$this->deep * sin($angle)];
        $corners = [new DrawnPoint(0.0, $into - $y), new DrawnPoint($x, $into), new DrawnPoint($x + $dx, $into + $dy), new DrawnPoint($dx, $into - $y + $dy)];

        return new Drawing($this->way->name, [
            'walls' => $walls,
            'box' => [new Outline($corners, true, Style::Board)],
            'text' => [new Label(new DrawnPoint($from + $arm / 2, -$arm / 2), $this->size($long, $this->deep), Style::Measure)],
        ]);
    }

    /** The longest box of usual depth that turns, with room for hands, mm. */
    private function longest(float $from, float $into): float
    {
        [$low, $high] = [0.0, 4.0 * ($from + $into)];
        for ($i = 0; $i < self::HALVINGS; $i++) {
            $middle = ($low + $high) / 2;
            Passage::turned($middle, $this->deep + $this->hands, $from, $into) >= 0.0 ? $low = $middle : $high = $middle;
        }

        return $low;
    }

    private function size(float $one, float $other): string
    {
        return $this->format->writeSize(Length::ofDouble($one)->roundedDown($this->format->step), Length::ofDouble($other)->roundedDown($this->format->step));
    }

    private function mm(float $millimetres): string
    {
        return $this->format->write(Length::ofDouble($millimetres));
    }
}
