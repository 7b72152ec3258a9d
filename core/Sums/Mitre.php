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
use Incastro\Rules\Parameters\Count;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\When;

/**
 * Saw settings of a mitre: α = atan2(a·sin A, b + a·cos A), β = A − α, the saw at 90 − α and 90 − β; equal widths (180 − A)/2, a ring of n
 * sides 180/n, crown lying flat: mitre atan(sin S/tan(A/2)), bevel asin(cos S·cos(A/2)).
 */
#[About('mitre', 'Mitre', 'Saw angles for corners as they are.', 'Angles')]
final readonly class Mitre implements Sum
{
    /** A saw goes no farther off square, degrees. */
    private const SAW = 50.0;

    public function __construct(
        #[Choice('Mitre of', MitreOf::Corner)] public MitreOf $of,
        #[Amount('Inner angle of the corner', 90.0, 0.0, 360.0, '°')] public float $angle,
        #[Size('Width of the first board', ['70', '2 3/4'], 1, 2_000)]
        #[When('of', MitreOf::Corner)]
        public Length $first,
        #[Size('Width of the second board', ['70', '2 3/4'], 1, 2_000)]
        #[When('of', MitreOf::Corner)]
        public Length $second,
        #[Count('Sides of the ring', 8, 3, 60)]
        #[When('of', MitreOf::Polygon)]
        public int $sides,
        #[Amount('Spring of the crown, from the wall', 38.0, 1.0, 89.0, '°')]
        #[When('of', MitreOf::Crown)]
        public float $spring,
    ) {
    }

    public function formula(): string
    {
        return match ($this->of) {
            MitreOf::Corner => 'α = atan2(a sin A, b + a cos A), β = A − α; the saw stands at 90° − α and 90° − β; the joint is a ÷ sin α long',
            MitreOf::Polygon => 'saw = 180° ÷ sides',
            MitreOf::Crown => 'mitre = atan(sin S ÷ tan(A ÷ 2)); bevel = asin(cos S × cos(A ÷ 2))',
        };
    }

    public function work(LengthFormat $format): Worked
    {
        if ($this->of !== MitreOf::Polygon && in_array($this->angle, [0.0, 180.0, 360.0], true)) {
            throw new CannotBe('angle', 'A straight run has no mitre.');
        }

        return match ($this->of) {
            MitreOf::Corner => $this->corner($format),
            MitreOf::Polygon => new Worked([Answer::degrees('Saw at each end', 180 / $this->sides), Answer::degrees('Inner angle', 180 - 360 / $this->sides)], $this->meeting(180 - 360 / $this->sides, 1.0, 1.0, [180 / $this->sides, 180 / $this->sides])),
            MitreOf::Crown => $this->crown(),
        };
    }

    private function corner(LengthFormat $format): Worked
    {
        $corner = deg2rad($this->angle);
        [$a, $b] = [$this->first->toDouble(), $this->second->toDouble()];
        $alpha = fmod(rad2deg(atan2($a * sin($corner), $b + $a * cos($corner))) + 180.0, 180.0);
        $beta = $this->angle - $alpha;
        [$one, $other] = [abs(90.0 - $alpha), abs(90.0 - fmod($beta + 360.0, 180.0))];
        $says = [
            ...$this->angle > 180.0 ? ['More than 180°: an outside corner, its long points outside.'] : [],
            ...max($one, $other) > self::SAW ? ['Beyond the range of most saws: cut it with the other face up, or against a block.'] : [],
        ];

        return new Worked([
            Answer::degrees('Saw for the first board, off square', $one),
            Answer::degrees('Saw for the second board, off square', $other),
            Answer::mm('Length of the joint', $a / sin(deg2rad($alpha)), $format->finest()),
        ], $this->meeting($this->angle, $a, $b, [$one, $other]), $says);
    }

    private function crown(): Worked
    {
        [$s, $half] = [deg2rad($this->spring), deg2rad($this->angle) / 2];

        return new Worked([
            Answer::degrees('Mitre', rad2deg(atan(sin($s) / tan($half)))),
            Answer::degrees('Bevel', rad2deg(asin(cos($s) * cos($half)))),
        ], $this->meeting($this->angle, 1.0, 1.0), ['Lying flat on the saw, its back down; an inside corner keeps the upper edge long.']);
    }

    /**
     * Two boards that meet in a corner of this inner angle.
     *
     * @param  array{float, float}|null  $saw  what is written on each
     */
    private function meeting(float $angle, float $a, float $b, ?array $saw = null): Drawing
    {
        $k = 100.0 / max($a, $b);
        [$a, $b] = [$a * $k, $b * $k];
        $corner = deg2rad($angle);
        $long = 420.0;
        // The inner corner lies at the origin; the joint runs from it to where the outer edges meet.
        [$dx, $dy] = [cos($corner), sin($corner)];
        $first = [[0.0, 0.0], [$long, 0.0], [$long, -$a]];
        $t = abs($dy) < 1e-9 ? 0.0 : (-$b - $a * $dx) / $dy;
        $outer = [$t, -$a];
        $second = [[$long * $dx, $long * $dy], [$long * $dx - $b * $dy, $long * $dy + $b * $dx]];

        return new Drawing('Mitre', [
            'boards' => [Sketch::line([...$first, $outer], true, Style::Board), Sketch::line([[0.0, 0.0], ...$second, $outer], true, Style::Board)],
            'answers' => [
                Sketch::line([[0.0, 0.0], $outer], false, Style::Cut),
                Sketch::label($long / 3 * (1 + $dx), max(30.0, $long / 3 * $dy), sprintf('%.1f°', $angle)),
                ...$saw === null ? [] : [Sketch::label(0.75 * $long, -$a / 2, sprintf('saw %.1f°', $saw[0])), Sketch::label(0.75 * $long * $dx - $b / 2 * $dy, 0.75 * $long * $dy + $b / 2 * $dx, sprintf('saw %.1f°', $saw[1]))],
            ],
        ]);
    }
}
