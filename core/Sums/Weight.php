<?php

declare(strict_types=1);

namespace Incastro\Sums;

use Incastro\Drawing\Drawing;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;
use Incastro\Rules\Parameters\About;
use Incastro\Rules\Parameters\Amount;
use Incastro\Rules\Parameters\Count;
use Incastro\Rules\Parameters\Size;

/** What boards weigh: L·W·t·ρ. */
#[About('weight', 'Weight', 'What a sheet or a piece weighs, and who lifts it.', 'To carry')]
final readonly class Weight implements Sum
{
    /** Kilograms in a pound, and what one person lifts, and pushes over a table saw; kg. */
    private const POUND = 0.45359237;

    private const ALONE = 25.0;

    private const SAW = 20.0;

    public function __construct(
        #[Size('Length', ['2440', '96'], 1, 30_000)] public Length $length,
        #[Size('Width', ['1220', '48'], 1, 30_000)] public Length $width,
        #[Size('Thickness', ['18.1', '23/32'], 0.1, 500)] public Length $thick,
        #[Amount('Density', 680.0, 30.0, 3000.0, 'kg/m³', 'Plywood 550 to 700, MDF 750, pine 480.')] public float $density,
        #[Count('How many', 1, 1, 500)] public int $count,
    ) {
    }

    public function formula(): string
    {
        return 'length × width × thickness × density';
    }

    public function work(LengthFormat $format): Worked
    {
        $each = $this->length->toDouble() * $this->width->toDouble() * $this->thick->toDouble() / 1e9 * $this->density;
        $text = fn (float $kg): string => $format->unit->isMetric() ? sprintf('%.1f kg', $kg) : sprintf('%.1f lb, %.1f kg', $kg / self::POUND, $kg);
        [$l, $w] = [$this->length->toDouble(), $this->width->toDouble()];

        return new Worked([
            new Answer('Each', $text($each)),
            ...$this->count > 1 ? [new Answer('All', $text($each * $this->count))] : [],
            new Answer('Lifted by', $each > 2 * self::ALONE ? 'three, or in parts' : ($each > self::ALONE ? 'two' : 'one')),
        ], new Drawing('Sheet', [
            'furniture' => [Sketch::board(0.0, 0.0, $l, $w)],
            'answers' => [Sketch::label($l / 2, $w / 2, $text($each)), Sketch::across(0.0, $l, -$l / 20, $format->write($this->length)), Sketch::up(-$l / 20, 0.0, $w, $format->write($this->width))],
        ]), $each > self::SAW ? ['Too heavy to push over a table saw alone: cut it with a guided saw first.'] : []);
    }
}
