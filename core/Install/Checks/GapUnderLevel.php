<?php

declare(strict_types=1);

namespace Incastro\Install\Checks;

use Incastro\Install\Check;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;

/** A level laid on something: the gap under it, at the end that is low. What stands on supports is raised there by gap × their distance / length of the level. */
final readonly class GapUnderLevel implements Check
{
    /** Of the length of the level: 0.5 on 600, 1 on 1200. */
    private const SHARE = 1 / 1200;

    /** @param array{string, string} $ends as they are called: "left end", "right end" */
    public function __construct(private string $key, private string $label, private array $ends, private float $level, private float $supports, private LengthFormat $format)
    {
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

    public function expected(): null
    {
        return null;
    }

    public function limit(): float
    {
        return $this->level * self::SHARE;
    }

    public function allowed(): string
    {
        return sprintf('up to %s in %s', $this->fine($this->limit()), $this->format->write(Length::ofDouble($this->level)));
    }

    public function remedy(float $reading): string
    {
        return sprintf('Raise the %s by %s.', $this->ends[$reading < 0.0 ? 0 : 1], $this->fine(abs($reading) * $this->supports / $this->level));
    }

    private function fine(float $millimetres): string
    {
        return $this->format->fine()->write(Length::ofDouble($millimetres));
    }
}
