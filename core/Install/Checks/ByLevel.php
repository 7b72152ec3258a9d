<?php

declare(strict_types=1);

namespace Incastro\Install\Checks;

use Incastro\Install\Check;
use Incastro\Measure\Length;
use Incastro\Measure\LengthFormat;

/** Something that is read with a level: one gap, and the end at which it is; 0.5 mm on 600, 1 on 1200. */
abstract readonly class ByLevel implements Check
{
    /** A short level, and the longest that is at hand; mm and inches. */
    public const SHORT = [600.0, 24.0];

    public const LONG = [1200.0, 48.0];

    /** Of the length of the level. */
    private const SHARE = 1 / 1200;

    /** @param float $level its length, mm */
    public function __construct(protected float $level, private LengthFormat $format)
    {
    }

    /** @return array{string, string} */
    abstract public function ends(): array;

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

    protected function fine(float $millimetres): string
    {
        return $this->format->fine()->write(Length::ofDouble($millimetres));
    }
}
