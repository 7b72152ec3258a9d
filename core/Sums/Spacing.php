<?php

declare(strict_types=1);

namespace Incastro\Sums;

use Incastro\Drawing\Drawing;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\Working;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Choice;
use Incastro\Rules\Parameters\Count;
use Incastro\Rules\Parameters\Size;

/** Slats or boards at equal distances: on the ends (L − n·w)/(n − 1), with gaps at the ends (L − n·w)/(n + 1); marks are made from one end. */
#[About('spacing', 'Equal spacing', 'Slats, spindles or boards at equal distances.', 'Rows')]
final readonly class Spacing implements Sum
{
    /** Under a mattress, and where a head may be caught; mm. */
    private const MATTRESS = 70.0;

    private const HEAD = [75.0, 230.0];

    public function __construct(
        #[Size('Length of the row', ['1900', '74 3/4'], 1, 30_000)] public Length $length,
        #[Size('Width of a slat', ['70', '2 3/4'], 1, 5_000)] public Length $width,
        #[Size('Gap, at most', ['70', '2 3/4'], 1, 5_000)] public Length $gap,
        #[Count('Slats', 0, 0, 200, '0: as many as the gap asks for.')] public int $count,
        #[Choice('The row begins and ends', SlatEnds::On)] public SlatEnds $ends,
    ) {
    }

    public function formula(): string
    {
        return $this->ends === SlatEnds::On ? 'gap = (row − slats × width) ÷ (slats − 1); slats = (row + gap) ÷ (width + gap), up to the next whole one' : 'gap = (row − slats × width) ÷ (slats + 1); slats = (row − gap) ÷ (width + gap), up to the next whole one';
    }

    public function work(LengthFormat $format): Worked
    {
        [$l, $w, $m] = [$this->length->toDouble(), $this->width->toDouble(), $this->gap->toDouble()];
        $isOn = $this->ends === SlatEnds::On;
        $n = $this->count > 0 ? $this->count : max(1, (int) ceil($isOn ? ($l + $m) / ($w + $m) - 1e-9 : ($l - $m) / ($w + $m) - 1e-9));
        $need = $this->width->times($n);
        if ($need->isGreaterThan($this->length)) {
            throw new CannotBe($this->count > 0 ? 'count' : 'width', sprintf($n === 1 ? 'One slat of %2$s is wider than the row of %4$s.' : '%d slats of %s need %s; there are %s. %d fit.', $n, $format->write($this->width), $format->write($need), $format->write($this->length), (int) floor($l / $w)));
        }
        $spaces = $isOn ? $n - 1 : $n + 1;
        $free = Working::start('length of the row', $this->length)->minusTimes($n === 1 ? 'slat' : 'slats', $n, $this->width);
        $marks = $this->marks($n, $isOn);
        $gap = $n === 1 ? $free->dividedBy('both sides of one slat in the middle', 2) : $free->dividedBy('gaps', $spaces);
        $open = $gap->result->toDouble();

        return new Worked([
            new Answer('Slats', (string) $n),
            new Answer('Gap, and spacer block', $format->finest()->write($gap->result), $gap),
            Answer::marks('Left edges, from the left end', $marks, $format),
        ], $this->drawing($marks, $gap, $format), [
            ...$open > self::MATTRESS ? [sprintf('Under a mattress gaps are no wider than %s.', $format->write(Length::ofDouble(self::MATTRESS)))] : [],
            ...$open > self::HEAD[0] && $open < self::HEAD[1] ? ['A gap of this size may trap a child’s head: local standards rule.'] : [],
        ]);
    }

    /** @return list<Length> exact */
    private function marks(int $n, bool $isOn): array
    {
        $room = $this->length->minus($this->width->times($n));
        if ($n === 1) {
            return [$room->dividedBy(2)];
        }
        $rest = $this->length->minus($this->width);

        return array_map(fn (int $i): Length => $isOn ? $rest->times($i)->dividedBy($n - 1) : $room->times($i + 1)->dividedBy($n + 1)->plus($this->width->times($i)), range(0, $n - 1));
    }

    /** @param list<Length> $marks */
    private function drawing(array $marks, Working $gap, LengthFormat $format): Drawing
    {
        [$l, $w] = [$this->length->toDouble(), $this->width->toDouble()];
        $high = max($w, $l / 6);
        $first = $marks[0]->toDouble();
        $next = $marks[1] ?? null;

        return new Drawing('Equal spacing', [
            'house' => [Sketch::frame(0.0, 0.0, $l, $high)],
            'slats' => array_map(fn (Length $mark) => Sketch::board($mark->toDouble(), 0.0, $w, $high), $marks),
            'answers' => [
                Sketch::across(0.0, $l, -$l / 20, $format->write($this->length)),
                ...$next === null ? [] : [Sketch::answer($first + $w, $next->toDouble(), $high + $l / 25, $format->finest()->write($gap->result))],
            ],
        ]);
    }
}
