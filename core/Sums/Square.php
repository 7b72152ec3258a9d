<?php

declare(strict_types=1);

namespace Incastro\Sums;

use Incastro\Drawing\Drawing;
use Incastro\Drawing\Style;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\When;

/** Whether it is square: true diagonal √(a² + b²), skew (d₁² − d₂²)/(4a), both to √((d₁² + d₂²)/2); of a triangle acos((p² + q² − r²)/(2pq)). */
#[About('square', 'Square?', 'Two diagonals, or three tapes.', 'Angles')]
final readonly class Square implements Sum
{
    /** Readings farther from what they should be are doubted. */
    private const DOUBT = 0.03;

    public function __construct(
        #[Choice('By', SquareBy::Diagonals)] public SquareBy $by,
        #[Size('Width, or one leg', ['1164', '45 3/4'], 1, 30_000)] public Length $width,
        #[Size('Height, or the other leg', ['2000', '78 3/4'], 1, 30_000)] public Length $height,
        #[Size('Diagonal, foot left to top right', ['2316', '91 1/8'], 1, 60_000)]
        #[When('by', SquareBy::Diagonals)]
        public Length $one,
        #[Size('Diagonal, foot right to top left', ['2311', '91'], 1, 60_000)]
        #[When('by', SquareBy::Diagonals)]
        public Length $other,
        #[Size('Long side', ['2314', '91 1/16'], 1, 60_000)]
        #[When('by', SquareBy::Triangle)]
        public Length $long,
    ) {
    }

    public function formula(): string
    {
        return $this->by === SquareBy::Diagonals ? 'true diagonal = √(width² + height²); out of square = (d₁² − d₂²) ÷ (4 × width); both read √((d₁² + d₂²) ÷ 2) when it is square' : 'angle = acos((p² + q² − r²) ÷ (2 p q))';
    }

    public function work(LengthFormat $format): Worked
    {
        return $this->by === SquareBy::Diagonals ? $this->diagonals($format) : $this->triangle($format);
    }

    private function diagonals(LengthFormat $format): Worked
    {
        [$a, $b, $d1, $d2] = [$this->width->toDouble(), $this->height->toDouble(), $this->one->toDouble(), $this->other->toDouble()];
        $true = hypot($a, $b);
        $skew = ($d1 ** 2 - $d2 ** 2) / (4 * $a);
        $finest = $format->finest();
        $says = abs($d1 - $true) > self::DOUBT * $true || abs($d2 - $true) > self::DOUBT * $true ? [sprintf('A diagonal here should be near %s: check the readings.', $format->write(Length::ofDouble($true)))] : [];

        return new Worked([
            Answer::mm('Diagonals of a square one', $true, $finest),
            new Answer('Its top stands', abs($skew) < 0.05 ? 'square' : sprintf('%s too far %s', $finest->write(Length::ofDouble(abs($skew))), $skew > 0.0 ? 'right' : 'left')),
            Answer::mm('Push until both read', sqrt(($d1 ** 2 + $d2 ** 2) / 2), $finest),
        ], new Drawing('Square', [
            'house' => [Sketch::frame(0.0, 0.0, $a, $b)],
            'furniture' => [Sketch::line([[0.0, 0.0], [$a, 0.0], [$a + 10 * $skew, $b], [10 * $skew, $b]], true, Style::Board)],
            'answers' => [Sketch::line([[0.0, 0.0], [$a + 10 * $skew, $b]], false, Style::Cut), Sketch::line([[$a, 0.0], [10 * $skew, $b]], false, Style::Cut), Sketch::across(0.0, $a, -$b / 15, $format->write($this->width)), Sketch::up(-$a / 12, 0.0, $b, $format->write($this->height))],
        ]), $says);
    }

    private function triangle(LengthFormat $format): Worked
    {
        [$p, $q, $r] = [$this->width->toDouble(), $this->height->toDouble(), $this->long->toDouble()];
        if ($r >= $p + $q || $p >= $q + $r || $q >= $p + $r) {
            $longest = max($p, $q, $r);
            throw new CannotBe($longest === $r ? 'long' : ($longest === $p ? 'width' : 'height'), sprintf('Such a triangle cannot be: this side is %s longer than both others together.', $format->write(Length::ofDouble(2 * $longest - $p - $q - $r))));
        }
        $angle = acos(($p ** 2 + $q ** 2 - $r ** 2) / (2 * $p * $q));
        $k = max(min($p / 3, $q / 4), min($p / 4, $q / 3));
        $write = fn (float $mm): string => $format->withoutUnit(Length::ofDouble($mm)->roundedDown($format->step));

        return new Worked([
            new Answer('Angle', sprintf('%.2f°', rad2deg($angle))),
            Answer::mm('The long side of a square one', hypot($p, $q), $format->finest()),
            new Answer('Largest 3-4-5 inside', sprintf('%s / %s / %s', $write(3 * $k), $write(4 * $k), $write(5 * $k))),
        ], new Drawing('Triangle', [
            'furniture' => [Sketch::line([[0.0, 0.0], [$p, 0.0], [$q * cos($angle), $q * sin($angle)]], true, Style::Board)],
            'answers' => [Sketch::across(0.0, $p, -$q / 12, $format->write($this->width)), Sketch::label($p / 6, $q / 10, sprintf('%.2f°', rad2deg($angle)))],
        ]));
    }
}
