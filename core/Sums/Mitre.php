<?php

declare(strict_types=1);

namespace Incastro\Sums;

use Incastro\Drawing\Drawing;
use Incastro\Drawing\Style;
use Incastro\Geometry\Mitre as Joint;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Amount;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Count;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Unless;
use Incastro\Rules\Parameters\When;

/**
 * Saw settings of a mitre: α = atan2(a·sin A, b + a·cos A), β = A − α, the saw at 90 − α and 90 − β; equal widths (180 − A)/2, a ring of n
 * sides 180/n; strips that stand and crowns as core/Geometry/Mitre has them.
 */
#[About('mitre', 'Mitre', 'Saw angles for corners as they are.', 'Angles')]
final readonly class Mitre implements Sum
{
    /** A saw goes no farther off square, degrees. */
    private const SAW = 50.0;

    public function __construct(
        #[Choice('Mitre of', MitreOf::Corner)] public MitreOf $of,
        #[Amount('Inner angle of the corner', 90.0, 0.0, 360.0, '°')]
        #[Unless('of', MitreOf::Polygon)]
        public float $angle,
        #[Size('Width of the first board', ['70', '2 3/4'], 1, 2_000)]
        #[When('of', MitreOf::Corner)]
        public Length $first,
        #[Size('Width of the second board', ['70', '2 3/4'], 1, 2_000)]
        #[When('of', MitreOf::Corner)]
        public Length $second,
        #[Count('Sides of the ring', 8, 3, 60)]
        #[When('of', MitreOf::Polygon)]
        public int $sides,
        #[Size('Thickness of the skirting', ['18', '3/4'], 1, 100)]
        #[When('of', MitreOf::Standing)]
        public Length $thick,
        #[Amount('Spring of the crown, from the wall', 38.0, 1.0, 89.0, '°')]
        #[When('of', MitreOf::Crown)]
        public float $spring,
        #[Amount('Rake that it turns to on one wall', 0.0, 0.0, 80.0, '°', 'Above 0: from level to the rake, and the corner does not count.')]
        #[When('of', MitreOf::Crown)]
        public float $rake,
    ) {
    }

    public function formula(): string
    {
        return match ($this->of) {
            MitreOf::Corner => 'α = atan2(a sin A, b + a cos A), β = A − α; the saw stands at 90° − α and 90° − β; the joint is a ÷ sin α long',
            MitreOf::Polygon => 'saw = 180° ÷ sides',
            MitreOf::Standing => 'bevel = (180° − A) ÷ 2; longer at its long point by thickness × tan(bevel)',
            MitreOf::Crown => $this->rake > 0.0 ? 'mitre = atan(cos S × tan(θ ÷ 2)); bevel = asin(sin S × sin(θ ÷ 2))' : 'mitre = atan(sin S ÷ tan(A ÷ 2)); bevel = asin(cos S × cos(A ÷ 2))',
        };
    }

    public function work(LengthFormat $format): Worked
    {
        if ($this->of !== MitreOf::Polygon && ! ($this->of === MitreOf::Crown && $this->rake > 0.0) && in_array($this->angle, [0.0, 180.0, 360.0], true)) {
            throw new CannotBe('angle', 'A straight run has no mitre.');
        }

        return match ($this->of) {
            MitreOf::Corner => $this->corner($format),
            MitreOf::Polygon => $this->ring(),
            MitreOf::Standing => $this->standing($format),
            MitreOf::Crown => $this->rake > 0.0
                ? $this->flat(Joint::crownToRake($this->spring, $this->rake), 180.0 - $this->rake, 'both halves of the corner are sawn alike.')
                : $this->flat(Joint::crown($this->spring, $this->angle), $this->angle, 'an inside corner keeps the upper edge long.'),
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

    private function ring(): Worked
    {
        $inner = 180.0 - 360.0 / $this->sides;
        $saw = Joint::flat($inner)->mitre;

        return new Worked([Answer::degrees('Saw at each end', $saw), Answer::degrees('Inner angle', $inner)], $this->meeting($inner, 1.0, 1.0, [$saw, $saw]));
    }

    private function standing(LengthFormat $format): Worked
    {
        $bevel = Joint::standing($this->angle)->bevel;

        return new Worked([
            Answer::degrees('Bevel at each end', $bevel),
            Answer::mm('Longer at its long point by', Joint::longPoint($this->thick->toDouble(), $this->angle), $format->finest()),
        ], $this->meeting($this->angle, 1.0, 1.0, [$bevel, $bevel]), [$this->angle > 180.0 ? 'An outside corner: the long point is on the face.' : 'An inside corner: the long point is at the wall. Where corners are not square, one strip runs through and the other is coped.']);
    }

    private function flat(Joint $joint, float $angle, string $says): Worked
    {
        return new Worked([Answer::degrees('Mitre', $joint->mitre), Answer::degrees('Bevel', $joint->bevel)], $this->meeting($angle, 1.0, 1.0), ["Lying flat on the saw, its back down; $says"]);
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
