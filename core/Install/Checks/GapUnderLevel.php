<?php

declare(strict_types=1);

namespace Incastro\Install\Checks;

use Incastro\Measure\LengthFormat;

/** A level laid on something: the gap under it, at the end that is low. What stands on supports is raised there by gap × their distance / length of the level. */
final readonly class GapUnderLevel extends ByLevel
{
    /** @param array{string, string} $ends as they are called: "left end", "right end" */
    public function __construct(private string $key, private string $label, private array $ends, float $level, private float $supports, LengthFormat $format)
    {
        parent::__construct($level, $format);
    }

    public function key(): string
    {
        return $this->key;
    }

    public function label(): string
    {
        return $this->label;
    }

    public function fields(): array
    {
        return ['Gap under the level'];
    }

    public function ends(): array
    {
        return $this->ends;
    }

    public function remedy(float $reading): string
    {
        return sprintf('Raise the %s by %s.', $this->ends[$reading < 0.0 ? 0 : 1], $this->fine(abs($reading) * $this->supports / $this->level));
    }
}
