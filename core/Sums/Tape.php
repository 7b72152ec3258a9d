<?php

declare(strict_types=1);

namespace Incastro\Sums;

use Incastro\Drawing\Drawing;
use Incastro\Measure\LengthFormat;
use Incastro\Measure\LengthReader;
use Incastro\Measure\Unreadable;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Count;
use Incastro\Rules\Parameters\Text;

/** A sum of lengths typed as one line, divided if wanted, as a tape has it in every fraction. */
#[About('tape', 'Tape', 'Lengths added and taken off, in both systems.', 'To measure')]
final readonly class Tape implements Sum
{
    public function __construct(
        #[Text('Lengths', '31 5/8 in + 2\' 7" - 3/4 in', 120)] public string $lengths,
        #[Count('Divided by', 1, 1, 200)] public int $by,
    ) {
    }

    public function formula(): string
    {
        return 'all lengths in one, exactly; only what is written is rounded';
    }

    public function work(LengthFormat $format): Worked
    {
        try {
            $sum = (new LengthReader($format->unit))->readSigned($this->lengths);
        } catch (Unreadable $unreadable) {
            throw new CannotBe('lengths', $unreadable->getMessage());
        }
        $each = $sum->dividedBy($this->by);
        $error = function (LengthFormat $as) use ($each): string {
            $off = $each->rounded($as->step)->minus($each)->toDouble();

            return abs($off) < 1e-6 ? $as->write($each) : sprintf('%s, %+.2f mm', $as->write($each), $off);
        };
        $long = max(1.0, abs($each->toDouble()));

        return new Worked([
            new Answer($this->by === 1 ? 'Sum' : 'Each', LengthFormat::millimetres('0.1')->write($each)),
            ...array_map(fn (int $of) => new Answer(sprintf('In %s', $of === 32 ? '32nds' : "{$of}ths"), $error(LengthFormat::inches($of))), LengthFormat::INCH_DENOMINATORS),
            new Answer('In whole mm', $error(LengthFormat::millimetres())),
        ], new Drawing('Tape', [
            'tape' => [Sketch::board(0.0, 0.0, $long, $long / 14), ...array_map(fn (int $i) => Sketch::line([[$i * $long / 10, 0.0], [$i * $long / 10, $long / ($i % 5 === 0 ? 20 : 35)]]), range(1, 9))],
            'answers' => [Sketch::answer(0.0, $long, -$long / 20, $format->finest()->write($each))],
        ]));
    }
}
