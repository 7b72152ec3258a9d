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

/** An opening in equal clear parts between boards: (W − (n − 1)·t)/n, down; what rounding leaves goes to one of them. */
#[About('divide', 'Divide an opening', 'Equal bays or shelves between boards.', 'Rows')]
final readonly class Divide implements Sum
{
    private const NARROW = 100.0;

    public function __construct(
        #[Size('Clear width or height', ['1203', '35 5/8'], 1, 30_000)] public Length $width,
        #[Count('Parts', 4, 1, 200)] public int $count,
        #[Size('Thickness of a board', ['18.1', '23/32'], 0, 200)] public Length $board,
        #[Choice('What is left over goes to', Leftover::Last)] public Leftover $rest,
    ) {
    }

    public function formula(): string
    {
        return 'clear = (opening − boards × thickness) ÷ parts, rounded down; what is left goes to one of them';
    }

    public function work(LengthFormat $format): Worked
    {
        $n = $this->count;
        $free = Working::start('clear width', $this->width);
        $free = $n > 1 ? $free->minusTimes($n === 2 ? 'board' : 'boards', $n - 1, $this->board) : $free;
        if (! $free->result->isPositive()) {
            throw new CannotBe('count', sprintf('%d boards of %s leave nothing of %s.', $n - 1, $format->finest()->write($this->board), $format->write($this->width)));
        }
        $each = $free->dividedBy('parts', $n)->roundedDown($format);
        $rest = $n > 1 ? $free->minusTimes($n === 2 ? 'other' : 'others', $n - 1, $each->result) : $free;
        $takes = match ($this->rest) {
            Leftover::First => 0,
            Leftover::Middle => intdiv($n, 2),
            Leftover::Last => $n - 1,
        };
        $faces = [];
        $at = Length::zero();
        for ($i = 0; $i < $n - 1; $i++) {
            $at = $at->plus($i === $takes ? $rest->result : $each->result);
            $faces[] = $at;
            $at = $at->plus($this->board);
        }
        $finest = $format->finest();

        return new Worked([
            Answer::length($n === 1 ? 'Clear' : 'Each clear', $each, $format),
            ...$n > 1 ? [new Answer($this->rest->label().' clear', $finest->write($rest->result), $rest), Answer::marks('Near faces of the boards', $faces, $finest)] : [],
        ], $this->drawing($faces, $each, $format), $each->result->toDouble() < self::NARROW ? [sprintf('A part of %s is hard to use.', $format->write($each->result))] : []);
    }

    /** @param list<Length> $faces */
    private function drawing(array $faces, Working $each, LengthFormat $format): Drawing
    {
        [$w, $t] = [$this->width->toDouble(), $this->board->toDouble()];
        $high = $w / 3;

        return new Drawing('Divided opening', [
            'house' => [Sketch::frame(0.0, 0.0, $w, $high)],
            'boards' => array_map(fn (Length $face) => Sketch::board($face->toDouble(), 0.0, $t, $high), $faces),
            'answers' => [Sketch::across(0.0, $w, -$w / 20, $format->write($this->width)), Sketch::answer(0.0, ($faces[0] ?? $this->width)->toDouble(), $high / 2, $format->writeCut($each->result))],
        ]);
    }
}
