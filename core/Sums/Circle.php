<?php

declare(strict_types=1);

namespace Incastro\Sums;

use Incastro\Drawing\Drawing;
use Incastro\Drawing\Style;
use Incastro\Geometry\Point;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unreadable;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Size;
use Incastro\Rules\Parameters\Text;
use Incastro\Rules\Parameters\When;

/** The circle of an arc: R = c²/(8h) + h/2 of a chord and its rise, or through three points; marks along the chord y(x) = √(R² − x²) − (R − h), near every tenth of it. */
#[About('circle', 'Circle', 'Radius and marks of an arc.', 'Angles')]
final readonly class Circle implements Sum
{
    /** Three points this near to a line make no circle, and a larger one is not swung; mm. */
    private const LINE = 0.1;

    private const SWUNG = 5000.0;

    /** What is flatter is a straight line; mm. */
    private const FLAT = 1e6;

    public function __construct(
        #[Choice('Known', CircleBy::Chord)] public CircleBy $by,
        #[Size('Chord', ['1100', '43 1/4'], 1, 30_000)]
        #[When('by', CircleBy::Chord)]
        public Length $chord,
        #[Size('Rise in its middle', ['140', '5 1/2'], 0.1, 15_000)]
        #[When('by', CircleBy::Chord)]
        public Length $rise,
        #[Text('Three points, along x up', '0 x 0; 410 x 150; 1000 x 60', 120)]
        #[When('by', CircleBy::Points)]
        public string $points,
    ) {
    }

    public function formula(): string
    {
        return $this->by === CircleBy::Chord ? 'R = chord² ÷ (8 × rise) + rise ÷ 2; height at x from the middle = √(R² − x²) − (R − rise)' : 'R is the same from all three points: the middle lies where the lines square across their chords meet';
    }

    public function work(LengthFormat $format): Worked
    {
        return $this->by === CircleBy::Chord ? $this->arc($format) : $this->through($format);
    }

    private function arc(LengthFormat $format): Worked
    {
        [$c, $h] = [$this->chord->toDouble(), $this->rise->toDouble()];
        if ($h > $c / 2 + 1e-9) {
            throw new CannotBe('rise', 'More than half a circle: give three points.');
        }
        $radius = $c ** 2 / (8 * $h) + $h / 2;
        if ($radius > self::FLAT) {
            throw new CannotBe('rise', 'So flat an arc is a straight line.');
        }
        $at = fn (float $x): float => sqrt(max(0.0, $radius ** 2 - $x ** 2)) - ($radius - $h);
        $step = Handy::near($c / 10, $format);
        $marks = [];
        for ($x = $step; $x < $c / 2 - 1e-6; $x += $step) {
            $marks[] = Length::ofDouble($at($x));
        }
        $finest = $format->finest();
        $points = array_map(fn (int $i): array => [$i * $c / 40, $at(($i - 20) * $c / 40)], range(0, 40));

        return new Worked([
            Answer::mm('Radius', $radius, $finest),
            Answer::mm('Its middle, under the chord', $radius - $h, $finest),
            ...$marks === [] ? [] : [Answer::marks(sprintf('Rises at every %s from the middle', $finest->write(Length::ofDouble($step))), $marks, $finest)],
            Answer::mm('Along the arc', 2 * $radius * asin(min(1.0, $c / (2 * $radius))), $finest),
        ], new Drawing('Arc', [
            'furniture' => [Sketch::line($points, true, Style::Board)],
            'answers' => [Sketch::across(0.0, $c, -$c / 20, $format->write($this->chord)), Sketch::up($c / 2, 0.0, $h, $format->write($this->rise)), Sketch::label($c / 2, -$c / 7, 'R '.$finest->write(Length::ofDouble($radius)))],
        ]), $radius > self::SWUNG ? ['Too large to swing: bend a lath through the marks.'] : []);
    }

    private function through(LengthFormat $format): Worked
    {
        [$a, $b, $c] = $this->read($format);
        $d = 2 * ($a->x * ($b->y - $c->y) + $b->x * ($c->y - $a->y) + $c->x * ($a->y - $b->y));
        $longest = max($a->distanceTo($b), $b->distanceTo($c), $a->distanceTo($c));
        if (abs($d) / 2 / max(1e-9, $longest) < self::LINE + 1e-6) {
            throw new CannotBe('points', 'These lie on a line.');
        }
        $square = fn (Point $point): float => $point->x ** 2 + $point->y ** 2;
        $x = ($square($a) * ($b->y - $c->y) + $square($b) * ($c->y - $a->y) + $square($c) * ($a->y - $b->y)) / $d;
        $y = ($square($a) * ($c->x - $b->x) + $square($b) * ($a->x - $c->x) + $square($c) * ($b->x - $a->x)) / $d;
        $radius = hypot($a->x - $x, $a->y - $y);
        if ($radius > self::FLAT) {
            throw new CannotBe('points', 'These lie on a line.');
        }
        $finest = $format->finest();
        $signed = fn (float $mm): string => ($mm < 0.0 ? '−' : '').$finest->withoutUnit(Length::ofDouble(abs($mm)));
        $ring = array_map(fn (int $i): array => [$x + $radius * cos($i * M_PI / 36), $y + $radius * sin($i * M_PI / 36)], range(0, 71));

        return new Worked([
            Answer::mm('Radius', $radius, $finest),
            new Answer('Its middle, along and up', $signed($x).'  '.$signed($y)),
        ], new Drawing('Circle', [
            'house' => [Sketch::line($ring, true, Style::Hidden)],
            'furniture' => [Sketch::line([[$a->x, $a->y], [$b->x, $b->y], [$c->x, $c->y]], false, Style::Cut)],
            'answers' => [Sketch::label($x, $y, 'R '.$finest->write(Length::ofDouble($radius)))],
        ]), $radius > self::SWUNG ? ['Too large to swing: bend a lath through the points.'] : []);
    }

    /** @return array{Point, Point, Point} */
    private function read(LengthFormat $format): array
    {
        $reader = new LengthReader($format->unit);
        $points = [];
        try {
            foreach (explode(';', $this->points) as $part) {
                [$along, $up] = array_pad(preg_split('/\s*[x×,]\s*/u', trim($part)) ?: [], 2, '');
                $points[] = new Point($reader->read($along)->toDouble(), $reader->read($up)->toDouble());
            }
        } catch (Unreadable $unreadable) {
            throw new CannotBe('points', $unreadable->getMessage());
        }

        return count($points) === 3 ? $points : throw new CannotBe('points', sprintf('There are %d points; it takes three, such as 0 x 0; 410 x 150; 1000 x 60.', count($points)));
    }
}
