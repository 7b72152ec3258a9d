<?php

declare(strict_types=1);

namespace Incastro\Install\Checks;

use Incastro\Install\Check;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;

/**
 * Both diagonals of the face of a box, whose difference says how far its top stands to one side: (d₁² − d₂²)/(4W), which for diagonals that are
 * nearly one is (d₁ − d₂)·d/(2W). On a tall narrow box a small difference is much.
 */
final readonly class Diagonals implements Check
{
    /** mm and inches. */
    private const MOST = [2.0, 1 / 16];

    /** @param ?float $reveal of a front that is set in: its opening leans no more than half of that; mm */
    public function __construct(private float $width, private float $height, private ?float $reveal, private LengthFormat $format)
    {
    }

    /** How far the top stands too far right, mm, for such a difference of the diagonal from its foot's left to its top's right. */
    public function skew(float $difference): float
    {
        return $difference * $this->expected() / (2 * $this->width);
    }

    public function key(): string
    {
        return 'square';
    }

    public function label(): string
    {
        return 'Diagonals of the face';
    }

    public function fields(): array
    {
        return ['Foot left to top right', 'Foot right to top left'];
    }

    public function ends(): null
    {
        return null;
    }

    public function expected(): float
    {
        return hypot($this->width, $this->height);
    }

    public function limit(): float
    {
        $most = $this->format->unit->isMetric() ? self::MOST[0] : self::MOST[1] * 25.4;

        return $this->reveal === null ? $most : min($most, $this->reveal * $this->width / $this->expected());
    }

    public function allowed(): string
    {
        return sprintf('about %s each, within %s: a difference of %s leans its top by %s', $this->format->write(Length::ofDouble($this->expected())), $this->fine($this->limit()), $this->fine($this->limit()), $this->fine(abs($this->skew($this->limit()))));
    }

    public function remedy(float $reading): string
    {
        return sprintf(
            'Its top stands %s too far %s. Push along the longer diagonal, %s, until that reads %s less: both are the same then. The back or a brace holds it there.',
            $this->fine(abs($this->skew($reading))),
            $reading > 0.0 ? 'right' : 'left',
            lcfirst($this->fields()[$reading > 0.0 ? 0 : 1]),
            $this->fine(abs($reading) / 2),
        );
    }

    private function fine(float $millimetres): string
    {
        return $this->format->fine()->write(Length::ofDouble($millimetres));
    }
}
