<?php

declare(strict_types=1);

namespace Incastro\Sums;

use Incastro\Drawing\Drawing;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Working;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Size;

/** Boards side by side: n = ⌈(W − 2e)/c⌉, the last what is left; where that is less than half a board, the first and the last alike. */
#[About('boards', 'Board count', 'Boards over a width, with no sliver at an end.', 'Rows')]
final readonly class BoardCount implements Sum
{
    public function __construct(
        #[Size('Width to cover', ['2310', '91 1/4'], 1, 30_000)] public Length $width,
        #[Size('Cover of a board', ['96', '3 5/8'], 1, 2_000)] public Length $cover,
        #[Size('Gap at each end', ['5', '1/4'], 0, 100)] public Length $end,
    ) {
    }

    public function formula(): string
    {
        return 'boards = (width − both gaps) ÷ cover, up to the next whole one; where the last would be less than half a board: first = last = half of what the whole ones leave';
    }

    public function work(LengthFormat $format): Worked
    {
        $free = Working::start('width to cover', $this->width)->minusTimes('gaps at the ends', 2, $this->end);
        if (! $free->result->isPositive()) {
            throw new CannotBe('end', 'The gaps at the ends leave nothing to cover.');
        }
        $c = $this->cover->toDouble();
        $n = max(1, (int) ceil($free->result->toDouble() / $c - 1e-9));
        $last = $n > 1 ? $free->minusTimes($n === 2 ? 'whole board' : 'whole boards', $n - 1, $this->cover) : $free;
        $isSliver = $n > 1 && $last->result->toDouble() < $c / 2 - 1e-9;
        $both = $isSliver ? ($n > 2 ? $free->minusTimes($n === 3 ? 'whole board' : 'whole boards', $n - 2, $this->cover) : $free)->dividedBy('first and last alike', 2) : null;
        $finest = $format->finest();

        return new Worked([
            new Answer('Boards', (string) $n),
            new Answer($both === null ? 'Last board' : 'First and last board', $finest->write(($both ?? $last)->result), $both ?? $last),
            new Answer('To buy, a tenth more', (string) (int) ceil(1.1 * $n - 1e-9)),
        ], $this->drawing($n, ($both ?? $last)->result->toDouble(), $both !== null, $format), $both === null ? [] : [sprintf('A last board of %s would be a sliver.', $finest->write($last->result))]);
    }

    private function drawing(int $n, float $end, bool $isBoth, LengthFormat $format): Drawing
    {
        [$w, $c, $e] = [$this->width->toDouble(), $this->cover->toDouble(), $this->end->toDouble()];
        $high = $w / 2;
        $boards = [];
        $x = $e;
        for ($i = 0; $i < $n; $i++) {
            $own = $i === $n - 1 || ($isBoth && $i === 0) ? $end : $c;
            $boards[] = Sketch::board($x, 0.0, $own, $high);
            $x += $own;
        }

        return new Drawing('Boards', ['house' => [Sketch::frame(0.0, 0.0, $w, $high)], 'boards' => $boards, 'answers' => [Sketch::across(0.0, $w, -$w / 20, $format->write($this->width)), Sketch::answer($w - $e - $end, $w - $e, $high + $w / 25, $format->finest()->write(Length::ofDouble($end)))]]);
    }
}
