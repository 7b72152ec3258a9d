<?php

declare(strict_types=1);

namespace Incastro\Install\Checks;

use Incastro\Measure\LengthFormat;

/**
 * A level stood upright against a box: the gap where it leans away. To its side it is shimmed at its foot by gap × width / length of the level;
 * from back to front it is packed behind its top by gap × height / length, or shimmed under its face.
 */
final readonly class Plumb extends ByLevel
{
    private const ENDS = [['Top leans left', 'Top leans right'], ['Top leans back', 'Top leans out']];

    public function __construct(private bool $isToFront, private float $width, private float $height, private float $depth, float $level, LengthFormat $format)
    {
        parent::__construct($level, $format);
    }

    public function key(): string
    {
        return $this->isToFront ? 'plumb-front' : 'plumb-side';
    }

    public function label(): string
    {
        return $this->isToFront ? 'Plumb, back to front' : 'Plumb, to its side';
    }

    public function fields(): array
    {
        return ['Gap at the level'];
    }

    /** @return array{string, string} */
    public function ends(): array
    {
        return self::ENDS[(int) $this->isToFront];
    }

    public function remedy(float $reading): string
    {
        $by = fn (float $over): string => $this->fine(abs($reading) * $over / $this->level);
        $first = 'Is the plinth level, and are its diagonals the same? Those first. ';

        return $first.match (true) {
            ! $this->isToFront => sprintf('Then shim %s under its %s side.', $by($this->width), $reading < 0.0 ? 'left' : 'right'),
            $reading < 0.0 => sprintf('Then pack %s behind it at the top.', $by($this->height)),
            default => sprintf('Then shim %s under its front edge.', $by($this->depth)),
        };
    }
}
